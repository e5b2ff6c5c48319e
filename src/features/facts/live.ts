import 'server-only'
import { EventEmitter } from 'node:events'
import { reaches } from '@/core/access/roles'
import { ofProcess } from '@/db/process'
import { isOwnPage } from '../own-page'
import { whoHere } from '../who'

const bell = ofProcess('bell', () => new EventEmitter().setMaxListeners(200))

/** Every so often something is said, so that a dead line is noticed, ms. */
const STILL_THERE_MS = 20_000

/** Rung where it is not told of which class something is. */
const ANY = 'any'

/** Tells every screen of a class that something was recorded, and by which device. */
export function ring(classId: string | null, deviceId: string): void {
  bell.emit(classId ?? ANY, deviceId)
}

/**
 * A stream of server-sent events for one class: each says which device recorded something. It tells nothing else, so
 * whoever listens asks for the page again with what their own screen may show.
 */
export async function liveResponse(request: Request, classId: string): Promise<Response> {
  if (!isOwnPage(request)) return new Response(null, { status: 403 })
  if (!reaches((await whoHere()).actor.role, 'device')) return new Response(null, { status: 401 })
  const encoder = new TextEncoder()
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      const say = (line: string): void => controller.enqueue(encoder.encode(line))
      const heard = (deviceId: string): void => say(`data: ${deviceId}\n\n`)
      const still = setInterval(() => say(': still there\n\n'), STILL_THERE_MS)
      for (const name of [classId, ANY]) bell.on(name, heard)
      say(': listening\n\n')
      request.signal.addEventListener('abort', () => {
        clearInterval(still)
        for (const name of [classId, ANY]) bell.off(name, heard)
        controller.close()
      })
    },
  })
  return new Response(stream, {
    headers: {
      'content-type': 'text/event-stream',
      'cache-control': 'no-store, no-transform',
      'x-accel-buffering': 'no',
    },
  })
}
