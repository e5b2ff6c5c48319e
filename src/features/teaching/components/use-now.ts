'use client'

import { useEffect, useState } from 'react'
import { isKeeping } from '@/device/log'

/** So soon after a tap the clock is drawn again, ms. */
const AFTER_TAP_MS = 40

/** The wall time, ticking; everything is told from moments, so a reload, a sleep or a hidden page loses nothing. */
export function useNow(running: boolean): number {
  const [now, setNow] = useState(0)
  useEffect(() => {
    if (!running) return
    let first: ReturnType<typeof setTimeout>
    const tick = (): void => {
      // A tap that is being kept goes first: what is drawn meanwhile would hold it up on a slow tablet.
      if (isKeeping()) first = setTimeout(tick, AFTER_TAP_MS)
      else setNow(Date.now())
    }
    first = setTimeout(tick, 0)
    const timer = setInterval(tick, 250)
    document.addEventListener('visibilitychange', tick)
    return () => {
      clearTimeout(first)
      clearInterval(timer)
      document.removeEventListener('visibilitychange', tick)
    }
  }, [running])
  return now
}
