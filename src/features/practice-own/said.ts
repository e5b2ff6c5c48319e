import 'server-only'
import { findEntry } from '@/core/library/entries'
import { fieldsOf, type OverrideField } from '@/core/practice/override'
import { baseOf } from '@/core/practice/own-entries'
import { choiceLabel } from '@/core/words/choice'
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
  const was = new Map(fieldsOf(kind, target, base).map((f) => [f.key, f]))
  if (fields.retired !== undefined) return 'It rests: nothing takes it any more.'
  const built = base === null ? [] : [`Built on ${findEntry(practice, base)?.name ?? base}`]
  const changes = Object.entries(fields)
    .filter(([key]) => key !== 'base' && (base === null || key !== 'name'))
    .map(
      ([key, value]) =>
        `${fieldName(practice, key)}: ${told(was.get(key), value)} in place of ${told(was.get(key), was.get(key)?.practice)}`,
    )
  return [...built, ...changes].join('; ')
}

/** A value as it is read: what is picked goes by its words. */
function told(field: OverrideField | undefined, value: string | number | undefined): string {
  const choice = field?.kind === 'number' ? field.choices?.[Number(value)] : undefined
  return choice === undefined ? String(value ?? '–') : choiceLabel(choice)
}
