'use client'

import { Button, Text } from '@mantine/core'
import { useDisclosure } from '@mantine/hooks'
import type { ReactNode } from 'react'
import type { TeachData } from '../queries'
import classes from './class-foot.module.css'

/**
 * The emergency card, one tap away, from what lies on this device. It opens above its button, which stays where it is.
 * @param children what else stands in the row of its button
 */
export function Emergency({ lines, children }: { lines: TeachData['emergency']; children: ReactNode }) {
  const [opened, { toggle }] = useDisclosure()
  return (
    <>
      {opened ? (
        <section aria-label="Emergency card" className={classes.card}>
          {lines.length === 0 ? (
            <Text fz="xl">
              Nothing is on the card yet: fill it in under Studio. Call your emergency number first.
            </Text>
          ) : (
            lines.map(({ label, text }) => (
              <Text key={label} fz="xl">
                <strong>{label}:</strong> {text}
              </Text>
            ))
          )}
        </section>
      ) : null}
      <div className={classes.row}>
        {children}
        <Button
          size="md"
          mih={48}
          color="clay"
          variant="outline"
          c="var(--warn-ink)"
          aria-expanded={opened}
          onClick={toggle}
        >
          {opened ? 'Close the card' : 'Emergency card'}
        </Button>
      </div>
    </>
  )
}
