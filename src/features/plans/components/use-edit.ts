'use client'

import { newId } from '@/device/facts'
import { useSubmit } from '../../use-submit'
import { editPlan } from '../actions'
import type { Edit } from '@/core/classes/edit'

/** Changes a class by hand; the rest is planned again round it. */
export function useEdit(classId: string) {
  const { busy, problemOf, send } = useSubmit(editPlan)
  return {
    busy,
    problem: problemOf(''),
    edit: (edit: Edit): void => void send({ id: classId, planId: newId(), edit }),
  }
}
