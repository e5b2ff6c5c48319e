import type { Day } from '../day'
import type { Attempt } from './evidence'

/** A try at a stage with the setup it was done in. */
export type SetupTry = Pick<Attempt, 'day' | 'outcome' | 'faults' | 'id'> & { readonly setupId: string }

export type FadeProposal =
  | {
      readonly code: 'fade'
      readonly to: string
      readonly days: readonly Day[]
      readonly evidenceIds: readonly string[]
    }
  | {
      readonly code: 'restore'
      readonly faultId: string
      readonly day: Day
      readonly evidenceIds: readonly string[]
    }

/** Clean days with an aid before the next smaller one is proposed. */
const FADE_DAYS = 2
/** The fault that the aid guards against, so often in one class, brings it back. */
const RESTORE_TIMES = 2

/**
 * Whether a prop may come off, one step at a time, or should come back.
 * @param less setups with one step less support
 * @param guards faults that the fuller setup prevents
 */
export function proposeFade(
  setupId: string,
  less: readonly string[],
  guards: readonly string[],
  tries: readonly SetupTry[],
): FadeProposal | null {
  const days = [...new Set(tries.map((t) => t.day))].sort()
  const newest = days.at(-1)
  if (newest === undefined) return null
  const inNewest = tries.filter((t) => t.day === newest)
  for (const faultId of guards) {
    const seen = inNewest.filter((t) => t.setupId !== setupId && t.faults.includes(faultId))
    if (seen.length >= RESTORE_TIMES)
      return { code: 'restore', faultId, day: newest, evidenceIds: seen.map((t) => t.id) }
  }
  const [to] = less
  const aided = tries.filter((t) => t.setupId === setupId)
  const clean = [...new Set(aided.map((t) => t.day))]
    .filter((day) => aided.filter((t) => t.day === day).every((t) => t.outcome === 'clean'))
    .sort()
  if (to === undefined || clean.length < FADE_DAYS) return null
  const shown = clean.slice(-FADE_DAYS)
  return {
    code: 'fade',
    to,
    days: shown,
    evidenceIds: aided.filter((t) => shown.includes(t.day)).map((t) => t.id),
  }
}

export type Trial = { readonly difference: number; readonly sure: number; readonly pairs: number }

/**
 * Alternate tries with and without an aid: the mean difference (without less with) and how sure its sign is, as the
 * share of sign-flips of the pairs that would give less than it.
 */
export function sideBySide(pairs: readonly { readonly with: number; readonly without: number }[]): Trial {
  const diffs = pairs.map((p) => p.without - p.with)
  const mean = (values: readonly number[]): number =>
    values.reduce((sum, v) => sum + v, 0) / Math.max(1, values.length)
  const difference = mean(diffs)
  const flips = 2 ** Math.min(12, diffs.length)
  let less = 0
  for (let mask = 0; mask < flips; mask += 1) {
    const flipped = mean(diffs.map((d, i) => ((mask >> i) & 1 ? -d : d)))
    if (Math.abs(flipped) < Math.abs(difference) - 1e-12) less += 1
  }
  return { difference, sure: diffs.length === 0 ? 0 : less / flips, pairs: diffs.length }
}
