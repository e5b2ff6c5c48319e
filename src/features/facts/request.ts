import 'server-only'
import { contextFor } from '../context'
import { privacyHere } from '../layer'
import { isOwnPage } from '../own-page'
import { receive } from './receive'
import type { ServerTime } from './wire'

/** A batch of facts weighs at most this much, bytes. */
const MOST_BYTES = 256 * 1024

/** A batch over the wire; every answer tells the server's clock, by which a device reckons the day of its taps. */
export async function receiveRequest(request: Request): Promise<Response> {
  // A page of another site can send a form, but not JSON.
  const json = request.headers.get('content-type')?.startsWith('application/json') ?? false
  if (!isOwnPage(request) || !json) return new Response(null, { status: 403 })
  const text = await request.text()
  if (text.length > MOST_BYTES) return new Response(null, { status: 413 })
  const received = receive(parse(text), await privacyHere())
  if (!received) return new Response(null, { status: 400 })
  return Response.json({ ...received, ...serverTime() })
}

function serverTime(): ServerTime {
  const { clock, studio } = contextFor({ hidden: true, notesOpen: false })
  return { nowMs: clock.nowMs, timeZone: studio.timeZone }
}

function parse(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return null
  }
}
