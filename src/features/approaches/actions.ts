'use server'

import { z } from 'zod'
import { isSetAt, presetChoices, SCOPES } from '@/core/approaches/resolve'
import { library } from '@/core/practice/library'
import { chooseApproach, replaceChoices } from '@/db/approaches'
import { saveStudio } from '@/db/studio'
import { action } from '../action'
import { done, problem } from '../answer'
import { previewChoices } from './queries'

const at = { scope: z.enum(SCOPES), scopeId: z.string().max(60) }
const choice = {
  approach: z.string().refine((id) => library().approaches.some((a) => a.id === id), 'No such question.'),
  option: z.string().max(40).nullable(),
}

/** What a choice would change; stores nothing. */
export const tryChoice = action(
  z.object({ ...at, ...choice }),
  (ctx, { scope, scopeId, approach, option }) => {
    const fallback = library().approaches.find((a) => a.id === approach)?.default ?? ''
    return done(previewChoices(ctx, scope, scopeId, { [approach]: option ?? fallback }))
  },
  { refresh: false },
)

/** Chooses an option for every class, one class or one person; null goes back to what stands above. */
export const choose = action(
  z.object({ ...at, ...choice }),
  ({ db, studio, today }, { scope, scopeId, approach, option }) => {
    if (!isSetAt(library(), approach, scope)) return problem('That is not decided at this place.')
    const known = library().approaches.find((a) => a.id === approach)?.options ?? []
    if (option !== null && !known.some((o) => o.id === option)) return problem('No such option.')
    if (option !== null && studio.floor.forbidden.includes(`${approach}:${option}`))
      return problem(
        'The studio does not allow that here. Its rules can be made stricter below it, never looser.',
      )
    chooseApproach(db, { scope, scopeId, approach }, option, today)
    return done(true)
  },
)

/** What a preset would change; stores nothing. */
export const tryPreset = action(
  z.object({ ...at, preset: z.string().max(40) }),
  (ctx, { scope, scopeId, preset }) =>
    done(previewChoices(ctx, scope, scopeId, presetChoices(library(), preset))),
  { refresh: false },
)

/** Replaces a scope's choices by a preset's, or by none. */
export const applyPreset = action(
  z.object({ ...at, preset: z.string().max(40) }),
  ({ db, today }, { scope, scopeId, preset }) => {
    const choices = Object.entries(presetChoices(library(), preset)).filter(([id]) =>
      isSetAt(library(), id, scope),
    )
    replaceChoices(db, scope, scopeId, Object.fromEntries(choices), today)
    return done(true)
  },
)

/** Allows or forbids an option for the whole house; one option of every question stays. */
export const allowOption = action(
  z.object({ approach: choice.approach, option: z.string().max(40), allowed: z.boolean() }),
  ({ db, studio }, { approach, option, allowed }) => {
    const ref = `${approach}:${option}`
    const forbidden = studio.floor.forbidden.filter((r) => r !== ref)
    const next = allowed ? forbidden : [...forbidden, ref]
    const options = library().approaches.find((a) => a.id === approach)?.options ?? []
    if (options.every((o) => next.includes(`${approach}:${o.id}`)))
      return problem('One way has to stay open.')
    saveStudio(db, { floor: { ...studio.floor, forbidden: next } })
    return done(true)
  },
)
