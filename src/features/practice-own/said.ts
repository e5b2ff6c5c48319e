import 'server-only'
import { findEntry } from '@/core/library/entries'
import { fieldsOf } from '@/core/practice/override'
import { baseOf } from '@/core/practice/own-entries'
import { fieldName } from '@/core/words/own-practice'
import type { OverrideEntry } from '@/db/overrides'
import type { Context } from '../context'

/** What one change says beside the practice, in words. */
export function saidOf(
  { practice }: Context,
  { fields, kind, target }: Pick<OverrideEntry, 'kind' | 'target' | 'fields'>,
): string {
  if (fields === null) return 'Back to the practice.'
  const base = baseOf({ kind, id: target, fields })
  const was = new Map(fieldsOf(kind, target, base).map((f) => [f.key, f.practice]))
  if (fields.retired !== undefined) return 'It rests: nothing takes it any more.'
  const built = base === null ? [] : [`Built on ${findEntry(practice, base)?.name ?? base}`]
  const changes = Object.entries(fields)
    .filter(([key]) => key !== 'base' && (base === null || key !== 'name'))
    .map(([key, value]) => `${fieldName(practice, key)}: ${value} in place of ${was.get(key) ?? '–'}`)
  return [...built, ...changes].join('; ')
}
