'use server'

import { z } from 'zod'
import { incidentProblem, KINDS, TOLD } from '@/core/incident/incident'
import { describeIncident } from '@/core/words/incident'
import { addIncident } from '@/db/incidents'
import { action } from '../action'
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
  ({ scope, clock: { today }, health: { key } }, { id, day, time, classId, studentId, ...rest }) => {
    const report = { ...rest, setupId: null }
    const wrong = incidentProblem(report, { day, time }, today)
    if (wrong) {
      const path =
        wrong.code === 'incident-empty' ? wrong.field : wrong.code === 'incident-time' ? 'time' : 'day'
      return problem(describeIncident(wrong), path)
    }
    if (!key)
      return problem('The key that seals reports is missing or broken. Print this page before you leave it.')
    addIncident(scope, key, { id, day, time, classId, studentId, writtenDay: today, report })
    return done({ id })
  },
)
