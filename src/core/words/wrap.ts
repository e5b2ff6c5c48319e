import type { Attempt } from '../readiness/evidence'
import { seenOf } from '../teaching/outcome'
import type { Ran } from '../teaching/ran'
import { count } from './number'

/** Words that are tapped after class; whatever else there is to say is typed. */
export const NOTE_CHIPS = [
  'calm',
  'afraid at first, then not',
  'arms tired early',
  'forgot the way out',
  'wants more',
  'wants less',
  'quieter landing',
  'asked for hands',
] as const

/** Minutes either way that are no news. */
const ABOUT_S = 60

/** A block against the plan: `7 min as planned`, `11 min, planned 7`, `left out`. */
export function describeRan({ plannedS, ranS }: Ran): string {
  if (ranS === null) return 'left out'
  const [planned, ran] = [minutes(plannedS), minutes(ranS)]
  return Math.abs(ranS - plannedS) < ABOUT_S ? `${ran} min as planned` : `${ran} min, planned ${planned}`
}

function minutes(seconds: number): number {
  return Math.round(seconds / 60)
}

/** Somebody's tries at one stage: `3 tries, 2 clean, best 12 s; left led 2, right 1`. */
export function describeTries(
  tries: readonly Pick<Attempt, 'outcome' | 'exitControlled' | 'endedBy' | 'faults' | 'lead' | 'seconds'>[],
): string {
  const clean = tries.filter((t) => t.outcome === 'clean').length
  const fell = tries.filter((t) => seenOf(t) === 'fell-out').length
  const best = Math.max(0, ...tries.map((t) => t.seconds ?? 0))
  const led = (side: 'left' | 'right'): number => tries.filter((t) => t.lead === side).length
  const legs = led('left') + led('right') > 0 ? `; left led ${led('left')}, right ${led('right')}` : ''
  return (
    [
      count(tries.length, 'try', 'tries'),
      `${clean} clean`,
      ...(fell > 0 ? [`fell out ${count(fell, 'time')}`] : []),
      ...(best > 0 ? [`best ${best} s`] : []),
    ].join(', ') + legs
  )
}
