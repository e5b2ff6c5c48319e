'use client'

import { Text } from '@mantine/core'
import type { TeachData } from '../queries'
import classes from './class-foot.module.css'

/** What stands on the emergency card, from what lies on this device. */
export function EmergencyCard({ lines }: { lines: TeachData['emergency'] }) {
  return (
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
  )
}
