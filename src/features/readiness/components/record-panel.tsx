'use client'

import { Stack, Tabs } from '@mantine/core'
import type { PersonReadiness } from '../person-queries'
import { CheckPanel } from './check-panel'
import { Tries } from './tries'
import { TryForm } from './try-form'

/** Record something: a check, or a try at a stage. */
export function RecordPanel({ person }: { person: Omit<PersonReadiness, 'path' | 'next' | 'turnings'> }) {
  return (
    <Tabs defaultValue="check" keepMounted={false}>
      <Tabs.List mb="md">
        <Tabs.Tab value="check" fz="md">
          Check something
        </Tabs.Tab>
        <Tabs.Tab value="try" fz="md">
          Log a try
        </Tabs.Tab>
      </Tabs.List>
      <Tabs.Panel value="check">
        <CheckPanel person={person} />
      </Tabs.Panel>
      <Tabs.Panel value="try">
        <Stack gap="xl">
          <TryForm
            studentId={person.id}
            stages={person.tryStages}
            startAt={person.tryAt}
            allFaults={person.allFaults}
          />
          <Tries studentId={person.id} tries={person.tries} />
        </Stack>
      </Tabs.Panel>
    </Tabs>
  )
}
