'use client'

import { useCallback, useRef, useState } from 'react'
import type { SaidOfTry } from '@/core/facts/attempt'

/** What is picked for the next tap of somebody. */
export type Picks = {
  readonly faults: readonly string[]
  /** Empty until somebody picks it, as the next two: what nobody said is not known. */
  readonly level: NonNullable<SaidOfTry['level']> | ''
  readonly lead: 'left' | 'right' | ''
  readonly help: NonNullable<SaidOfTry['help']> | ''
  /** Seconds as they are picked; empty where nobody counted. */
  readonly held: string
  /** It stays so for the turns that follow: props do not change between two tries. */
  readonly setup: string
  /** Whether it is asked why they stop. */
  readonly stopping: boolean
}

const NOTHING = {
  faults: [],
  level: '',
  lead: '',
  help: '',
  held: '',
  stopping: false,
} as const satisfies Omit<Readonly<Picks>, 'setup'>

/**
 * What is picked for a tap, and what a tap leaves of it. A tap takes what was picked last, drawn or not; the cleared picks are
 * drawn once it is kept on the device, so that drawing never holds it up.
 */
export function usePicks(setup: string): {
  picks: Picks
  pick: (part: Partial<Picks>) => void
  take: (keep: (taken: Picks) => Promise<boolean>) => void
} {
  const [picks, setPicks] = useState<Picks>({
    ...NOTHING,
    setup,
  })
  const latest = useRef(picks)
  const pick = useCallback((part: Partial<Picks>) => {
    latest.current = { ...latest.current, ...part }
    setPicks(latest.current)
  }, [])
  const take = useCallback((keep: (taken: Picks) => Promise<boolean>) => {
    const taken = latest.current
    latest.current = { ...NOTHING, setup: taken.setup }
    void keep(taken).then((kept) => {
      // What could not be kept is still picked: it is tapped again.
      if (!kept) latest.current = taken
      setPicks(latest.current)
    })
  }, [])
  return { picks, pick, take }
}
