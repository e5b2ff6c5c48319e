import 'server-only'
import { reaches } from '@/core/access/roles'
import { contextFor } from '../context'
import { isOwnPage } from '../own-page'
import { whoHere } from '../who'
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
  const who = await whoHere()
  // What waits on a device goes on waiting there until somebody is signed in.
  if (!reaches(who.actor.role, 'device')) return new Response(null, { status: 401 })
  const received = receive(parse(text), who)
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
