'use client'

import { CompositeChart } from '@mantine/charts'
import type { MeasureView } from '../person-queries'

const DAY = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', timeZone: 'UTC' })

function dayOf(at: unknown): string {
  return typeof at === 'number' ? DAY.format(at) : ''
}

/** One measure over time: days that counted, days that did not, what is asked, and where the line may go on. */
export function MeasureChart({ measure }: { measure: MeasureView }) {
  const { points, wanted, unit, name } = measure
  return (
    <CompositeChart
      h={220}
      aria-label={`${name} over time`}
      data={points}
      dataKey="at"
      unit={unit === 'deg' ? '°' : undefined}
      curveType="linear"
      series={[
        { name: 'band', label: 'at this rate', color: 'slate.4', type: 'area' },
        { name: 'counted', label: 'counted', color: 'plum.5', type: 'line' },
        { name: 'other', label: 'proves nothing', color: 'clay.4', type: 'line' },
      ]}
      lineProps={({ name: series }) => (series === 'other' ? { strokeWidth: 0 } : {})}
      referenceLines={wanted === null ? [] : [{ y: wanted, label: 'asked', color: 'slate.7' }]}
      xAxisProps={{ type: 'number', domain: ['dataMin', 'dataMax'], tickFormatter: dayOf, scale: 'time' }}
      tooltipProps={{ labelFormatter: (at) => dayOf(at) }}
      withLegend
    />
  )
}
