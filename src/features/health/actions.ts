'use server'

import { z } from 'zod'
import { addDays, formatDay } from '@/core/day'
import { library } from '@/core/practice/library'
import { LOAD_TAGS } from '@/core/practice/schema'
import { isHealth, type Answer } from '@/core/screening/answers'
import { clearanceProblem, usualExpiry, type ClearanceRefusal } from '@/core/screening/clearance'
import { REGIONS } from '@/core/screening/tonight'
import { markInputsErased } from '@/db/erase'
import { addCheckIn, addClearance, addScreening, CHECK_IN_DAYS, eraseHealth } from '@/db/health'
import { findStudent } from '@/db/students'
import { action } from '../action'
import { done, problem, type Problem } from '../answer'
import { keyOfHealth, type Context } from '../context'
import { idField } from '../fields'

const SHUT = 'The key of the health notes is missing or broken, so nothing can be added to them.'

const answersField = z.array(
  z.object({
    question: z.string().refine((id) => asked().has(id), 'One of these questions is not asked any more.'),
    choice: z.enum(['no', 'yes', 'unsure', 'not-said']),
    options: z.array(z.string()),
  }),
)
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
  { layer: true },
)

/** What a student types on a tablet passed round: it adds and shows nothing, so it needs no open notes. */
export const savePassedScreening = action(
  z.object({ ...screeningFields, way: z.enum(['answers', 'nothing-applies', 'gentle']) }),
  (ctx, form) => keepScreening(ctx, { ...form, given: 'by-student' }),
  { refresh: false },
)

type ScreeningForm = {
  entryId: string
  studentId: string
  way: 'answers' | 'nothing-applies' | 'gentle' | 'gentle-ends'
  given: Answer['given']
  answers: Omit<Answer, 'day' | 'given'>[]
}

function keepScreening({ db, today }: Context, { entryId, studentId, way, given, answers }: ScreeningForm) {
  if (!findStudent(db, studentId)) return problem('This person is not in the studio any more.')
  const key = keyOfHealth()
  if (!key) return problem(SHUT)
  if (way === 'answers' && answers.length === 0)
    return problem('Nothing is answered yet. Answer one question, or take one of the short ways.')
  addScreening(
    db,
    key,
    { id: entryId, studentId, day: today },
    {
      answers: way === 'answers' ? answers.map((a): Answer => ({ ...a, day: today, given })) : [],
      nothingApplies: way === 'nothing-applies' ? today : null,
      gentle: way === 'gentle' ? true : way === 'gentle-ends' ? false : null,
    },
  )
  return done(true)
}

function asked(): ReadonlySet<string> {
  return new Set(
    library()
      .intake.filter(isHealth)
      .map((q) => q.id),
  )
}

const scale = (what: string) =>
  z
    .number({ error: `Tap ${what}.` })
    .int()
    .min(0)
    .max(10, `${what}: 0 to 10.`)

/** Tonight's words at the door. */
export const saveCheckIn = action(
  z.object({
    entryId: idField,
    studentId: idField,
    pain: scale('how much hurts now'),
    regions: z.array(z.enum(REGIONS)),
    energy: scale('your energy'),
    arms: scale('your arms'),
    look: z.enum(['watch', 'half', 'whole'], { error: 'Tap how much you want tonight.' }),
    ticked: z.array(z.string().max(40)),
    touch: z.enum(['no', 'ask', 'yes'], { error: 'Tap whether hands may help.' }),
  }),
  ({ db, today }, { entryId, studentId, ...said }) => {
    if (!findStudent(db, studentId)) return problem('This person is not in the studio any more.')
    const key = keyOfHealth()
    if (!key) return problem(SHUT)
    if (said.pain > 0 && said.regions.length === 0) return problem('Tap where it hurts.', 'regions')
    const keepFrom = addDays(today, -CHECK_IN_DAYS)
    addCheckIn(db, key, { id: entryId, studentId, day: today }, { ...said, day: today }, keepFrom)
    return done(true)
  },
  { refresh: false },
)

export const saveClearance = action(
  z.object({
    entryId: idField,
    studentId: idField,
    tags: z.array(z.object({ tag: z.enum(LOAD_TAGS), upTo: z.number().int().min(1).max(3) })),
    clinician: z.string().max(80),
    basis: z.enum(['letter-seen', 'student-reports']),
    day: z.string(),
    expires: z.string(),
  }),
  ({ db, today }, { entryId, studentId, tags, clinician, basis, day, expires }) => {
    if (!findStudent(db, studentId)) return problem('This person is not in the studio any more.')
    const key = keyOfHealth()
    if (!key) return problem(SHUT)
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
    addClearance(db, key, { id: entryId, studentId, day: today }, clearance)
    return done(true)
  },
  { layer: true },
)

export const forgetHealth = action(
  z.object({ studentId: idField }),
  ({ db }, { studentId }) => {
    eraseHealth(db, studentId)
    markInputsErased(db, studentId)
    return done(true)
  },
  { layer: true, erases: true },
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
    case 'clearance-expires-before-it-starts':
      return { path: 'expires', message: 'It ends before it begins.' }
  }
}
