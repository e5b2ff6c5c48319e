'use client'

import type { OverrideReason } from '@/core/classes/override'
import type { Part } from '@/core/classes/lock'
import { newId, newStamp } from '@/device/facts'
import { useSubmit } from '../../use-submit'
import { setVersion } from '../actions'

/** Fixes somebody's version in a part of a class, or gives the choice back; the rest is planned again round it. */
export function useVersion(classId: string, part: Part) {
  const { busy, problemOf, send } = useSubmit(setVersion)
  return {
    busy,
    problem: problemOf(''),
    /** @returns whether it was kept */
    choose: async (
      studentId: string,
      stageId: string | null,
      reason: OverrideReason | null,
    ): Promise<boolean> => {
      const lock = { kind: 'lock' as const, classId, studentId, part, stageId, reason }
      return (await send({ ...lock, ...(await newStamp()), planId: newId() })) !== null
    },
  }
}
