'use server'

import { z } from 'zod'
import { parseQuantity } from '@/core/entry'
import type { ReadinessCheck } from '@/core/practice/schema'
import { OVERRIDE_REASONS } from '@/core/readiness/override'
import { describeQuantity } from '@/core/words/entry'
import { appendObservation, appendPlacement, evidenceOf } from '@/db/evidence'
import { addOfferTap } from '@/db/offers'
import { findStudent } from '@/db/students'
import { action } from '../action'
import { done, problem, type Answer, type Problem } from '../answer'
import type { Context } from '../context'
import { checkById, checkField, faultsField, idField, noteField, stageField, stampFields } from '../fields'

const observationFields = z.object({
  ...stampFields,
  studentId: idField,
  checkId: checkField,
  single: z.string().optional(),
  left: z.string().optional(),
  right: z.string().optional(),
  aided: z.boolean(),
  aid: z.string().trim().max(40, 'The aid: 40 characters at most.').default(''),
  help: z.enum(['alone', 'touched', 'carried']).default('alone'),
  arms: z.enum(['fresh', 'spent']).nullable().default(null),
  observer: z.string().trim().max(80, 'Who records: 80 characters at most.').default(''),
  classId: idField.nullable().default(null),
  /** Head stayed clear and elbows stayed in, or the check's own shape kept. */
  valid: z.boolean(),
  watched: z.boolean(),
  faults: faultsField,
  note: noteField,
  replaces: idField.nullable(),
})

export const recordObservation = action(observationFields, keepObservation)

/** The same from the floor: the page keeps its own state and is not drawn anew by each tap. */
export const recordOnFloor = action(observationFields, keepObservation, { refresh: false })

function keepObservation({ db, today }: Context, input: z.output<typeof observationFields>) {
  const { deviceId, deviceSeq, single, left, right, ...rest } = input
  if (!findStudent(db, input.studentId)) return problem('This person is not in the studio any more.')
  const earlier = evidenceOf(db, input.studentId).observations.find((o) => o.id === input.replaces)
  if (input.replaces && !earlier) return problem('The entry to correct is not there any more.')
  const values = readValues(checkById(input.checkId), { single, left, right })
  if (!values.ok) return values
  // A correction speaks of the day it corrects: putting an old slip right must not make it fresh.
  const day = earlier?.day ?? today
  appendObservation(
    db,
    { ...rest, kind: 'observation', values: values.value, day, withdrawn: false },
    { deviceId, deviceSeq },
  )
  return done(true)
}

const withdrawalFields = z.object({ ...stampFields, studentId: idField, observationId: idField })

export const withdrawObservation = action(withdrawalFields, withdraw)
export const withdrawOnFloor = action(withdrawalFields, withdraw, { refresh: false })

function withdraw({ db }: Context, input: z.output<typeof withdrawalFields>) {
  const { id, hlc, deviceId, deviceSeq, studentId, observationId } = input
  const earlier = evidenceOf(db, studentId).observations.find((o) => o.id === observationId)
  if (!earlier) return problem('That entry is not there any more.')
  appendObservation(
    db,
    { ...earlier, id, hlc, replaces: observationId, withdrawn: true },
    { deviceId, deviceSeq },
  )
  return done(true)
}

export const placeByEye = action(
  z.object({ ...stampFields, studentId: idField, stageId: stageField.nullable() }),
  ({ db, today }, { deviceId, deviceSeq, ...rest }) => {
    if (!findStudent(db, rest.studentId)) return problem('This person is not in the studio any more.')
    appendPlacement(db, { ...rest, kind: 'placement', day: today, replaces: null }, { deviceId, deviceSeq })
    return done(true)
  },
)

/** The teacher has looked at an offer. */
export const answerOffer = action(
  z
    .object({
      id: idField,
      studentId: idField,
      stageId: stageField,
      answer: z.enum(['accept', 'hold-back', 'override']),
      reason: z.enum(OVERRIDE_REASONS).nullable().default(null),
    })
    .refine((tap) => tap.answer !== 'override' || tap.reason !== null, {
      path: ['reason'],
      message: 'Say why: pick one of the reasons.',
    }),
  ({ db, studio, nowMs }, tap) => {
    if (!findStudent(db, tap.studentId)) return problem('This person is not in the studio any more.')
    addOfferTap(db, { ...tap, by: studio.teacher, atMs: nowMs })
    return done(true)
  },
)

type Typed = { single?: string | undefined; left?: string | undefined; right?: string | undefined }

function readValues(
  check: ReadinessCheck,
  typed: Typed,
): Answer<{ single?: number; left?: number; right?: number }> {
  const keys = check.side === 'each' ? (['left', 'right'] as const) : (['single'] as const)
  const problems: Problem[] = []
  const values: { single?: number; left?: number; right?: number } = {}
  for (const key of keys) {
    const parsed = parseQuantity(typed[key] ?? '', check)
    if (parsed.ok) values[key] = parsed.value
    else
      problems.push({
        path: key,
        message: describeQuantity(
          parsed.refusal,
          `a result in ${check.unit}`,
          check.kind === 'level' ? '' : check.unit,
        ),
      })
  }
  return problems.length > 0 ? { ok: false, problems } : done(values)
}
