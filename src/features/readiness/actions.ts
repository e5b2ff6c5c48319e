'use server'

import { z } from 'zod'
import { parseQuantity } from '@/core/entry'
import { attemptFact } from '@/core/facts/fact'
import { stampFields } from '@/core/facts/stamp'
import { findById } from '@/core/practice/find'
import { PLAIN_RESULT } from '@/core/readiness/evidence'
import { cardFaults, readCardCell } from '@/core/readiness/read-values'
import { describeCell, describeQuantity } from '@/core/words/entry'
import { appendObservation } from '@/db/evidence'
import { findClass } from '@/db/classes'
import { studentsByIds } from '@/db/students'
import { action } from '../action'
import { done, problem, type Problem } from '../answer'
import { spansOfStudent } from '../body'
import { keepFact } from '../facts/keep'
import { idField } from '../fields'

/** Longer than anybody holds an arm balance, s. */
const MOST_SECONDS = 900

/** A try logged by hand, outside a class run: the seconds come as they were typed, empty where nobody timed it. */
export const logTry = action(
  attemptFact.extend({ seconds: z.string() }),
  (ctx, { seconds, ...fact }) => {
    const held = seconds.trim() === '' ? null : parseQuantity(seconds, { min: 0, max: MOST_SECONDS })
    if (held && !held.ok) return problem(describeQuantity(held.refusal, 'a time in seconds', 's'), 'seconds')
    const endedBy = fact.outcome === 'clean' ? null : (fact.endedBy ?? 'self')
    return keepFact(ctx, { ...fact, endedBy, seconds: held ? held.value : null })
  },
  { by: 'floor' },
)

/** Cells on one card at most: a whole class and every check of a round. */
const MOST_CELLS = 400

/** The check card copied in from paper: all of it or nothing, each cell that cannot be read named. */
export const recordCard = action(
  ({ checkField }) =>
    z.object({
      classId: idField,
      observer: z.string().trim().max(80, 'Who recorded: 80 characters at most.'),
      cells: z
        .array(
          z.object({
            ...stampFields,
            studentId: idField,
            checkId: checkField,
            typed: z.string().max(40),
            exitId: z.string().nullable().default(null),
          }),
        )
        .max(MOST_CELLS),
    }),
  ({ scope, practice, studio }, { classId, observer, cells }) => {
    const roster = findClass(scope, classId)?.roster
    if (!roster) return problem('That class is not here any more.')
    const people = new Map(studentsByIds(scope, roster).map((s) => [s.id, s]))
    const problems: Problem[] = []
    const facts: Parameters<typeof appendObservation>[1][] = []
    const origins: Parameters<typeof appendObservation>[2][] = []
    for (const { studentId, checkId, typed, exitId, deviceId, deviceSeq, ...stamp } of cells) {
      const student = people.get(studentId)
      if (!student) return problem('Somebody on the card is not on the list of that class any more.')
      const check = findById(practice.checks, checkId)
      const cell = readCardCell(typed, check, cardFaults(check), spansOfStudent(student), studio.units)
      if (cell === null) continue
      if (!cell.ok) {
        problems.push({ path: `${studentId} ${checkId}`, message: describeCell(cell.refusal, check, studio) })
        continue
      }
      if (exitId !== null && !practice.exits.some((e) => e.id === exitId))
        return problem('That way out is not in the practice.')
      const seen = { ...cell.value, aid: '', checkId, observer, classId, exitId }
      facts.push({ ...PLAIN_RESULT, ...stamp, studentId, replaces: null, ...seen })
      origins.push({ deviceId, deviceSeq })
    }
    if (problems.length > 0) return { ok: false, problems }
    facts.forEach((fact, i) => appendObservation(scope, fact, origins[i] ?? { deviceId: '', deviceSeq: 0 }))
    return done({ stored: facts.length })
  },
  { by: 'floor' },
)
