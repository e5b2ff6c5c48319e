import type { Brief, BriefPerson } from '../classes/brief'
import { CLASS_MINUTES } from '../classes/craft'
import { keepingBlocks } from '../classes/edit'
import { isWork } from '../classes/plan'
import type { Library } from '../practice/library'
import type { Family } from '../practice/schema'
import { COUNTED_KINDS } from '../props/stock'
import type { Result } from '../result'
import { carried } from './carry'
import { firstPlans, type Found } from './first-plan'
import { fillSlot } from './fill'
import { improve } from './improve'
import { buildModel, type Model } from './model'
import { planClass, type Planned, type PlanRefusal } from './plan-class'
import { foundFrom } from './search'
import { writePlan } from './write'

/** What may be changed about a class to make it a better one, cheapest to arrange first. */
export const CHANGES = ['pieces', 'minutes', 'bay', 'helper', 'family'] as const
export type ChangeKind = (typeof CHANGES)[number]

export type Change =
  | { readonly kind: 'pieces'; readonly pieces: readonly { readonly kind: string; readonly count: number }[] }
  | { readonly kind: 'minutes'; readonly minutes: number }
  | { readonly kind: 'bay' }
  | { readonly kind: 'helper' }
  /** One family fewer: which is left out. */
  | { readonly kind: 'family'; readonly family: Family }

/** What becomes of somebody: they no longer wait, get the wall, work nearer to their own step, take more turns. */
export type Turn = 'works' | 'wall' | 'nearer' | 'more-turns'
export type ForSomebody = { readonly studentId: string; readonly purpose: string; readonly how: Turn }

/** What a class would be if one thing were otherwise. */
export type Otherwise = {
  readonly change: Change
  /** Points more than the plan as it is. */
  readonly gain: number
  readonly now: readonly number[]
  readonly then: readonly number[]
  readonly people: readonly ForSomebody[]
}

/** Less than this is no more than a chance of the search, points. */
const WORTH_SAYING = 2
const MORE_MINUTES = 10
const MORE_PIECES = 2
const BAY_CM = 150

/** States judged before anything is changed, so that what a longer look finds is not put down to the change. */
const SETTLED = 6000
const AFTER_CHANGE = 2000

/** The plan that changes are measured from: searched longer than at once, the same for the same brief. */
export function settledPlan(practice: Library, brief: Brief): Result<Planned, PlanRefusal> {
  return planClass(practice, brief, SETTLED)
}

/**
 * Plans the class once more with one thing changed.
 * @param now the class as it is, by `settledPlan`
 * @returns null where it cannot be changed or nothing comes of it
 */
export function otherwise(practice: Library, brief: Brief, now: Planned, kind: ChangeKind): Otherwise | null {
  const tried = briefsWith(brief, now.model, kind).flatMap(({ change, brief: other }) => {
    const then = plannedFrom(practice, other, now)
    return then?.found.outcome.isLegal ? [{ change: toldOf(change, then, brief), then }] : []
  })
  const best = tried.sort((a, b) => b.then.found.outcome.points - a.then.found.outcome.points)[0]
  if (!best || (best.change.kind === 'pieces' && best.change.pieces.length === 0)) return null
  const { change, then } = best
  const gain = then.found.outcome.points - now.found.outcome.points
  if (gain < WORTH_SAYING) return null
  return {
    ...{ change, gain, now: [...now.found.outcome.tiers], then: [...then.found.outcome.tiers] },
    people: gainersOf(now, then),
  }
}

/** What two more people at the door would do to a class that is planned. */
export type MoreCome = {
  readonly extra: number
  /** False where no plan holds all of them. */
  readonly holds: boolean
  /** Of those on the list, who would have less than now. */
  readonly worse: readonly ForSomebody[]
  /** Blocks in which whoever comes would only wait. */
  readonly extraWait: readonly string[]
  /** How many stand without a mat then. */
  readonly noMat: number
}

/** Keeps the blocks as they are and plans some strangers in, who were asked nothing yet: the gentle track. */
export function ifMoreCome(practice: Library, brief: Brief, now: Planned, extra = 2): MoreCome {
  const strangers = Array.from({ length: extra }, (_, i) => stranger(`more-${i + 1}`, brief))
  const ids = new Set(strangers.map((s) => s.studentId))
  const other: Brief = {
    ...brief,
    people: [...brief.people, ...strangers],
    fixed: keepingBlocks(brief.fixed, now.plan),
  }
  const then = plannedFrom(practice, other, now)
  if (!then?.found.outcome.isLegal) return { extra, holds: false, worse: [], extraWait: [], noMat: 0 }
  const after = then.plan.blocks.filter(isWork)
  const waits = after.filter((b) => b.people.some((p) => ids.has(p.studentId) && p.variantId === null))
  return {
    ...{ extra, holds: true, extraWait: waits.map((b) => b.purpose) },
    worse: gainersOf(then, now),
    noMat: then.plan.warnings.reduce((n, w) => (w.code === 'no-mat' ? Math.max(n, w.people) : n), 0),
  }
}

function briefsWith(brief: Brief, model: Model, kind: ChangeKind): { change: Change; brief: Brief }[] {
  switch (kind) {
    case 'bay': {
      const bay = { id: 'bay-more', widthCm: BAY_CM, corner: false }
      return [
        { change: { kind }, brief: { ...brief, room: { ...brief.room, bays: [...brief.room.bays, bay] } } },
      ]
    }
    case 'pieces': {
      const more = COUNTED_KINDS.map((k) => ({ id: `more-${k}`, kind: k, longCm: null, count: MORE_PIECES }))
      const cupboard = { ...brief.cupboard, lines: [...brief.cupboard.lines, ...more] }
      return [{ change: { kind, pieces: [] }, brief: { ...brief, cupboard } }]
    }
    case 'minutes': {
      const minutes = brief.minutes + MORE_MINUTES
      if (minutes > CLASS_MINUTES.max) return []
      return [{ change: { kind, minutes: MORE_MINUTES }, brief: { ...brief, minutes } }]
    }
    case 'helper': {
      const trained = [...new Set(model.variants.flatMap((v) => v.assists))]
      const helpers = [...brief.helpers, { id: 'helper-more', trained }]
      return [{ change: { kind }, brief: { ...brief, helpers } }]
    }
    case 'family': {
      const { families } = brief.aim
      if (families.length < 2) return []
      return families.map((family) => ({
        change: { kind, family },
        brief: { ...brief, aim: { ...brief.aim, families: families.filter((f) => f !== family) } },
      }))
    }
  }
}

/** Which pieces the better plan fetches beyond what there is; any other change says itself. */
function toldOf(change: Change, then: Planned, { cupboard }: Brief): Change {
  if (change.kind !== 'pieces') return change
  const pieces = then.plan.pull.flatMap(({ kind, count }) => {
    const have = cupboard.lines.reduce((n, l) => (l.kind === kind ? n + l.count : n), 0)
    return count > have ? [{ kind, count: count - have }] : []
  })
  return { kind: 'pieces', pieces }
}

/** A plan for a changed class, begun from the plan before as well as afresh. */
function plannedFrom(practice: Library, brief: Brief, now: Planned): Planned | null {
  const model = buildModel(practice, brief)
  const state = carried(now.model, now.found.state, model)
  const kept = state ? foundFrom(model, [withNewcomers(model, state, now.model)]) : []
  const found = improve(model, [...kept, ...firstPlans(model)], AFTER_CHANGE)
  return found ? { plan: writePlan(model, brief, found), model, found } : null
}

/** Whoever is new takes what a first plan gives them. */
function withNewcomers(model: Model, state: Found['state'], before: Model): Found['state'] {
  const known = new Set(before.people.map((p) => p.studentId))
  if (model.people.every((p) => known.has(p.studentId))) return state
  return {
    config: state.config,
    option: state.option.map((options, i) => {
      const slot = model.slots[i]
      const config = slot?.configs[state.config[i] ?? -1]
      if (!slot || !config) return options
      const filled = fillSlot(model, slot, config)
      return options.map((o, p) => (known.has(model.people[p]?.studentId ?? '') ? o : (filled[p] ?? -1)))
    }),
  }
}

/** Somebody at the door of whom nothing is known: asked nothing, no hands, no attempts. */
function stranger(studentId: string, { aim }: Brief): BriefPerson {
  const nothing = {
    ...{ standingId: null, targetId: null, outcome: 'not-now' as const, looked: null, open: [], changed: {} },
    ...{ instead: null, onto: [], closeness: 0, lacks: {} },
  }
  return {
    ...{
      studentId,
      breathS: 4,
      heightCm: null,
      loopCm: null,
      grown: {},
      weaker: {},
      mostAttempts: 0,
      touch: 'ask',
      answered: false,
      firstMonth: true,
    },
    ...{ waited: { wall: 0, help: 0 }, recent: [], limits: [], hope: null },
    families: Object.fromEntries(aim.families.map((f) => [f, nothing])),
  }
}

/** Who has more of a block in the second plan than in the first; blocks that only one of them has are left out. */
function gainersOf(first: Planned, second: Planned): ForSomebody[] {
  const before = sharesOf(first)
  return [...sharesOf(second)].flatMap(([key, then]) => {
    const now = before.get(key)
    const how = now ? differs(now, then) : null
    return how === null ? [] : [{ studentId: then.studentId, purpose: then.purpose, how }]
  })
}

type Share = {
  readonly studentId: string
  readonly purpose: string
  readonly works: boolean
  readonly wall: boolean
  readonly fit: number
  readonly turns: number
}

function sharesOf({ model, found }: Planned): Map<string, Share> {
  const shares = new Map<string, Share>()
  for (const { slot, value } of found.outcome.blocks) {
    const purpose = model.slots[slot]?.purpose.id ?? ''
    // Which drill of strength somebody does is no step of theirs.
    const steps = model.slots[slot]?.purpose.kind !== 'train'
    model.people.forEach(({ studentId }, p) => {
      const part = value.parts[p]
      shares.set(`${purpose} ${studentId}`, {
        ...{ studentId, purpose, works: part !== null && part !== undefined },
        wall: (part?.option.bays ?? 0) !== 0,
        fit: steps ? (part?.option.fit ?? 0) : 0,
        turns: part?.turns ?? 0,
      })
    })
  }
  return shares
}

function differs(now: Share, then: Share): Turn | null {
  if (!now.works && then.works) return 'works'
  if (then.fit > now.fit + 0.05) return then.wall && !now.wall ? 'wall' : 'nearer'
  return then.fit > now.fit - 0.05 && then.turns > now.turns ? 'more-turns' : null
}
