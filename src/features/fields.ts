import { z } from 'zod'
import { STATURE_RANGE } from '@/core/body/estimate'
import { parseName } from '@/core/entry'
import { parseLength, type LengthUnit } from '@/core/units'
import { describeName } from '@/core/words/entry'
import { describeLength } from '@/core/words/length'
import type { Context } from './context'

/** Fields that several forms share, each with its sentence. */
export const idField = z.uuid('That link is broken: the id is not one of ours.')

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

/** Fields that name something of the practice in force. */
export type PracticeFields = ReturnType<typeof practiceFields>

/** Fields that only take what the studio's practice knows. */
export function practiceFields({ practice }: Pick<Context, 'practice'>) {
  const known = (list: readonly { id: string }[], what: string) =>
    z.string().refine((id) => list.some((entry) => entry.id === id), `That ${what} is not in the practice.`)
  return {
    stageField: known(practice.stages, 'stage'),
    checkField: known(practice.checks, 'check'),
    assistField: known(practice.assists, 'assist'),
    questionField: known(practice.approaches, 'question'),
    practice,
  }
}
