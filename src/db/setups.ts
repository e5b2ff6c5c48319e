import { asc, desc, eq } from 'drizzle-orm'
import type { Day } from '@/core/day'
import type { Weighing } from '@/core/weighing/calibrate'
import { savedSetup, weighing } from './schema'
import { addOnce, dropRows, rowsOf } from './rows'
import type { Scope } from './scope'

export type SavedSetup = {
  readonly id: string
  readonly studentId: string
  readonly setupId: string
  readonly options: Readonly<Record<string, number>>
  readonly day: Day
}

/** Setups kept for somebody, newest first. */
export function savedSetupsOf(scope: Scope, studentId: string): SavedSetup[] {
  return rowsOf(
    scope,
    savedSetup,
    eq(savedSetup.studentId, studentId),
    desc(savedSetup.day),
    desc(savedSetup.id),
  )
}

/** Keeps a setup for somebody. The same id a second time changes nothing. */
export function saveSetup(scope: Scope, saved: SavedSetup): void {
  addOnce(scope, savedSetup, { ...saved, options: { ...saved.options } })
}

/** Lets a kept setup go. */
export function removeSavedSetup(scope: Scope, id: string): void {
  dropRows(scope, savedSetup, eq(savedSetup.id, id))
}

export type WeighingRecord = Weighing & { readonly id: string; readonly studentId: string; readonly day: Day }

/** Everything that was weighed of somebody, oldest first. */
export function weighingsOf(scope: Scope, studentId: string): WeighingRecord[] {
  return rowsOf(scope, weighing, eq(weighing.studentId, studentId), asc(weighing.day), asc(weighing.id))
}

/** Everything that was weighed of anybody, oldest first. */
export function allWeighings(scope: Scope): WeighingRecord[] {
  return rowsOf(scope, weighing, undefined, asc(weighing.day), asc(weighing.id))
}

/** Keeps a share. */
export function addWeighing(scope: Scope, record: WeighingRecord): void {
  addOnce(scope, weighing, record)
}

/** Takes away what was weighed of somebody: their model is the usual one again. */
export function forgetWeighings(scope: Scope, studentId: string): void {
  dropRows(scope, weighing, eq(weighing.studentId, studentId))
}
