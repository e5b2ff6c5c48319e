import type { Gate, ReadinessCheck, Stage } from '../practice/schema'
import { fallLevel } from './fall'

/** Points of a hold or of repetitions beside their days, and how many are asked for (ruling 4). */
export type Points = { readonly have: number; readonly need: number }

/** Points asked for, by fall level. */
const POINTS_BY_FALL = { low: 3, medium: 4, high: 4 } as const

/** Whether points, where they are asked for, reach what is asked. */
export function isEnough(points: Points | null): boolean {
  return points === null || points.have >= points.need
}

/**
 * One good day is often luck: +1 at the mark, +2 from 15 % above it, +3 from 30 % above, −2 below it, never under 0
 * (ruling 4). Each step can only grow with the day's value, so a better day never costs an offer.
 * @param days counted days of the last six weeks, oldest first
 * @returns null where days alone say it all
 */
export function pointsOf(
  gate: Gate,
  check: ReadinessCheck,
  stage: Pick<Stage, 'load'>,
  days: readonly { readonly passes: boolean; readonly value: number }[],
): Points | null {
  if (!isGraded(gate, check)) return null
  const mark = gate.value ?? 0
  const gained = ({ passes, value }: (typeof days)[number]): number =>
    !passes ? -2 : value >= 1.3 * mark ? 3 : value >= 1.15 * mark ? 2 : 1
  return {
    have: days.reduce((sum, day) => Math.max(0, sum + gained(day)), 0),
    need: gate.days ? Math.min(gate.days.clean, 3) : POINTS_BY_FALL[fallLevel(stage)],
  }
}

/** Holds and repetitions are graded; yes or no, levels, ranges, lengths and so many of three or five are not. */
function isGraded(gate: Gate, check: ReadinessCheck): boolean {
  return (
    gate.op === '>=' &&
    gate.side !== 'gap' &&
    (check.kind === 'hold' || (check.kind === 'count' && GRADED_UNITS.includes(check.unit)))
  )
}

const GRADED_UNITS: readonly string[] = ['reps', 'breaths']
