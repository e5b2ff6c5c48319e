'use client'

import { Button, Group, Select, Stack, Text } from '@mantine/core'
import { useState } from 'react'
import { FormProblem } from '@/ui/form-problem'
import { useFact } from '../../use-fact'

/** A teacher who knows somebody may place them by eye; it lasts 28 days unless shown. */
export function PlaceForm({
  studentId,
  stages,
  placed,
}: {
  studentId: string
  stages: readonly { id: string; label: string }[]
  placed: boolean
}) {
  const [stageId, setStageId] = useState<string | null>(null)
  const { busy, problemOf, save } = useFact()
  const place = (id: string | null): void => {
    void save({ kind: 'placement', studentId, stageId: id }).then((stored) => {
      if (stored) setStageId(null)
    })
  }
  return (
    <Stack gap="xs">
      <FormProblem message={problemOf('')} />
      <Group align="flex-end">
        <Select
          label="Place by eye"
          placeholder="Pick a stage"
          searchable
          w={300}
          data={stages.map((s) => ({ value: s.id, label: s.label }))}
          value={stageId}
          onChange={setStageId}
        />
        <Button loading={busy} disabled={stageId === null} onClick={() => place(stageId)}>
          Place here
        </Button>
        {placed ? (
          <Button variant="subtle" c="var(--ink)" loading={busy} onClick={() => place(null)}>
            Take the placing back
          </Button>
        ) : null}
      </Group>
      <Text size="sm" c="dimmed">
        Lasts 28 days unless shown. It credits what comes before and opens nothing with a high fall.
      </Text>
    </Stack>
  )
}
