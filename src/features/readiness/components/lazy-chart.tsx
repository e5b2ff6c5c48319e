'use client'

import { useInViewport } from '@mantine/hooks'
import dynamic from 'next/dynamic'
import { useState } from 'react'
import type { PersonReadiness } from '../person-queries'

/** The chart and its library come only once the place for it has been in view: the table below says the same. */
const HoldChart = dynamic(() => import('./hold-chart').then((m) => m.HoldChart), { ssr: false })

export function LazyChart({ holds }: { holds: PersonReadiness['holds'] }) {
  const { ref, inViewport } = useInViewport()
  const [seen, setSeen] = useState(false)
  if (inViewport && !seen) setSeen(true)
  return (
    <div ref={ref} style={{ minHeight: 200 }}>
      {seen ? <HoldChart holds={holds} /> : null}
    </div>
  )
}
