'use client'

import { Button, Group, Stack, Text } from '@mantine/core'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { newId } from '@/device/facts'
import { FormProblem } from '@/ui/form-problem'
import { TextLink } from '@/ui/text-link'
import { useSubmit } from '../../use-submit'
import { addOwnDrill, restOwnDrill } from '../actions'
import type { OwnField, OwnView } from '../queries'
import { OwnFieldInput } from './own-field'

/** A drill of the studio's own, built on this one: its loads, props and picture stay, words and dose are the studio's. */
export function BuildDrill({ base, name, fields }: { base: string; name: string; fields: OwnField[] }) {
  const router = useRouter()
  const [typed, setTyped] = useState(() => Object.fromEntries(fields.map((f) => [f.key, f.value])))
  const { busy, problemOf, send } = useSubmit(addOwnDrill)
  return (
    <Stack gap="sm">
      <Text>
        It loads the body as {name} does, needs the same props and keeps to the same ranges; limits close and
        change it in the same way. Planner, sheets and home practice know it by the name it gets here.
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
          loading={busy}
          onClick={() =>
            void send({ id: newId(), base, typed }).then(
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

/** What an own drill is built on; it can rest and be taken up again. */
export function BuiltOn({ id, built }: { id: string; built: NonNullable<OwnView['built']> }) {
  const { busy, problemOf, send } = useSubmit(restOwnDrill)
  return (
    <>
      <Group gap="sm">
        <Text>
          Our own, built on <TextLink href={`/library/${built.onId}`}>{built.on}</TextLink>.
          {built.rests ? ' It rests: no plan takes it.' : ''}
        </Text>
        <Button
          variant="default"
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
