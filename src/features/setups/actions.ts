'use server'

import { z } from 'zod'
import { calibrate, WEIGHING_SHAPES, type WeighingRefusal } from '@/core/weighing/calibrate'
import { findSetup } from '@/core/setups/catalogue'
import { percent } from '@/core/words/number'
import { addWeighing, forgetWeighings, removeSavedSetup, saveSetup, weighingsOf } from '@/db/setups'
import { findStudent } from '@/db/students'
import { action } from '../action'
import { done, problem } from '../answer'
import { idField } from '../fields'
import { benchDetails } from './queries'

/** What the bench wants to know of somebody once they are picked. */
export const readPerson = action(
  z.object({ studentId: idField }),
  (ctx, { studentId }) => {
    const details = benchDetails(ctx, studentId)
    return details ? done(details) : problem('This person is not in the studio any more.')
  },
  { by: 'floor', refresh: false },
)

/** Keeps the setup on the bench for somebody. */
export const keepSetup = action(
  z.object({
    id: idField,
    studentId: idField,
    setupId: z.string().refine((id) => findSetup(id) !== undefined, 'That setup is not in the practice.'),
    options: z.record(z.string().max(40), z.number()),
  }),
  ({ scope, clock: { today } }, { studentId, ...rest }) => {
    if (!findStudent(scope, studentId)) return problem('This person is not in the studio any more.')
    saveSetup(scope, { ...rest, studentId, day: today })
    return done(true)
  },
  { by: 'floor' },
)

export const dropSetup = action(z.object({ id: idField }), ({ scope }, { id }) => {
  removeSavedSetup(scope, id)
  return done(true)
})

/** Keeps a share that was weighed; neither reading comes here. */
export const keepWeighing = action(
  z.object({ id: idField, studentId: idField, shapeId: z.string().max(40), share: z.number() }),
  ({ scope, clock: { today } }, { id, studentId, shapeId, share }) => {
    const student = findStudent(scope, studentId)
    if (!student) return problem('This person is not in the studio any more.')
    if (student.statureCm === null) return problem('A height first: the model starts from it.')
    if (!WEIGHING_SHAPES.some((s) => s.id === shapeId)) return problem('That shape is not weighed.')
    const earlier = weighingsOf(scope, studentId)
    const { statureCm, measured } = student
    const fitted = calibrate({ statureCm, measured }, [...earlier, { shapeId, share }])
    if (!fitted.ok) return problem(describeWeighing(fitted.refusal))
    addWeighing(scope, { id, studentId, shapeId, share, day: today })
    return done(fitted.value)
  },
  { by: 'floor' },
)

export const dropWeighings = action(z.object({ studentId: idField }), ({ scope }, { studentId }) => {
  forgetWeighings(scope, studentId)
  return done(true)
})

function describeWeighing(refusal: WeighingRefusal): string {
  switch (refusal.code) {
    case 'weighing-does-not-fit':
      return `${percent(refusal.share)} fits no body of these lengths: ${percent(refusal.least)} to ${percent(refusal.most)} would. Measure again?`
    case 'share-impossible':
      return 'The second reading has to be a part of the first. Measure again?'
    case 'unknown-shape':
      return 'That shape is not weighed.'
  }
}
