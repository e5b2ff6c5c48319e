'use client'

import { Checkbox, List, ListItem, Stack, Text } from '@mantine/core'
import { count } from '@/core/words/number'
import { useKept } from '@/device/use-log'
import type { TeachPerson } from '../queries'
import type { StageBrief } from '../stage-brief'

type Props = { classId: string; person: TeachPerson; stage: StageBrief; children: React.ReactNode }

/** What stands all block long is built step by step before anybody lies in it; the last tick frees the place. */
export function Rig({ classId, person, stage: { id, rig }, children }: Props) {
  const [{ seen }, keep] = useKept<{ seen: string[] }>(`rig ${classId} ${person.id} ${id}`, { seen: [] })
  const { builds, goesIn } = rig
  if (builds.length === 0) return children
  const left = builds.filter((_, i) => !seen.includes(String(i))).length
  return (
    <>
      <Checkbox.Group
        role="group"
        aria-label={`${person.name}: building it`}
        value={seen}
        onChange={(value) => keep({ seen: value })}
      >
        <Stack gap={6}>
          {builds.map((step, i) => (
            <Checkbox key={step} value={String(i)} size="md" label={step} />
          ))}
        </Stack>
      </Checkbox.Group>
      <Text role="status" fw={600}>
        {left === 0 ? 'Built: the place is free.' : `${count(left, 'step')} to go before anybody goes in.`}
      </Text>
      {left === 0 ? (
        <>
          {goesIn.length === 0 ? null : (
            <List size="md" spacing={2} aria-label={`${person.name}: going in`}>
              {goesIn.map((step) => (
                <ListItem key={step}>{step}</ListItem>
              ))}
            </List>
          )}
          {children}
        </>
      ) : null}
    </>
  )
}
