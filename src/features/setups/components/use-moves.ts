'use client'

import { useCallback, useEffect, useRef, useState } from 'react'
import type { Stock } from '@/core/props/stock'
import { asFarAs } from '@/core/setups/as-far'
import { findSetup } from '@/core/setups/catalogue'
import { describeSetup } from '@/core/words/setup-refusal'
import { useWording } from '@/ui/wording'
import type { Options, Shown } from './bench-state'
import { GRAIN } from './grain'

/** Why an option was not moved further, for the handle that it is about. */
export type Stopped = { readonly key: string; readonly text: string }

/**
 * What was moved on the bench. A handle stops where the body, the wall or the cupboard ends and says why there: the drawing
 * stays what it was.
 */
export function useMoves(stock: Stock, initial: Options = {}) {
  const wording = useWording()
  const [moved, setMoved] = useState<Options>(initial)
  const [stopped, setStopped] = useState<Stopped | null>(null)
  // What stands when a finger moves; a handler that changed with every frame would draw every slider anew.
  const standsRef = useRef<Shown | null>(null)
  const put = useCallback((next: Options): void => {
    setStopped(null)
    setMoved(next)
  }, [])
  const move = useCallback(
    (key: string, value: number): void => {
      const { solution, refusal } = standsRef.current ?? { solution: null, refusal: null }
      const options = (solution && findSetup(solution.id)?.options) ?? []
      const option = options.find((o) => o.key === key)
      // Where what stands is not what was asked for, any move may be the one that mends it.
      if (!solution || !option || refusal !== null) {
        setMoved((all) => ({ ...all, [key]: value }))
        return
      }
      const far = asFarAs(solution, key, value, stock, GRAIN[option.unit])
      setStopped(far.refusal && { key, text: describeSetup(far.refusal, wording, options) })
      if (far.value !== solution.options[key]) setMoved((all) => ({ ...all, [key]: far.value }))
    },
    [stock, wording],
  )
  return { moved, stopped, move, put, standsRef }
}

/** Tells the moves what stands now. */
export function useStanding(standsRef: { current: Shown | null }, shown: Shown): void {
  useEffect(() => {
    standsRef.current = shown
  })
}
