'use client'

import { useEffect, useMemo } from 'react'
import { beginWith, type Beginning } from '@/core/approaches/effects'
import { estimateBody, type Body, type BodyInput } from '@/core/body/estimate'
import type { Stock } from '@/core/props/stock'
import { findSetup, solveSetup } from '@/core/setups/catalogue'
import type { SetupSolution } from '@/core/setups/setup'
import type { Wording } from '@/core/words/number'
import { describeBody } from '@/core/words/length'
import { useWording } from '@/ui/wording'
import { describeSetup } from '@/core/words/setup-refusal'

export type Options = Readonly<Record<string, number>>

/** A setup solved for a body, or the nearest that can be shown with the sentence that says why not. */
export type Shown = {
  readonly solution: SetupSolution | null
  readonly refusal: string | null
  readonly body: Body | null
}

/** Solves for the screen: where options are refused, the setup's own usual values are shown beside the refusal. */
export function solveForScreen(
  input: BodyInput | null,
  setupId: string,
  options: Options,
  stock: Stock,
  wording: Wording,
): Shown {
  if (!input) return { solution: null, refusal: null, body: null }
  const body = estimateBody(input)
  if (!body.ok) return { solution: null, refusal: describeBody(body.refusal, wording), body: null }
  const solved = solveSetup(setupId, body.value, options, stock)
  if (solved.ok) return { solution: solved.value, refusal: null, body: body.value }
  const usual = solveSetup(setupId, body.value, {}, stock)
  return {
    solution: usual.ok ? usual.value : null,
    refusal: describeSetup(solved.refusal, wording, findSetup(setupId)?.options),
    body: body.value,
  }
}

/** The same, kept while nothing it depends on changes. */
function useSolved(
  input: BodyInput,
  setupId: string,
  options: Options,
  stock: Stock,
  wording: Wording,
): Shown {
  return useMemo(
    () => solveForScreen(input, setupId, options, stock, wording),
    [input, setupId, options, stock, wording],
  )
}

/** Options as they stand, where the way in force begins and over it what was moved on this bench; and what they make. */
export function useBegun(
  input: BodyInput,
  setupId: string,
  { begins }: { readonly begins: Readonly<Record<string, readonly Beginning[]>> },
  moved: Options,
  stock: Stock,
): { options: Options; shown: Shown } {
  const wording = useWording()
  const sets = begins[setupId]
  const options = useMemo(() => {
    const body = estimateBody(input)
    return body.ok ? { ...beginWith(sets, body.value), ...moved } : moved
  }, [input, sets, moved])
  return { options, shown: useSolved(input, setupId, options, stock, wording) }
}

/** Keeps what stands on the bench in the address bar, so that a reload and the way back find it again. */
export function useAddress(setupId: string, studentId: string): void {
  useEffect(() => {
    const asked = new URLSearchParams({ setup: setupId, ...(studentId === '' ? {} : { student: studentId }) })
    window.history.replaceState(window.history.state, '', `?${asked.toString()}`)
  }, [setupId, studentId])
}

/** Somebody's body, or any body of a height; the same object while neither changes. */
export function useInput(body: BodyInput | null, statureCm: number): BodyInput {
  return useMemo(() => body ?? { statureCm }, [body, statureCm])
}
