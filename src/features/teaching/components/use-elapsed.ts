'use client'

import { useEffect, useState } from 'react'

/** Seconds since a wall-clock moment, ticking; survives a reload and a sleep because it is told from the moment itself. */
export function useElapsed(sinceMs: number, running: boolean): number {
  const [now, setNow] = useState(sinceMs)
  useEffect(() => {
    if (!running) return
    const timer = setInterval(() => setNow(Date.now()), 250)
    return () => clearInterval(timer)
  }, [running])
  return running ? Math.max(0, (now - sinceMs) / 1000) : 0
}
