import { Button, Group, Text } from '@mantine/core'
import { describeOwed } from '@/core/words/floor'
import type { TeachPerson } from '../queries'
import { BIG } from './taps'
import type { Drilling } from './use-class-run'

/** Whoever came late warms up by themselves first; one tap says that it is done. */
export function WarmsUpFirst({
  person,
  blockIndex,
  drilling: { drilled, drill },
}: {
  person: TeachPerson
  blockIndex: number
  drilling: Drilling
}) {
  const owed = owedNow(person, blockIndex, drilled)
  if (owed.length === 0) return null
  const { head, drills } = describeOwed(person.name, owed)
  return (
    <Group gap="sm" align="center" className="card">
      <div role="note" style={{ flex: 1, minWidth: 260 }}>
        <Text fw={650}>{head}</Text>
        <Text size="sm">{drills}</Text>
      </div>
      <Button
        variant="filled"
        {...BIG}
        onClick={() => owed.forEach(({ id }) => drill(person.id, id, null))}
        aria-label={`${person.name}: has warmed up`}
      >
        Has warmed up
      </Button>
    </Group>
  )
}

/** What of their own warm-up somebody still owes in a block. */
export function owedNow(
  { id: studentId, owes }: TeachPerson,
  blockIndex: number,
  drilled: Drilling['drilled'],
): TeachPerson['owes'][number] {
  const done = (drillId: string): boolean =>
    drilled.some((d) => d.studentId === studentId && d.drillId === drillId)
  return (owes[blockIndex] ?? []).filter(({ id }) => !done(id))
}
