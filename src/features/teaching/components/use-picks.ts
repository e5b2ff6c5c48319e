'use client'

import { useCallback, useRef, useState } from 'react'
import type { Mark } from './use-class-run'

/** What is picked for the next tap of somebody. */
export type Picks = {
  readonly faults: string[]
  readonly level: Mark['level']
  readonly lead: 'left' | 'right'
  readonly help: Mark['help']
  /** Seconds as they are picked; empty where nobody counted. */
  readonly held: string
  /** It stays so for the turns that follow: props do not change between two tries. */
  readonly setup: string
  /** Whether it is asked why they stop. */
  readonly stopping: boolean
}

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
    ...{ faults: [], level: 'hop', lead: 'left', help: 'alone', held: '', stopping: false },
    setup,
  })
  const latest = useRef(picks)
  const pick = useCallback((part: Partial<Picks>) => {
    latest.current = { ...latest.current, ...part }
    setPicks(latest.current)
  }, [])
  const take = useCallback((keep: (taken: Picks) => Promise<boolean>) => {
    const taken = latest.current
    // The other leg leads next; a tap corrects it.
    const lead = taken.lead === 'left' ? 'right' : 'left'
    latest.current = { ...taken, faults: [], help: 'alone', held: '', lead, stopping: false }
    void keep(taken).then((kept) => {
      // What could not be kept is still picked: it is tapped again.
      if (!kept) latest.current = taken
      setPicks(latest.current)
    })
  }, [])
  return { picks, pick, take }
}
