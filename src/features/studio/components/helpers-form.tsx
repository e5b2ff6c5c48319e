'use client'

import { Checkbox, Group, SimpleGrid, Stack, Switch, TextInput, Title } from '@mantine/core'
import { useState } from 'react'
import { newId } from '@/device/facts'
import { FormEnd, FormShell } from '@/ui/form-shell'
import { useForm } from '../../use-form'
import { useSubmit } from '../../use-submit'
import { removeHelper, saveHelper } from '../actions'
import type { Helper } from '../queries'
import { AskFirst } from '@/ui/ask-first'

type Assist = { value: string; label: string }

/** Who helps with hands, in what they were trained, and whether today. */
export function Helpers({ people, assists }: { people: readonly Helper[]; assists: readonly Assist[] }) {
  const [blank, setBlank] = useState(() => newId())
  return (
    <Stack maw={860}>
      {people.map((helper) => (
        <HelperCard key={helper.id} helper={helper} assists={assists} />
      ))}
      <Title order={2} fz="xl" mt="md">
        Add somebody
      </Title>
      <HelperCard
        key={blank}
        assists={assists}
        onAdded={() => setBlank(newId())}
        helper={{ id: blank, name: '', trained: [], willing: true }}
      />
    </Stack>
  )
}

function HelperCard({
  helper,
  assists,
  onAdded,
}: {
  helper: Helper
  assists: readonly Assist[]
  /** Given where the helper is a new one. */
  onAdded?: () => void
}) {
  const isNew = onAdded !== undefined
  const { values, field, tick, busy, problemOf, keep, said } = useForm(helper, saveHelper)
  const remove = useSubmit(removeHelper)
  const submit = async (): Promise<void> => {
    if (await keep(values)) onAdded?.()
  }
  return (
    <FormShell
      className="card"
      gap="sm"
      label={isNew ? 'New helper' : helper.name}
      problem={problemOf('') ?? remove.problemOf('')}
      onSubmit={submit}
    >
      <Group align="flex-end">
        <TextInput label="Name" w={240} {...field('name')} />
        <Switch label="Willing today" mb={10} {...tick('willing')} />
      </Group>
      <Checkbox.Group label="Trained for" {...field('trained')}>
        <SimpleGrid cols={{ base: 1, xs: 2, md: 3 }} mt={6}>
          {assists.map((a) => (
            <Checkbox key={a.value} value={a.value} label={a.label} />
          ))}
        </SimpleGrid>
      </Checkbox.Group>
      <FormEnd label={isNew ? 'Add' : 'Save'} variant={isNew ? 'filled' : 'default'} {...{ busy, said }}>
        {isNew ? null : (
          <AskFirst
            label="Take off the list"
            what={helper.name}
            onSure={() => void remove.send({ id: helper.id })}
          />
        )}
      </FormEnd>
    </FormShell>
  )
}
