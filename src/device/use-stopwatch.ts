'use client'

import { useCallback, useEffect, useRef, useState } from 'react'
import { elapsedMs, type Moment } from '@/core/elapsed'
import { momentNow } from './moment'

export type Stopwatch = {
  readonly running: boolean
  readonly seconds: number
  readonly start: () => void
  readonly stop: () => number
  readonly reset: () => void
}

/** Seconds since start, right across a sleep of the device and a clock that is set. */
export function useStopwatch(): Stopwatch {
  const [running, setRunning] = useState(false)
  const [seconds, setSeconds] = useState(0)
  const began = useRef<Moment | null>(null)

  const elapsed = useCallback(
    () => (began.current === null ? 0 : elapsedMs(began.current, momentNow()) / 1000),
    [],
  )
  useEffect(() => {
    if (!running) return
    const timer = setInterval(() => setSeconds(elapsed()), 100)
    return () => clearInterval(timer)
  }, [running, elapsed])

  const start = useCallback(() => {
    began.current = momentNow()
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
