'use client'

import { Button, Grid, GridCol, Group, Select, Stack, TextInput } from '@mantine/core'
import type { SegmentName } from '@/core/body/anthropometry'
import { AGE_BANDS, type AgeBand } from '@/core/screening/minor'
import { AGE_WORD, GUARDIAN_ASKS } from '@/core/words/age'
import { FormProblem } from '@/ui/form-problem'
import { FormEnd, FormShell } from '@/ui/form-shell'
import { useForm } from '../../use-form'
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
  ageBand: AgeBand | null
  guardian: string
  guardianDay: string
  measured: Partial<Record<SegmentName, string>>
  archived: boolean
}

/** Name, height, breath, and the body with the lengths that were measured by hand; the rest are shown as estimates. */
export function ProfileForm({ initial, measuring }: { initial: ProfileValues; measuring: Measuring }) {
  const { values, change, field, busy, problemOf, keep, said } = useForm(initial, saveStudent)
  const submit = () => {
    const { archived: _, ...profile } = values
    return keep(profile)
  }
  return (
    <FormShell maxWidth={1180} problem={problemOf('') ?? problemOf('id')} onSubmit={submit}>
      <Grid gap="xl">
        <GridCol span={{ base: 12, md: 4 }}>
          <Stack>
            <TextInput label="Name" {...field('name')} />
            <TextInput
              label="Height"
              description="168, 1.68 m or 5'6&quot;"
              inputWrapperOrder={['label', 'input', 'description', 'error']}
              {...field('stature')}
            />
            <Group align="flex-end">
              <TextInput label="One breath, seconds" w={180} inputMode="decimal" {...field('breath')} />
              <BreathTapper onMeasured={(seconds) => change({ breath: String(seconds) })} />
            </Group>
            <TextInput
              label="Whom to ring"
              description="Name and number, for an emergency"
              inputWrapperOrder={['label', 'input', 'description', 'error']}
              {...field('contact')}
            />
            <Select
              label="Age"
              description="Only as far as the practice asks"
              inputWrapperOrder={['label', 'input', 'description', 'error']}
              clearable
              placeholder="Not said"
              data={AGE_BANDS.map((value) => ({ value, label: AGE_WORD[value] }))}
              {...field('ageBand')}
            />
            {values.ageBand === 'under-18' ? (
              <>
                <TextInput label="Guardian" {...field('guardian')} />
                <TextInput
                  label="The guardian agreed on"
                  type="date"
                  description={GUARDIAN_ASKS}
                  inputWrapperOrder={['label', 'input', 'description', 'error']}
                  {...field('guardianDay')}
                />
              </>
            ) : null}
            <FormEnd label="Save profile" {...{ busy, said }} />
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
      <Button loading={busy} onClick={() => void send({ id, back: archived })}>
        {archived ? `Bring ${name} back` : `Archive ${name}`}
      </Button>
    </Stack>
  )
}
