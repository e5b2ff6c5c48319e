import fc from 'fast-check'
import { CLASS_KINDS, USUAL_AIM } from '@/core/classes/aim'
import type { Brief, BriefPerson, StockLine } from '@/core/classes/brief'
import { NOTHING_FIXED } from '@/core/classes/fixed'
import type { Lock } from '@/core/classes/lock'
import type { Plan, PlanBlock } from '@/core/classes/plan'
import { briefPerson, NO_CLASS_BEFORE } from '@/core/classes/reach'
import { planClass } from '@/core/planning/plan-class'
import { shippedPractice } from '@/core/practice/library'
import { FAMILIES, type Family } from '@/core/practice/schema'
import { findById } from '@/core/practice/find'
import { waitsForScreening, type Decision, type Outcome } from '@/core/readiness/decide'
import { withPredecessors } from '@/core/readiness/ladder'
import { capsFrom, NO_LIMITS, NOT_ASKED, type Caps } from '@/core/screening/caps'
import { must } from './bodies'

const practice = shippedPractice()
const DAY = '2026-03-10'

export type Someone = {
  standingId?: string | null
  targetId?: string | null
  outcome?: Outcome
  looked?: { answer: 'accept' | 'hold-back' | 'override'; reason: 'seen-it' | null } | null
  limits?: Caps
  mostAttempts?: number
  family?: Family
  touch?: BriefPerson['touch']
  firstMonth?: boolean
  breathS?: number
  loopCm?: number
  grown?: BriefPerson['grown']
  weaker?: BriefPerson['weaker']
}

/** Somebody for a brief, who stands as told in one family (forearm stand where none is named) and nowhere else. */
export function person(i: number, part: Someone = {}): BriefPerson {
  const { standingId = 'FS-04', targetId = 'FS-05', outcome = 'near', looked = null } = part
  const own = part.family ?? 'FS'
  const studentId = `p${i}`
  // Whoever stands somewhere here has come by every way there is.
  const held = standingId === null ? [] : [...withPredecessors(practice.stages, standingId)]
  const none = { reasons: [], missing: [], wouldChange: null, branches: [], first: null, held: [] }
  const decisions = FAMILIES.map((family): Decision => {
    const base = { studentId, family, asOf: DAY, ...none }
    if (family !== own) return { ...base, outcome: 'build', standing: null, targetId: null }
    const standing =
      standingId === null ? null : ({ stageId: standingId, by: 'placement' } as Decision['standing'])
    return { ...base, outcome, standing, targetId, held }
  })
  const known = briefPerson(practice, {
    studentId,
    breathS: part.breathS ?? 5,
    mostAttempts: part.mostAttempts ?? 12,
    heightCm: 168,
    loopCm: part.loopCm ?? null,
    grown: part.grown ?? {},
    weaker: part.weaker ?? {},
    firstMonth: part.firstMonth ?? false,
    touch: part.touch ?? 'ask',
    limits: part.limits ?? NOT_ASKED,
    decisions,
    looked: () => looked,
  })
  return { ...known, ...NO_CLASS_BEFORE }
}

/** The same person before anybody asked them: what they may do is what waits for no answer, and the rest is hoped. */
export function unasked(who: BriefPerson): BriefPerson {
  if (!who.answered) return who
  const families = Object.entries(who.families).map(([family, reach]) => {
    const open = reach.open.filter((id) => !waitsForScreening(findById(practice.stages, id).load))
    return [family, { ...reach, open, onto: [] }] as const
  })
  return {
    ...who,
    answered: false,
    families: Object.fromEntries(families),
    hope: { limits: who.limits, families: who.families },
  }
}

/** Limits that some conditions set, with every question answered. */
export function limited(...conditions: string[]): Caps {
  return capsFrom(practice, { set: new Set(conditions), unknown: [] }, [], DAY)
}

/** Bays in a row, each wide enough for a straight line. */
export function bays(count: number): Brief['room']['bays'] {
  return Array.from({ length: count }, (_, i) => ({ id: `bay-${i + 1}`, widthCm: 120, corner: i === 0 }))
}

/** A cupboard with so many of each kind. */
export function stock(part: Record<string, number> = {}): Brief['cupboard'] {
  const usual = { block: 12, strap: 12, chair: 4, bolster: 6, slab: 12, blanket: 12, bench: 0, slider: 4 }
  return {
    listed: true,
    lines: Object.entries({ ...usual, ...part }).map(([kind, count]): StockLine => ({
      id: kind,
      kind,
      longCm: null,
      count,
    })),
  }
}

/** A brief for an hour, four bays and six people, or another. */
export function brief(part: Partial<Omit<Brief, 'room'>> & { bays?: number } = {}): Brief {
  const { bays: count = 4, ...rest } = part
  return {
    ...{ version: 2, day: DAY, minutes: 60, aim: USUAL_AIM },
    room: { bays: bays(count), mats: null, open: 2 },
    cupboard: stock(),
    ...{ helpers: [], locks: [], fixed: NOTHING_FIXED, strengthFirst: false, newThing: 'first' },
    people: [1, 2, 3, 4, 5, 6].map((i) => person(i)),
    ...rest,
  }
}

/** States judged where any plan will do. */
const FEW = 150

/** Some straps that do not close round every elbow, beside those that do. */
function withShortStraps(cupboard: Brief['cupboard'], count: number): Brief['cupboard'] {
  const short = { id: 'strap-short', kind: 'strap', longCm: 100, count }
  const long = cupboard.lines.map((l) => (l.kind === 'strap' ? { ...l, longCm: 180 } : l))
  return { ...cupboard, lines: [...long, short] }
}

/** The first plan of a brief. */
export function planOf(b: Brief): Plan {
  return must(planClass(practice, b, FEW)).plan
}

/** The block of a kind. */
export function blockOf<K extends PlanBlock['kind']>(plan: Plan, kind: K): Extract<PlanBlock, { kind: K }> {
  const found = plan.blocks.find((b): b is Extract<PlanBlock, { kind: K }> => b.kind === kind)
  if (!found) throw new Error(`no ${kind} in the plan`)
  return found
}

const CONDITIONS = [...new Set(practice.cautions.flatMap((c) => c.conditions))]
const TEACHABLE = FAMILIES.filter((f) => f !== 'AD')

/** Anybody in a family: any standing, any limits, asked or not, looked at or not, hands welcome or not. */
const anyoneIn = (family: Family) => {
  const stages = practice.stages.filter((s) => s.family === family).map((s) => s.id)
  return fc.record({
    family: fc.constant(family),
    standingId: fc.option(fc.constantFrom(...stages)),
    targetId: fc.option(fc.constantFrom(...stages)),
    outcome: fc.constantFrom<Outcome>('not-now', 'offer', 'once-more', 'near', 'build', 'held', 'step-back'),
    looked: fc.constantFrom<(Someone['looked'] & object) | null>(
      null,
      { answer: 'accept', reason: null },
      { answer: 'hold-back', reason: null },
      { answer: 'override', reason: 'seen-it' },
    ),
    mostAttempts: fc.integer({ min: 1, max: 12 }),
    breathS: fc.constantFrom(3, 5, 8),
    loopCm: fc.option(fc.integer({ min: 85, max: 130 }), { nil: undefined }),
    firstMonth: fc.boolean(),
    weaker: fc.constantFrom<BriefPerson['weaker']>({}, SIDED_LEFT),
    touch: fc.constantFrom<BriefPerson['touch']>('no', 'ask', 'yes'),
    limits: fc.oneof(
      fc.constant(NOT_ASKED),
      fc.constant(NO_LIMITS),
      fc.subarray(CONDITIONS, { maxLength: 4 }).map((conditions) => limited(...conditions)),
    ),
  })
}

/** Left is behind in everything that is done on both sides. */
const SIDED_LEFT: BriefPerson['weaker'] = Object.fromEntries(
  practice.drills.filter((d) => d.dose.perSide).map((d) => [d.id, 'left' as const]),
)

/** Any class: one family or two or a kind of its own, people with limits, answers and locks, any room and cupboard. */
export const anyBrief: fc.Arbitrary<Brief> = fc
  .tuple(fc.shuffledSubarray([...TEACHABLE], { minLength: 1, maxLength: 2 }), fc.constantFrom(...CLASS_KINDS))
  .chain(([families, kind]) => {
    const stages = practice.stages.filter((s) => families.some((f) => f === s.family)).map((s) => s.id)
    return fc.record({
      aim: fc.constant<Brief['aim']>({ kind, families }),
      people: fc.array(fc.oneof(...families.map(anyoneIn)), { minLength: 1, maxLength: 14 }),
      locks: fc.array(
        fc.record({
          who: fc.nat(15),
          part: fc.constantFrom<Lock['part']>('skill', 'waves'),
          stageId: fc.constantFrom(...stages),
        }),
        { maxLength: 3 },
      ),
      out: fc.array(fc.nat(15), { maxLength: 2 }),
      minutes: fc.integer({ min: 30, max: 95 }),
      bayCount: fc.integer({ min: 0, max: 6 }),
      pieces: fc.record({
        block: fc.nat(14),
        strap: fc.nat(8),
        chair: fc.nat(4),
        slab: fc.nat(12),
        bolster: fc.nat(4),
      }),
      shortStraps: fc.nat(4),
      open: fc.nat(2),
      helpers: fc.subarray([
        { id: 'h1', trained: ['AS-kick-catch', 'AS-hips-steady'] },
        { id: 'h2', trained: ['AS-leg-lift'] },
      ]),
      strengthFirst: fc.boolean(),
      newThing: fc.constantFrom('first' as const, 'middle' as const, 'late' as const),
    })
  })
  .map(({ people, locks, out, bayCount, pieces, shortStraps, open, ...plain }) => ({
    ...brief({
      ...{ ...plain, bays: bayCount, cupboard: withShortStraps(stock(pieces), shortStraps) },
      people: people.map((p, i) => person(i, p)),
      fixed: { ...NOTHING_FIXED, out: people.length > 5 ? out.map((i) => `p${i}`) : [] },
      locks: [...new Map(locks.map((l) => [`${l.who} ${l.part}`, l])).values()]
        .filter(({ who }) => who < people.length)
        .map(({ who, part, stageId }) => ({
          studentId: `p${who}`,
          part,
          stageId,
          reason: 'seen-it' as const,
        })),
    }),
    room: { bays: bays(bayCount), mats: null, open },
  }))
