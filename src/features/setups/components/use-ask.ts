'use client'

import { useCallback, useEffect, useRef, useState } from 'react'
import { disagreement, type Disagreement } from '@/core/approaches/disagree'
import type { Options } from './bench-state'

/** Asks, once a move is over, whether a hand that disagrees with the way of working means it for always. */
export function useAsk(
  approaches: Readonly<Record<string, string>>,
  options: Options,
  setupId: string,
): { asked: Disagreement | null; ask: () => void; done: () => void } {
  const [asked, setAsked] = useState<Disagreement | null>(null)
  // What is asked once a move is over reads the latest options without making the sliders new each frame.
  const latest = useRef({ options, setupId })
  useEffect(() => {
    latest.current = { options, setupId }
  })
  const ask = useCallback((): void => {
    const { options: now, setupId: id } = latest.current
    const inForce = new Map(Object.entries(approaches).map(([approach, option]) => [approach, { option }]))
    const found = Object.entries(now).flatMap(([key, value]) => {
      const one = disagreement(inForce, id, key, value)
      return one ? [one] : []
    })
    setAsked(found[0] ?? null)
  }, [approaches])
  const done = useCallback(() => setAsked(null), [])
  return { asked, ask, done }
}
