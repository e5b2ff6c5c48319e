'use server'

import { z } from 'zod'
import { fieldsOf, OVERRIDABLE, withOverrides, type Override } from '@/core/practice/override'
import { baseOf, BUILDABLE, ownId } from '@/core/practice/own-entries'
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

/** Makes a drill or a step of the studio's own: built on one that ships, with its loads, props and picture. */
export const addOwnEntry = action(
  z.object({ id: idField, kind: z.enum(BUILDABLE), base: z.string().max(60), typed: change.typed }),
  (ctx, { id, kind, base, typed }) => {
    const target = ownId(kind, base, id.replaceAll('-', '').slice(-10))
    const read = fitting(ctx, { kind, target, typed }, base)
    if (!read.ok) return read
    const { fields } = read.value
    const by = { by: ctx.studio.teacher, atMs: ctx.clock.nowMs }
    addOverride(ctx.scope, { id, kind, target, fields, ...by })
    return done({ target })
  },
  { trail: { what: 'practice-changed' } },
)

/** Lets an own drill or step rest, or takes it up again: nothing takes it, and what was recorded of it keeps its name. */
export const restOwnEntry = action(
  z.object({ id: idField, target: z.string().max(60), used: z.boolean() }),
  (ctx, { id, target, used }) => {
    const now = activeOverrides(ctx.scope).find((o) => o.id === target && baseOf(o) !== null)
    if (!now) return problem('That is not one of your own.')
    const { retired: _, ...fields } = now.fields
    addOverride(ctx.scope, {
      ...{ id, kind: now.kind, target, by: ctx.studio.teacher, atMs: ctx.clock.nowMs },
      fields: used ? fields : { ...fields, retired: 1 },
    })
    return done(true as const)
  },
  { trail: { what: 'practice-changed' } },
)

/** Gives the practice back its own. */
export const dropOwn = action(
  z.object({ id: idField, kind: z.enum(OVERRIDABLE), target: z.string().max(60) }),
  (ctx, { id, kind, target }) => {
    const now = activeOverrides(ctx.scope).find((o) => o.kind === kind && o.id === target)
    if (!now) return problem('It stands as the practice has it.')
    // Plans and records name it: it can rest, and not be gone.
    if (baseOf(now) !== null) return problem('What is your own is let rest, not taken away.')
    addOverride(ctx.scope, { id, kind, target, fields: null, by: ctx.studio.teacher, atMs: ctx.clock.nowMs })
    return done(true as const)
  },
  { trail: { what: 'practice-changed' } },
)

/**
 * What was typed as an override: only what differs, refused field by field, and held against the whole practice.
 * @param asked what a new own drill is built on; of one that is there what it was built on stays
 */
function fitting(
  ctx: Context,
  { kind, target, typed }: Typed,
  asked: string | null = null,
): Answer<Override> {
  const active = activeOverrides(ctx.scope)
  const now = active.find((o) => o.kind === kind && o.id === target)
  const base = asked ?? (now ? baseOf(now) : null)
  const known = fieldsOf(kind, target, base)
  if (known.length === 0) return problem('That is not something a studio changes.')
  const fields = Object.fromEntries(
    known.flatMap((field): [string, string | number][] => {
      const text = typed[field.key]?.trim()
      if (text === undefined || text === String(field.practice)) return []
      if (field.kind === 'text') return [[field.key, text]]
      return [[field.key, text === '' ? NaN : Number(text.replace(',', '.'))]]
    }),
  )
  const kept = base === null ? {} : { base, ...(now?.fields.retired === undefined ? {} : { retired: 1 }) }
  const override = { kind, id: target, fields: { ...fields, ...kept } }
  const others = active.filter((o) => o.kind !== kind || o.id !== target)
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
