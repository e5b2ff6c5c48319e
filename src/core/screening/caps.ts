import type { Day } from '../day'
import type { Library } from '../practice/library'
import type { Caution, CautionAction, Load, LoadTag } from '../practice/schema'
import { conditionsOf, type Conditions, type Screening } from './answers'
import { lifts, type Clearance } from './clearance'

/**
 * A limit that stands for somebody: what is stopped, left out, changed or watched from which level of which load.
 * It names the rule, never the condition: this is all that leaves the health layer.
 */
export type Cap = {
  readonly ruleId: string
  readonly action: CautionAction
  readonly tag: LoadTag
  /** From this level up. */
  readonly level: 1 | 2 | 3
  readonly mostSeconds: number | null
  readonly instead: string
  /** How it is done under a limit that modifies, and which share of the repetitions is left; null for other limits. */
  readonly change: {
    readonly words: string
    readonly share: number
    readonly notBefore?: number | undefined
    readonly how?: string | undefined
  } | null
  /** Set where somebody is sent for care, or home, instead of to another shape. */
  readonly refer?: NonNullable<Caution['refer']>
  /** Lifted only by a recorded clearance for this tag. */
  readonly needsClearance: boolean
  /** Set while the health notes are there and do not open: their key alone ends it. */
  readonly until?: 'key'
}

/** A limit as decisions and plans keep it: without the rule, which would tell what was answered. */
export type Limit = Omit<Cap, 'ruleId'>

/** A cap without its rule. */
export function withoutRule({ ruleId: _rule, ...limit }: Cap): Limit {
  return limit
}

/** Whether a limit closes what it names: barred or left out, not changed or watched. */
export function isClosing({ action }: Pick<Limit, 'action'>): boolean {
  return action === 'stop' || action === 'avoid'
}

/** Limits, with the rules they come from or as a brief keeps them without. */
export type Limits<L extends Limit = Limit> = { readonly caps: readonly L[] }

export type Caps = {
  readonly caps: readonly Cap[]
  /** Whether every core question has a valid answer. */
  readonly answered: boolean
  /** Cleared for, so that cards can say so. */
  readonly cleared: readonly { readonly tag: LoadTag; readonly upTo: number; readonly expires: Day }[]
}

/** Nothing has been asked yet. */
export const NOT_ASKED: Caps = { caps: [], answered: false, cleared: [] }
/** Asked, and nothing limits. */
export const NO_LIMITS: Caps = { caps: [], answered: true, cleared: [] }

/** The gentle track: HBH at 1, HB 0, NF 1, FR 1, with no reason stored (cautions.md 1). */
const GENTLE: readonly { readonly tag: LoadTag; readonly level: 1 | 2 | 3 }[] = [
  { tag: 'HBH', level: 2 },
  { tag: 'HB', level: 1 },
  { tag: 'NF', level: 2 },
  { tag: 'FR', level: 2 },
]

/** Limits from answers and clearances as of a day. */
export function capsOf(
  practice: Library,
  screening: Screening,
  clearances: readonly Clearance[],
  asOf: Day,
): Caps {
  const conditions = conditionsOf(practice, screening, asOf)
  return capsFrom(practice, conditions, clearances, asOf)
}

/**
 * Limits from conditions that stand, however they came about. A clearance lifts only what was answered on or before its
 * day (ruling 19); conditions without a day were there before any clearance.
 */
export function capsFrom(
  practice: Library,
  conditions: Pick<Conditions, 'set' | 'unknown'> & Partial<Pick<Conditions, 'since'>>,
  clearances: readonly Clearance[],
  asOf: Day,
): Caps {
  const caps = practice.cautions.flatMap((rule): Cap[] => {
    const fired = rule.conditions.filter((c) => conditions.set.has(c))
    if (fired.length === 0) return []
    const since = fired.map((c) => conditions.since?.get(c) ?? '').reduce((a, b) => (a > b ? a : b))
    const given = clearances.filter((c) => c.day >= since)
    return rule.tags
      .filter(({ tag }) => rule.action !== 'stop' || !given.some((c) => lifts(c, tag, 3, fired, asOf)))
      .map(({ tag, level }) => capOf(rule, tag, level as Cap['level']))
      .map((cap) => raised(cap, rule, fired, given, asOf))
  })
  const gentle = conditions.set.has('GENTLE')
    ? GENTLE.map(({ tag, level }): Cap => ({
        ruleId: 'GENTLE',
        action: 'avoid',
        tag,
        level,
        mostSeconds: null,
        instead: 'The gentler version of the same purpose.',
        change: null,
        needsClearance: false,
      }))
    : []
  return {
    caps: [...caps, ...gentle, ...unknownElsewhere(practice, conditions)],
    answered: !conditions.set.has('UNKNOWN-core'),
    cleared: clearances
      .filter((c) => c.day <= asOf && c.expires >= asOf)
      .flatMap((c) => c.tags.map(({ tag, upTo }) => ({ tag, upTo, expires: c.expires }))),
  }
}

/** One rule's limit on one load. */
export function capOf(rule: Caution, tag: LoadTag, level: Cap['level']): Cap {
  return {
    ruleId: rule.id,
    action: rule.action,
    tag,
    level,
    mostSeconds: rule.mostSeconds ?? null,
    instead: rule.instead,
    change: rule.change ?? null,
    needsClearance: rule.action === 'stop',
    ...(rule.refer ? { refer: rule.refer } : {}),
  }
}

/** A clearance up to a level below 3 moves a Stop up to the next level and no further. */
function raised(
  cap: Cap,
  rule: Caution,
  fired: readonly string[],
  clearances: readonly Clearance[],
  asOf: Day,
): Cap {
  if (rule.action !== 'stop') return cap
  let level = cap.level
  while (level < 3 && clearances.some((c) => lifts(c, cap.tag, level, fired, asOf)))
    level = (level + 1) as Cap['level']
  return level === cap.level ? cap : { ...cap, level }
}

/** Rule UN2: a first exposure to level 3 of what an unanswered question is about is watched. */
function unknownElsewhere(practice: Library, { unknown }: Pick<Conditions, 'unknown'>): Cap[] {
  const rule = practice.cautions.find((c) => c.id === 'UN2')
  if (!rule) return []
  const tags = new Set(practice.intake.filter((q) => unknown.includes(q.id)).flatMap((q) => q.about))
  return [...tags].map((tag) => capOf(rule, tag, 3))
}

export type Verdict = 'open' | 'watch' | 'changed' | 'left-out' | 'barred'

/** Strictest last: Stop > Avoid > Modify > Watch (cautions.md 0.3). */
const ORDER: readonly Verdict[] = ['open', 'watch', 'changed', 'left-out', 'barred']
const VERDICT: Readonly<Record<CautionAction, Verdict>> = {
  stop: 'barred',
  avoid: 'left-out',
  modify: 'changed',
  watch: 'watch',
}

export type LoadVerdict<L extends Limit = Cap> = {
  readonly verdict: Verdict
  /** The limits that act here, strictest first. */
  readonly because: readonly L[]
  /** The shortest time that any of them allows. */
  readonly mostSeconds: number | null
}

/** Urgent care, or home to rest: then there is no class work at all, however light. */
function endsTheDay(refer: Limit['refer']): boolean {
  return refer === 'urgent' || refer === 'home'
}

/** A change that this shape cannot take is none: the thing is left out, and another stands there (ruling 23). */
function isImpossible({ action, change }: Pick<Limit, 'action' | 'change'>, { cannot }: Load): boolean {
  return (
    action === 'modify' && change?.how !== undefined && cannot?.some((how) => how === change.how) === true
  )
}

/** What the limits say of a load: every cap whose tag the load carries at its level or above. */
export function judgeLoad<L extends Limit>(load: Load, { caps }: Limits<L>): LoadVerdict<L> {
  const because = caps
    .filter(({ tag, level, refer }) => (load[tag] ?? 0) >= level || endsTheDay(refer))
    .map((cap) => (isImpossible(cap, load) ? { ...cap, action: 'avoid' as const } : cap))
    .toSorted((a, b) => ORDER.indexOf(VERDICT[b.action]) - ORDER.indexOf(VERDICT[a.action]))
  const [strictest] = because
  const limits = because.flatMap(({ mostSeconds }) => (mostSeconds === null ? [] : [mostSeconds]))
  return {
    verdict: strictest ? VERDICT[strictest.action] : 'open',
    because,
    mostSeconds: limits.length > 0 ? Math.min(...limits) : null,
  }
}

/** Whether limits close a load: barred or left out. A stage is asked about with `closesStage`, which looks below it. */
export function closes(limits: Limits, load: Load): boolean {
  return asStrictAs(judgeLoad(load, limits).verdict, 'left-out')
}

/** Whether a verdict is stricter than another. */
export function isStricter(a: Verdict, b: Verdict): boolean {
  return ORDER.indexOf(a) > ORDER.indexOf(b)
}

/** Whether a verdict is at least as strict as another. */
export function asStrictAs(a: Verdict, b: Verdict): boolean {
  return ORDER.indexOf(a) >= ORDER.indexOf(b)
}
