import { usedFor } from '../practice/ask'
import type { Library } from '../practice/library'
import { RUNGS } from '../practice/schema'
import { isOpenStage } from '../readiness/allowed'
import { isOpenTo } from '../readiness/may'
import { staysWithin } from '../readiness/within'
import { barsStage } from '../screening/stage-limits'
import type { Known } from './known'
import { optionOf, type Asked, type Option } from './option'
import { hasStays, type Purpose } from './purposes'
import type { Variant } from './variants'

/** Versions kept for somebody in one block: enough to choose from, few enough to search. */
const KEPT_WORTH = 4
const KEPT_SHARED = 8

/** What standing outside the purpose costs where something of it is open: at work, and gently. */
const OUTSIDE = 4
const GENTLE_OUTSIDE = 12
const GENTLE_BEFORE = 8
const SUB_FIT = 0.25

/** Everything that somebody may do in a block of a purpose, without what a hard rule forbids. */
export function optionsFor(practice: Library, asked: Asked, variants: readonly Variant[]): Option[] {
  const { known, purpose } = asked
  const locked = lockedOption(practice, asked, variants)
  if (locked) return [locked]
  const made = (v: number, fit: (variant: Variant) => number): Option[] => {
    const variant = variants[v]
    if (!variant || !isAllowed(practice, known, variant)) return []
    const option = optionOf(asked, variant, v, fit(variant))
    return option ? [option] : []
  }
  const own = purpose.own.flatMap((v) => made(v, (variant) => fitOf(practice, known, variant, purpose)))
  const instead = insteadOption(asked, variants)
  const hasOwn = own.length > 0 || instead !== null
  const isGentle = (v: number): boolean => variants[v]?.gentle ?? true
  // Whose own steps are gentle themselves may be prepared by another gentle thing; it takes nobody's turn at the peak.
  const prepares = purpose.kind === 'skill' && own.every((o) => isGentle(o.v))
  const gentlePrice = prepares ? GENTLE_BEFORE : GENTLE_OUTSIDE
  const outside = (v: number): number => (hasOwn ? (isGentle(v) ? gentlePrice : OUTSIDE) : 0)
  // Calves on a chair are as near to legs up the wall as one comes without a wall.
  const raised = purpose.kind === 'stay' ? usedFor(practice, 'stay-raised') : []
  const subFit = ({ id }: Variant): number => (raised.includes(id) ? 2 * SUB_FIT : SUB_FIT)
  const subs = purpose.subs.flatMap((v) => made(v, subFit).map((o) => ({ ...o, outside: outside(v) })))
  return [...own, ...(instead && !own.some((o) => o.v === instead.v) ? [instead] : []), ...subs]
}

function isAllowed(practice: Library, known: Known, variant: Variant): boolean {
  const before = known.allowed.get(variant.id)
  if (before !== undefined) return before
  const allowed = mayBeDone(practice, known, variant)
  known.allowed.set(variant.id, allowed)
  return allowed
}

function mayBeDone(practice: Library, { person, mayDo, chosen, within }: Known, variant: Variant): boolean {
  if (variant.kind !== 'stage') return staysWithin({ load: variant.load }, within)
  const stage = practice.stages.find((s) => s.id === variant.id)
  return (
    stage !== undefined &&
    mayDo.has(variant.id) &&
    // What is clean at an own step proves nothing: it never takes the ladder's place by itself.
    (stage.like === undefined || chosen.has(stage.id)) &&
    isOpenStage(practice, { caps: person.limits, answered: person.answered }, stage)
  )
}

/** What stands in the place of a family that is closed to them. */
function insteadOption(asked: Asked, variants: readonly Variant[]): Option | null {
  const { purpose, known } = asked
  if (purpose.family === null || purpose.kind === 'ease') return null
  const family = purpose.kind === 'peak' ? known.planned.track : purpose.family
  const stageId = known.person.families[family]?.instead?.stageId
  const v = variants.findIndex((x) => x.id === stageId)
  const variant = variants[v]
  if (purpose.kind === 'stay' && variant?.stays !== true) return null
  const made = variant ? optionOf(asked, variant, v, SUB_FIT) : null
  return made && { ...made, inPlace: true }
}

/** A version the teacher fixed: what a Stop bars is not followed, whatever else stands against it is their own word. */
function lockedOption(practice: Library, asked: Asked, variants: readonly Variant[]): Option | null {
  const { brief, known, purpose } = asked
  const part =
    purpose.kind === 'skill' ? 'skill' : purpose.kind === 'peak' || purpose.kind === 'stay' ? 'waves' : null
  const lock = brief.locks.find((l) => l.part === part && l.studentId === known.person.studentId)
  const v = variants.findIndex((x) => x.id === lock?.stageId)
  const variant = variants[v]
  // What is stayed in is given among the stays, whatever is done in turns among the turns.
  if (part === 'waves' && variant && hasStays(brief.aim) && variant.stays !== (purpose.kind === 'stay'))
    return null
  if (!lock || !variant) return null
  const stage = practice.stages.find((s) => s.id === lock.stageId)
  const limits = { caps: known.person.limits }
  const barred = stage
    ? barsStage(practice, limits, stage)
    : !isOpenTo({ ...limits, answered: true }, variant.load)
  const made = barred ? null : optionOf(asked, variant, v, fitOf(practice, known, variant, purpose))
  return made && { ...made, override: lock.reason }
}

/** 1 the stage they work at; less the further below it (planner, §4). */
function fitOf(practice: Library, { aims }: Known, variant: Variant, purpose: Purpose): number {
  if (purpose.kind === 'train') return (variant.trains[purpose.capability ?? 'SP'] ?? 0) / 3
  if (purpose.kind === 'ease') return (variant.dose.seconds?.value ?? 0) >= 60 ? 1 : 0.5
  const aim = variant.family === null ? null : (aims.get(variant.family) ?? null)
  if (!aim) {
    if (variant.family === purpose.family || purpose.kind === 'peak') return SUB_FIT * 2
    return purpose.own.length > 0 && variant.kind === 'stage' ? LEADS_FIT : SUB_FIT
  }
  if (aim.id === variant.id) return 1
  const stage = practice.stages.find((s) => s.id === variant.id)
  const below = stage ? RUNGS.indexOf(aim.rung) - RUNGS.indexOf(stage.rung) : FAR_BELOW
  return BELOW[Math.max(0, below)] ?? FAR_FIT
}

/** By rungs below the one they work at. */
const BELOW = [0.8, 0.65, 0.5, 0.38, 0.28]
const FAR_BELOW = 9
/** Of the named pose all the same, and less the further below: nobody who is far on is sent to the foot of the ladder. */
const FAR_FIT = 0.2
/** Of another family, on the way to the named one. */
const LEADS_FIT = 0.2

/** The few of somebody's options that are searched: those worth most to them, those most shared, one that needs nothing. */
export function shortlists(
  variants: readonly Variant[],
  everybody: readonly (readonly Option[])[],
): Option[][] {
  const shared = new Map<number, number>()
  for (const options of everybody) for (const { v } of options) shared.set(v, (shared.get(v) ?? 0) + 1)
  const common = [...shared]
    .sort((a, b) => b[1] - a[1] || a[0] - b[0])
    .slice(0, KEPT_SHARED)
    .map(([v]) => v)
  return everybody.map((options) => {
    const best = [...options].sort((a, b) => b.fit - b.outside - (a.fit - a.outside) || a.v - b.v)
    const plain = best.filter((o) => needsNothing(variants[o.v], o))
    const kept = new Set([
      ...best.slice(0, KEPT_WORTH),
      ...options.filter((o) => common.includes(o.v)),
      ...plain.filter((o) => !variants[o.v]?.gentle).slice(0, 1),
      ...plain.filter((o) => variants[o.v]?.gentle).slice(0, 1),
    ])
    return options.filter((o) => kept.has(o))
  })
}

/** Whether it can be done on a mat, without props, helper or attempts. */
export function needsNothing(variant: Variant | undefined, { bays, helper, openFloor }: Option): boolean {
  return bays === 0 && !helper && !openFloor && variant?.bill.length === 0 && variant.tries === 0
}
