'use client'

import { Button, FileInput, Group, PasswordInput, Stack, Text, Title } from '@mantine/core'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { count } from '@/core/words/number'
import { FormProblem } from '@/ui/form-problem'
import type { Answer, Problem } from '../../answer'
import { sendFile } from '../send-file'

type Taken = { rows: number; health: boolean }

/** A studio's file into an empty studio; where somebody is here already it is said and nothing can be pressed. */
export function BringIn({ isEmpty }: { isEmpty: boolean }) {
  const router = useRouter()
  const [file, setFile] = useState<File | null>(null)
  const [passphrase, setPassphrase] = useState('')
  const [busy, setBusy] = useState(false)
  const [problems, setProblems] = useState<readonly Problem[]>([])
  const [taken, setTaken] = useState<Taken | null>(null)
  const bring = async (): Promise<void> => {
    if (!file) return
    setBusy(true)
    const answer = await bringIn(file, passphrase)
    setBusy(false)
    setProblems(answer.ok ? [] : answer.problems)
    if (!answer.ok) return
    setTaken(answer.value)
    router.refresh()
  }
  const problemOf = (path: string): string | undefined => problems.find((p) => p.path === path)?.message
  return (
    <section className="card" aria-label="Bring a studio in">
      <Stack gap="sm" align="flex-start">
        <Title order={2}>Bring a studio in</Title>
        {taken ? (
          <Text role="status" fw={600}>
            {count(taken.rows, 'record')} brought in{taken.health ? ', health notes among them' : ''}.
          </Text>
        ) : isEmpty ? (
          <>
            <Text>Nobody is here yet: a studio’s file can be brought in whole.</Text>
            <Group align="flex-start">
              <FileInput
                label="A studio’s file"
                accept="application/zip"
                w={320}
                value={file}
                onChange={setFile}
              />
              <PasswordInput
                label="Passphrase, where it has health notes"
                w={320}
                value={passphrase}
                autoComplete="off"
                error={problemOf('passphrase')}
                onChange={(e) => setPassphrase(e.currentTarget.value)}
              />
            </Group>
            <FormProblem message={problemOf('')} />
            <Button variant="filled" loading={busy} disabled={file === null} onClick={() => void bring()}>
              Bring it in
            </Button>
          </>
        ) : (
          <Text>
            Somebody is here already. A studio’s file goes into an empty installation, so that nothing of
            either is mixed.
          </Text>
        )}
      </Stack>
    </section>
  )
}

function bringIn(file: File, passphrase: string): Promise<Answer<Taken>> {
  const form = new FormData()
  form.set('file', file)
  form.set('passphrase', passphrase)
  return sendFile('/studio-file/brought', form)
}
