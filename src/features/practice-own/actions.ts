'use server'

import { z } from 'zod'
import { fieldsOf, OVERRIDABLE, withOverrides, type Override } from '@/core/practice/override'
import { describeOverrideRefusal } from '@/core/words/own-practice'
import { activeOverrides, addOverride } from '@/db/overrides'
import { action } from '../action'
import { done, problem, type Answer } from '../answer'
import type { Context } from '../context'
import { idField } from '../fields'
import { previewOwn } from './queries'

const change = {
  kind: z.enum(OVERRIDABLE),
  target: z.string().max(60),
  /** As typed, field by field. */
  typed: z.record(z.string().max(60), z.string().max(400)),
}
type Typed = z.output<z.ZodObject<typeof change>>

/** What a change would do, for whom; nothing is stored. */
export const tryOwn = action(
  z.object(change),
  (ctx, typed) => {
    const read = fitting(ctx, typed)
    return read.ok ? done(previewOwn(ctx, read.value)) : read
  },
  { refresh: false },
)

/** Keeps a change for this studio. */
export const keepOwn = action(
  z.object({ ...change, id: idField }),
  (ctx, { id, ...typed }) => {
    const read = fitting(ctx, typed)
    if (!read.ok) return read
    const { kind, id: target, fields } = read.value
    if (Object.keys(fields).length === 0) return problem('Nothing differs from the practice.')
    addOverride(ctx.scope, { id, kind, target, fields, by: ctx.studio.teacher, atMs: ctx.clock.nowMs })
    return done(true as const)
  },
  { trail: { what: 'practice-changed' } },
)

/** Gives the practice back its own. */
export const dropOwn = action(
  z.object({ id: idField, kind: z.enum(OVERRIDABLE), target: z.string().max(60) }),
  (ctx, { id, kind, target }) => {
    if (!activeOverrides(ctx.scope).some((o) => o.kind === kind && o.id === target))
      return problem('It stands as the practice has it.')
    addOverride(ctx.scope, { id, kind, target, fields: null, by: ctx.studio.teacher, atMs: ctx.clock.nowMs })
    return done(true as const)
  },
  { trail: { what: 'practice-changed' } },
)

/** What was typed as an override: only what differs, refused field by field, and held against the whole practice. */
function fitting(ctx: Context, { kind, target, typed }: Typed): Answer<Override> {
  const known = fieldsOf(kind, target)
  if (known.length === 0) return problem('That is not something a studio changes.')
  const fields = Object.fromEntries(
    known.flatMap((field): [string, string | number][] => {
      const text = typed[field.key]?.trim()
      if (text === undefined || text === String(field.practice)) return []
      if (field.kind === 'text') return [[field.key, text]]
      return [[field.key, text === '' ? NaN : Number(text.replace(',', '.'))]]
    }),
  )
  const override = { kind, id: target, fields }
  const others = activeOverrides(ctx.scope).filter((o) => o.kind !== kind || o.id !== target)
  const laid = withOverrides([...others, override])
  if (laid.ok) return done(override)
  return {
    ok: false,
    problems: laid.refusal.map((why) => ({
      path: 'key' in why ? why.key : '',
      message: describeOverrideRefusal(ctx.practice, why),
    })),
  }
}
