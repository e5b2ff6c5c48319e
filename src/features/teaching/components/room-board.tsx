'use client'

import { Text, Title } from '@mantine/core'
import { isWork, type Turn } from '@/core/classes/plan'
import { blockClock, isPaused } from '@/core/classes/run'
import { runThrough } from '@/core/teaching/catch-up'
import { momentOf } from '@/core/teaching/class-run'
import { formatClock } from '@/core/units'
import { useLive } from '@/device/use-live'
import { Figure } from '@/ui/figure/figure'
import type { RoomBoard as Data } from '../board-queries'
import { hearOnBoard } from '../hear'
import { boardAgain } from '../live-actions'
import classes from './room-board.module.css'
import { Stays } from './stays'
import { useNow } from './use-now'
import { turnsAt } from './whose-turn'

/** The room's own display: what is on, how long, who is up where, who is next. It follows the teacher's screen. */
export function RoomBoard({ data: given }: { data: Data }) {
  const data = useLive(
    given.classId,
    given,
    async () => {
      const again = await boardAgain({ classId: given.classId })
      return again.ok ? again.value : null
    },
    hearOnBoard,
  )
  const { run, plan } = runThrough(data.plan, data.events)
  const now = useNow(run.state === 'running')
  if (run.state === 'not-started') return <Text className={classes.big}>Make yourselves at home.</Text>
  if (run.state === 'ended')
    return <Text className={classes.big}>Thank you. Props back in counted sets.</Text>
  const at = run.blockIndex
  const block = plan.blocks[at]
  const clock = now === 0 ? { elapsedS: 0, extraS: 0 } : blockClock(run, now)
  const moment = momentOf(plan, at, clock.elapsedS)
  const [turn, next] = turnsAt(block, moment.turn?.index)
  const inTurns = block !== undefined && isWork(block) && block.waves > 1
  const after = plan.blocks.findIndex((b, i) => i > at && b.seconds > 0)
  return (
    <div className={classes.board}>
      <div className={classes.head}>
        <Title order={2} className={classes.title}>
          {data.titles[at] ?? ''}
        </Title>
        <Text component="div" className={classes.time} role="timer" aria-label="Time left">
          {isPaused(run)
            ? 'Pause'
            : formatClock((moment.turn ? moment.turn.leftS : moment.leftS) + clock.extraS)}
        </Text>
      </div>
      {moment.turn ? <Text className={classes.phase}>{PHASE[moment.turn.phase]}</Text> : null}
      <Stays {...{ block, turn, moment }} nameOf={(id) => data.names[id] ?? ''} size={{ base: 32, sm: 44 }} />
      {inTurns ? (
        <div className={classes.turns}>
          <Names label="Up" turn={turn} data={data} at={at} />
          {next ? <Names label="Next" turn={next} data={data} at={at} /> : null}
        </div>
      ) : null}
      <ul className={classes.figures} aria-label="What is done">
        {(data.pictures[at] ?? []).map(({ name, picture }) => (
          <li key={name}>
            {picture ? <Figure picture={picture} height={150} /> : null}
            <span>{name}</span>
          </li>
        ))}
      </ul>
      {after < 0 ? null : <Text className={classes.after}>Then: {data.titles[after]}</Text>}
    </div>
  )
}

const PHASE = { ready: 'Fetch and build', up: 'Up now', change: 'Change over' } as const

function Names({ label, turn, data, at }: { label: string; turn: Turn | undefined; data: Data; at: number }) {
  return (
    <section aria-label={label}>
      <h3>{label}</h3>
      <ul>
        {(turn?.up ?? []).map(({ studentId }) => {
          const place = data.places[at]?.[studentId]
          return (
            <li key={studentId}>
              {data.names[studentId]}
              {place ? <small> {place}</small> : null}
            </li>
          )
        })}
      </ul>
    </section>
  )
}
