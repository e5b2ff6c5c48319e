import { asc, desc, eq } from 'drizzle-orm'
import type { Day } from '@/core/day'
import type { Weighing } from '@/core/weighing/calibrate'
import { savedSetup, weighing } from './schema'
import { mine, type Scope } from './scope'

export type SavedSetup = {
  readonly id: string
  readonly studentId: string
  readonly setupId: string
  readonly options: Readonly<Record<string, number>>
  readonly day: Day
}

/** Setups kept for somebody, newest first. */
export function savedSetupsOf(scope: Scope, studentId: string): SavedSetup[] {
  return scope.db
    .select()
    .from(savedSetup)
    .where(mine(scope, savedSetup, eq(savedSetup.studentId, studentId)))
    .orderBy(desc(savedSetup.day), desc(savedSetup.id))
    .all()
}

/** Keeps a setup for somebody. The same id a second time changes nothing. */
export function saveSetup(scope: Scope, saved: SavedSetup): void {
  scope.db
    .insert(savedSetup)
    .values({ ...saved, studioId: scope.studioId, options: { ...saved.options } })
    .onConflictDoNothing({ target: savedSetup.id })
    .run()
}

/** Lets a kept setup go. */
export function removeSavedSetup(scope: Scope, id: string): void {
  scope.db
    .delete(savedSetup)
    .where(mine(scope, savedSetup, eq(savedSetup.id, id)))
    .run()
}

export type WeighingRecord = Weighing & { readonly id: string; readonly studentId: string; readonly day: Day }

/** Everything that was weighed of somebody, oldest first. */
export function weighingsOf(scope: Scope, studentId: string): WeighingRecord[] {
  return scope.db
    .select()
    .from(weighing)
    .where(mine(scope, weighing, eq(weighing.studentId, studentId)))
    .orderBy(asc(weighing.day), asc(weighing.id))
    .all()
}

/** Everything that was weighed of anybody, oldest first. */
export function allWeighings(scope: Scope): WeighingRecord[] {
  return scope.db
    .select()
    .from(weighing)
    .where(mine(scope, weighing))
    .orderBy(asc(weighing.day), asc(weighing.id))
    .all()
}

/** Keeps a share. */
export function addWeighing(scope: Scope, record: WeighingRecord): void {
  scope.db
    .insert(weighing)
    .values({ ...record, studioId: scope.studioId })
    .onConflictDoNothing({ target: weighing.id })
    .run()
}

/** Takes away what was weighed of somebody: their model is the usual one again. */
export function forgetWeighings(scope: Scope, studentId: string): void {
  scope.db
    .delete(weighing)
    .where(mine(scope, weighing, eq(weighing.studentId, studentId)))
    .run()
}
