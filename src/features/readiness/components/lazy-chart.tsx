'use client'

import { useInViewport } from '@mantine/hooks'
import dynamic from 'next/dynamic'
import type { PersonReadiness } from '../person-queries'

/** The chart and its library come only once the place for it is in view: the table below says the same. */
const HoldChart = dynamic(() => import('./hold-chart').then((m) => m.HoldChart), { ssr: false })

export function LazyChart({ holds }: { holds: PersonReadiness['holds'] }) {
  const { ref, inViewport } = useInViewport()
  return (
    <div ref={ref} style={{ minHeight: 200 }}>
      {inViewport ? <HoldChart holds={holds} /> : null}
    </div>
  )
}
