import type { Violation } from '../planning/check/violation'
import { findById } from '../practice/find'
import type { Library } from '../practice/library'
import { formatClock } from '../units'
import { count } from './number'
import { blockTitle, kindOf, PART_WORD, variantName } from './plan'

type Of<C extends Violation['code']> = Extract<Violation, { code: C }>
type Told = { readonly [C in Violation['code']]: (v: Of<C>, say: Say) => string }
type Say = {
  readonly name: (studentId: string) => string
  readonly what: (id: string) => string
  readonly block: (purpose: string) => string
  readonly practice: Library
}

const minutes = (seconds: number): string => count(Math.max(1, Math.ceil(seconds / 60)), 'minute')

export const VIOLATION_WORDS: Told = {
  'over-time': (v) => `${minutes(v.plannedS - v.allowedS)} too long.`,
  'blocks-overlap': (v) => `Two blocks overlap at ${formatClock(v.atS)}.`,
  'out-of-order': (v) => `“${PART_WORD[v.kind as keyof typeof PART_WORD]}” comes too late or too early.`,
  'rest-short': (v) => `The rest at the end is ${formatClock(v.seconds)}; ${minutes(v.leastS)} at least.`,
  'own-rest': (v, say) =>
    `“${say.block(v.purpose)}” leaves ${v.seconds} s between turns; ${v.leastS} s at least.`,
  changeover: (v, say) =>
    `“${say.block(v.purpose)}” leaves ${v.seconds} s to get ready; it takes ${v.leastS} s.`,
  'left-out': (v, say) => `${say.name(v.studentId)} has nothing to do in “${say.block(v.purpose)}”.`,
  'twice-at-once': (v, say) => `${say.name(v.studentId)} is in two places at once.`,
  closed: (v, say) =>
    `${say.name(v.studentId)}: ${say.what(v.variantId)} is closed to them that day. Plan again, or give another version.`,
  'climb-unfit': (v, say) =>
    `${say.what(v.variantId)} does not belong on the way of ${say.name(v.studentId)} tonight.`,
  'stepped-too-far': (v, say) => `${say.what(v.variantId)} is no step for ${say.name(v.studentId)} tonight.`,
  'stepped-too-often': (v, say) => `${say.name(v.studentId)} steps on too often for one night.`,
  'above-decision': (v, say) =>
    v.overridden
      ? `${say.name(v.studentId)}: ${say.what(v.variantId)} is your call, above what is recorded.`
      : `${say.name(v.studentId)}: ${say.what(v.variantId)} is above what is recorded.`,
  'change-missing': (v, say) =>
    `${say.name(v.studentId)}: a limit changes ${say.what(v.variantId)}, and the plan does not say how. Plan again.`,
  'two-families': (v, say) =>
    `${say.name(v.studentId)} would go on in two families in one class: one of them another day.`,
  'too-many-attempts': (v, say) =>
    `${say.name(v.studentId)}: ${count(v.tries, 'attempt')} planned; ${v.most} at most.`,
  'try-outside': (v, say) =>
    `${say.name(v.studentId)}: ${say.what(v.variantId)} is tried only when turns are taken.`,
  'stay-again': (v, say) =>
    `${say.name(v.studentId)}: ${say.what(v.variantId)} is built and entered once, not in sets.`,
  'too-long': (v, say) => `${say.name(v.studentId)}: ${v.seconds} s of work where ${v.mostS} s is the most.`,
  'side-more': (v, say) =>
    `${say.name(v.studentId)}: ${say.what(v.variantId)} the same on both sides; neither is behind here.`,
  'one-sided': (v, say) => `${say.name(v.studentId)}: ${say.what(v.variantId)} on both sides.`,
  spent: (v, say) =>
    `${say.name(v.studentId)}: arms too tired by then to try anything; earlier, or less before it.`,
  'neck-order': (v, say) =>
    `${say.name(v.studentId)}: weight on the head before work on the nape, not after.`,
  'neck-twice': (v, say) => `${say.name(v.studentId)}: head or nape, not both, in the first month.`,
  'lock-lost': (v, say) =>
    `${say.name(v.studentId)}: ${say.what(v.variantId)} was fixed by you and is not in the plan.`,
  'bay-missing': (v, say) =>
    `${say.name(v.studentId)}: ${say.what(v.variantId)} needs a wall bay and has none.`,
  'bay-shared': (v) => `Two people share one bay at ${formatClock(v.atS)}.`,
  'bay-narrow': (v, say) =>
    `${say.name(v.studentId)}: the bay is ${v.widthCm} cm wide; ${v.leastCm} cm at least.`,
  'open-floor': (v) => `${count(v.needed, 'place')} on the open floor needed, ${v.have} there.`,
  'fall-zone': (v, say) => `${say.name(v.studentId)} lies where somebody at the wall may fall.`,
  kickers: (v) =>
    `${v.kickers} kick at once at ${formatClock(v.atS)}; ${v.most} is what one pair of eyes takes.`,
  'first-tries': (v) => `Two first tries at once at ${formatClock(v.atS)}.`,
  'too-many-versions': (v, say) =>
    `${v.versions} versions side by side in “${say.block(v.purpose)}”; ${v.most} is what one teacher can watch.`,
  unwatched: (v) =>
    `More at once at ${formatClock(v.atS)} than you can watch: some of them wait, or a helper comes.`,
  'no-helper': (v, say) =>
    `${say.name(v.studentId)}: ${say.what(v.variantId)} wants somebody trained beside them.`,
  'helper-unfit': (v, say) => `${say.name(v.studentId)}: that helper is not trained in this.`,
  'helper-busy': (v) => `One helper for two people at ${formatClock(v.atS)}.`,
  'no-consent': (v, say) => `${say.name(v.studentId)} wants no hands: nothing that needs a helper.`,
  'stock-exceeded': (v) => `${count(v.needed, v.kind)} needed at once, ${v.have} in the cupboard.`,
  'strap-short': (v, say) =>
    `${say.name(v.studentId)}: the straps that are left do not close round these elbows. A longer one, or another wave.`,
  'no-prop': (v, say) => `${say.name(v.studentId)} has no ${v.kind} for it.`,
  'load-without-warm-up': (v, say) =>
    `${say.what(v.variantId)} needs ${findById(say.practice.warmups, v.warmupId).name} first.`,
  'stale-warm': (v, say) =>
    `${say.what(v.variantId)} comes ${v.minutes} minutes after ${findById(say.practice.warmups, v.warmupId).name.toLowerCase()} were warmed: no longer fresh. Earlier, or warm again.`,
  'warm-long': (v) => `The warm-up takes ${minutes(v.seconds)}: more than a third of the class.`,
  'load-without-counterpose': (v, say) =>
    `${say.what(v.variantId)} needs ${findById(say.practice.counterposes, v.counterposeId).name} after.`,
  'just-before': (v, say) => `${say.what(v.variantId)} never directly before tries: it tires or numbs.`,
}

/** A broken rule, shown live. */
export function describeViolation(
  violation: Violation,
  practice: Library,
  nameOf: (studentId: string) => string,
): string {
  const tell = VIOLATION_WORDS[violation.code] as (v: Violation, say: Say) => string
  return tell(violation, {
    practice,
    name: nameOf,
    what: (id) => variantName(practice, id),
    block: (purpose) => blockTitle(practice, kindOf(purpose), purpose),
  })
}
