'use client'

import { Button, FileInput, Stack, Text, Title } from '@mantine/core'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { count } from '@/core/words/number'
import { FormProblem } from '@/ui/form-problem'
import type { Answer } from '../../answer'
import { listErased } from '../restore-actions'
import { sendFile, UNREACHED } from '../send-file'

/** A backup put back where nobody is yet, as after a lost machine. */
export function RestoreBackup() {
  const router = useRouter()
  const [file, setFile] = useState<File | null>(null)
  const [busy, setBusy] = useState(false)
  const [answer, setAnswer] = useState<Answer<{ erased: number }> | null>(null)
  const [erased, setErased] = useState<File | null>(null)
  const restore = async (): Promise<void> => {
    if (!file) return
    setBusy(true)
    const listed = erased ? await listErased({ text: await erased.text() }).catch(() => UNREACHED) : null
    setAnswer(
      listed && !listed.ok ? listed : await sendFile<{ erased: number }>('/studio-file/restored', file),
    )
    setBusy(false)
  }
  return (
    <section className="card" aria-label="Put a backup back">
      <Stack gap="sm" align="flex-start">
        <Title order={2}>Put a backup back</Title>
        {answer?.ok ? (
          <>
            <Text role="status" fw={600}>
              Restored.{' '}
              {answer.value.erased === 0
                ? 'Nobody had to be erased again.'
                : `${count(answer.value.erased, 'person', 'people')} erased again.`}
            </Text>
            <Text>
              Sign-ins are those of the backup. The health notes open once their key is typed from its printed
              sheet, under House rules.
            </Text>
            <Button
              variant="filled"
              onClick={() => {
                // Every page kept here is of the empty studio.
                router.refresh()
                router.push('/')
              }}
            >
              Go to Today
            </Button>
          </>
        ) : (
          <>
            <Text>
              A file of the folder “backups”, whole as it is: people, classes, sign-ins and trail. Whoever was
              erased here since is erased from it again.
            </Text>
            <FileInput label="A backup" accept=".sqlite" w={320} value={file} onChange={setFile} />
            <FileInput
              label="Who was erased since, where there is a list"
              description="“erased-ids.txt” of the lost machine: it names nobody"
              accept=".txt"
              w={320}
              clearable
              value={erased}
              onChange={setErased}
            />
            <FormProblem message={answer?.problems[0]?.message} />
            <Button variant="filled" loading={busy} disabled={file === null} onClick={() => void restore()}>
              Put it back
            </Button>
          </>
        )}
      </Stack>
    </section>
  )
}
