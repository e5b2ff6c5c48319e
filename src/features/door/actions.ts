'use server'

import { z } from 'zod'
import { addDropIn, markAttended } from '@/db/attendance'
import { findClass } from '@/db/classes'
import { addStudents, findStudent } from '@/db/students'
import { action } from '../action'
import { done, problem } from '../answer'
import { idField, nameField } from '../fields'

export const mark = action(
  z.object({
    classId: idField,
    studentId: idField,
    attended: z.enum(['here', 'late', 'absent']).nullable(),
  }),
  ({ db }, { classId, studentId, attended }) =>
    markAttended(db, classId, studentId, attended)
      ? done(attended)
      : problem('This person is not on the list of that class.'),
)

/** Somebody known who was not booked. */
export const dropIn = action(
  z.object({ classId: idField, studentId: idField }),
  ({ db }, { classId, studentId }) => {
    if (!findClass(db, classId) || !findStudent(db, studentId))
      return problem('That person or class is gone.')
    addDropIn(db, classId, studentId)
    return done(true)
  },
)

/** Somebody nobody knows yet: gentle until asked. */
export const newDropIn = action(
  z.object({ classId: idField, studentId: idField, name: nameField }),
  ({ db, today }, { classId, studentId, name }) => {
    if (!findClass(db, classId)) return problem('That class is gone.')
    addStudents(db, [{ id: studentId, name }], today)
    addDropIn(db, classId, studentId)
    return done(true)
  },
)
