import { changeOn } from '../classes/change'
import { isTry } from '../practice/ask'
import type { Library } from '../practice/library'
import type { Drill, PracticeBlock } from '../practice/schema'
import { isOpenTo, NO_CLOCK } from '../readiness/may'
import type { Capability } from '../readiness/capabilities'
import { staysWithin, type Within } from '../readiness/within'

/** Somebody it is for: what they may carry, what they are short of (shares that sum to one), own breath in s. */
export type ForWhom = {
  readonly within: Within
  readonly lacks: Readonly<Partial<Record<Capability, number>>>
  readonly breathS: number
}

/** Whom a sequence is for, and whether there are enough pieces of a kind for everybody. */
type With = { readonly people: readonly ForWhom[]; readonly has: (kind: string) => boolean }

/** Never in a sequence that people do by themselves beside each other: kneeling in lotus, and what lifts off. */
const NOT_HERE: readonly string[] = ['lotus', 'entry', 'neck']

/** Whether everybody may do a drill here, with pieces for all of them. */
export function mayStand(drill: Drill, { people, has }: With): boolean {
  return (
    !NOT_HERE.includes(drill.theme) &&
    !isTry(drill.load) &&
    (drill.load.FR ?? 0) === 0 &&
    drill.props.every(has) &&
    // Nobody looks at the clock of a class here.
    people.every(({ within: own }) => staysWithin(drill, own, NO_CLOCK))
  )
}

/** Whether it may warm everybody: by the clock, with no dose to fit, so nothing may limit anybody in it. */
export function mayWarm(drill: Drill, asked: With): boolean {
  return mayStand(drill, asked) && !isLimited(drill, asked)
}

/** Whether a limit changes how a drill is done by anybody. */
export function isLimited(drill: Drill, { people }: Pick<With, 'people'>): boolean {
  return people.some(({ within: own }) => changeOn(drill, own) !== null)
}

/**
 * Whether a check may end a sequence: it asks for all that somebody has, so every drill that is named for it is open to
 * everybody, and no limit acts on any of them. What no drill is named for is not taken here.
 */
export function mayCheck(practice: Library, checkId: string, people: readonly ForWhom[]): boolean {
  const shown = practice.capabilities.filter((c) => c.checks.includes(checkId)).flatMap((c) => c.drills)
  const drills = practice.drills.filter((d) => shown.includes(d.id))
  const open = (drill: Drill): boolean =>
    people.every(({ within: own }) => isOpenTo(own, drill.load, NO_CLOCK))
  return drills.length > 0 && drills.every((d) => open(d) && !isLimited(d, { people }))
}

/** Whether everybody may rest in a shape: what it asks itself, and what the drills it is done with ask. */
export function mayRest(
  practice: Library,
  { load, drills }: Pick<PracticeBlock, 'load' | 'drills'>,
  people: readonly ForWhom[],
): boolean {
  const loads = [load, ...practice.drills.filter((d) => drills.includes(d.id)).map((d) => d.load)]
  return people.every(({ within: own }) => loads.every((l) => isOpenTo(own, l, NO_CLOCK)))
}
