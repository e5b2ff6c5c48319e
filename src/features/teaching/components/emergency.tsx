'use client'

import { Button, Collapse, Text } from '@mantine/core'
import { useDisclosure } from '@mantine/hooks'
import { memo } from 'react'
import type { TeachData } from '../queries'

/** The emergency card, one tap away, from what lies on this device. */
export const Emergency = memo(function Emergency({ lines }: { lines: TeachData['emergency'] }) {
  const [opened, { toggle }] = useDisclosure()
  return (
    <section aria-label="Emergency card">
      <Button
        size="md"
        mih={48}
        color="clay"
        variant="outline"
        c="var(--warn-ink)"
        aria-expanded={opened}
        onClick={toggle}
      >
        {opened ? 'Close the emergency card' : 'Emergency card'}
      </Button>
      <Collapse expanded={opened}>
        {lines.length === 0 ? (
          <Text mt="sm">
            Nothing is on the card yet: fill it in under Studio. Call your emergency number first.
          </Text>
        ) : (
          lines.map(({ label, text }) => (
            <Text key={label} fz="xl" mt="sm">
              <strong>{label}:</strong> {text}
            </Text>
          ))
        )}
      </Collapse>
    </section>
  )
})
