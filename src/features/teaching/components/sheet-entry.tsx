'use client'

import { Button, Group, Text, Title } from '@mantine/core'
import { useRouter } from 'next/navigation'
import { useRef, useState } from 'react'
import type { Stamp } from '@/core/facts/stamp'
import { SEEN, type Seen } from '@/core/teaching/outcome'
import { SEEN_WORD } from '@/core/words/floor'
import { count } from '@/core/words/number'
import { newStamp } from '@/device/facts'
import { useKept } from '@/device/use-log'
import { FormProblem } from '@/ui/form-problem'
import { useSubmit } from '../../use-submit'
import { enterSheet } from '../sheet-actions'
import type { SheetToEnter } from '../wrap-queries'

type Entered = { studentId: string; stageId: string; seen: Seen }

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
      tries: tries.flatMap((t, i) => (each[i] ? [{ ...each[i], ...t }] : [])),
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
        <section className="card" key={person.id} aria-label={person.name}>
          <Title order={2} fz="lg">
            {person.name}
          </Title>
          {person.stages.length === 0 ? <Text c="dimmed">Drills only: nothing to enter.</Text> : null}
          {person.stages.map((stage) => {
            const mine = tries.filter((t) => t.studentId === person.id && t.stageId === stage.id)
            return (
              <Group key={stage.id} gap="xs" mt="xs">
                <Text w={230}>{stage.name}</Text>
                {SEEN.map((seen) => (
                  <Button
                    key={seen}
                    size="md"
                    mih={44}
                    variant="default"
                    aria-label={`${person.name}, ${stage.name}: ${SEEN_WORD[seen]}`}
                    onClick={() =>
                      keep({ tries: [...tries, { studentId: person.id, stageId: stage.id, seen }] })
                    }
                  >
                    {SHORT[seen]}
                  </Button>
                ))}
                <Text role="status">
                  {mine.length === 0 ? '' : mine.map((t) => SEEN_WORD[t.seen]).join(', ')}
                </Text>
                {mine.length > 0 ? (
                  <Button
                    size="md"
                    mih={44}
                    variant="subtle"
                    c="var(--ink)"
                    aria-label={`${person.name}, ${stage.name}: take the last one back`}
                    onClick={() => {
                      const last = tries.lastIndexOf(mine.at(-1) as Entered)
                      keep({ tries: tries.filter((_, i) => i !== last) })
                    }}
                  >
                    Undo
                  </Button>
                ) : null}
              </Group>
            )
          })}
        </section>
      ))}
      <FormProblem message={problemOf('') ?? problemOf('tries')} />
      <Group>
        <Button size="lg" mih={64} loading={busy} disabled={tries.length === 0} onClick={() => void store()}>
          {tries.length === 0 ? 'Store the sheet' : `Store ${count(tries.length, 'try', 'tries')}`}
        </Button>
        <Text role="status">{stored > 0 ? `${count(stored, 'try', 'tries')} stored.` : ''}</Text>
      </Group>
    </>
  )
}

const SHORT: Readonly<Record<Seen, string>> = {
  clean: 'Clean',
  'not-yet': 'Not yet',
  'fell-out': 'Fell',
  unwell: 'Not well',
  'arms-spent': 'Spent',
  'own-choice': 'Stopped',
}
