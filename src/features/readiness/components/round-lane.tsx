'use client'

import { Button, Chip, Group, Text } from '@mantine/core'
import { describeTouch } from '@/core/words/floor'
import type { Wording } from '@/core/words/number'
import { unitOf } from '@/core/words/reason'
import { useWording } from '@/ui/wording'
import type { RoundCheck, RoundPerson } from '../round-queries'
import classes from './check-round.module.css'
import { RoundValues } from './round-values'
import { WayOut } from './way-out'
import type { LaneResult, Marks, Typed } from './use-round'

type Props = {
  number: number
  person: RoundPerson
  watcher: string
  check: RoundCheck
  result: LaneResult | undefined
  /** The side of a sided hold that is kept already. */
  oneSide: Typed | undefined
  /** Whether the side that is being done is kept already. */
  sideKept: boolean
  running: boolean
  isHold: boolean
  onTap: () => void
  onRecord: (values: Typed, marks?: Partial<Marks>) => void
  onMark: (change: (held: Marks) => Partial<Marks>) => void
  onUndo: () => void
}

/** A lane a pair: who does it, the tap when the watcher’s hand goes up, and what was seen. */
export function RoundLane(props: Props) {
  const { number, person, watcher, check, result, oneSide, sideKept, running, isHold, onTap, onRecord } =
    props
  const had = person.today[check.id]
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
      {person.touch === 'no' ? (
        <Text size="sm" fw={600}>
          {describeTouch(person.touch)}
        </Text>
      ) : null}
      {person.limits.length > 0 ? (
        <Text size="sm" fw={600}>
          Leaves out {person.limits.join(', ')}.
        </Text>
      ) : null}
      <WayOut check={check} person={person} />
      {result && running ? (
        <Group className={classes.came ?? ''} justify="space-between" wrap="nowrap">
          <Came {...props} result={result} />
          <Button mih={44} onClick={props.onUndo}>
            Undo
          </Button>
        </Group>
      ) : result ? (
        <Recorded {...props} result={result} />
      ) : isHold ? (
        <Button
          variant="filled"
          className={classes.stop ?? ''}
          disabled={!running || sideKept}
          onClick={onTap}
        >
          {sideKept && oneSide ? keptSide(oneSide) : 'Hand up'}
        </Button>
      ) : (
        <RoundValues check={check} person={person} onRecord={onRecord} />
      )}
      {oneSide && !result && !running ? (
        <Text size="sm" role="note">
          {keptSide(oneSide)} kept; the other side makes it whole.
        </Text>
      ) : null}
      {had && !result ? (
        <Text size="sm" c="dimmed">
          Today already: {had}
        </Text>
      ) : null}
    </section>
  )
}

function keptSide({ left, right }: Typed): string {
  return left === undefined ? `right ${right} s` : `left ${left} s`
}

/** The value as it stands. */
function Came({ check, result }: { check: RoundCheck; result: LaneResult }) {
  return (
    <Text fz="xl" fw={650}>
      {shownValue(check, result.values, useWording())}
    </Text>
  )
}

function Recorded({ check, result, onMark, onUndo }: Props & { result: LaneResult }) {
  return (
    <>
      <Came check={check} result={result} />
      <Group gap={6} role="group" aria-label="Faults seen">
        {check.faults.map((f) => (
          <Chip
            key={f.id}
            size="md"
            classNames={{ label: classes.chip ?? '' }}
            checked={result.faults.includes(f.id)}
            onChange={(on) =>
              onMark(({ faults }) => ({
                faults: [...faults.filter((id) => id !== f.id), ...(on ? [f.id] : [])],
              }))
            }
          >
            {f.name}
          </Chip>
        ))}
      </Group>
      <details>
        <summary>{helpedBy(result)}</summary>
        <Group gap={6} mt={6} role="group" aria-label="What helped">
          {AIDS.map((aid) => (
            <Chip
              key={aid}
              size="md"
              classNames={{ label: classes.chip ?? '' }}
              checked={result.aid === aid}
              onChange={(on) => onMark(() => ({ aid: on ? aid : '' }))}
            >
              {aid}
            </Chip>
          ))}
          <Chip
            size="md"
            classNames={{ label: classes.chip ?? '' }}
            checked={result.helped}
            onChange={(helped) => onMark(() => ({ helped }))}
          >
            Hands helped
          </Chip>
          <Chip
            size="md"
            classNames={{ label: classes.chip ?? '' }}
            checked={result.spent}
            onChange={(spent) => onMark(() => ({ spent }))}
          >
            Arms spent
          </Chip>
        </Group>
      </details>
      <Button onClick={onUndo}>Undo</Button>
    </>
  )
}

function helpedBy({ aid, helped, spent }: LaneResult): string {
  const said = [aid, helped ? 'hands' : '', spent ? 'arms spent' : ''].filter((t) => t !== '')
  return said.length === 0 ? 'Helped, or arms spent?' : `Noted: ${said.join(', ').toLowerCase()}`
}

/** What may have helped without hands. */
const AIDS = ['Strap', 'Block', 'Wall'] as const

function shownValue(check: RoundCheck, { single, left, right }: Typed, wording: Wording): string {
  const word = (value: string | undefined): string => {
    if (check.kind === 'yes-no') return value === '1' ? 'yes' : 'not yet'
    if (check.kind === 'level') return `level ${value}`
    return /[a-z"”]/i.test(value ?? '') ? (value ?? '') : `${value} ${unitOf(check, wording)}`
  }
  return single === undefined ? `left ${word(left)}, right ${word(right)}` : word(single)
}
