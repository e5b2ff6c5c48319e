'use client'

import { Button, Group, Text, TextInput } from '@mantine/core'
import { useState } from 'react'
import { standingFacts } from '@/core/facts/round'
import { NOTE_CHIPS } from '@/core/words/wrap'
import { useLog, useRecord } from '@/device/use-log'
import { FormProblem } from '@/ui/form-problem'

type Props = {
  classId: string
  studentId: string
  name: string
  kept: readonly { id: string; text: string }[]
  /** On a private screen words are taken and not shown. */
  hidden: boolean
}

/** A few words about somebody: a chip, or three words typed; what was seen, never a diagnosis. */
export function NoteChips({ classId, studentId, name, kept, hidden }: Props) {
  const { tell, failed } = useRecord()
  const [words, setWords] = useState('')
  const own = standingFacts(useLog()).flatMap((f) =>
    f.kind === 'note' && f.classId === classId && f.studentId === studentId
      ? [{ id: f.id, text: f.text }]
      : [],
  )
  const all = [...new Map([...kept, ...own].map((n) => [n.id, n])).values()]
  const said = new Set(all.map((n) => n.text))
  const add = (text: string): void => {
    void tell({ kind: 'note', classId, studentId, text }, `${name}: a note`)
    setWords('')
  }
  return (
    <>
      {all.length === 0 && !hidden ? null : (
        <Text role="status" fw={600}>
          {hidden ? 'Words are kept; hidden here.' : all.map((n) => n.text).join(' · ')}
        </Text>
      )}
      <Group gap="xs" mt={4} role="group" aria-label={`A word about ${name}`}>
        {NOTE_CHIPS.filter((chip) => !said.has(chip)).map((chip) => (
          <Button key={chip} size="compact-md" mih={44} onClick={() => add(chip)}>
            {chip}
          </Button>
        ))}
        <form
          onSubmit={(event) => {
            event.preventDefault()
            if (words.trim() !== '') add(words.trim())
          }}
        >
          <TextInput
            aria-label={`Own words about ${name}`}
            placeholder="Own words, Enter"
            maxLength={120}
            value={words}
            onChange={(e) => setWords(e.currentTarget.value)}
          />
        </form>
      </Group>
      <FormProblem message={failed === '' ? undefined : failed} />
    </>
  )
}
