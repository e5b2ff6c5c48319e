'use server'

import { z } from 'zod'
import type { Spans } from '@/core/body/spans'
import { parseQuantity } from '@/core/entry'
import type { ReadinessCheck } from '@/core/practice/schema'
import { PLAIN_RESULT, PLAIN_TRY, type Observation } from '@/core/readiness/evidence'
import { OVERRIDE_REASONS } from '@/core/readiness/override'
import type { LengthUnit } from '@/core/units'
import { cardFaults, readCardCell, readValue } from '@/core/readiness/read-values'
import { describeCell, describeQuantity, describeResult } from '@/core/words/entry'
import { appendAttempt, appendObservation, appendPlacement, evidenceOf, type Origin } from '@/db/evidence'
import { addOfferTap } from '@/db/offers'
import { findClass } from '@/db/classes'
import { findStudent } from '@/db/students'
import { action } from '../action'
import { spansOfStudent } from '../body'
import { done, problem, type Answer, type Problem } from '../answer'
import type { Context } from '../context'
import {
  checkById,
  checkField,
  faultsField,
  idField,
  noteField,
  setupField,
  stageField,
  stampFields,
} from '../fields'

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

function keepObservation({ db, today, studio }: Context, input: z.output<typeof observationFields>) {
  const { deviceId, deviceSeq, single, left, right, ...rest } = input
  const student = findStudent(db, input.studentId)
  if (!student) return problem('This person is not in the studio any more.')
  const earlier = evidenceOf(db, input.studentId).observations.find((o) => o.id === input.replaces)
  if (input.replaces && !earlier) return problem('The entry to correct is not there any more.')
  const values = readValues(
    checkById(input.checkId),
    { single, left, right },
    spansOfStudent(student),
    studio.units,
  )
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

/** Cells on one card at most: a whole class and every check of a round. */
const MOST_CELLS = 400

/** The check card copied in from paper: all of it or nothing, each cell that cannot be read named. */
export const recordCard = action(
  z.object({
    classId: idField,
    observer: z.string().trim().max(80, 'Who recorded: 80 characters at most.'),
    cells: z
      .array(z.object({ ...stampFields, studentId: idField, checkId: checkField, typed: z.string().max(40) }))
      .max(MOST_CELLS),
  }),
  ({ db, today, studio }, { classId, observer, cells }) => {
    const roster = findClass(db, classId)?.roster
    if (!roster) return problem('That class is not here any more.')
    const problems: Problem[] = []
    const facts: { fact: Observation; origin: Origin }[] = []
    for (const { studentId, checkId, typed, deviceId, deviceSeq, id, hlc } of cells) {
      const student = roster.includes(studentId) ? findStudent(db, studentId) : null
      if (!student) return problem('Somebody on the card is not on the list of that class any more.')
      const check = checkById(checkId)
      const cell = readCardCell(typed, check, cardFaults(check), spansOfStudent(student), studio.units)
      if (cell === null) continue
      if (!cell.ok) {
        problems.push({ path: `${studentId} ${checkId}`, message: describeCell(cell.refusal, check, studio) })
        continue
      }
      const stamp = { id, hlc, studentId, day: today, replaces: null }
      const seen = { ...cell.value, aid: '', checkId, observer, classId }
      facts.push({ fact: { ...PLAIN_RESULT, ...stamp, ...seen }, origin: { deviceId, deviceSeq } })
    }
    if (problems.length > 0) return { ok: false, problems }
    for (const { fact, origin } of facts) appendObservation(db, fact, origin)
    return done({ stored: facts.length })
  },
)

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

const tryFields = z
  .object({
    ...stampFields,
    studentId: idField,
    stageId: stageField,
    setupId: setupField.nullable(),
    outcome: z.enum(['clean', 'not-yet', 'stopped']),
    level: z.enum(['took-off', 'hop', 'touched', 'held', 'practised']),
    /** As typed; empty where nobody timed it. */
    seconds: z.string(),
    lead: z.enum(['left', 'right']).nullable(),
    exitControlled: z.boolean(),
    help: z.enum(['alone', 'touched', 'carried']),
    endedBy: z.enum(['self', 'spent-arms', 'helper', 'setup']).nullable(),
    faults: faultsField,
  })
  .refine((t) => t.outcome !== 'clean' || t.faults.length === 0, {
    path: ['outcome'],
    message: 'A clean try has no faults: take the chips off, or say not yet.',
  })

/** Longer than anybody holds an arm balance, s. */
const MOST_SECONDS = 900

/** A try logged by hand, outside a class run. */
export const logTry = action(tryFields, ({ db, today }, { deviceId, deviceSeq, seconds, ...fact }) => {
  if (!findStudent(db, fact.studentId)) return problem('This person is not in the studio any more.')
  const held = seconds.trim() === '' ? null : parseQuantity(seconds, { min: 0, max: MOST_SECONDS })
  if (held && !held.ok) return problem(describeQuantity(held.refusal, 'a time in seconds', 's'), 'seconds')
  appendAttempt(
    db,
    {
      ...PLAIN_TRY,
      ...fact,
      endedBy: fact.outcome === 'clean' ? null : (fact.endedBy ?? 'self'),
      seconds: held ? held.value : null,
      day: today,
      replaces: null,
    },
    { deviceId, deviceSeq },
  )
  return done(true)
})

/** A try taken back: the earlier entry stays in the record, without effect. */
export const withdrawTry = action(
  z.object({ ...stampFields, studentId: idField, attemptId: idField }),
  ({ db }, { id, hlc, deviceId, deviceSeq, studentId, attemptId }) => {
    const earlier = evidenceOf(db, studentId).attempts.find((a) => a.id === attemptId)
    if (!earlier) return problem('That entry is not there any more.')
    appendAttempt(db, { ...earlier, id, hlc, replaces: attemptId, withdrawn: true }, { deviceId, deviceSeq })
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
  spans: Spans,
  units: LengthUnit,
): Answer<{ single?: number; left?: number; right?: number }> {
  const keys = check.side === 'each' ? (['left', 'right'] as const) : (['single'] as const)
  const problems: Problem[] = []
  const values: { single?: number; left?: number; right?: number } = {}
  for (const key of keys) {
    const parsed = readValue(typed[key] ?? '', check, spans, units)
    if (parsed.ok) values[key] = parsed.value
    else
      problems.push({
        path: key,
        message: describeResult(parsed.refusal, check, { units }),
      })
  }
  return problems.length > 0 ? { ok: false, problems } : done(values)
}
