'use client'

import { Button, Group, Stack, Table, Text, TextInput, Title } from '@mantine/core'
import { useState } from 'react'
import { LENGTH_RATIO, SD_FRACTION, SEGMENT_NAMES, type SegmentName } from '@/core/body/anthropometry'
import { STATURE_RANGE } from '@/core/body/estimate'
import { formatLength, parseLength } from '@/core/units'
import { segmentName } from '@/core/words/length'
import { FormProblem } from '@/ui/form-problem'
import { FormShell } from '@/ui/form-shell'
import { useWording } from '@/ui/wording'
import { useSubmit } from '../../use-submit'
import { archive, saveStudent } from '../actions'
import { BreathTapper } from './breath-tapper'

export type ProfileValues = {
  id: string
  name: string
  stature: string
  breath: string
  contact: string
  measured: Partial<Record<SegmentName, string>>
  archived: boolean
}

/** Name, height, breath and the lengths that were measured by hand; the rest are shown as estimates. */
export function ProfileForm({ initial }: { initial: ProfileValues }) {
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
    <FormShell maxWidth={820} problem={problemOf('') ?? problemOf('id')} onSubmit={submit}>
      <Group align="flex-start" grow preventGrowOverflow={false}>
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
      </Group>
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
      <Lengths values={values} change={change} problemOf={problemOf} />
      <Group>
        <Button type="submit" loading={busy}>
          Save profile
        </Button>
        <Text role="status">{saved ? 'Saved.' : ''}</Text>
      </Group>
    </FormShell>
  )
}

function Lengths({
  values,
  change,
  problemOf,
}: {
  values: ProfileValues
  change: (part: Partial<ProfileValues>) => void
  problemOf: (path: string) => string | undefined
}) {
  const wording = useWording()
  const stature = parseLength(values.stature, STATURE_RANGE, wording.units)
  return (
    <div>
      <Title order={2} fz="lg" mb={4}>
        Lengths
      </Title>
      <Text c="dimmed" size="sm" mb="xs">
        Estimated from the height until you measure one. A measured length replaces its estimate everywhere.
      </Text>
      <Table.ScrollContainer minWidth={420}>
        <Table verticalSpacing={4}>
          <Table.Thead>
            <Table.Tr>
              <Table.Th scope="col">Length</Table.Th>
              <Table.Th scope="col">Estimated</Table.Th>
              <Table.Th scope="col">Measured</Table.Th>
              <Table.Th scope="col">In use</Table.Th>
            </Table.Tr>
          </Table.Thead>
          <Table.Tbody>
            {SEGMENT_NAMES.map((segment) => {
              const estimate = stature.ok ? LENGTH_RATIO[segment] * stature.value : null
              const typed = values.measured[segment] ?? ''
              return (
                <Table.Tr key={segment}>
                  <Table.Th scope="row" fw={500}>
                    {segmentName(segment)}
                  </Table.Th>
                  <Table.Td>
                    {estimate === null
                      ? 'height first'
                      : `${formatLength(estimate, wording.units)} ± ${formatLength(2 * SD_FRACTION * estimate, wording.units)}`}
                  </Table.Td>
                  <Table.Td>
                    <TextInput
                      size="sm"
                      w={130}
                      aria-label={`${segmentName(segment)}, measured`}
                      value={typed}
                      error={problemOf(`measured.${segment}`)}
                      onChange={(e) =>
                        change({ measured: { ...values.measured, [segment]: e.currentTarget.value } })
                      }
                    />
                  </Table.Td>
                  <Table.Td>{typed.trim() === '' ? 'estimated' : 'measured'}</Table.Td>
                </Table.Tr>
              )
            })}
          </Table.Tbody>
        </Table>
      </Table.ScrollContainer>
    </div>
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
