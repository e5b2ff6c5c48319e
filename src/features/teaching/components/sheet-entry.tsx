'use client'

import { Button, Group, NumberInput, SegmentedControl, Text } from '@mantine/core'
import { useRouter } from 'next/navigation'
import { useRef, useState } from 'react'
import type { Stamp } from '@/core/facts/stamp'
import { SEEN, type Seen } from '@/core/teaching/outcome'
import { SEEN_WORD } from '@/core/words/floor'
import { count } from '@/core/words/number'
import { newStamp } from '@/device/facts'
import { useKept } from '@/device/use-log'
import { FormProblem } from '@/ui/form-problem'
import { Section } from '@/ui/section'
import { useSubmit } from '../../use-submit'
import { enterSheet } from '../sheet-actions'
import type { SheetToEnter } from '../wrap-queries'

type Entered = {
  studentId: string
  stageId: string
  seen: Seen
  seconds?: number | null
  lead?: 'left' | 'right' | null
}

/** A class taught from paper: in the order of the sheet, one tap a try; nothing is lost before it is stored. */
export function SheetEntry({ sheet }: { sheet: SheetToEnter }) {
  const router = useRouter()
  const [{ tries }, keep] = useKept<{ tries: Entered[] }>(`sheet ${sheet.classId}`, { tries: [] })
  const { busy, problemOf, send } = useSubmit(enterSheet)
  // The same stamps are sent until the sheet is stored, so that pressing twice stores it once.
  const stamps = useRef<Stamp[]>([])
  const [stored, setStored] = useState(0)
  const store = async (): Promise<void> => {
    while (stamps.current.length < tries.length + 2) stamps.current.push(await newStamp())
    const [from, to, ...each] = stamps.current
    if (!from || !to) return
    const answer = await send({
      classId: sheet.classId,
      ran: { from, to },
      tries: tries.flatMap((t, i) => (each[i] ? [{ ...each[i], seconds: null, lead: null, ...t }] : [])),
    })
    if (!answer) return
    stamps.current = []
    keep({ tries: [] })
    setStored(answer.stored)
    router.push(`/teach/${sheet.classId}/after`)
  }
  return (
    <>
      {sheet.people.map((person) => (
        <Section key={person.id} title={person.name} className="card">
          {person.stages.length === 0 ? <Text c="dimmed">Drills only: nothing to enter.</Text> : null}
          {person.stages.map((stage) => (
            <Row
              key={stage.id}
              {...{ person, stage }}
              mine={tries.filter((t) => t.studentId === person.id && t.stageId === stage.id)}
              onSeen={(entered) => keep({ tries: [...tries, entered] })}
              onBack={(last) => keep({ tries: tries.filter((_, i) => i !== tries.lastIndexOf(last)) })}
            />
          ))}
        </Section>
      ))}
      <FormProblem message={problemOf('') ?? problemOf('tries')} />
      <Group>
        <Button
          variant="filled"
          size="lg"
          mih={64}
          loading={busy}
          disabled={tries.length === 0}
          onClick={() => void store()}
        >
          {tries.length === 0 ? 'Store the sheet' : `Store ${count(tries.length, 'try', 'tries')}`}
        </Button>
        <Text role="status">{stored > 0 ? `${count(stored, 'try', 'tries')} stored.` : ''}</Text>
      </Group>
    </>
  )
}

type RowProps = {
  person: SheetToEnter['people'][number]
  stage: SheetToEnter['people'][number]['stages'][number]
  mine: readonly Entered[]
  onSeen: (entered: Entered) => void
  onBack: (last: Entered) => void
}

/** One step of somebody's: a tap a try, with the seconds and the leg that stand beside it on the paper. */
function Row({ person, stage, mine, onSeen, onBack }: RowProps) {
  const [seconds, setSeconds] = useState<number | string>('')
  const [lead, setLead] = useState<'left' | 'right' | null>(null)
  const of = `${person.name}, ${stage.name}`
  const last = mine.at(-1)
  const see = (seen: Seen): void => {
    onSeen({
      ...{ studentId: person.id, stageId: stage.id, seen, lead: stage.leads ? lead : null },
      seconds: stage.timed && typeof seconds === 'number' ? seconds : null,
    })
    setSeconds('')
    setLead(null)
  }
  return (
    <Group gap="xs" mt="xs">
      <Text w={230}>{stage.name}</Text>
      {stage.leads ? (
        <SegmentedControl
          aria-label={`${of}: which leg led`}
          data={[
            { value: 'left', label: 'Left' },
            { value: 'right', label: 'Right' },
          ]}
          value={lead ?? ''}
          onChange={(v) => setLead(v === 'right' ? 'right' : 'left')}
          size="sm"
        />
      ) : null}
      {stage.timed ? (
        <NumberInput
          aria-label={`${of}: seconds held`}
          placeholder="s"
          w={72}
          min={1}
          max={600}
          hideControls
          value={seconds}
          onChange={setSeconds}
        />
      ) : null}
      {SEEN.map((seen) => (
        <Button
          key={seen}
          size="md"
          mih={44}
          aria-label={`${of}: ${seen === 'clean' ? 'clean, alone' : SEEN_WORD[seen]}`}
          onClick={() => see(seen)}
        >
          {SHORT[seen]}
        </Button>
      ))}
      <Text role="status">{mine.map(entered).join(', ')}</Text>
      {last ? (
        <Button
          size="md"
          mih={44}
          variant="subtle"
          c="var(--ink)"
          aria-label={`${of}: take the last one back`}
          onClick={() => onBack(last)}
        >
          Undo
        </Button>
      ) : null}
    </Group>
  )
}

/** `clean 20 s, left`. */
function entered({ seen, seconds, lead }: Entered): string {
  const held = typeof seconds === 'number' ? ` ${seconds} s` : ''
  return `${SEEN_WORD[seen]}${held}${lead ? ` ${lead}` : ''}`
}

const SHORT: Readonly<Record<Seen, string>> = {
  clean: 'Clean, alone',
  'not-yet': 'Not yet',
  'fell-out': 'Fell',
  unwell: 'Not well',
  'arms-spent': 'Spent',
  'own-choice': 'Stopped',
}
