'use client'

import { Button, Group, Stack, Text } from '@mantine/core'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { newId } from '@/device/facts'
import { FormProblem } from '@/ui/form-problem'
import { TextLink } from '@/ui/text-link'
import { useSubmit } from '../../use-submit'
import { addOwnEntry, restOwnEntry } from '../actions'
import type { OwnView } from '../queries'
import { OwnFieldInput } from './own-field'

/** What follows from it, by its kind. */
const KNOWN_BY = {
  drill: 'Planner, sheets and home practice know it by the name it gets here.',
  stage:
    'It is open to whoever holds that step, and stands beside the ladder: what is clean there proves nothing further up, and a fault or a fall there counts against that step.',
} as const

/** One of the studio's own, built on this one: its loads, props and picture stay, words and dose are the studio's. */
export function BuildOwn({
  base,
  name,
  toBuild: { kind, fields },
}: {
  base: string
  name: string
  toBuild: NonNullable<OwnView['toBuild']>
}) {
  const router = useRouter()
  const [typed, setTyped] = useState(() => Object.fromEntries(fields.map((f) => [f.key, f.value])))
  const { busy, problemOf, send } = useSubmit(addOwnEntry)
  return (
    <Stack gap="sm">
      <Text>
        It loads the body as {name} does, needs the same props and keeps to the same ranges; limits close and
        change it in the same way. {KNOWN_BY[kind]}
      </Text>
      {fields.map((field) => (
        <OwnFieldInput
          key={field.key}
          field={field}
          value={typed[field.key] ?? ''}
          error={problemOf(field.key)}
          onChange={(value) => setTyped((now) => ({ ...now, [field.key]: value }))}
        />
      ))}
      <FormProblem message={problemOf('')} />
      <Group>
        <Button
          variant="filled"
          loading={busy}
          onClick={() =>
            void send({ id: newId(), kind, base, typed }).then(
              (made) => made && router.push(`/library/${made.target}`),
            )
          }
        >
          Keep it as our own
        </Button>
      </Group>
    </Stack>
  )
}

/** What one of the studio's own is built on; it can rest and be taken up again. */
export function BuiltOn({ id, built }: { id: string; built: NonNullable<OwnView['built']> }) {
  const { busy, problemOf, send } = useSubmit(restOwnEntry)
  return (
    <>
      <Group gap="sm">
        <Text>
          Our own, built on <TextLink href={`/library/${built.onId}`}>{built.on}</TextLink>.
          {built.rests ? ' It rests: no plan takes it.' : ''}
        </Text>
        <Button
          className="no-print"
          loading={busy}
          onClick={() => void send({ id: newId(), target: id, used: built.rests })}
        >
          {built.rests ? 'Take it up again' : 'Let it rest'}
        </Button>
      </Group>
      <FormProblem message={problemOf('')} />
    </>
  )
}
