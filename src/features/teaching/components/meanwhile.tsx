import { List, Text } from '@mantine/core'
import type { Work } from '@/core/classes/plan'
import { nextUp } from '@/core/teaching/next-up'
import { stoppedBy } from '@/core/teaching/outcome'
import { formatClock } from '@/core/units'
import { firstNames } from '@/core/words/first-names'
import { describeFree, describeStopped } from '@/core/words/floor'
import { Apart } from '@/ui/apart'
import type { Recorded, TeachData, TeachPerson } from '../queries'
import type { StageBrief } from '../stage-brief'
import classes from './teach-screen.module.css'

type WaitingProps = {
  people: readonly TeachPerson[]
  doing: Readonly<Record<string, StageBrief>>
  recorded: readonly Recorded[]
}

/** Who waits and what they do meanwhile; whoever stopped is told what instead, and nobody is talked into anything. */
export function Waiting({ people, doing, recorded }: WaitingProps) {
  if (people.length === 0) return null
  const task = ({ id }: TeachPerson): string => {
    const stopped = stoppedBy(recorded.filter((r) => r.studentId === id))
    if (stopped !== null) return lowerFirst(describeStopped(stopped))
    return (doing[id]?.waiting ?? '').toLowerCase() || 'rest'
  }
  return (
    <section aria-label="Meanwhile">
      <Text fw={650}>Meanwhile</Text>
      <ul className={classes.waiting}>
        {people.map((p) => (
          <li key={p.id}>
            <strong>{p.name}</strong>: {task(p)}
          </li>
        ))}
      </ul>
      <Text size="sm" c="dimmed">
        Tired: lie down, circle the wrists. Afraid: kneel, name the way out, watch a friend.
      </Text>
    </section>
  )
}

function lowerFirst(text: string): string {
  return text.charAt(0).toLowerCase() + text.slice(1)
}

type FreeProps = {
  block: Work
  index: number
  people: readonly TeachPerson[]
  going: readonly TeachPerson[]
  doing: Readonly<Record<string, StageBrief>>
  /** Whoever came late and has not warmed up takes nobody's turn. */
  owing: (person: TeachPerson) => boolean
}

/** Who may go up where somebody has stopped for tonight. */
export function FreePlaces({ block, index, people, going, doing, owing }: FreeProps) {
  const gone = new Set(people.filter((p) => !going.includes(p)).map((p) => p.id))
  const able = new Set(going.filter((p) => !owing(p)).map((p) => p.id))
  const called = firstNames(people.map((p) => p.name))
  const name = (id: string): string => called(people.find((p) => p.id === id)?.name ?? '')
  return nextUp(block, index, gone, able).map(({ studentId, inPlaceOf }) => (
    <Text key={inPlaceOf} fw={600} role="status">
      {describeFree(name(studentId), name(inPlaceOf), doing[inPlaceOf]?.place ?? '')}
    </Text>
  ))
}

type TogetherProps = {
  items: readonly { readonly id: string; readonly seconds: number }[]
  data: Pick<TeachData, 'warm' | 'apart'>
}

/** What everybody does, and who does something else meanwhile. */
export function Together({ items, data }: TogetherProps) {
  return (
    <List size="lg" spacing="xs">
      {items.map((item) => (
        <List.Item key={item.id}>
          {formatClock(item.seconds)} · {data.warm[item.id]}
          <Apart lines={data.apart[item.id] ?? []} />
        </List.Item>
      ))}
    </List>
  )
}
