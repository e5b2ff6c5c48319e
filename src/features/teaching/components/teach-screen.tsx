'use client'

import { Alert, Button, Group, List, Progress, Stack, Text, Title } from '@mantine/core'
import { useHotkeys } from '@mantine/hooks'
import Link from 'next/link'
import type { PlanBlock, Turn } from '@/core/classes/plan'
import { momentOf } from '@/core/teaching/class-run'
import { isDone } from '@/core/teaching/outcome'
import { formatClock } from '@/core/units'
import type { Recorded, TeachData, TeachPerson } from '../queries'
import { PersonStrip } from './person-strip'
import { useClassRun } from './use-class-run'
import { useElapsed } from './use-elapsed'
import { Apart } from '@/ui/apart'
import classes from './teach-screen.module.css'

/** One timer, whose turn it is, and a tap for what came of it. */
export function TeachScreen({ data }: { data: TeachData }) {
  const { plan, people } = data
  const { run, recorded, failed, goTo, mark, undo } = useClassRun(data)
  const elapsed = useElapsed(run.blockStartedMs, run.state === 'running')
  const block = plan.blocks[run.blockIndex]
  const moment = momentOf(plan, run.blockIndex, elapsed)
  const isLast = run.blockIndex >= plan.blocks.length - 1
  const [turn, next] = turnsAt(block, moment.turn?.index)
  const going = stillGoing(people, recorded)
  const up = turn ? atWall(turn, going) : []
  const advance = (): void => goTo(isLast ? 'ended' : 'block', isLast ? run.blockIndex : run.blockIndex + 1)

  useHotkeys([
    ['n', () => run.state === 'running' && advance()],
    ...Array.from({ length: 9 }, (_, i): [string, () => void] => [
      String(i + 1),
      () => {
        const person = up.find((p) => p.bay === i + 1)
        if (person) mark(cleanMark(person, 'wall'))
      },
    ]),
  ])

  if (run.state === 'not-started')
    return (
      <Stack align="flex-start">
        <Text>
          {people.length} people, {plan.bays} bays, {plan.minutes} minutes. The first block is{' '}
          {data.titles[0]?.toLowerCase()}.
        </Text>
        <Button size="xl" mih={64} onClick={() => goTo('started', 0)}>
          Start the class
        </Button>
      </Stack>
    )
  if (run.state === 'ended')
    return (
      <Stack align="flex-start">
        <Text fz="xl">The class is over.</Text>
        <Button size="xl" mih={64} component={Link} href={`/teach/${data.classId}/after`}>
          See what changed
        </Button>
      </Stack>
    )
  return (
    <Stack gap="md">
      <Clock
        title={data.titles[run.blockIndex] ?? ''}
        part={`Block ${run.blockIndex + 1} of ${plan.blocks.length}`}
        leftS={moment.turn ? moment.turn.leftS : moment.leftS}
        through={block ? elapsed / block.seconds : 0}
      />
      {moment.turn ? (
        <Text fz="xl" aria-live="polite">
          {moment.turn.phase === 'up' ? 'Up now' : 'Change over'}
          {next
            ? `, then ${atWall(next, going)
                .map((p) => p.name)
                .join(' and ')}`
            : ', last turn'}
        </Text>
      ) : null}
      {block?.kind === 'warm-up' || block?.kind === 'counterpose' ? (
        <Together items={block.items} data={data} />
      ) : null}
      {block?.kind === 'skill'
        ? people.map((person) => (
            <PersonStrip
              key={person.id}
              person={person}
              stage={person.skillStage}
              place={null}
              recorded={recorded}
              onMark={mark}
              onUndo={undo}
            />
          ))
        : null}
      {block?.kind === 'waves'
        ? up.map((person) => (
            <PersonStrip
              key={person.id}
              person={person}
              stage={person.wallStage}
              place={person.bay}
              recorded={recorded}
              onMark={mark}
              onUndo={undo}
            />
          ))
        : null}
      {block?.kind === 'rest' ? <Text fz="xl">Lie down. Nothing to do.</Text> : null}
      {failed === '' ? null : (
        <Alert color="clay" role="alert" title={failed} styles={{ title: { color: 'var(--warn-ink)' } }} />
      )}
      <Group>
        <Button size="lg" mih={64} onClick={advance}>
          {isLast ? 'End the class' : `Next: ${data.titles[run.blockIndex + 1] ?? ''}`}
        </Button>
        {run.blockIndex > 0 ? (
          <Button size="lg" mih={64} variant="default" onClick={() => goTo('block', run.blockIndex - 1)}>
            Back a block
          </Button>
        ) : null}
      </Group>
    </Stack>
  )
}

/** What is on and how long it still is, in sight while the people scroll. */
function Clock({
  title,
  part,
  leftS,
  through,
}: {
  title: string
  part: string
  leftS: number
  through: number
}) {
  return (
    <div className={classes.clock}>
      <Group justify="space-between" align="flex-end">
        <div>
          <Text c="dimmed">{part}</Text>
          <Title order={2} fz={{ base: 26, sm: 34 }}>
            {title}
          </Title>
        </div>
        <Text fz={{ base: 44, sm: 64 }} fw={650} lh={1} role="timer" aria-label="Time left in this block">
          {formatClock(leftS)}
        </Text>
      </Group>
      <Progress value={Math.min(100, through * 100)} aria-label="How far through this block" />
    </div>
  )
}

/** Whoever stopped for tonight is not called up again. */
function stillGoing(people: readonly TeachPerson[], recorded: readonly Recorded[]): TeachPerson[] {
  return people.filter((p) => !isDone(recorded.filter((r) => r.studentId === p.id)))
}

/** The turn that is on and the one after it, at the wall. */
function turnsAt(block: PlanBlock | undefined, index: number | undefined): (Turn | undefined)[] {
  return block?.kind === 'waves' && index !== undefined ? [block.turns[index], block.turns[index + 1]] : []
}

function atWall(turn: Turn, people: readonly TeachPerson[]): (TeachPerson & { bay: number })[] {
  return turn.up.flatMap(({ bay, studentId }) => {
    const person = people.find((p) => p.id === studentId)
    return person ? [{ ...person, bay }] : []
  })
}

function cleanMark(person: TeachPerson, where: 'skill' | 'wall') {
  const stage = where === 'wall' ? person.wallStage : person.skillStage
  return {
    studentId: person.id,
    stageId: stage.id,
    level: stage.leavesFloor ? ('held' as const) : ('practised' as const),
    outcome: 'clean' as const,
    exitControlled: true,
    help: 'alone' as const,
    faults: [],
    endedBy: null,
  }
}

/** What everybody does, and who does something else meanwhile. */
function Together({
  items,
  data,
}: {
  items: readonly { readonly id: string; readonly seconds: number }[]
  data: Pick<TeachData, 'warm' | 'apart'>
}) {
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
