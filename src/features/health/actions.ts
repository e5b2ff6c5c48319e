'use server'

import { z } from 'zod'
import { formatDay } from '@/core/day'
import { library } from '@/core/practice/library'
import { LOAD_TAGS } from '@/core/practice/schema'
import { isHealth, type Answer } from '@/core/screening/answers'
import { clearanceProblem, usualExpiry, type ClearanceRefusal } from '@/core/screening/clearance'
import { addClearance, addScreening, eraseHealth } from '@/db/health'
import { findStudent } from '@/db/students'
import { action } from '../action'
import { done, problem, type Problem } from '../answer'
import { keyOfHealth } from '../context'
import { idField } from '../fields'

const SHUT = 'The key of the health notes is missing or broken, so nothing can be added to them.'

export const saveScreening = action(
  z.object({
    entryId: idField,
    studentId: idField,
    way: z.enum(['answers', 'nothing-applies', 'gentle']),
    given: z.enum(['by-student', 'by-teacher', 'asked-aloud', 'from-card']),
    answers: z.array(
      z.object({
        question: z.string(),
        choice: z.enum(['no', 'yes', 'unsure', 'not-said']),
        options: z.array(z.string()),
      }),
    ),
  }),
  ({ db, today }, { entryId, studentId, way, given, answers }) => {
    if (!findStudent(db, studentId)) return problem('This person is not in the studio any more.')
    const key = keyOfHealth()
    if (!key) return problem(SHUT)
    const known = new Set(
      library()
        .intake.filter(isHealth)
        .map((q) => q.id),
    )
    if (answers.some((a) => !known.has(a.question)))
      return problem('One of these questions is not asked any more.')
    if (way === 'answers' && answers.length === 0)
      return problem('Nothing is answered yet. Answer one question, or take one of the short ways.')
    const screening = {
      answers: way === 'answers' ? answers.map((a): Answer => ({ ...a, day: today, given })) : [],
      nothingApplies: way === 'nothing-applies' ? today : null,
      gentle: way === 'gentle',
    }
    addScreening(db, key, { id: entryId, studentId, day: today }, screening)
    return done(true)
  },
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
)

export const forgetHealth = action(z.object({ studentId: idField }), ({ db }, { studentId }) => {
  eraseHealth(db, studentId)
  return done(true)
})

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
