'use client'

import { Button, Collapse, Group, Select, Stack, Text } from '@mantine/core'
import { useDisclosure } from '@mantine/hooks'
import { useState } from 'react'
import type { Part } from '@/core/classes/lock'
import type { OverrideReason } from '@/core/classes/override'
import { OVERRIDE_WORD } from '@/core/words/override'
import { FormProblem } from '@/ui/form-problem'
import type { DoingView } from '../doing-view'
import type { PlanView } from '../plan-queries'
import { useVersion } from './use-version'

/** Change somebody's version by hand; the rest is planned again round it. */
export function VersionPicker({
  classId,
  part,
  title,
  doings,
  choices,
}: {
  classId: string
  part: Part
  title: string
  doings: readonly DoingView[]
  choices: PlanView['choices']
}) {
  const [opened, { toggle }] = useDisclosure()
  return (
    <div>
      <Button
        size="compact-md"
        onClick={toggle}
        aria-expanded={opened}
        aria-label={`Change versions: ${title}`}
      >
        {opened ? 'Close' : 'Change versions'}
      </Button>
      <Collapse expanded={opened}>
        <Stack gap="xs" mt="xs">
          {doings.map((doing) => (
            <OneVersion
              key={doing.studentId}
              {...{ classId, part, doing }}
              choices={choices.find((c) => c.studentId === doing.studentId)?.[part] ?? []}
            />
          ))}
        </Stack>
      </Collapse>
    </div>
  )
}

function OneVersion({
  classId,
  part,
  doing,
  choices,
}: {
  classId: string
  part: Part
  doing: DoingView
  choices: PlanView['choices'][number][Part]
}) {
  const [wanted, setWanted] = useState<string | null>(null)
  const version = useVersion(classId, part)
  const store = async (stageId: string | null, reason: OverrideReason | null): Promise<void> => {
    if (await version.choose(doing.studentId, stageId, reason)) setWanted(null)
  }
  return (
    <Stack gap={4}>
      <FormProblem message={version.problem} />
      <Group align="flex-end" gap="sm">
        <Select
          size="sm"
          w={340}
          label={doing.name}
          searchable
          data={choices.map((choice) => ({ value: choice.id, label: choice.label }))}
          value={wanted ?? doing.variantId}
          onChange={(id) => {
            const choice = choices.find((c) => c.id === id)
            if (!choice) return
            if (choice.allowed) void store(choice.id, 'other')
            else setWanted(choice.id)
          }}
        />
        {doing.override ? (
          <Button size="sm" onClick={() => void store(null, null)}>
            Back to what is recorded
          </Button>
        ) : null}
      </Group>
      {wanted ? (
        <Group gap="xs" role="group" aria-label={`Why ${doing.name} may do this`}>
          <Text size="sm">Your call. Why?</Text>
          {(Object.keys(OVERRIDE_WORD) as OverrideReason[]).map((reason) => (
            <Button key={reason} size="sm" loading={version.busy} onClick={() => void store(wanted, reason)}>
              {OVERRIDE_WORD[reason]}
            </Button>
          ))}
          <Button size="sm" variant="subtle" c="var(--ink)" onClick={() => setWanted(null)}>
            Leave it
          </Button>
        </Group>
      ) : null}
    </Stack>
  )
}
