import type { Library } from '../practice/library'
import { findById } from '../practice/find'
import type { Decision } from './decide'

/** A check worth a place in the next round: how many decisions it could change for its minutes, and whose first. */
export type CheckWorth = {
  readonly checkId: string
  readonly perMinute: number
  readonly changes: number
  readonly first: readonly string[]
}

/** Running a check in pairs takes its time twice, once for each half of the class, with this much to change over, s. */
const CHANGE_S = 30

/**
 * Checks ranked by how many decisions in a class they could change per minute. A check counts for somebody when it is
 * all that is missing, half when it is one of two, a third when one of three.
 */
export function checkNext(practice: Library, decisions: readonly Decision[]): CheckWorth[] {
  const found = new Map<string, { worth: number; people: { id: string; share: number }[] }>()
  for (const { studentId, missing } of decisions)
    for (const check of new Set(missing.map((m) => m.gate.check))) {
      // What tries show is logged as tries; a round has nothing to ask for it.
      if (findById(practice.checks, check).shownOn) continue
      const share = 1 / new Set(missing.map((m) => m.gate.check)).size
      const entry = found.get(check) ?? { worth: 0, people: [] }
      found.set(check, { worth: entry.worth + share, people: [...entry.people, { id: studentId, share }] })
    }
  return [...found]
    .map(([checkId, { worth, people }]): CheckWorth => ({
      checkId,
      perMinute: worth / roundMinutes(findById(practice.checks, checkId).seconds),
      changes: people.length,
      first: people
        .toSorted((a, b) => b.share - a.share || (a.id < b.id ? -1 : 1))
        .slice(0, 3)
        .map((p) => p.id),
    }))
    .toSorted((a, b) => b.perMinute - a.perMinute || (a.checkId < b.checkId ? -1 : 1))
}

/** Minutes that a check takes for a whole class in two half-rounds. */
export function roundMinutes(seconds: number): number {
  return (2 * (seconds + CHANGE_S)) / 60
}

/** The two or three checks to run now: most worth first, as long as they fit. */
export function suggestedRound(worth: readonly CheckWorth[], practice: Library, minutes: number): string[] {
  const round: string[] = []
  let left = minutes
  for (const { checkId } of worth) {
    const takes = roundMinutes(findById(practice.checks, checkId).seconds)
    if (round.length === 3 || takes > left) continue
    round.push(checkId)
    left -= takes
  }
  return round
}
