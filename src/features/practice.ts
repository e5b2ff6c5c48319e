import 'server-only'
import { shippedPractice, type Library } from '@/core/practice/library'
import { withOverrides, type Override } from '@/core/practice/override'
import { activeOverrides } from '@/db/overrides'
import type { Scope } from '@/db/scope'

/** The last few practices that were laid together: what remembers by practice wants the same object each time. */
const made = new Map<string, Library>()
const KEPT = 8

/** The practice as a studio works by it: what ships, with the studio's own words and numbers over it. */
export function practiceOf(scope: Scope): Library {
  return practiceWith(activeOverrides(scope))
}

/** The practice with some overrides; one that no longer fits what ships is left out, and the others hold. */
export function practiceWith(overrides: readonly Override[]): Library {
  if (overrides.length === 0) return shippedPractice()
  const key = JSON.stringify(overrides)
  const known = made.get(key)
  if (known) return known
  const all = withOverrides(overrides)
  const library = all.ok ? all.value : ofThoseThatFit(overrides)
  if (made.size >= KEPT) made.delete(made.keys().next().value ?? '')
  made.set(key, library)
  return library
}

function ofThoseThatFit(overrides: readonly Override[]): Library {
  const fitting = overrides.reduce<Override[]>(
    (kept, next) => (withOverrides([...kept, next]).ok ? [...kept, next] : kept),
    [],
  )
  const all = withOverrides(fitting)
  return all.ok ? all.value : shippedPractice()
}
