'use client'

import { Button, Chip, Group, Stack, Text, TextInput, Title } from '@mantine/core'
import { useHotkeys } from '@mantine/hooks'
import { useEffect, useState } from 'react'
import { formatClock } from '@/core/units'
import type { RoundCheck, RoundData } from '../round-queries'
import classes from './check-round.module.css'
import { useRound, type LaneResult } from './use-round'

type Person = RoundData['people'][number]

/** Pairs in the order of the list; an odd one watches the last pair. */
function pairsOf(people: readonly Person[]): (readonly [Person, Person | undefined])[] {
  return people.flatMap((person, i) => (i % 2 === 0 ? [[person, people[i + 1]] as const] : []))
}

/** A check for the whole class: one common start, a lane a pair, a tap when the watcher’s hand goes up. */
export function CheckRound({ data }: { data: RoundData }) {
  const round = useRound(data.classId, data.suggested[0] ?? data.checks[0]?.id ?? '')
  const check = data.checks.find((c) => c.id === round.checkId)
  const lanes = pairsOf(data.people).map(([a, b]) =>
    round.half === 1 ? { does: a, watches: b } : { does: b ?? a, watches: a },
  )
  const now = useClock(round.startedMs)
  const seconds = round.startedMs === null ? 0 : Math.max(0, (now - round.startedMs) / 1000)
  const isHold = check?.kind === 'hold' && check.side === 'single'
  const tap = (i: number): void => {
    const lane = lanes[i]
    if (lane && isHold && round.startedMs !== null && !round.results[lane.does.id]) round.take(lane.does.id)
  }
  useHotkeys([
    ['space', () => (round.startedMs === null ? round.start() : round.stopClock())],
    ...Array.from({ length: 9 }, (_, i): [string, () => void] => [String(i + 1), () => tap(i)]),
  ])
  if (!check) return <Text>Nobody on the list of this class yet.</Text>
  return (
    <Stack>
      <Picker data={data} current={check.id} onPick={round.pick} />
      <div className="card">
        <Title order={2} fz="xl">
          {check.name}
        </Title>
        <Text>
          <strong>{check.asks}</strong> {check.run}
        </Text>
        <Text c="dimmed">Ends at: {check.valid}</Text>
      </div>
      <Group>
        <Text fw={650} fz="lg">
          Half {round.half} of 2
        </Text>
        {isHold ? (
          <Button size="lg" onClick={round.startedMs === null ? round.start : round.stopClock}>
            {round.startedMs === null ? 'Start everybody' : 'End the hold'}
          </Button>
        ) : null}
        {isHold ? (
          <Text role="timer" fz={34} fw={650}>
            {formatClock(seconds)}
          </Text>
        ) : null}
        <Button variant="default" onClick={round.swap}>
          Swap: watchers do
        </Button>
        <Text role="status" c="dimmed">
          {Object.keys(round.results).length} of {data.people.length} recorded
          {round.waiting > 0 ? ` · ${round.waiting} waiting for the server` : ''}
        </Text>
      </Group>
      {round.refused === '' ? null : <Text role="alert">{round.refused}</Text>}
      <div className={classes.lanes}>
        {lanes.map(({ does, watches }, i) => (
          <Lane
            key={does.id}
            number={i + 1}
            person={does}
            watcher={watches?.name.split(' ')[0] ?? 'you'}
            check={check}
            result={round.results[does.id]}
            running={round.startedMs !== null}
            isHold={isHold}
            onTap={() => tap(i)}
            onRecord={(values, part) => round.record(does.id, values, part)}
            onUndo={() => round.undo(does.id)}
          />
        ))}
      </div>
      <Text c="dimmed" size="sm">
        Space starts and ends the hold, 1 to 9 take a lane’s time. Each result is kept on this device as it is
        made and sent when the server is there.
      </Text>
    </Stack>
  )
}

function Picker({
  data,
  current,
  onPick,
}: {
  data: RoundData
  current: string
  onPick: (id: string) => void
}) {
  const suggested = data.checks.filter((c) => data.suggested.includes(c.id))
  const minutes = suggested.reduce((sum, c) => sum + c.minutes, 0)
  return (
    <Stack gap="xs">
      <Text>
        {suggested.length === 0
          ? 'No check would change an answer today. Pick a ready round if you like.'
          : `These would settle most, in about ${minutes} minutes:`}
      </Text>
      <Group gap="xs" role="group" aria-label="Checks">
        {suggested.map((c) => (
          <Button
            key={c.id}
            variant={c.id === current ? 'filled' : 'default'}
            title={c.settles}
            onClick={() => onPick(c.id)}
          >
            {c.name}
          </Button>
        ))}
      </Group>
      {suggested.find((c) => c.id === current) ? (
        <Text c="dimmed">This one {suggested.find((c) => c.id === current)?.settles}.</Text>
      ) : null}
      <details>
        <summary>Ready rounds</summary>
        {data.bundles.map((b) => (
          <Group key={b.id} gap="xs" mt={6}>
            <Text w={150}>{b.name}</Text>
            {b.checks.map((id) => (
              <Button
                key={id}
                size="compact-md"
                mih={44}
                variant={id === current ? 'filled' : 'default'}
                onClick={() => onPick(id)}
              >
                {data.checks.find((c) => c.id === id)?.name ?? id}
              </Button>
            ))}
          </Group>
        ))}
      </details>
    </Stack>
  )
}

type LaneProps = {
  number: number
  person: Person
  watcher: string
  check: RoundCheck
  result: LaneResult | undefined
  running: boolean
  isHold: boolean
  onTap: () => void
  onRecord: (values: { single?: string; left?: string; right?: string }, part?: Partial<LaneResult>) => void
  onUndo: () => void
}

function Lane({
  number,
  person,
  watcher,
  check,
  result,
  running,
  isHold,
  onTap,
  onRecord,
  onUndo,
}: LaneProps) {
  const again = (part: Partial<LaneResult>): void => {
    if (!result) return
    const [left = '', right = ''] = result.value.split(' / ')
    onRecord(check.side === 'each' ? { left, right } : { single: result.value }, part)
  }
  return (
    <section className={classes.lane} data-done={result !== undefined} aria-label={person.name}>
      <div className={classes.head}>
        <Text fw={650} fz="lg">
          {number}. {person.name}
        </Text>
        <Text size="sm" c="dimmed">
          watched by {watcher}
        </Text>
      </div>
      {result ? (
        <>
          <Text fz="xl" fw={650}>
            {result.value} {check.kind === 'yes-no' ? (result.value === '1' ? 'yes' : 'no') : check.unit}
          </Text>
          <Chip.Group multiple value={[...result.faults]} onChange={(faults) => again({ faults })}>
            <Group gap={6}>
              {check.faults.map((f) => (
                <Chip key={f.id} value={f.id} size="md">
                  {f.name}
                </Chip>
              ))}
            </Group>
          </Chip.Group>
          <Group gap="xs">
            <Chip checked={result.aided} onChange={(aided) => again({ aided })}>
              With an aid
            </Chip>
            <Button variant="default" onClick={onUndo}>
              Undo
            </Button>
          </Group>
        </>
      ) : isHold ? (
        <Button className={classes.stop ?? ''} disabled={!running} onClick={onTap}>
          Hand up
        </Button>
      ) : (
        <Typed check={check} onRecord={onRecord} />
      )}
      {person.today[check.id] && !result ? (
        <Text size="sm" c="dimmed">
          Today already: {person.today[check.id]}
        </Text>
      ) : null}
    </section>
  )
}

function Typed({ check, onRecord }: Pick<LaneProps, 'check' | 'onRecord'>) {
  const [typed, setTyped] = useState({ single: '', left: '', right: '' })
  if (check.kind === 'yes-no')
    return (
      <Group grow>
        <Button variant="default" mih={64} onClick={() => onRecord({ single: '1' })}>
          Yes
        </Button>
        <Button variant="default" mih={64} onClick={() => onRecord({ single: '0' })}>
          Not yet
        </Button>
      </Group>
    )
  if (check.kind === 'count' && check.side === 'single') {
    const reps = Number(typed.single) || 0
    return (
      <Group grow>
        <Button variant="default" mih={64} onClick={() => setTyped({ ...typed, single: String(reps + 1) })}>
          {reps} · one more
        </Button>
        <Button mih={64} disabled={reps === 0} onClick={() => onRecord({ single: typed.single })}>
          Keep
        </Button>
      </Group>
    )
  }
  const keys = check.side === 'each' ? (['left', 'right'] as const) : (['single'] as const)
  return (
    <Group align="flex-end">
      {keys.map((k) => (
        <TextInput
          key={k}
          w={110}
          label={k === 'single' ? check.unit : `${k}, ${check.unit}`}
          inputMode="decimal"
          value={typed[k]}
          onChange={(e) => setTyped({ ...typed, [k]: e.currentTarget.value })}
        />
      ))}
      <Button
        variant="default"
        onClick={() =>
          onRecord(
            check.side === 'each' ? { left: typed.left, right: typed.right } : { single: typed.single },
          )
        }
      >
        Keep
      </Button>
    </Group>
  )
}

/** The moment, ten times a second while something runs. Wall time, so that a sleep or a reload does not stop it. */
function useClock(startedMs: number | null): number {
  const [now, setNow] = useState(0)
  useEffect(() => {
    if (startedMs === null) return
    const tick = (): void => setNow(Date.now())
    const timer = setInterval(tick, 100)
    return () => clearInterval(timer)
  }, [startedMs])
  return now
}
