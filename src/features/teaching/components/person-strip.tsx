'use client'

import { Button, Chip, Group, SegmentedControl, Stack, Text } from '@mantine/core'
import { useState } from 'react'
import { stoppedBy, tapOf, type Seen } from '@/core/teaching/outcome'
import { describeAfter, describeStopped, describeTaps, describeTouch } from '@/core/words/floor'
import { Figure } from '@/ui/figure/figure'
import { TextLink } from '@/ui/text-link'
import type { Recorded, TeachPerson } from '../queries'
import type { StageBrief } from '../stage-brief'
import type { Mark } from './use-class-run'

type Props = {
  person: TeachPerson
  stage: StageBrief
  recorded: readonly Recorded[]
  onMark: (mark: Mark) => void
  onUndo: (last: Recorded) => void
}

const LEVELS = [
  { value: 'took-off', label: 'Took off' },
  { value: 'hop', label: 'Hop' },
  { value: 'touched', label: 'Touched' },
  { value: 'held', label: 'Held' },
] as const

const LEADS = [
  { value: 'left', label: 'Left leads' },
  { value: 'right', label: 'Right leads' },
]
/** Whose strength it was: what hands carried proves nothing of the student. */
const HELP: { value: Mark['help']; label: string }[] = [
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

/** One person: what they do, and large taps for what came of it. */
export function PersonStrip({ person, stage, recorded, onMark, onUndo }: Props) {
  const mine = recorded.filter((r) => r.studentId === person.id && r.stageId === stage.id)
  const last = mine.at(-1)
  const stopped = stoppedBy(recorded.filter((r) => r.studentId === person.id))
  const after = last ? describeAfter(last, stage.exit) : ''
  const undo = last ? (
    <Button
      {...BIG}
      variant="subtle"
      c="var(--ink)"
      onClick={() => onUndo(last)}
      aria-label={`${person.name}: undo the last tap`}
    >
      Undo
    </Button>
  ) : null
  return (
    <section className="card" aria-label={person.name}>
      <Stack gap="xs">
        <Group justify="space-between" wrap="nowrap" align="flex-start">
          <div>
            <Text fz={24} fw={650} lh={1.2}>
              {stage.place === '' ? '' : `${capital(stage.place)} · `}
              {person.name}
            </Text>
            {stopped === null ? <Version stage={stage} /> : <Text fw={600}>{describeStopped(stopped)}</Text>}
            {person.touch === 'no' ? <Text fw={650}>{describeTouch(person.touch)}</Text> : null}
            {person.note === '' ? null : <Text size="sm">Last word: {person.note}.</Text>}
            {person.limits.length === 0 ? null : (
              <Text size="sm">Leaves out {person.limits.join(', ')}.</Text>
            )}
          </div>
          <div style={{ flex: 'none' }}>
            {stage.picture && stopped === null ? <Figure picture={stage.picture} height={88} /> : null}
            <Text role="status" ta="right">
              {describeTaps(mine)}
            </Text>
          </div>
        </Group>
        {after === '' ? null : (
          <Text role="note" fw={600}>
            {after}{' '}
            {last && !last.exitControlled ? (
              <TextLink href="/studio/incidents">Write a report</TextLink>
            ) : null}
          </Text>
        )}
        {!stage.taps ? null : stopped !== null ? (
          <Group>{undo}</Group>
        ) : (
          <Taps {...{ person, stage, undo, onMark }} />
        )}
      </Stack>
    </section>
  )
}

/** What they do, how much of it, where hands and props go, and who stands beside. */
function Version({ stage }: Pick<Props, 'stage'>) {
  return (
    <>
      <Text>
        {stage.name}
        {stage.cue === '' ? null : (
          <>
            . <em>{stage.cue}</em>
          </>
        )}
      </Text>
      {stage.dose === '' ? null : <Text size="sm">{stage.dose}</Text>}
      {stage.numbers === '' ? null : <Text size="sm">{stage.numbers}</Text>}
      {stage.helper === '' ? null : <Text fw={600}>With {stage.helper} beside.</Text>}
      {stage.change === '' ? null : <Text fw={600}>{stage.change}</Text>}
    </>
  )
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1)
}

/** A button that a thumb finds without looking. */
const BIG = { size: 'lg', mih: 64, px: 'lg' } as const

/** What came of it: how far, which faults, and one tap for what was seen. */
function Taps({
  person,
  stage,
  undo,
  onMark,
}: Pick<Props, 'person' | 'stage' | 'onMark'> & { undo: React.ReactNode }) {
  const [faults, setFaults] = useState<string[]>([])
  const [level, setLevel] = useState<Mark['level']>('hop')
  const [lead, setLead] = useState<'left' | 'right'>('left')
  const [help, setHelp] = useState<Mark['help']>('alone')
  const [held, setHeld] = useState('')
  const [stopping, setStopping] = useState(false)
  const mark = (seen: Seen): void => {
    onMark({
      studentId: person.id,
      stageId: stage.id,
      level: stage.leavesFloor ? level : 'practised',
      help,
      ...(stage.leads ? { lead } : {}),
      ...(stage.timed && held !== '' ? { seconds: Number(held) } : {}),
      ...tapOf(seen, faults),
    })
    setFaults([])
    setHelp('alone')
    setHeld('')
    // The other leg leads next; a tap corrects it.
    setLead((now) => (now === 'left' ? 'right' : 'left'))
    setStopping(false)
  }
  return (
    <>
      {stage.leavesFloor ? (
        <SegmentedControl
          aria-label={`How far ${person.name} got`}
          data={[...LEVELS]}
          value={level}
          onChange={(v) => setLevel(v)}
          size="md"
        />
      ) : null}
      <Group gap="sm">
        {stage.leads ? (
          <SegmentedControl
            aria-label={`Which leg of ${person.name} leads`}
            data={LEADS}
            value={lead}
            onChange={(v) => setLead(v === 'right' ? 'right' : 'left')}
            size="md"
          />
        ) : null}
        {person.touch === 'no' ? null : (
          <SegmentedControl
            aria-label={`Hands on ${person.name}`}
            data={HELP}
            value={help}
            onChange={(v) => setHelp(HELP.find((h) => h.value === v)?.value ?? 'alone')}
            size="md"
          />
        )}
        {stage.timed ? (
          <SegmentedControl
            aria-label={`How long ${person.name} held`}
            data={HELD}
            fullWidth
            w="100%"
            maw={420}
            value={held}
            onChange={setHeld}
            size="md"
          />
        ) : null}
      </Group>
      <Chip.Group multiple value={faults} onChange={setFaults}>
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
      <Answers faults={stage.faults.filter((f) => faults.includes(f.id))} />
      <Group gap="xs">
        <Button
          {...BIG}
          disabled={faults.length > 0}
          onClick={() => mark('clean')}
          aria-label={`${person.name}: clean`}
        >
          Clean
        </Button>
        <Button
          {...BIG}
          variant="default"
          onClick={() => mark('not-yet')}
          aria-label={`${person.name}: not yet`}
        >
          Not yet
        </Button>
        <Button
          {...BIG}
          variant="default"
          onClick={() => mark('fell-out')}
          aria-label={`${person.name}: fell out of it`}
        >
          Fell out of it
        </Button>
        <Button
          {...BIG}
          variant="default"
          aria-expanded={stopping}
          onClick={() => setStopping((open) => !open)}
          aria-label={`${person.name}: stopped`}
        >
          Stopped
        </Button>
        {undo}
      </Group>
      {stopping ? <Stops {...{ person }} onStop={mark} /> : null}
    </>
  )
}

/** What to say and do about what was just seen: for this person, by the same engine as their page. */
function Answers({ faults }: { faults: StageBrief['faults'] }) {
  return (
    <div role="status">
      {faults.map(({ id, name, help }) => (
        <Text key={id} fz="lg">
          <strong>{name}.</strong> {help}
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
