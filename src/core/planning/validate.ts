import { OVERRIDE_REASONS } from '../readiness/override'
import { findById, type Library } from '../practice/library'
import { callsFor } from '../practice/ask'
import { withPredecessors } from '../readiness/ladder'
import { type ClassBrief, type Participant, type Plan, type PlanBlock, type Version } from './plan'

export type Violation =
  | { readonly code: 'over-time'; readonly plannedS: number; readonly allowedS: number }
  | { readonly code: 'blocks-overlap'; readonly atS: number }
  | { readonly code: 'bay-shared'; readonly atS: number; readonly bay: number }
  | { readonly code: 'bay-missing'; readonly atS: number; readonly bay: number; readonly bays: number }
  | { readonly code: 'twice-at-once'; readonly atS: number; readonly studentId: string }
  | {
      readonly code: 'above-decision'
      readonly studentId: string
      readonly stageId: string
      readonly overridden: boolean
    }
  | {
      readonly code: 'stock-exceeded'
      readonly kind: 'straps' | 'blocks'
      readonly needed: number
      readonly have: number
    }
  | { readonly code: 'load-without-warm-up'; readonly stageId: string; readonly warmupId: string }
  | { readonly code: 'load-without-counterpose'; readonly stageId: string; readonly counterposeId: string }
  | { readonly code: 'left-out'; readonly studentId: string }
  | { readonly code: 'too-many-attempts'; readonly turns: number; readonly most: number }

/**
 * Re-checks every hard rule on any plan, whoever made it. Shares no code with the planners on purpose.
 * An overridden version is still listed, marked as the teacher's own call.
 */
export function validatePlan(practice: Library, brief: ClassBrief, plan: Plan): Violation[] {
  return [
    ...timing(plan, brief.minutes * 60),
    ...plan.blocks.flatMap((block) => (block.kind === 'waves' ? bayUse(block, brief.bays) : [])),
    ...plan.blocks.flatMap((block) =>
      versionsOf(block).flatMap((version) => decisionKept(practice, brief, version)),
    ),
    ...plan.blocks.flatMap((block) => stockKept(brief, versionsOf(block))),
    ...preparation(practice, plan),
    ...everybodyIn(brief, plan),
    ...attemptsKept(brief, plan),
  ]
}

function versionsOf(block: PlanBlock): readonly Version[] {
  return block.kind === 'skill' || block.kind === 'waves' ? block.versions : []
}

/** Turns at the wall are attempts; nobody takes more than the studio allows, or the first month. */
function attemptsKept({ mostAttempts, participants }: ClassBrief, plan: Plan): Violation[] {
  const turns = new Map<string, number>()
  for (const block of plan.blocks)
    if (block.kind === 'waves')
      for (const { studentId } of block.turns.flatMap((t) => t.up))
        turns.set(studentId, (turns.get(studentId) ?? 0) + 1)
  const over = [...turns].flatMap(([studentId, taken]) => {
    const own = participants.find((p) => p.studentId === studentId)?.mostAttempts
    const most = Math.min(own ?? Number.MAX_SAFE_INTEGER, mostAttempts ?? Number.MAX_SAFE_INTEGER)
    return taken > most ? [{ code: 'too-many-attempts' as const, turns: taken, most }] : []
  })
  // One of each kind is enough to say.
  return over.filter((v, i) => over.findIndex((o) => o.turns === v.turns && o.most === v.most) === i)
}

function timing(plan: Plan, allowedS: number): Violation[] {
  const found: Violation[] = []
  let end = 0
  for (const block of plan.blocks) {
    if (block.startS < end) found.push({ code: 'blocks-overlap', atS: block.startS })
    end = block.startS + block.seconds
  }
  if (end > allowedS) found.push({ code: 'over-time', plannedS: end, allowedS })
  return found
}

function bayUse(block: Extract<PlanBlock, { kind: 'waves' }>, bays: number): Violation[] {
  return block.turns.flatMap((turn) => {
    const found: Violation[] = []
    const taken = new Set<number>()
    const people = new Set<string>()
    for (const { bay, studentId } of turn.up) {
      if (bay < 1 || bay > bays) found.push({ code: 'bay-missing', atS: turn.startS, bay, bays })
      if (taken.has(bay)) found.push({ code: 'bay-shared', atS: turn.startS, bay })
      if (people.has(studentId)) found.push({ code: 'twice-at-once', atS: turn.startS, studentId })
      taken.add(bay)
      people.add(studentId)
    }
    if (turn.startS + block.turnS > block.startS + block.seconds)
      found.push({
        code: 'over-time',
        plannedS: turn.startS + block.turnS,
        allowedS: block.startS + block.seconds,
      })
    return found
  })
}

function decisionKept(practice: Library, brief: ClassBrief, version: Version): Violation[] {
  const participant = brief.participants.find((p) => p.studentId === version.studentId)
  const stage = findById(practice.stages, version.stageId)
  const limits = participant?.limits ?? { caps: [], answered: false }
  const waitsForScreen = !limits.answered && ((stage.load.FR ?? 0) >= 2 || (stage.load.HBH ?? 0) >= 3)
  const acting = limits.caps.filter((cap) => (stage.load[cap.tag] ?? 0) >= cap.level).map((cap) => cap.action)
  const closed = acting.includes('stop') || acting.includes('avoid')
  if (participant && !waitsForScreen && !closed && isWithin(practice, participant, stage.id)) return []
  const reasoned = version.override !== null && OVERRIDE_REASONS.includes(version.override)
  // A Stop is nobody's to override: only a recorded clearance takes it out of the limits.
  const overridden = reasoned && !acting.includes('stop')
  return [{ code: 'above-decision', studentId: version.studentId, stageId: version.stageId, overridden }]
}

function isWithin(practice: Library, p: Participant, stageId: string): boolean {
  const foot = practice.stages.find((s) => s.id.startsWith('FS'))?.id
  const top = p.outcome === 'step-back' ? p.targetId : p.standingId
  if (stageId === foot || (top && withPredecessors(practice.stages, top).has(stageId))) return true
  const opened = p.outcome === 'offer' || p.outcome === 'once-more' || p.standingId === null
  const load = practice.stages.find((s) => s.id === stageId)?.load
  // A first solo kick, balance or head load waits for the teacher's own look, whoever made the plan.
  const waits = (load?.FR ?? 0) >= 3 || (load?.HB ?? 0) >= 2
  const held = p.looked?.answer === 'hold-back' || (waits && p.looked?.answer !== 'accept')
  return opened && !held && stageId === p.targetId
}

function stockKept(brief: ClassBrief, versions: readonly Version[]): Violation[] {
  return (['straps', 'blocks'] as const).flatMap((kind) => {
    const needed = versions.reduce((sum, version) => sum + version[kind], 0)
    const have = brief.stock[kind]
    return needed > have ? [{ code: 'stock-exceeded' as const, kind, needed, have }] : []
  })
}

function preparation(practice: Library, plan: Plan): Violation[] {
  const ids = (kind: 'warm-up' | 'counterpose'): Set<string> =>
    new Set(
      plan.blocks.flatMap((block) =>
        block.kind === kind && 'items' in block ? block.items.map((i) => i.id) : [],
      ),
    )
  const warmed = ids('warm-up')
  const countered = ids('counterpose')
  const stages = [...new Set(plan.blocks.flatMap((block) => versionsOf(block).map((v) => v.stageId)))]
  return stages.flatMap((stageId) => {
    const stage = findById(practice.stages, stageId)
    return [
      ...practice.warmups
        .filter((block) => callsFor(stage, block) && !warmed.has(block.id))
        .map((block) => ({ code: 'load-without-warm-up' as const, stageId, warmupId: block.id })),
      ...practice.counterposes
        .filter((block) => callsFor(stage, block) && !countered.has(block.id))
        .map((block) => ({ code: 'load-without-counterpose' as const, stageId, counterposeId: block.id })),
    ]
  })
}

function everybodyIn(brief: ClassBrief, plan: Plan): Violation[] {
  const inSkill = new Set(
    plan.blocks.flatMap((b) => (b.kind === 'skill' ? b.versions.map((v) => v.studentId) : [])),
  )
  return brief.participants
    .filter((p) => !inSkill.has(p.studentId))
    .map((p) => ({ code: 'left-out' as const, studentId: p.studentId }))
}
