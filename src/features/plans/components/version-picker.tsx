'use client'

import { Button, Collapse, Group, Select, Stack, Text } from '@mantine/core'
import { useDisclosure } from '@mantine/hooks'
import { useState } from 'react'
import type { OverrideReason } from '@/core/classes/override'
import { OVERRIDE_WORD } from '@/core/words/override'
import { newId, newStamp } from '@/device/facts'
import { FormProblem } from '@/ui/form-problem'
import { useSubmit } from '../../use-submit'
import { setVersion } from '../actions'
import type { VersionView } from '../version-view'

type Part = 'skill' | 'waves'

/** Change somebody's version by hand; the rest is planned again round it. */
export function VersionPicker({
  classId,
  part,
  versions,
}: {
  classId: string
  part: Part
  versions: readonly VersionView[]
}) {
  const [opened, { toggle }] = useDisclosure()
  return (
    <div className="no-print">
      <Button variant="subtle" c="var(--ink)" mt="xs" onClick={toggle} aria-expanded={opened}>
        {opened ? 'Close' : `Change versions, ${part === 'skill' ? 'dolphin' : 'wall'}`}
      </Button>
      <Collapse expanded={opened}>
        <Stack gap="xs" mt="xs">
          {versions.map((version) => (
            <OneVersion key={version.studentId} classId={classId} part={part} version={version} />
          ))}
        </Stack>
      </Collapse>
    </div>
  )
}

function OneVersion({ classId, part, version }: { classId: string; part: Part; version: VersionView }) {
  const [wanted, setWanted] = useState<string | null>(null)
  const choose = useSubmit(setVersion)
  const store = async (stageId: string | null, reason: OverrideReason | null): Promise<void> => {
    const stamp = await newStamp()
    const lock = { kind: 'lock' as const, classId, studentId: version.studentId, part, stageId, reason }
    if (await choose.send({ ...lock, ...stamp, planId: newId() })) setWanted(null)
  }
  return (
    <Stack gap={4}>
      <FormProblem message={choose.problemOf('')} />
      <Group align="flex-end" gap="sm">
        <Select
          size="sm"
          w={340}
          label={version.name}
          searchable
          data={version.choices.map((choice) => ({ value: choice.id, label: choice.label }))}
          value={wanted ?? version.stageId}
          onChange={(id) => {
            const choice = version.choices.find((c) => c.id === id)
            if (!choice) return
            if (choice.allowed) void store(choice.id, 'other')
            else setWanted(choice.id)
          }}
        />
        {version.override ? (
          <Button size="sm" variant="default" onClick={() => void store(null, null)}>
            Back to what is recorded
          </Button>
        ) : null}
      </Group>
      {wanted ? (
        <Group gap="xs" role="group" aria-label={`Why ${version.name} may do this`}>
          <Text size="sm">Your call. Why?</Text>
          {(Object.keys(OVERRIDE_WORD) as OverrideReason[]).map((reason) => (
            <Button
              key={reason}
              size="sm"
              variant="default"
              loading={choose.busy}
              onClick={() => void store(wanted, reason)}
            >
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
