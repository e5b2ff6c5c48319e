import { isFoot } from '../practice/after'
import type { Library } from '../practice/library'
import type { Family, Stage } from '../practice/schema'
import { allowedStages, reachOf } from '../readiness/allowed'
import { waitsForScreening, type Decision } from '../readiness/decide'
import type { OfferTap } from '../readiness/offers'
import type { StepOnto } from '../readiness/step-onto'
import { insteadOf } from '../screening/instead'
import { withoutRule, type Caps } from '../screening/caps'
import type { BriefPerson, ReachInFamily } from './brief'
import { changeOn } from './change'

type Looked = Pick<OfferTap, 'answer' | 'reason'> | null

/**
 * How far somebody goes in a family on a day: what is open, what a limit changes and how, what stands in its place.
 * @param limits everything that limits them that day: health, the room, that day's check-in
 */
function reachIn(
  practice: Library,
  decision: Decision,
  looked: Looked,
  limits: Caps,
  onto: (open: readonly string[]) => readonly StepOnto[],
): ReachInFamily {
  const { family } = decision
  const reach = reachOf(decision)
  const { standingId, targetId, outcome, held } = reach
  const foot = practice.stages.find((stage) => stage.family === family)
  const allowed = allowedStages(practice, { ...reach, looked, limits })
  // Where the foot of a ladder asks for nothing anybody may begin there, unless a limit closes it: whoever has come by
  // another branch as well as whoever has no standing yet.
  const begins = foot && isFoot(foot) && !allowed.includes(foot) ? openFoot(practice, foot, limits) : []
  const open = [...begins, ...allowed]
  return {
    standingId,
    targetId,
    outcome,
    looked: looked && { answer: looked.answer, reason: looked.reason },
    held: [...held],
    open: open.map((stage) => stage.id),
    changed: Object.fromEntries(
      open.flatMap((stage) => {
        const change = changeOn(stage, limits)
        return change ? [[stage.id, change] as const] : []
      }),
    ),
    instead: open.length > 0 || !foot ? null : { stageId: standIn(practice, foot, limits) },
    onto: [...onto(open.map((stage) => stage.id))],
    closeness: closenessOf(decision),
    lacks: lacksOf(practice, decision),
  }
}

/** How near the next stage is: what is offered is there, else by how little is missing. */
const NEAR: Readonly<Record<Decision['outcome'], number>> = {
  offer: 1,
  'once-more': 0.9,
  near: 0.75,
  build: 0.5,
  held: 0.4,
  'step-back': 0.4,
  'not-now': 0.2,
}

function closenessOf({ outcome, missing }: Decision): number {
  return outcome === 'build' ? NEAR.build / Math.max(1, missing.length / 2) : NEAR[outcome]
}

/** What is short for the next stage: the capabilities that its missing checks tell on, in shares that sum to one. */
export function lacksOf({ capabilities }: Library, { missing }: Decision): Record<string, number> {
  const sums = new Map<string, number>()
  for (const { gate, state } of missing) {
    if (state === 'met') continue
    const told = capabilities.filter((c) => c.checks.includes(gate.check))
    for (const { id } of told) sums.set(id, (sums.get(id) ?? 0) + 1 / told.length)
  }
  const all = [...sums.values()].reduce((a, b) => a + b, 0)
  return Object.fromEntries([...sums].map(([id, n]) => [id, n / all]))
}

function openFoot(practice: Library, foot: Stage, limits: Caps): Stage[] {
  const reach = { standingId: foot.id, targetId: null, outcome: 'build' as const, limits, held: [foot.id] }
  return allowedStages(practice, reach).filter((stage) => stage.id === foot.id)
}

/** In place of what is closed; whoever is not asked about health yet waits for what the screen opens. */
function standIn(practice: Library, closed: Stage, limits: Caps): string | null {
  const also = ({ load }: Stage): boolean => limits.answered || !waitsForScreening(load)
  return insteadOf(practice, closed, limits, { also })?.stageId ?? null
}

/** Whoever has no class behind them: nobody owes them a turn and nothing is too fresh to be done again. */
export const NO_CLASS_BEFORE: Pick<BriefPerson, 'waited' | 'recent'> = {
  waited: { wall: 0, help: 0 },
  recent: [],
}

/** Somebody as a brief holds them, but for what their last classes leave them. */
export function briefPerson(
  practice: Library,
  known: {
    readonly studentId: string
    readonly breathS: number
    readonly mostAttempts: number
    readonly heightCm: number | null
    readonly loopCm: number | null
    readonly grown: BriefPerson['grown']
    readonly weaker: BriefPerson['weaker']
    readonly firstMonth: boolean
    readonly touch: BriefPerson['touch']
    readonly limits: Caps
    readonly decisions: readonly Decision[]
    /** The same as it would be if nothing applied (`ifNothingApplies`); null or absent where they have answered. */
    readonly hope?: { readonly limits: Caps; readonly decisions: readonly Decision[] } | null
    readonly looked: (stageId: string) => Looked
    /** What may be stepped onto tonight, from what is open in a family under some limits; nothing where nobody works it out. */
    readonly onto?: (family: Family, open: readonly string[], limits: Caps) => readonly StepOnto[]
  },
): Omit<BriefPerson, keyof typeof NO_CLASS_BEFORE> {
  const { limits, decisions, hope = null, looked, onto = () => [], ...own } = known
  const under = (caps: Caps, decided: readonly Decision[]): Pick<BriefPerson, 'limits' | 'families'> => ({
    limits: caps.caps.map(withoutRule),
    families: Object.fromEntries(
      decided.map((decision): [Family, ReachInFamily] => {
        const tap = decision.targetId === null ? null : looked(decision.targetId)
        const stepped = (open: readonly string[]): readonly StepOnto[] => onto(decision.family, open, caps)
        return [decision.family, reachIn(practice, decision, tap, caps, stepped)]
      }),
    ),
  })
  return {
    ...own,
    answered: limits.answered,
    ...under(limits, decisions),
    hope: hope && under(hope.limits, hope.decisions),
  }
}
