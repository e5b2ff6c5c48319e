'use client'

import { Skeleton } from '@mantine/core'
import dynamic from 'next/dynamic'

/** Charts are heavy: they come after the words and the table, which say the same. */
export const LazyMeasureChart = dynamic(() => import('./measure-chart').then((m) => m.MeasureChart), {
  ssr: false,
  loading: () => <Skeleton h={220} />,
})
