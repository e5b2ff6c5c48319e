'use client'

import { useCallback, useRef, useState } from 'react'
import type { Answer, Problem } from './answer'

export type Submit<I, T> = {
  readonly busy: boolean
  readonly problems: readonly Problem[]
  /** The sentence for one field, or undefined. */
  readonly problemOf: (path: string) => string | undefined
  readonly send: (input: I) => Promise<T | null>
  readonly clear: () => void
}

const UNREACHED =
  'The server did not answer. Nothing was stored; what you typed is still here. Save again when it is back.'

/**
 * Sends a form once at a time and keeps what was typed whatever happens: a second press while one is under way is
 * ignored, a refusal is shown beside its field, an unreachable server is said in a sentence.
 */
export function useSubmit<I, T>(action: (input: I) => Promise<Answer<T>>): Submit<I, T> {
  const [busy, setBusy] = useState(false)
  const [problems, setProblems] = useState<readonly Problem[]>([])
  const underWay = useRef(false)

  const send = useCallback(
    async (input: I): Promise<T | null> => {
      if (underWay.current) return null
      underWay.current = true
      setBusy(true)
      try {
        const answer = await action(input)
        setProblems(answer.ok ? [] : answer.problems)
        return answer.ok ? answer.value : null
      } catch {
        setProblems([{ path: '', message: UNREACHED }])
        return null
      } finally {
        underWay.current = false
        setBusy(false)
      }
    },
    [action],
  )
  const problemOf = useCallback((path: string) => problems.find((p) => p.path === path)?.message, [problems])
  const clear = useCallback(() => setProblems([]), [])
  return { busy, problems, problemOf, send, clear }
}
