'use client'

import { Button, FileInput, List, Stack, Text, Title } from '@mantine/core'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { count } from '@/core/words/number'
import { FormProblem } from '@/ui/form-problem'
import { saveFile } from '@/ui/save-file'
import { useSubmit } from '../../use-submit'
import { keepPracticeFile, practiceOut, tryPracticeFile, type FileRead } from '../file-actions'
import { Preview } from './own-form'

/** Takes the studio's own practice out as a file. */
export function PracticeOut() {
  const { busy, problemOf, send } = useSubmit(practiceOut)
  const keep = async (): Promise<void> => {
    const file = await send({})
    if (file) saveFile(file.name, 'application/json', file.text)
  }
  return (
    <>
      <Button loading={busy} onClick={() => void keep()}>
        Take it out as a file
      </Button>
      <FormProblem message={problemOf('')} />
    </>
  )
}

/** Brings such a file in: what it says and whom it changes is told before anything is kept. */
export function PracticeIn() {
  const router = useRouter()
  const [text, setText] = useState<string | null>(null)
  const [read, setRead] = useState<FileRead | null>(null)
  const [kept, setKept] = useState<number | null>(null)
  const tried = useSubmit(tryPracticeFile)
  const keeping = useSubmit(keepPracticeFile)
  const open = async (file: File | null): Promise<void> => {
    setRead(null)
    setKept(null)
    const next = file ? await file.text() : null
    setText(next)
    if (next !== null) setRead(await tried.send({ text: next }))
  }
  const keep = async (): Promise<void> => {
    const answer = text === null ? null : await keeping.send({ text })
    if (!answer) return
    setKept(answer.kept)
    setRead(null)
    router.refresh()
  }
  return (
    <section className="card" aria-label="Bring a practice in">
      <Stack gap="sm" align="flex-start">
        <Title order={2}>Bring a practice in</Title>
        <Text>
          What another studio says and asks in its own way. What the file does not speak of stays as it is
          here.
        </Text>
        <FileInput
          label="A practice’s file"
          accept="application/json"
          w={320}
          clearable
          onChange={(file) => void open(file)}
        />
        <FormProblem message={tried.problemOf('') ?? keeping.problemOf('')} />
        {read ? (
          <>
            <List aria-label="What it brings">
              {read.entries.map((line) => (
                <List.Item key={line}>{line}</List.Item>
              ))}
            </List>
            {read.known > 0 ? <Text>So already here: {count(read.known, 'entry', 'entries')}.</Text> : null}
            <Preview preview={read} />
            <Button
              variant="filled"
              loading={keeping.busy}
              disabled={read.entries.length === 0}
              onClick={() => void keep()}
            >
              Keep it for this studio
            </Button>
          </>
        ) : null}
        {kept === null ? null : (
          <Text role="status" fw={600}>
            {count(kept, 'entry', 'entries')} kept.
          </Text>
        )}
      </Stack>
    </section>
  )
}
