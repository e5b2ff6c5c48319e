import { asc, desc, eq } from 'drizzle-orm'
import type { Day } from '@/core/day'
import type { Weighing } from '@/core/weighing/calibrate'
import type { Db } from './open'
import { savedSetup, weighing } from './schema'

export type SavedSetup = {
  readonly id: string
  readonly studentId: string
  readonly setupId: string
  readonly options: Readonly<Record<string, number>>
  readonly day: Day
}

/** Setups kept for anybody, newest first. */
export function listSavedSetups(db: Db): SavedSetup[] {
  return db.select().from(savedSetup).orderBy(desc(savedSetup.day), desc(savedSetup.id)).all()
}

/** Keeps a setup for somebody. The same id a second time changes nothing. */
export function saveSetup(db: Db, saved: SavedSetup): void {
  db.insert(savedSetup)
    .values({ ...saved, options: { ...saved.options } })
    .onConflictDoNothing()
    .run()
}

/** Lets a kept setup go. */
export function removeSavedSetup(db: Db, id: string): void {
  db.delete(savedSetup).where(eq(savedSetup.id, id)).run()
}

export type WeighingRecord = Weighing & { readonly id: string; readonly studentId: string; readonly day: Day }

/** Everything that was weighed, oldest first. */
export function listWeighings(db: Db): WeighingRecord[] {
  return db.select().from(weighing).orderBy(asc(weighing.day), asc(weighing.id)).all()
}

/** Keeps a share. */
export function addWeighing(db: Db, record: WeighingRecord): void {
  db.insert(weighing).values(record).onConflictDoNothing().run()
}

/** Takes away what was weighed of somebody: their model is the usual one again. */
export function forgetWeighings(db: Db, studentId: string): void {
  db.delete(weighing).where(eq(weighing.studentId, studentId)).run()
}
