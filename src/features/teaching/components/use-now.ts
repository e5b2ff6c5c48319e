'use client'

import { useEffect, useState } from 'react'

/** The wall time, ticking; everything is told from moments, so a reload, a sleep or a hidden page loses nothing. */
export function useNow(running: boolean): number {
  const [now, setNow] = useState(0)
  useEffect(() => {
    if (!running) return
    const tick = (): void => setNow(Date.now())
    const first = setTimeout(tick, 0)
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
