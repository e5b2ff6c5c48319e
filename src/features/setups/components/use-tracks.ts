'use client'

import { useRef } from 'react'
import type { Stock } from '@/core/props/stock'
import { trackOf, type Handle, type Track } from '@/core/setups/handles'
import type { SetupSolution } from '@/core/setups/setup'

/** How handles move, each solved once and again only when anything but its own option changes. */
export function useTracks(stock: Stock) {
  const known = useRef(new Map<string, { readonly made: string; readonly track: Track }>())
  return {
    of: (solution: SetupSolution, handle: Handle): Track => {
      const { [handle.option.key]: _own, ...others } = solution.options
      const made = JSON.stringify([solution.id, solution.body.length, others])
      const found = known.current.get(handle.option.key)
      if (found?.made === made) return found.track
      const track = trackOf(solution, handle, stock)
      known.current.set(handle.option.key, { made, track })
      return track
    },
  }
}
