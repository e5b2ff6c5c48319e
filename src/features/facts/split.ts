import type { Stamp } from '@/core/facts/stamp'
import { done, type Answer } from '../answer'

/** What came of a fact: put down now, or there already. */
export type Kept = 'stored' | 'known'

/** A fact without its kind and the device it came from, and that device. */
export function split<T extends Stamp & { kind: string }>(fact: T) {
  const { kind: _kind, deviceId, deviceSeq, ...rest } = fact
  return { rest, origin: { deviceId, deviceSeq } }
}

/** The answer of a store that says whether a row is new. */
export function put(isNew: boolean): Answer<Kept> {
  return done(isNew ? 'stored' : 'known')
}
