'use client'

import { Button, Chip, Group, NativeSelect, SegmentedControl, Text } from '@mantine/core'
import { memo, useEffect, useState } from 'react'
import { newAttempt, type NewAttempt, type SaidOfTry } from '@/core/facts/attempt'
import { tapOf, type Seen } from '@/core/teaching/outcome'
import type { TeachPerson } from '../queries'
import { faultAnswer } from '../live-actions'
import type { StageBrief } from '../stage-brief'
import { usePicks, type Picks } from './use-picks'

const LEVELS = [
  { value: 'took-off', label: 'Took off' },
  { value: 'hop', label: 'Hop' },
  { value: 'touched', label: 'Touched' },
  { value: 'held', label: 'Held' },
] as const

const LEADS = [
  { value: 'left', label: 'Left leads' },
  { value: 'right', label: 'Right leads' },
] as const
/** Whose strength it was: what hands carried proves nothing of the student. */
const HELP: { value: NonNullable<SaidOfTry['help']>; label: string }[] = [
  { value: 'alone', label: 'Alone' },
  { value: 'touched', label: 'Touched' },
  { value: 'carried', label: 'Carried' },
]
/** Held at least so long; a dash where nobody counted. */
const HELD = [
  { value: '', label: '–' },
  ...[5, 10, 15, 30, 45].map((s) => ({ value: String(s), label: `${s} s` })),
]

/** Why somebody stops: none of them is a failure, and each means something else. */
const STOPS: readonly { seen: Seen; label: string }[] = [
  { seen: 'unwell', label: 'Not well' },
  { seen: 'arms-spent', label: 'Arms spent' },
  { seen: 'own-choice', label: 'Own choice' },
]

/** A button that a thumb finds without looking. */
export const BIG = { size: 'lg', mih: 64, px: 'lg' } as const

type Props = {
  classId: string
  person: TeachPerson
  stage: StageBrief
  undo: React.ReactNode
  onMark: (tried: NewAttempt) => Promise<boolean>
}

/** What came of it: how far, which faults, and one tap for what was seen. */
export function Taps({ classId, person, stage, undo, onMark }: Props) {
  const { picks, pick, take } = usePicks(stage.setups[0]?.id ?? '')
  const { faults, stopping } = picks
  const mark = (seen: Seen): void =>
    take(({ level, help, lead, held, setup, faults: shown }) =>
      onMark(
        newAttempt(
          person.id,
          stage,
          tapOf(seen, shown),
          {
            ...(level === '' ? {} : { level }),
            ...(lead === '' ? {} : { lead }),
            ...(held === '' ? {} : { seconds: Number(held) }),
            ...(setup === '' ? {} : { setupId: setup }),
            // A clean try is called clean *alone* where nobody picked whose strength it was: the button says so.
            ...(help !== '' ? { help } : seen === 'clean' ? { help: 'alone' as const } : {}),
          },
          null,
        ),
      ),
    )
  const choice = (
    name: ChoiceProps['name'],
    label: string,
    data: ChoiceProps['data'],
    wide = false,
  ): React.ReactNode => <Choice {...{ name, label, data, wide }} value={picks[name]} onPick={pick} />
  return (
    <>
      {stage.leavesFloor ? choice('level', `How far ${person.name} got`, LEVELS) : null}
      <Group gap="sm">
        {stage.leads ? choice('lead', `Which leg of ${person.name} leads`, LEADS) : null}
        {person.touch === 'no' ? null : choice('help', `Hands on ${person.name}`, HELP)}
        {stage.timed ? choice('held', `How long ${person.name} held`, HELD, true) : null}
        {stage.setups.length === 0 ? null : (
          <NativeSelect
            aria-label={`What ${person.name} uses`}
            data={stage.setups.map(({ id, name }) => ({ value: id, label: name }))}
            value={picks.setup}
            onChange={(e) => pick({ setup: e.currentTarget.value })}
            size="md"
          />
        )}
      </Group>
      <Chip.Group multiple value={[...faults]} onChange={(on) => pick({ faults: on })}>
        <Group gap="xs" role="group" aria-label={`Faults of ${person.name}`}>
          {stage.faults.map((fault) => (
            <Chip
              key={fault.id}
              value={fault.id}
              size="lg"
              styles={{ label: { height: 64, paddingInline: 18 } }}
            >
              {fault.name}
            </Chip>
          ))}
        </Group>
      </Chip.Group>
      <Answers
        faults={stage.faults.filter((f) => faults.includes(f.id))}
        asked={{ classId, studentId: person.id, stageId: stage.id }}
      />
      <Outcomes
        {...{ person, undo, stopping, mark }}
        clean={picks.help === '' || picks.help === 'alone' ? 'Clean, alone' : 'Clean'}
        isFaulty={faults.length > 0}
        onStopping={() => pick({ stopping: !stopping })}
      />
      {stopping ? <Stops {...{ person }} onStop={mark} /> : null}
    </>
  )
}

type ChoiceProps = {
  label: string
  name: 'level' | 'lead' | 'help' | 'held'
  data: readonly { readonly value: string; readonly label: string }[]
  value: string
  onPick: (part: Partial<Picks>) => void
  wide?: boolean
}

/** One of a few, drawn again only when the pick is another: a tap must not wait for four of these. */
const Choice = memo(function Choice({ label, name, data, value, onPick, wide }: ChoiceProps) {
  return (
    <SegmentedControl
      aria-label={label}
      data={[...data]}
      value={value}
      onChange={(picked) => onPick({ [name]: picked })}
      size="md"
      {...(wide ? { fullWidth: true, w: '100%', maw: 420 } : {})}
    />
  )
})

/** One tap for what was seen; why somebody stopped is asked after. */
function Outcomes({
  person,
  undo,
  clean,
  stopping,
  isFaulty,
  mark,
  onStopping,
}: Pick<Props, 'person' | 'undo'> & {
  clean: string
  stopping: boolean
  isFaulty: boolean
  mark: (seen: Seen) => void
  onStopping: () => void
}) {
  return (
    <Group gap="xs">
      <Button
        variant="filled"
        {...BIG}
        disabled={isFaulty}
        onClick={() => mark('clean')}
        aria-label={`${person.name}: ${clean.toLowerCase()}`}
      >
        {clean}
      </Button>
      <Button {...BIG} onClick={() => mark('not-yet')} aria-label={`${person.name}: not yet`}>
        Not yet
      </Button>
      <Button {...BIG} onClick={() => mark('fell-out')} aria-label={`${person.name}: fell out of it`}>
        Fell out of it
      </Button>
      <Button {...BIG} aria-expanded={stopping} onClick={onStopping} aria-label={`${person.name}: stopped`}>
        Stopped
      </Button>
      {undo}
    </Group>
  )
}

/** What to say and do about what was just seen: for this person, by the same engine as their page; the word while it comes. */
function Answers({
  faults,
  asked,
}: {
  faults: StageBrief['faults']
  asked: { classId: string; studentId: string; stageId: string }
}) {
  const { classId, studentId, stageId } = asked
  const [helps, setHelps] = useState<Readonly<Record<string, string>>>({})
  const wanted = faults.map(({ id }) => id).join(' ')
  useEffect(() => {
    let gone = false
    for (const faultId of wanted === '' ? [] : wanted.split(' '))
      // With the server away the practice's own word stands.
      void faultAnswer({ classId, studentId, stageId, faultId })
        .then((answer) => {
          if (!gone && answer.ok) setHelps((known) => ({ ...known, [faultId]: answer.value }))
        })
        .catch(() => undefined)
    return () => {
      gone = true
    }
  }, [wanted, classId, studentId, stageId])
  return (
    <div role="status">
      {faults.map(({ id, name, cue }) => (
        <Text key={id} fz="lg">
          <strong>{name}.</strong> {helps[id] ?? `Say: ${cue}`}
        </Text>
      ))}
    </div>
  )
}

function Stops({ person, onStop }: Pick<Props, 'person'> & { onStop: (seen: Seen) => void }) {
  return (
    <Group gap="xs" role="group" aria-label={`Why ${person.name} stopped`}>
      {STOPS.map(({ seen, label }) => (
        <Button
          key={seen}
          {...BIG}
          variant="light"
          c="var(--ink)"
          onClick={() => onStop(seen)}
          aria-label={`${person.name}: ${label.toLowerCase()}`}
        >
          {label}
        </Button>
      ))}
    </Group>
  )
}
