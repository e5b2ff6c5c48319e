import { isWork, turnsOf, type PlanBlock, type Turn } from '@/core/classes/plan'
import { isDone } from '@/core/teaching/outcome'
import type { Recorded, TeachPerson } from '../queries'
import type { StageBrief } from '../stage-brief'
import type { Mark } from './use-class-run'

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

/** What a single key records: a clean try, alone. */
export function cleanMark(studentId: string, stage: StageBrief): Mark {
  return {
    ...{ studentId, stageId: stage.id, outcome: 'clean', exitControlled: true, help: 'alone' },
    ...{ faults: [], endedBy: null, level: stage.leavesFloor ? 'held' : 'practised' },
  }
}
