'use server'

import { z } from 'zod'
import { formatDay } from '@/core/day'
import { LOAD_TAGS } from '@/core/practice/schema'
import { fromTablet, isHealth, type Answer } from '@/core/screening/answers'
import { clearanceProblem, usualExpiry, type ClearanceRefusal } from '@/core/screening/clearance'
import { markInputsErased } from '@/db/erase'
import { addClearance, addScreening, eraseHealth, readHealth } from '@/db/health'
import { findStudent } from '@/db/students'
import { action } from '../action'
import { done, problem, type Problem } from '../answer'
import type { Context } from '../context'
import { NO_KEY } from '../facts/no-key'
import { idField } from '../fields'

/** Options of one question at most. */
const MOST_OPTIONS = 30

const answersField = z
  .array(
    z.object({
      question: z.string().max(20),
      choice: z.enum(['no', 'yes', 'unsure', 'not-said']),
      options: z.array(z.string().max(60)).max(MOST_OPTIONS),
    }),
  )
  .max(60)
const screeningFields = {
  entryId: idField,
  studentId: idField,
  way: z.enum(['answers', 'nothing-applies', 'gentle', 'gentle-ends']),
  answers: answersField,
}

/** What the teacher writes down: asked aloud, copied from a card, or known. */
export const saveScreening = action(
  z.object({ ...screeningFields, given: z.enum(['by-student', 'by-teacher', 'asked-aloud', 'from-card']) }),
  keepScreening,
  { trail: ({ studentId }) => ({ what: 'answers-changed', studentId }), layer: true },
)

/** What a student types on a tablet passed round: it adds and shows nothing, so it needs no open notes. */
export const savePassedScreening = action(
  z.object({ ...screeningFields, way: z.enum(['answers', 'nothing-applies', 'gentle']) }),
  (ctx, form) => keepScreening(ctx, { ...form, given: 'by-student' }, true),
  {
    by: 'device',
    trail: ({ studentId }) => ({ what: 'answers-changed', studentId }),
    refresh: false,
    passed: true,
  },
)

type ScreeningForm = {
  entryId: string
  studentId: string
  way: 'answers' | 'nothing-applies' | 'gentle' | 'gentle-ends'
  given: Answer['given']
  answers: Omit<Answer, 'day' | 'given'>[]
}

function keepScreening(
  { scope, practice, clock: { today }, health }: Context,
  { entryId, studentId, way, given, answers }: ScreeningForm,
  onTablet = false,
) {
  if (!findStudent(scope, studentId)) return problem('This person is not in the studio any more.')
  const { key } = health
  if (!key) return problem(NO_KEY)
  const asked = new Set(practice.intake.filter(isHealth).map((q) => q.id))
  if (!answers.every((a) => asked.has(a.question)))
    return problem('One of these questions is not asked any more.', 'answers')
  if (way === 'answers' && answers.length === 0)
    return problem('Nothing is answered yet. Answer one question, or take one of the short ways.')
  const said = way === 'answers' ? answers.map((a): Answer => ({ ...a, day: today, given })) : []
  addScreening(
    scope,
    key,
    { id: entryId, studentId, day: today },
    {
      ...(onTablet ? fromTablet(readHealth(scope, key, studentId).screening, said) : { answers: said }),
      nothingApplies: way === 'nothing-applies' ? today : null,
      gentle: way === 'gentle' ? true : way === 'gentle-ends' ? false : null,
      asked: onTablet ? null : today,
    },
  )
  return done(true)
}

/** A day of the calendar; empty means the usual one. */
const dayOrEmpty = z.union([z.literal(''), z.iso.date('That is no day of the calendar.')])

export const saveClearance = action(
  z.object({
    entryId: idField,
    studentId: idField,
    tags: z.array(z.object({ tag: z.enum(LOAD_TAGS), upTo: z.number().int().min(1).max(3) })),
    clinician: z.string().max(80),
    basis: z.enum(['letter-seen', 'student-reports']),
    day: dayOrEmpty,
    expires: dayOrEmpty,
  }),
  ({ scope, clock: { today }, health }, { entryId, studentId, tags, clinician, basis, day, expires }) => {
    if (!findStudent(scope, studentId)) return problem('This person is not in the studio any more.')
    const { key } = health
    if (!key) return problem(NO_KEY)
    const since = day === '' ? today : day
    const clearance = {
      tags,
      clinician,
      basis,
      day: since,
      expires: expires === '' ? usualExpiry(since) : expires,
    }
    const wrong = clearanceProblem(clearance, today)
    if (wrong) return { ok: false as const, problems: [clearanceSentence(wrong)] }
    addClearance(scope, key, { id: entryId, studentId, day: today }, clearance)
    return done(true)
  },
  { trail: ({ studentId }) => ({ what: 'clearance-changed', studentId }), layer: true },
)

export const forgetHealth = action(
  z.object({ studentId: idField }),
  ({ scope }, { studentId }) => {
    eraseHealth(scope, studentId)
    markInputsErased(scope, studentId)
    return done(true)
  },
  { trail: ({ studentId }) => ({ what: 'answers-forgotten', studentId }), layer: true, erases: true },
)

function clearanceSentence(wrong: ClearanceRefusal): Problem {
  switch (wrong.code) {
    case 'clearance-without-clinician':
      return { path: 'clinician', message: 'Who gave it? The person’s own word is not a clearance.' }
    case 'clearance-without-tags':
      return {
        path: 'tags',
        message: 'Pick what it covers: a clearance for one load never spreads to another.',
      }
    case 'clearance-in-the-future':
      return { path: 'day', message: `${formatDay(wrong.day)} is still to come.` }
    case 'clearance-too-long':
      return {
        path: 'expires',
        message: `Twelve months at most: until ${formatDay(wrong.most)}. Then it is asked for again.`,
      }
    case 'clearance-expires-before-it-starts':
      return { path: 'expires', message: 'It ends before it begins.' }
  }
}
