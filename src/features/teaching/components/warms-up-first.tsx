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
  const owed = (person.owes[blockIndex] ?? []).filter(
    ({ id }) => !drilled.some((d) => d.studentId === person.id && d.drillId === id),
  )
  if (owed.length === 0) return null
  const { head, drills } = describeOwed(person.name, owed)
  return (
    <Group gap="sm" align="center" className="card">
      <div role="note" style={{ flex: 1, minWidth: 260 }}>
        <Text fw={650}>{head}</Text>
        <Text size="sm">{drills}</Text>
      </div>
      <Button
        {...BIG}
        onClick={() => owed.forEach(({ id }) => drill(person.id, id, null))}
        aria-label={`${person.name}: has warmed up`}
      >
        Has warmed up
      </Button>
    </Group>
  )
}
