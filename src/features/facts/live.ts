import 'server-only'
import { EventEmitter } from 'node:events'
import { reaches } from '@/core/access/roles'
import type { BellLine } from '@/core/facts/heard'
import { ofProcess } from '@/db/process'
import { isOwnPage } from '../own-page'
import { whoHere } from '../who'

const bell = ofProcess('bell', () => new EventEmitter().setMaxListeners(200))

/** Every so often something is said, so that a dead line is noticed, ms. */
const STILL_THERE_MS = 20_000

/** Rung where it is not told of which class something is. */
const ANY = 'any'

/** Tells every screen of a class what was recorded, and by which device. */
export function ring(classId: string | null, line: BellLine): void {
  bell.emit(classId ?? ANY, line)
}

/**
 * A stream of server-sent events for one class: each says which device recorded what. It tells nothing that the floor's page
 * does not show to everybody who may listen; what may be private is not told, and the page is asked for again.
 */
export async function liveResponse(request: Request, classId: string): Promise<Response> {
  if (!isOwnPage(request)) return new Response(null, { status: 403 })
  if (!reaches((await whoHere()).actor.role, 'device')) return new Response(null, { status: 401 })
  const encoder = new TextEncoder()
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      const say = (line: string): void => controller.enqueue(encoder.encode(line))
      const heard = (line: BellLine): void => say(`data: ${JSON.stringify(line)}\n\n`)
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
