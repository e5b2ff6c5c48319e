'use client'

import { Button, Group, SegmentedControl, Stack, Text, Title } from '@mantine/core'
import { useHotkeys } from '@mantine/hooks'
import { useEffect, useState } from 'react'
import { elapsedMs, type Moment } from '@/core/elapsed'
import { formatClock } from '@/core/units'
import { momentNow } from '@/device/moment'
import type { RoundData, RoundPerson } from '../round-queries'
import classes from './check-round.module.css'
import { RoundLane } from './round-lane'
import { Recorder, RoundPicker } from './round-picker'
import { useRound } from './use-round'

/** Pairs in the order of the list; an odd one is watched by the teacher. */
function pairsOf(people: readonly RoundPerson[]): (readonly [RoundPerson, RoundPerson | undefined])[] {
  return people.flatMap((person, i) => (i % 2 === 0 ? [[person, people[i + 1]] as const] : []))
}

/** A check for the whole class: one common start, a lane a pair, a tap when the watcher’s hand goes up. */
export function CheckRound({ data }: { data: RoundData }) {
  const round = useRound(data)
  const check = data.checks.find((c) => c.id === round.checkId)
  const lanes = pairsOf(data.people).map(([a, b]) =>
    round.half === 1 ? { does: a, watches: b } : { does: b ?? a, watches: b ? a : undefined },
  )
  const isHold = check?.kind === 'hold'
  const sided = isHold && check.side === 'each'
  const running = round.started !== null
  const tap = (i: number): void => {
    const lane = lanes[i]
    if (!lane || !isHold || !running || round.results[lane.does.id]) return
    if (sided) round.recordSide(lane.does.id, round.side, round.taken())
    else round.record(lane.does.id, { single: round.taken() })
  }
  const toggle = (): void => {
    if (isHold) (running ? round.stopClock : round.start)()
  }
  useHotkeys(
    [
      ['space', unlessOnControl(toggle)],
      ['s', unlessOnControl(round.swap)],
      // Lanes 1 to 9, and 0 for the tenth.
      ...Array.from({ length: 10 }, (_, i): [string, (e: KeyboardEvent) => void] => [
        String((i + 1) % 10),
        unlessOnControl(() => tap(i)),
      ]),
    ].map(([keys, run]) => [keys, run, { preventDefault: false }] as Hotkey),
  )
  if (!check) return <Text>Nobody on the list of this class yet.</Text>
  const recorded = Object.keys(round.results).length
  return (
    <Stack gap="xs">
      <Group justify="space-between" align="flex-start" gap="sm">
        <RoundPicker data={data} current={check.id} counts={round.counts} onPick={round.pick} />
        <Recorder names={data.observers} observer={round.observer} onChange={round.setObserver} />
      </Group>
      <div className={classes.check}>
        <Group gap="2px 12px" align="baseline">
          <Title order={2} fz="xl">
            {check.name}
          </Title>
          <Text fw={600}>{check.asks}</Text>
        </Group>
        <Text>
          {check.run} <strong>Ends at:</strong> {check.valid}
        </Text>
      </div>
      <Group className={classes.bar ?? ''}>
        <Text fw={650} fz="lg">
          Half {round.half} of 2
        </Text>
        {sided ? (
          <SegmentedControl
            aria-label="Side"
            data={[
              { value: 'left', label: 'Left' },
              { value: 'right', label: 'Right' },
            ]}
            value={round.side}
            onChange={(side) => round.setSide(side)}
          />
        ) : null}
        {isHold ? (
          <Button variant="filled" size="lg" onClick={toggle}>
            {running ? 'End the hold' : 'Start everybody'}
          </Button>
        ) : null}
        {isHold ? <Clock started={round.started} /> : null}
        <Button onClick={round.swap}>Swap: watchers do</Button>
        <Text role="status" c="dimmed">
          {recorded} of {data.people.length} recorded
        </Text>
      </Group>
      {round.failed === '' ? null : <Text role="alert">{round.failed}</Text>}
      <div className={classes.lanes}>
        {lanes.map(({ does, watches }, i) => (
          <RoundLane
            key={`${check.id} ${does.id}`}
            number={i + 1}
            person={does}
            watcher={watches?.first ?? 'you'}
            {...{ check, running, isHold }}
            result={round.results[does.id]}
            oneSide={round.oneSide[does.id]}
            sideKept={sided && round.oneSide[does.id]?.[round.side] !== undefined}
            onTap={() => tap(i)}
            onRecord={(values, marks) => round.record(does.id, values, marks)}
            onMark={(change) => round.mark(does.id, change)}
            onUndo={() => round.undo(does.id)}
          />
        ))}
      </div>
      <Text c="dimmed" size="sm">
        Space starts and ends the hold, 1 to 9 and 0 take a lane’s time, S swaps. Each result is kept on this
        device as it is made and sent when the server is there.
      </Text>
    </Stack>
  )
}

type Hotkey = [string, (event: KeyboardEvent) => void, { preventDefault: boolean }]

/** A key on a button, chip or field is meant for that; anywhere else it is the round’s. */
function unlessOnControl(run: () => void): (event: KeyboardEvent) => void {
  return (event) => {
    if (event.target instanceof Element && event.target.closest('button, input, textarea, summary, a')) {
      if (event.key === ' ' || event.target.matches('input[type="text"], textarea')) return
    }
    event.preventDefault()
    run()
  }
}

function Clock({ started }: { started: Moment | null }) {
  const [seconds, setSeconds] = useState(0)
  useEffect(() => {
    if (started === null) return
    const tick = (): void => setSeconds(elapsedMs(started, momentNow()) / 1000)
    const timer = setInterval(tick, 100)
    return () => clearInterval(timer)
  }, [started])
  return (
    <Text role="timer" fz={34} fw={650}>
      {formatClock(started === null ? 0 : seconds)}
    </Text>
  )
}
