'use server'

import { z } from 'zod'
import { isSetAt, presetChoices, SCOPES } from '@/core/approaches/resolve'
import { chooseApproach, replaceChoices } from '@/db/approaches'
import { findClass } from '@/db/classes'
import { findStudent } from '@/db/students'
import { saveStudio } from '@/db/studio'
import { action } from '../action'
import { done, problem } from '../answer'
import type { Context } from '../context'
import { previewChoices } from './queries'

const at = { scope: z.enum(SCOPES), scopeId: z.string().max(60) }
const option = z.string().max(40)

const GONE = 'That person or class is not here any more.'

/** Whether there is somebody, or a class, for whom something could be chosen; the teacher's own ways always have a place. */
function isThere(within: Context['scope'], scope: z.infer<typeof at.scope>, id: string): boolean {
  if (scope === 'student') return findStudent(within, id) !== null
  return scope === 'class' ? findClass(within, id) !== null : true
}

/** What a choice would change; stores nothing. */
export const tryChoice = action(
  ({ questionField }) => z.object({ ...at, approach: questionField, option: option.nullable() }),
  (ctx, { scope, scopeId, approach, option }) => {
    const fallback = ctx.practice.approaches.find((a) => a.id === approach)?.default ?? ''
    return done(previewChoices(ctx, scope, scopeId, { [approach]: option ?? fallback }))
  },
  { refresh: false },
)

/** Chooses an option for every class, one class or one person; null goes back to what stands above. */
export const choose = action(
  ({ questionField }) => z.object({ ...at, approach: questionField, option: option.nullable() }),
  ({ scope: within, practice, studio, clock: { today } }, { scope, scopeId, approach, option }) => {
    if (!isSetAt(practice, approach, scope)) return problem('That is not decided at this place.')
    if (!isThere(within, scope, scopeId)) return problem(GONE)
    const known = practice.approaches.find((a) => a.id === approach)?.options ?? []
    if (option !== null && !known.some((o) => o.id === option)) return problem('No such option.')
    if (option !== null && studio.floor.forbidden.includes(`${approach}:${option}`))
      return problem(
        'The studio does not allow that here. Its rules can be made stricter below it, never looser.',
      )
    chooseApproach(within, { scope, scopeId, approach }, option, today)
    return done(true)
  },
)

/** What a preset would change; stores nothing. */
export const tryPreset = action(
  z.object({ ...at, preset: z.string().max(40) }),
  (ctx, { scope, scopeId, preset }) =>
    done(previewChoices(ctx, scope, scopeId, presetChoices(ctx.practice, preset))),
  { refresh: false },
)

/** Replaces a scope's choices by a preset's, or by none. */
export const applyPreset = action(
  z.object({ ...at, preset: z.string().max(40) }),
  ({ scope: within, practice, clock: { today } }, { scope, scopeId, preset }) => {
    if (!isThere(within, scope, scopeId)) return problem(GONE)
    const choices = Object.entries(presetChoices(practice, preset)).filter(([id]) =>
      isSetAt(practice, id, scope),
    )
    replaceChoices(within, scope, scopeId, Object.fromEntries(choices), today)
    return done(true)
  },
)

/** Allows or forbids an option for the whole house; one option of every question stays. */
export const allowOption = action(
  ({ questionField }) => z.object({ approach: questionField, option, allowed: z.boolean() }),
  ({ scope, practice, studio }, { approach, option, allowed }) => {
    const ref = `${approach}:${option}`
    const forbidden = studio.floor.forbidden.filter((r) => r !== ref)
    const next = allowed ? forbidden : [...forbidden, ref]
    const options = practice.approaches.find((a) => a.id === approach)?.options ?? []
    if (options.every((o) => next.includes(`${approach}:${o.id}`)))
      return problem('One way has to stay open.')
    saveStudio(scope, { floor: { ...studio.floor, forbidden: next } })
    return done(true)
  },
)
