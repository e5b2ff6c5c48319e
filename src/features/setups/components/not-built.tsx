'use client'

import { Button, Group, Text } from '@mantine/core'
import { entryOf } from '@/core/setups/entries'
import { LinkButton } from '@/ui/link-button'
import type { BenchPerson } from '../queries'
import { Notice } from '@/ui/notice'

/** A setup that cannot be built here: why, what is nearest to it, and where the cupboard is. */
export function NotBuilt({
  setupId,
  refusal,
  person,
  labelOf,
  onPick,
}: {
  setupId: string
  refusal: string | null
  /** Whoever stands on the bench: what is closed to them tonight is not offered instead. */
  person: Pick<BenchPerson, 'bySetup'> | undefined
  labelOf: (id: string) => string
  onPick: (id: string) => void
}) {
  const { more, less } = entryOf(setupId)
  const near = [...new Set([...more, ...less])].filter(
    (id) => id !== setupId && person?.bySetup[id]?.closed !== true,
  )
  return (
    <Notice tone="straw" title={`${labelOf(setupId)}: not with what is here`}>
      <Text>{refusal ?? 'Nothing here fits it.'}</Text>
      <Group mt="sm" role="group" aria-label="Instead">
        {near.map((id) => (
          <Button key={id} onClick={() => onPick(id)}>
            {labelOf(id)}
          </Button>
        ))}
        <LinkButton href="/studio/cupboard">What is in the cupboard</LinkButton>
      </Group>
    </Notice>
  )
}
