import 'server-only'
import { baseOf, fieldsOf } from '@/core/practice/override'
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
  return Object.entries(fields)
    .filter(([key]) => key !== 'base')
    .map(([key, value]) => `${fieldName(practice, key)}: ${value} in place of ${was.get(key) ?? '–'}`)
    .join('; ')
}
