import { asc, eq } from 'drizzle-orm'
import type { Override } from '@/core/practice/override'
import { practiceOverride } from './schema'
import { addOnce, rowsOf } from './rows'
import type { Scope } from './scope'

/** One change to an entry, as it was kept; null fields gave the practice back its own. */
export type OverrideEntry = {
  readonly id: string
  readonly kind: Override['kind']
  readonly target: string
  readonly fields: Override['fields'] | null
  readonly by: string
  readonly atMs: number
}

/** Keeps a change. Returns false when it was there already. */
export function addOverride(scope: Scope, entry: OverrideEntry): boolean {
  return addOnce(scope, practiceOverride, entry)
}

/** Changes of one entry, oldest first. */
export function overrideHistory(scope: Scope, target: string): OverrideEntry[] {
  return rows(scope, target)
}

/** What counts now, by entry. */
export function activeOverrides(scope: Scope): Override[] {
  const newest = new Map(rows(scope).map((row) => [`${row.kind} ${row.target}`, row]))
  return [...newest.values()].flatMap(({ kind, target, fields }) =>
    fields === null ? [] : [{ kind, id: target, fields }],
  )
}

function rows(scope: Scope, target?: string): OverrideEntry[] {
  return rowsOf(
    scope,
    practiceOverride,
    target === undefined ? undefined : eq(practiceOverride.target, target),
    asc(practiceOverride.atMs),
    asc(practiceOverride.id),
  ).map(({ studioId: _o, ...row }) => row)
}
