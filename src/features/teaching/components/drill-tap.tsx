'use client'

import { Button, Group } from '@mantine/core'
import { stoppedBy } from '@/core/teaching/outcome'
import { count } from '@/core/words/number'
import type { DrillMark } from '../drill-mark'
import type { Recorded, TeachPerson } from '../queries'
import type { StageBrief } from '../stage-brief'
import { BIG } from './taps'
import type { Drilling } from './use-class-run'

type Props = { person: TeachPerson; stage: StageBrief; drilling: Drilling }

function doneBy(drilled: readonly DrillMark[], studentId: string, drillId: string): DrillMark | undefined {
  return drilled.findLast((d) => d.studentId === studentId && d.drillId === drillId)
}

/** A drill is done, in part or whole; nothing of it is judged. */
export function DrillTap({ person, stage, drilling: { drilled, drill, undoDrill } }: Props) {
  const last = doneBy(drilled, person.id, stage.id)
  if (last)
    return (
      <Group gap="sm" role="status">
        Done.
        <Button
          {...BIG}
          variant="subtle"
          c="var(--ink)"
          onClick={() => undoDrill(last)}
          aria-label={`${person.name}: undo the last tap`}
        >
          Undo
        </Button>
      </Group>
    )
  return (
    <Group gap="xs">
      <Button
        variant="filled"
        {...BIG}
        onClick={() => drill(person.id, stage.id, stage.drill)}
        aria-label={`${person.name}: did it`}
      >
        Did it
      </Button>
      <Button
        {...BIG}
        // Nobody counts on the floor how much of it that was.
        onClick={() => drill(person.id, stage.id, null)}
        aria-label={`${person.name}: did a part of it`}
      >
        A part of it
      </Button>
    </Group>
  )
}

/** One tap for the whole block: everybody did their drill as it stands beside their name. */
export function EverybodyDid({
  people,
  doing,
  drilling: { drilled, drill },
  recorded,
}: {
  people: readonly TeachPerson[]
  doing: Readonly<Record<string, StageBrief>>
  drilling: Drilling
  recorded: readonly Recorded[]
}) {
  const open = people.flatMap(({ id }) => {
    const stage = doing[id]
    const stopped = stoppedBy(recorded.filter((r) => r.studentId === id)) !== null
    return stage && stage.drill !== null && !stopped && !doneBy(drilled, id, stage.id) ? [{ id, stage }] : []
  })
  if (open.length < 2) return null
  return (
    <Button
      {...BIG}
      variant="light"
      c="var(--ink)"
      onClick={() => open.forEach(({ id, stage }) => drill(id, stage.id, stage.drill))}
    >
      All {count(open.length, 'drill')} done
    </Button>
  )
}
