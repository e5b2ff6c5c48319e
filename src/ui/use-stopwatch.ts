'use client'

import { useCallback, useEffect, useRef, useState } from 'react'

export type Stopwatch = {
  readonly running: boolean
  readonly seconds: number
  readonly start: () => void
  readonly stop: () => number
  readonly reset: () => void
}

/**
 * Seconds since start on the monotonic clock. If the device sleeps, that clock stands still on some systems, so wall
 * time is taken where it has run further.
 */
export function useStopwatch(): Stopwatch {
  const [running, setRunning] = useState(false)
  const [seconds, setSeconds] = useState(0)
  const began = useRef({ monotonic: 0, wall: 0 })

  const elapsed = useCallback(
    () => Math.max(performance.now() - began.current.monotonic, Date.now() - began.current.wall) / 1000,
    [],
  )
  useEffect(() => {
    if (!running) return
    const timer = setInterval(() => setSeconds(elapsed()), 100)
    return () => clearInterval(timer)
  }, [running, elapsed])

  const start = useCallback(() => {
    began.current = { monotonic: performance.now(), wall: Date.now() }
    setSeconds(0)
    setRunning(true)
  }, [])
  const stop = useCallback(() => {
    const final = elapsed()
    setSeconds(final)
    setRunning(false)
    return final
  }, [elapsed])
  const reset = useCallback(() => {
    setRunning(false)
    setSeconds(0)
  }, [])
  return { running, seconds, start, stop, reset }
}
