import { isWork, turnsOf, type PlanBlock, type Turn } from '@/core/classes/plan'
import { newAttempt, type NewAttempt } from '@/core/facts/attempt'
import { isDone, tapOf } from '@/core/teaching/outcome'
import type { Recorded, TeachPerson } from '../queries'
import type { StageBrief } from '../stage-brief'

/** Whoever stopped for tonight is not called up again. */
export function stillGoing(people: readonly TeachPerson[], recorded: readonly Recorded[]): TeachPerson[] {
  return people.filter((p) => !isDone(recorded.filter((r) => r.studentId === p.id)))
}

/** The turn that is on and the one after it. */
export function turnsAt(block: PlanBlock | undefined, index: number | undefined): (Turn | undefined)[] {
  if (!block || !isWork(block) || index === undefined) return []
  const turns = turnsOf(block)
  return [turns[index], turns[index + 1]]
}

/** Who is up in a turn, of those who go on. */
export function upIn(turn: Turn, people: readonly TeachPerson[]): TeachPerson[] {
  return turn.up.flatMap(({ studentId }) => people.filter((p) => p.id === studentId))
}

/** What a single key records: a clean try, alone, and nothing that the key does not say. */
export function cleanMark(studentId: string, stage: StageBrief): NewAttempt {
  return newAttempt(studentId, stage, tapOf('clean', []), { help: 'alone' }, null)
}
