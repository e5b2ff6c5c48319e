'use client'

import { LineChart } from '@mantine/charts'
import type { PersonReadiness } from '../person-queries'

/** Dolphin holds over time. */
export function HoldChart({ holds }: { holds: PersonReadiness['holds'] }) {
  return (
    <LineChart
      h={200}
      data={holds.map((h) => ({ day: h.label, seconds: h.seconds }))}
      dataKey="day"
      series={[{ name: 'seconds', label: 'Dolphin hold, s', color: 'plum.5' }]}
      curveType="linear"
      withLegend
    />
  )
}
