import type { PlanRefusal } from '../planning/greedy'
import type { Apart } from '../classes/apart'
import type { Change } from '../classes/change'
import type { PlanBlock, PlanWarning } from '../classes/plan'
import type { Violation } from '../planning/check/violation'
import { findById } from '../practice/find'
import { type Library } from '../practice/library'
import { count } from './number'
import { stageName } from './reason'

/** A block's heading. */
export const BLOCK_TITLE: Record<PlanBlock['kind'], string> = {
  'warm-up': 'Warm up for what comes',
  skill: 'Dolphin, everyone’s version',
  waves: 'At the wall, in turns',
  counterpose: 'Counterposes',
  rest: 'Rest',
}

/** A block in a word, for a ribbon. */
export const PART_WORD: Record<PlanBlock['kind'], string> = {
  'warm-up': 'Warm up',
  skill: 'Together',
  waves: 'At the wall',
  counterpose: 'Counterposes',
  rest: 'Rest',
}

/** A plan that cannot be made. */
export function describePlanRefusal(refusal: PlanRefusal): string {
  switch (refusal.code) {
    case 'too-few-people':
      return `A class needs at least ${refusal.least} people; ${count(refusal.people, 'person', 'people')} picked.`
    case 'minutes-out-of-range':
      return `A class lasts ${refusal.min} to ${refusal.max} minutes.`
    case 'no-bays':
      return 'At least one wall bay is needed for turns at the wall.'
  }
}

/** How a limit changes what somebody does; empty where nothing does. It never says why. */
export function describeChange(change: Change | null): string {
  if (!change) return ''
  const { mostSeconds, share, words } = change
  return [
    ...(mostSeconds === null ? [] : [`${mostSeconds} s at most.`]),
    ...(share < 1 && words.length === 0 ? [`${Math.round(share * 100)} % of the repetitions.`] : []),
    ...words,
  ].join(' ')
}

/** Who does something else while the class does a warm-up or counterpose, one line a drill; it never says why. */
export function describeApart(
  practice: Library,
  apart: readonly Apart[],
  nameOf: (studentId: string) => string,
): string[] {
  return [...new Set(apart.map((a) => a.drillId))].map((drillId) => {
    const names = apart.filter((a) => a.drillId === drillId).map((a) => nameOf(a.studentId))
    const who = new Intl.ListFormat('en-GB').format(names)
    return drillId === null
      ? `${who}: rest meanwhile.`
      : `${who}: ${findById(practice.drills, drillId).name} instead.`
  })
}

/** Where nothing at all is open to somebody: they belong to the class all the same. */
export const NOTHING_OPEN = 'Rest on your side, breathe with the group; watching counts.'

/** What to settle before class. */
export function describePlanWarning(warning: PlanWarning): string {
  switch (warning.code) {
    case 'short-of-straps':
      return `${count(warning.needed - warning.have, 'strap')} short: scarves will do, or the version without a strap.`
    case 'short-of-blocks':
      return `${count(warning.needed - warning.have, 'block')} short: share across waves, or a thick book tied shut.`
    case 'too-many-versions':
      return `${warning.versions} versions side by side; ${warning.limit} is what one teacher can watch.`
    case 'few-turns':
      return 'Not everyone gets a turn at the wall in the time: take another bay or more minutes.'
    case 'warm-up-trimmed':
      return `Warm-up shortened to a third of the class: ${Math.round(warning.givenS / 60)} of ${Math.round(warning.wantedS / 60)} minutes.`
  }
}

/** A broken rule, shown live. */
export function describeViolation(
  violation: Violation,
  practice: Library,
  nameOf: (studentId: string) => string,
): string {
  switch (violation.code) {
    case 'over-time':
      return `${Math.ceil((violation.plannedS - violation.allowedS) / 60)} minutes too long.`
    case 'blocks-overlap':
      return 'Two blocks overlap.'
    case 'too-many-attempts':
      return `${nameOf(violation.studentId)}: ${count(violation.turns, 'turn')} at the wall; ${count(violation.most, 'attempt')} at most.`
    case 'bay-shared':
      return `Two people share bay ${violation.bay}.`
    case 'bay-missing':
      return `There is no bay ${violation.bay}; the class has ${violation.bays}.`
    case 'twice-at-once':
      return `${nameOf(violation.studentId)} is in two places at once.`
    case 'above-decision':
      return violation.overridden
        ? `${nameOf(violation.studentId)}: ${stageName(practice, violation.stageId)} is your call, above what is recorded.`
        : `${nameOf(violation.studentId)}: ${stageName(practice, violation.stageId)} is above what is recorded.`
    case 'closed':
      return `${nameOf(violation.studentId)}: ${stageName(practice, violation.stageId)} is closed to them that day. Plan again, or give another version.`
    case 'change-missing':
      return `${nameOf(violation.studentId)}: a limit changes ${stageName(practice, violation.stageId)}, and the plan does not say how. Plan again.`
    case 'unwatched':
      return `${violation.versions} versions side by side; ${violation.most} is what one teacher can watch.`
    case 'stock-exceeded':
      return `${violation.needed} ${violation.kind} needed, ${violation.have} in the cupboard.`
    case 'load-without-warm-up':
      return `${stageName(practice, violation.stageId)} needs ${findById(practice.warmups, violation.warmupId).name} first.`
    case 'load-without-counterpose':
      return `${stageName(practice, violation.stageId)} needs ${findById(practice.counterposes, violation.counterposeId).name} after.`
    case 'left-out':
      return `${nameOf(violation.studentId)} has nothing to do.`
  }
}
