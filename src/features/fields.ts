import { z } from 'zod'
import { parseName } from '@/core/entry'
import { findById, library } from '@/core/practice/library'
import { STATURE_RANGE } from '@/core/body/estimate'
import { parseLength, type LengthUnit } from '@/core/units'
import { describeName } from '@/core/words/entry'
import { describeLength } from '@/core/words/refusal'

/** Fields that several forms share, each with its sentence. */
export const idField = z.uuid('That link is broken: the id is not one of ours.')

export const stampFields = {
  id: z.uuid(),
  deviceId: z.uuid(),
  deviceSeq: z.number().int().positive(),
  hlc: z.string().regex(/^[0-9a-z]{9}-[0-9a-z]{4,}-[0-9a-f-]{36}$/),
}

export const nameField = z.string().transform((typed, ctx) => {
  const parsed = parseName(typed)
  if (parsed.ok) return parsed.value
  ctx.addIssue({ code: 'custom', message: describeName(parsed.refusal) })
  return z.NEVER
})

/** Empty is allowed: a height can wait. */
export function statureField(units: LengthUnit) {
  return z.string().transform((typed, ctx) => {
    if (typed.trim() === '') return null
    const parsed = parseLength(typed, STATURE_RANGE, units)
    if (parsed.ok) return parsed.value
    ctx.addIssue({ code: 'custom', message: describeLength(parsed.refusal, { units }) })
    return z.NEVER
  })
}

export const timeField = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'Type the time as 18:30.')

export const noteField = z.string().trim().max(280, 'A note may have 280 characters.')

export const stageField = z
  .string()
  .refine((id) => library().stages.some((s) => s.id === id), 'That stage is not in the practice.')
export const setupField = z
  .string()
  .refine((id) => library().setups.some((s) => s.id === id), 'That setup is not in the practice.')
export const faultsField = z
  .array(z.string())
  .max(12)
  .refine(
    (ids) => ids.every((id) => library().faults.some((f) => f.id === id)),
    'That fault is not in the practice.',
  )
export const checkField = z
  .string()
  .refine((id) => library().checks.some((c) => c.id === id), 'That check is not in the practice.')

/** A check already known to exist. */
export function checkById(id: string): ReturnType<typeof library>['checks'][number] {
  return findById(library().checks, id)
}
