import { daysBetween, type Day } from '../day'
import { findById } from '../practice/find'
import type { Library } from '../practice/library'
import type { Gate, Stage } from '../practice/schema'
import { EVIDENCE_WINDOW_DAYS, type Attempt } from './evidence'

/** What a try may leave open that a gate asks for. */
export type Left = 'leg' | 'height' | 'time' | 'alone'

/** Tries of the last weeks that a gate could have counted, had more been said of them (ruling 22). */
export type Unsaid = { readonly tries: number; readonly of: number; readonly what: readonly Left[] }

/** What each check that is read from tries wants to be told. */
const WANTS: Readonly<Record<string, readonly Left[]>> = {
  'CK-kick-height': ['leg', 'height', 'alone'],
  'CK-both-leads': ['leg', 'height', 'alone'],
  'CK-wall-hold': ['time', 'alone'],
  'CK-offwall': ['time', 'alone'],
  'CK-consistency': ['alone'],
}

/**
 * What tries left unsaid that a gate asks for, of the days that could count; null where all was said, or nothing tried.
 * @param attempts already folded
 */
export function unsaidFor(
  practice: Library,
  gate: Gate,
  stage: Pick<Stage, 'id' | 'family'>,
  attempts: readonly Attempt[],
  asOf: Day,
): Unsaid | null {
  const wants = WANTS[gate.check]
  if (!wants) return null
  // The gap between the legs is read from the same kicks as their height.
  const from = gate.check === 'CK-both-leads' ? 'CK-kick-height' : gate.check
  const shown = gate.shownBy ?? findById(practice.checks, from).shownOn?.[gate.on ?? stage.family]
  const tries = attempts.filter(
    (a) =>
      a.outcome !== 'stopped' &&
      daysBetween(a.day, asOf) <= EVIDENCE_WINDOW_DAYS &&
      (shown === undefined ? a.stageId === stage.id : shown.includes(a.stageId)),
  )
  const open = tries.map((a) => wants.filter((what) => leaves(a, what))).filter((left) => left.length > 0)
  if (open.length === 0) return null
  return {
    tries: open.length,
    of: tries.length,
    what: wants.filter((what) => open.some((l) => l.includes(what))),
  }
}

function leaves({ lead, level, seconds, help }: Attempt, what: Left): boolean {
  switch (what) {
    case 'leg':
      return lead === null
    case 'height':
      return level === 'not-said'
    case 'time':
      return seconds === null
    case 'alone':
      return help === 'not-said'
  }
}
