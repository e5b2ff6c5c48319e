'use client'

import { Button, Checkbox, Group, SimpleGrid, Stack, Switch, Text, TextInput, Title } from '@mantine/core'
import { useState } from 'react'
import { newId } from '@/device/facts'
import { FormProblem } from '@/ui/form-problem'
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
        <HelperCard
          key={helper.id}
          helper={helper}
          assists={assists}
          isNew={false}
          onAdded={() => undefined}
        />
      ))}
      <Title order={2} fz="xl" mt="md">
        Add somebody
      </Title>
      <HelperCard
        key={blank}
        isNew
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
  isNew,
  onAdded,
}: {
  helper: Helper
  assists: readonly Assist[]
  isNew: boolean
  onAdded: () => void
}) {
  const [values, setValues] = useState(helper)
  const [saved, setSaved] = useState(false)
  const save = useSubmit(saveHelper)
  const remove = useSubmit(removeHelper)
  const change = (part: Partial<Helper>): void => {
    setSaved(false)
    setValues((all) => ({ ...all, ...part }))
  }
  return (
    <Stack className="card" gap="sm" role="group" aria-label={isNew ? 'New helper' : helper.name}>
      <FormProblem message={save.problemOf('') ?? remove.problemOf('')} />
      <Group align="flex-end">
        <TextInput
          label="Name"
          w={240}
          value={values.name}
          error={save.problemOf('name')}
          onChange={(e) => change({ name: e.currentTarget.value })}
        />
        <Switch
          label="Willing today"
          mb={10}
          checked={values.willing}
          onChange={(e) => change({ willing: e.currentTarget.checked })}
        />
      </Group>
      <Checkbox.Group
        label="Trained for"
        value={values.trained}
        error={save.problemOf('trained')}
        onChange={(trained) => change({ trained })}
      >
        <SimpleGrid cols={{ base: 1, xs: 2, md: 3 }} mt={6}>
          {assists.map((a) => (
            <Checkbox key={a.value} value={a.value} label={a.label} />
          ))}
        </SimpleGrid>
      </Checkbox.Group>
      <Group>
        <Button
          variant={isNew ? 'filled' : 'default'}
          loading={save.busy}
          onClick={() =>
            void save.send(values).then((ok) => {
              setSaved(ok === true)
              if (!ok) return
              if (isNew) onAdded()
            })
          }
        >
          {isNew ? 'Add' : 'Save'}
        </Button>
        {isNew ? null : (
          <AskFirst
            label="Take off the list"
            what={helper.name}
            onSure={() => void remove.send({ id: helper.id })}
          />
        )}
        <Text role="status">{saved ? 'Saved.' : ''}</Text>
      </Group>
    </Stack>
  )
}
