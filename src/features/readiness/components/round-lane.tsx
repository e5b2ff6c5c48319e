'use client'

import { Button, Chip, Group, Text } from '@mantine/core'
import { describeTouch } from '@/core/words/floor'
import type { Wording } from '@/core/words/number'
import { unitOf } from '@/core/words/reason'
import { useWording } from '@/ui/wording'
import type { RoundCheck, RoundPerson } from '../round-queries'
import classes from './check-round.module.css'
import { RoundValues } from './round-values'
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
      {result ? (
        <Recorded {...props} result={result} />
      ) : isHold ? (
        <Button className={classes.stop ?? ''} disabled={!running || sideKept} onClick={onTap}>
          Hand up
        </Button>
      ) : (
        <RoundValues check={check} person={person} onRecord={onRecord} />
      )}
      {oneSide && !result ? (
        <Text size="sm" role="note">
          {oneSide.left === undefined ? `right ${oneSide.right} s` : `left ${oneSide.left} s`} kept; the other
          side makes it whole.
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

function Recorded({ check, result, onRecord, onUndo }: Props & { result: LaneResult }) {
  const again = (marks: Partial<Marks>): void => onRecord(result.values, marks)
  return (
    <>
      <Text fz="xl" fw={650}>
        {shownValue(check, result.values, useWording())}
      </Text>
      <Chip.Group multiple value={[...result.faults]} onChange={(faults) => again({ faults })}>
        <Group gap={6} role="group" aria-label="Faults seen">
          {check.faults.map((f) => (
            <Chip key={f.id} value={f.id} size="md" classNames={{ label: classes.chip ?? '' }}>
              {f.name}
            </Chip>
          ))}
        </Group>
      </Chip.Group>
      <details>
        <summary>{helpedBy(result)}</summary>
        <Group gap={6} mt={6} role="group" aria-label="What helped">
          {AIDS.map((aid) => (
            <Chip
              key={aid}
              size="md"
              classNames={{ label: classes.chip ?? '' }}
              checked={result.aid === aid}
              onChange={(on) => again({ aid: on ? aid : '' })}
            >
              {aid}
            </Chip>
          ))}
          <Chip
            size="md"
            classNames={{ label: classes.chip ?? '' }}
            checked={result.helped}
            onChange={(helped) => again({ helped })}
          >
            Hands helped
          </Chip>
          <Chip
            size="md"
            classNames={{ label: classes.chip ?? '' }}
            checked={result.spent}
            onChange={(spent) => again({ spent })}
          >
            Arms spent
          </Chip>
        </Group>
      </details>
      <Button variant="default" onClick={onUndo}>
        Undo
      </Button>
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
