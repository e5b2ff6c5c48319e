'use client'

import { Button, Checkbox, Stack, Text, Title } from '@mantine/core'
import { useSyncExternalStore } from 'react'
import { FLOOR_CHECK } from '@/core/words/floor-check'
import { useKept } from '@/device/use-log'
import { SecondTablet } from './second-tablet'
import { Notice } from '@/ui/notice'

type Props = { classId: string; people: number; minutes: number; first: string; onStart: () => void }

/** What an address grants does not change while it is open. */
const never = (): (() => void) => () => undefined

/** Before the first person goes up: what this device holds, six looks at wall and props, then the clock. */
export function BeforeClass({ classId, people, minutes, first, onStart }: Props) {
  const [{ seen }, keep] = useKept<{ seen: string[] }>(`floor-check ${classId}`, { seen: [] })
  const left = FLOOR_CHECK.length - seen.length
  const isSafe = useSyncExternalStore(
    never,
    () => window.isSecureContext,
    () => true,
  )
  return (
    <Stack align="flex-start">
      <Text fz="lg">
        {people} people, {minutes} minutes; all {people} cards are on this screen. First: {first}.
      </Text>
      {isSafe ? null : (
        <Notice tone="straw" title="This address is not secure">
          Here the class does not open without the server, and the screen may go dark by itself. Taps are
          still kept on this device first. The studio’s HTTPS address has both: on the laptop, start with{' '}
          <code>--lan</code>.
        </Notice>
      )}
      <section className="card" aria-label="Wall and props">
        <Title order={2} fz="xl">
          Look before anybody goes up
        </Title>
        <Checkbox.Group value={seen} onChange={(value) => keep({ seen: value })} mt="sm">
          <Stack gap="sm">
            {FLOOR_CHECK.map(({ id, label, ask }) => (
              <Checkbox key={id} value={id} size="md" label={`${label}: ${ask}`} />
            ))}
          </Stack>
        </Checkbox.Group>
        <Text mt="sm" role="status" fw={600}>
          {left === 0 ? 'All six looked at.' : `${left} of ${FLOOR_CHECK.length} still to look at.`}
        </Text>
      </section>
      <Button variant="filled" size="xl" mih={64} onClick={onStart}>
        Start the class
      </Button>
      <SecondTablet classId={classId} />
    </Stack>
  )
}
