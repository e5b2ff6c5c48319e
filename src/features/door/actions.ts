'use server'

import { z } from 'zod'
import { stampFields } from '@/core/facts/stamp'
import { addDropIn } from '@/db/attendance'
import { findClass } from '@/db/classes'
import { addStudents, findStudent } from '@/db/students'
import { action } from '../action'
import { problem } from '../answer'
import { keepFact } from '../facts/keep'
import { idField, nameField } from '../fields'

/** Somebody known who was not booked. */
export const dropIn = action(
  z.object({ classId: idField, studentId: idField, here: z.object(stampFields) }),
  (ctx, { classId, studentId, here }) => {
    const { scope } = ctx
    if (!findClass(scope, classId) || !findStudent(scope, studentId))
      return problem('That person or class is gone.')
    addDropIn(scope, classId, studentId)
    return keepFact(ctx, { ...here, kind: 'attended', classId, studentId, mark: 'here' })
  },
  { by: 'floor' },
)

/** Somebody nobody knows yet: gentle until asked. */
export const newDropIn = action(
  z.object({ classId: idField, studentId: idField, name: nameField, here: z.object(stampFields) }),
  (ctx, { classId, studentId, name, here }) => {
    const { scope, clock } = ctx
    if (!findClass(scope, classId)) return problem('That class is gone.')
    addStudents(scope, [{ id: studentId, name }], clock.today)
    addDropIn(scope, classId, studentId)
    return keepFact(ctx, { ...here, kind: 'attended', classId, studentId, mark: 'here' })
  },
  { by: 'floor' },
)
