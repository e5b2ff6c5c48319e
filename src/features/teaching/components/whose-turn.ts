import { isWork, turnsOf, type PlanBlock, type Turn } from '@/core/classes/plan'
import { newAttempt, type NewAttempt } from '@/core/facts/attempt'
import { rungIn } from '@/core/teaching/climb'
import { isDone, tapOf } from '@/core/teaching/outcome'
import type { Recorded, TeachData, TeachPerson } from '../queries'
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

/**
 * What everybody does in a turn: whoever climbs is on the rung that what was seen before this turn leaves them on.
 * @param seen tries from before the turn
 */
export function doingIn(
  { work, climbs }: Pick<TeachData, 'work' | 'climbs'>,
  at: number,
  set: number,
  seen: readonly Recorded[],
): Readonly<Record<string, StageBrief>> {
  const planned = work[at] ?? {}
  const climbing = Object.entries(climbs[at] ?? {})
  if (climbing.length === 0) return planned
  return {
    ...planned,
    ...Object.fromEntries(
      climbing.flatMap(([id, { path, top }]) => {
        const rungs = path.map((stage) => stage.id)
        const own = seen.filter((r) => r.studentId === id)
        const stage = path[rungIn(rungs, top, set, own)]
        return stage ? [[id, stage]] : []
      }),
    ),
  }
}

/** What a single key records: a clean try, alone, and nothing that the key does not say. */
export function cleanMark(studentId: string, stage: StageBrief): NewAttempt {
  return newAttempt(studentId, stage, tapOf('clean', []), { help: 'alone' }, null)
}
