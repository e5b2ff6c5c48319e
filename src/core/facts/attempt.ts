import type { Tapped } from '../teaching/outcome'
import type { FactOf } from './fact'

type Attempt = FactOf<'attempt'>

/** What somebody may say of a try beside what came of it. */
export type SaidOfTry = Partial<Pick<Attempt, 'level' | 'help' | 'lead' | 'seconds' | 'setupId'>>

/** A try before it is stamped. */
export type NewAttempt = Omit<Attempt, 'id' | 'day' | 'hlc' | 'deviceId' | 'deviceSeq'>

/**
 * A try, made in one way wherever it is recorded: floor, form, paper and card. What was not said is not known (ruling 22):
 * it is stored as not said, and meets no gate that asks for it.
 */
export function newAttempt(
  studentId: string,
  stage: { readonly id: string; readonly leavesFloor: boolean },
  came: Tapped,
  said: SaidOfTry,
  classId: string | null,
): NewAttempt {
  return {
    ...{ kind: 'attempt', studentId, stageId: stage.id, classId, replaces: null },
    ...{ ...came, faults: [...came.faults] },
    level: stage.leavesFloor ? (said.level ?? 'not-said') : 'practised',
    help: said.help ?? 'not-said',
    lead: said.lead ?? null,
    seconds: said.seconds ?? null,
    setupId: said.setupId ?? null,
  }
}

/** Two presses so close together are one: nobody comes down and goes up again within it, ms. */
const ONE_PRESS_MS = 1_500

/** Whether a press is the one before it again: the same of the same person, sooner than anybody can try twice. */
export function isSamePress(
  before: { readonly try: NewAttempt; readonly atMs: number } | null,
  now: { readonly try: NewAttempt; readonly atMs: number },
): boolean {
  if (before === null || now.atMs - before.atMs >= ONE_PRESS_MS) return false
  const [a, b] = [before.try, now.try]
  return (
    a.studentId === b.studentId &&
    a.stageId === b.stageId &&
    a.classId === b.classId &&
    a.outcome === b.outcome &&
    a.exitControlled === b.exitControlled
  )
}
