'use server'

import { z } from 'zod'
import { incidentProblem, KINDS, TOLD } from '@/core/incident/incident'
import { describeIncident } from '@/core/words/incident'
import { addIncident, tellSince } from '@/db/incidents'
import { action } from '../action'
import { clockTime } from '../clock'
import { done, problem } from '../answer'
import { idField } from '../fields'

const words = z.string().trim().max(2000, 'At most 2,000 characters.')

/** Keeps a report. It needs no open notes: what happened has to be written at once. */
export const saveIncident = action(
  ({ stageField }) =>
    z.object({
      id: idField,
      day: z.iso.date('Pick the day.'),
      time: z.string(),
      classId: idField.nullable(),
      studentId: idField.nullable(),
      kind: z.enum(KINDS, { error: 'Pick what kind it was.' }),
      stageId: stageField.nullable(),
      happened: words,
      done: words,
      told: z.array(z.enum(TOLD)),
      witnesses: words,
      reporter: words,
    }),
  ({ scope, studio, clock: { today }, health: { key } }, { id, day, time, classId, studentId, ...rest }) => {
    const report = { ...rest, setupId: null }
    const wrong = incidentProblem(report, { day, time }, today, clockTime(studio.timeZone))
    if (wrong) {
      const path =
        wrong.code === 'incident-empty'
          ? wrong.field
          : wrong.code === 'incident-in-the-future'
            ? 'day'
            : 'time'
      return problem(describeIncident(wrong), path)
    }
    if (!key)
      return problem('The key that seals reports is missing or broken. Print this page before you leave it.')
    addIncident(scope, key, { id, day, time, classId, studentId, writtenDay: today, report })
    return done({ id })
  },
)

/** Who was told since a report was written. */
export const saveTold = action(
  z.object({ id: idField, told: z.array(z.enum(TOLD)).min(1, 'Tick who was told.') }),
  ({ scope, privacy, health: { key } }, { id, told }) => {
    if (!privacy.notesOpen || !key)
      return problem('Open the health notes first: reports are sealed with them.')
    if (!tellSince(scope, key, id, told)) return problem('This report does not open any more.')
    return done(true)
  },
)
