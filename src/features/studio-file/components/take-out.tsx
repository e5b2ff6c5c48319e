'use client'

import { Button, Checkbox, Group, PasswordInput, Stack, Text, Title } from '@mantine/core'
import { useState } from 'react'
import { FormProblem } from '@/ui/form-problem'
import { saveBlob, saveFile } from '@/ui/save-file'
import type { Answer, Problem } from '../../answer'
import { useSubmit } from '../../use-submit'
import { csvOut } from '../actions'

const SHEETS = [
  ['students', 'Students'],
  ['results', 'Results'],
  ['tries', 'Tries'],
  ['attendance', 'Attendance'],
] as const
const UNREACHED: readonly Problem[] = [
  { path: '', message: 'The server did not answer. Nothing was taken out; try again when it is back.' },
]

/** The whole studio as one file, and tables for a spreadsheet. */
export function TakeOut() {
  const [health, setHealth] = useState(false)
  const [passphrase, setPassphrase] = useState('')
  const [again, setAgain] = useState('')
  const [busy, setBusy] = useState(false)
  const [problems, setProblems] = useState<readonly Problem[]>([])
  const csv = useSubmit(csvOut)
  const differs = health && again !== passphrase
  const take = async (): Promise<void> => {
    setBusy(true)
    setProblems(await takeOut(health, passphrase).catch(() => UNREACHED))
    setBusy(false)
  }
  const sheet = async (what: (typeof SHEETS)[number][0]): Promise<void> => {
    const file = await csv.send({ what })
    if (file) saveFile(file.name, 'text/csv', file.text)
  }
  return (
    <section className="card" aria-label="Take it out">
      <Stack gap="sm" align="flex-start">
        <Title order={2}>Take it out</Title>
        <Text>
          One file with everything: people, classes, plans, results, room and cupboard. It can be read with
          any editor, and goes back into an empty studio as it was.
        </Text>
        <Checkbox
          checked={health}
          onChange={(e) => setHealth(e.currentTarget.checked)}
          label="With health notes, reports and notes, sealed with a passphrase"
        />
        {health ? (
          <Group align="flex-start">
            <PasswordInput
              label="Passphrase"
              description="Ten characters or more. Without it nobody opens them, you neither."
              w={320}
              value={passphrase}
              autoComplete="new-password"
              error={problems.find((p) => p.path === 'passphrase')?.message}
              onChange={(e) => setPassphrase(e.currentTarget.value)}
            />
            <PasswordInput
              label="Once more"
              description="So that a slip does not lock it."
              w={320}
              value={again}
              autoComplete="new-password"
              error={differs && again !== '' ? 'The two differ.' : undefined}
              onChange={(e) => setAgain(e.currentTarget.value)}
            />
          </Group>
        ) : null}
        <FormProblem message={problems.find((p) => p.path === '')?.message ?? csv.problemOf('')} />
        <Button variant="filled" loading={busy} disabled={differs} onClick={() => void take()}>
          Take it all out
        </Button>
        <Text fw={600}>For a spreadsheet, without a word of health</Text>
        <Group>
          {SHEETS.map(([what, label]) => (
            <Button key={what} loading={csv.busy} onClick={() => void sheet(what)}>
              {label}
            </Button>
          ))}
        </Group>
      </Stack>
    </section>
  )
}

async function takeOut(health: boolean, passphrase: string): Promise<readonly Problem[]> {
  const answer = await fetch('/studio-file/taken', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ health, passphrase: health ? passphrase : '' }),
  })
  if (!answer.ok) {
    const said = (await answer.json()) as Answer<never>
    return said.ok ? [] : said.problems
  }
  const name = /filename="(.+)"/.exec(answer.headers.get('content-disposition') ?? '')?.[1]
  saveBlob(name ?? 'studio.zip', await answer.blob())
  return []
}
