import 'server-only'
import { v7 } from 'uuid'
import { writeHlc } from '@/core/facts/hlc'
import type { Context } from '../context'

/** Ids and stamps of a list that was brought in: a device of its own, so that what came by it can be told apart. */
export function ownStamps({ clock }: Pick<Context, 'clock'>) {
  const deviceId = v7()
  /** @param line which of the list it is, each asked once */
  return (line: number) => ({
    origin: { deviceId, deviceSeq: line + 1 },
    fact: { id: v7(), hlc: writeHlc({ ms: clock.nowMs, counter: line }, deviceId) },
  })
}
