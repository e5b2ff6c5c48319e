'use client'

import { Button, Grid, GridCol, Group, Stack, Text, TextInput } from '@mantine/core'
import { useState } from 'react'
import type { SegmentName } from '@/core/body/anthropometry'
import { FormProblem } from '@/ui/form-problem'
import { FormShell } from '@/ui/form-shell'
import { useSubmit } from '../../use-submit'
import { archive, saveStudent } from '../actions'
import type { Measuring } from '../queries'
import { BreathTapper } from './breath-tapper'
import { Lengths } from './lengths'

export type ProfileValues = {
  id: string
  name: string
  stature: string
  breath: string
  contact: string
  measured: Partial<Record<SegmentName, string>>
  archived: boolean
}

/** Name, height, breath, and the body with the lengths that were measured by hand; the rest are shown as estimates. */
export function ProfileForm({ initial, measuring }: { initial: ProfileValues; measuring: Measuring }) {
  const [values, setValues] = useState(initial)
  const [saved, setSaved] = useState(false)
  const { busy, problemOf, send } = useSubmit(saveStudent)
  const change = (part: Partial<ProfileValues>): void => {
    setSaved(false)
    setValues((all) => ({ ...all, ...part }))
  }
  const submit = async (): Promise<void> => {
    const { id, name, stature, breath, contact, measured } = values
    const stored = await send({
      id,
      name,
      stature,
      breath,
      contact,
      measured,
    })
    setSaved(stored === true)
  }
  return (
    <FormShell maxWidth={1180} problem={problemOf('') ?? problemOf('id')} onSubmit={submit}>
      <Grid gap="xl">
        <GridCol span={{ base: 12, md: 4 }}>
          <Stack>
            <TextInput
              label="Name"
              value={values.name}
              error={problemOf('name')}
              onChange={(e) => change({ name: e.currentTarget.value })}
            />
            <TextInput
              label="Height"
              description="168, 1.68 m or 5'6&quot;"
              inputWrapperOrder={['label', 'input', 'description', 'error']}
              value={values.stature}
              error={problemOf('stature')}
              onChange={(e) => change({ stature: e.currentTarget.value })}
            />
            <Group align="flex-end">
              <TextInput
                label="One breath, seconds"
                w={180}
                inputMode="decimal"
                value={values.breath}
                error={problemOf('breath')}
                onChange={(e) => change({ breath: e.currentTarget.value })}
              />
              <BreathTapper onMeasured={(seconds) => change({ breath: String(seconds) })} />
            </Group>
            <TextInput
              label="Whom to ring"
              description="Name and number, for an emergency"
              inputWrapperOrder={['label', 'input', 'description', 'error']}
              value={values.contact}
              error={problemOf('contact')}
              onChange={(e) => change({ contact: e.currentTarget.value })}
            />
            <Group>
              <Button type="submit" loading={busy}>
                Save profile
              </Button>
              <Text role="status">{saved ? 'Saved.' : ''}</Text>
            </Group>
          </Stack>
        </GridCol>
        <GridCol span={{ base: 12, md: 8 }}>
          <Lengths
            stature={values.stature}
            measured={values.measured}
            onChange={(measured) => change({ measured })}
            {...{ problemOf, measuring }}
          />
        </GridCol>
      </Grid>
    </FormShell>
  )
}

/** Put somebody away, or bring them back. Nothing is deleted. */
export function ArchiveButton({ id, name, archived }: { id: string; name: string; archived: boolean }) {
  const { busy, problemOf, send } = useSubmit(archive)
  return (
    <Stack gap="xs" align="flex-start">
      <FormProblem message={problemOf('')} />
      <Button variant="default" loading={busy} onClick={() => void send({ id, back: archived })}>
        {archived ? `Bring ${name} back` : `Archive ${name}`}
      </Button>
    </Stack>
  )
}
