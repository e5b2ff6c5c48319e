import type { Library } from '../practice/library'
import type { LoadTag } from '../practice/schema'
import { REGION_LOADS, type Region } from './regions'
import { capsFrom, NO_LIMITS, type Cap, type Caps } from './caps'
import type { Day } from '../day'

/** Tonight's check-in: under half a minute, private; it lowers tonight's ceiling and nothing else. */
export type CheckIn = {
  readonly day: Day
  readonly pain: number
  readonly regions: readonly Region[]
  readonly energy: number
  /** Arms, 0 fresh to 10 spent. */
  readonly arms: number
  readonly look: 'watch' | 'half' | 'whole'
  /** Option ids of the daily questions that were ticked, such as `one` of D4. */
  readonly ticked: readonly string[]
  readonly touch: 'no' | 'ask' | 'yes'
}

/** Pain from here leaves the region's loads out; the neck already from 3 (ruling 2). */
const SORE_FROM = 4
const SORE_NECK_FROM = 3
const REST_FROM = 7
/** Spent arms end attempts (drills-and-checks.md CK-arms-spent). */
export const ARMS_SPENT_FROM = 5
/** From here strength work ends as well. */
const ARMS_DONE_FROM = 7

/** Energy from which everything is halved, 0–10 (rule EN1). */
const TIRED_TO = 3

/** Whether there is little energy tonight; unsaid is not tired. */
export function isTired(checkIn: Pick<CheckIn, 'energy'> | null): boolean {
  return checkIn !== null && checkIn.energy <= TIRED_TO
}

/** Tonight's limits from a check-in. They come on top of the standing ones and go with the day. */
export function tonightsCaps(practice: Library, checkIn: CheckIn, asOf: Day): Caps {
  if (checkIn.day !== asOf) return NO_LIMITS
  const set = new Set<string>()
  if (checkIn.pain >= REST_FROM) set.add('PAIN-7')
  if (isTired(checkIn)) set.add('ENERGY-low')
  else if (checkIn.energy <= 5) set.add('ENERGY-middling')
  if (checkIn.look !== 'whole') set.add(`LOOK-${checkIn.look}`)
  for (const question of practice.intake.filter((q) => q.asked === 'class'))
    for (const option of question.options)
      if (checkIn.ticked.includes(`${question.id}:${option.id}`)) for (const c of option.sets) set.add(c)
  const { caps } = capsFrom(practice, { set, unknown: [] }, [], asOf)
  return { caps: [...caps, ...soreRegions(checkIn), ...spentArms(checkIn)], answered: true, cleared: [] }
}

function soreRegions({ pain, regions }: CheckIn): Cap[] {
  return regions
    .filter((region) => pain >= (region === 'neck' ? SORE_NECK_FROM : SORE_FROM))
    .flatMap((region) =>
      REGION_LOADS[region].map(({ tag, level }): Cap => ({
        ruleId: 'PA1',
        action: 'avoid',
        tag,
        level,
        mostSeconds: null,
        change: null,
        instead: 'The same purpose through another support.',
        needsClearance: false,
      })),
    )
}

/**
 * Attempts come while arms are fresh, and weight on the head is one: from 5 nothing leaves the floor and no head is loaded;
 * from 7 strength work ends too, and what is left rests the arms (drills-and-checks.md CK-arms-spent).
 */
function spentArms({ arms }: CheckIn): Cap[] {
  const out = (tag: LoadTag, level: 1 | 2 | 3): Cap => ({
    ...{
      ruleId: 'ARMS',
      action: 'avoid',
      tag,
      level,
      mostSeconds: null,
      change: null,
      needsClearance: false,
    },
    instead: 'Legs up the wall, hips on a bolster, or the pelvis on a stack.',
  })
  return [
    ...(arms >= ARMS_SPENT_FROM ? [out('FR', 2), out('HB', 1)] : []),
    ...(arms >= ARMS_DONE_FROM ? [out('WB', 2), out('FB', 2)] : []),
  ]
}

/** Standing and tonight's limits together. */
export function together(...all: readonly Caps[]): Caps {
  return {
    caps: all.flatMap((c) => c.caps),
    answered: all.every((c) => c.answered),
    cleared: all.flatMap((c) => c.cleared),
  }
}

/** Whether hands may help tonight: today's word wins, then the standing wish; unsaid is “ask each time”. */
export function touchTonight(
  conditions: ReadonlySet<string>,
  checkIn: Pick<CheckIn, 'touch'> | null,
): CheckIn['touch'] {
  if (checkIn) return checkIn.touch
  return conditions.has('TOUCH-no') ? 'no' : 'ask'
}

/** The check-in of a day among several: the last one given. */
export function checkInOf(checkIns: readonly CheckIn[], day: Day): CheckIn | null {
  return checkIns.filter((c) => c.day === day).at(-1) ?? null
}
