'use server'

import { z } from 'zod'
import { composeSequence } from '@/core/sequence/compose'
import { editSequence } from '@/core/sequence/edit'
import { SEQUENCE_MINUTES } from '@/core/sequence/sequence'
import { EDIT_WORDS, NOTHING_STRENGTHENS } from '@/core/words/sequence'
import { findSequence, removeSequence, saveSequence } from '@/db/sequences'
import { studentsByIds } from '@/db/students'
import { action } from '../action'
import { done, problem } from '../answer'
import { idField } from '../fields'
import { sequenceAsked } from './asked'

const GONE = 'That sequence is not here any more.'
const { min, max } = SEQUENCE_MINUTES
const nameField = z.string().trim().min(1, 'Give it a name.').max(80, 'At most 80 characters.')

/** Composes a sequence for some people from what they are short of today. */
export const makeSequence = action(
  z.object({
    id: idField,
    name: nameField,
    people: z.array(idField).min(1, 'Pick somebody.').max(60, 'At most sixty people.'),
    minutes: z
      .number({ error: 'How many minutes?' })
      .int('Whole minutes.')
      .min(min, `At least ${min} minutes.`)
      .max(max, `At most ${max} minutes.`),
  }),
  (ctx, { id, name, people, minutes }) => {
    const students = studentsByIds(ctx.scope, people)
    if (students.length < new Set(people).size)
      return problem('Somebody of them is not here any more.', 'people')
    const made = composeSequence(ctx.practice, sequenceAsked(ctx, students, minutes))
    if (!made.ok) return problem(NOTHING_STRENGTHENS)
    const ids = students.map((s) => s.id)
    saveSequence(ctx.scope, { id, name, madeDay: ctx.clock.today, doc: made.value, people: ids })
    return done({ id })
  },
)

/** Changes what is worked at; what warms up and what unloads follows. */
export const changeSequence = action(
  z.object({
    id: idField,
    edit: z.discriminatedUnion('kind', [
      z.object({ kind: z.literal('swap'), at: z.number().int().min(0).max(60), to: z.string().max(60) }),
      z.object({ kind: z.literal('drop'), at: z.number().int().min(0).max(60) }),
      z.object({
        kind: z.literal('move'),
        at: z.number().int().min(0).max(60),
        by: z.union([z.literal(1), z.literal(-1)]),
      }),
      z.object({
        kind: z.literal('sets'),
        at: z.number().int().min(0).max(60),
        sets: z.number({ error: EDIT_WORDS['too-many-sets'] }).int(EDIT_WORDS['too-many-sets']),
      }),
    ]),
  }),
  (ctx, { id, edit }) => {
    const kept = findSequence(ctx.scope, id)
    if (!kept) return problem(GONE)
    const students = studentsByIds(ctx.scope, kept.people)
    if (students.length === 0)
      return problem('Nobody is left that it is for: take it away, or compose another.')
    const asked = sequenceAsked(ctx, students, kept.doc.minutes)
    const next = editSequence(ctx.practice, asked, kept.doc, edit)
    if (!next.ok) return problem(EDIT_WORDS[next.refusal.code])
    saveSequence(ctx.scope, { ...kept, doc: next.value })
    return done(true)
  },
)

/** Gives a sequence another name. */
export const renameSequence = action(
  z.object({ id: idField, name: nameField }),
  ({ scope }, { id, name }) => {
    const kept = findSequence(scope, id)
    if (!kept) return problem(GONE)
    saveSequence(scope, { ...kept, name })
    return done(true)
  },
)

/** Takes a sequence away; what was recorded of it stays. */
export const dropSequence = action(z.object({ id: idField }), ({ scope }, { id }) => {
  removeSequence(scope, id)
  return done(true)
})
