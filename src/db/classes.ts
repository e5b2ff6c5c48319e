import { asc, desc, eq, gte } from 'drizzle-orm'
import type { Day } from '@/core/day'
import type { Lock, Plan } from '@/core/planning/plan'
import type { Decision } from '@/core/readiness/decide'
import type { ClassEvent } from '@/core/teaching/class-run'
import type { Origin } from './evidence'
import type { Db } from './open'
import { classDecision, classEvent, classRoster, classSession } from './schema'

export type ClassRecord = {
  readonly id: string
  readonly title: string
  readonly day: Day
  readonly startTime: string
  readonly minutes: number
  readonly bays: number
  readonly groupId: string | null
  readonly plan: Plan | null
  readonly locks: readonly Lock[]
  readonly roster: readonly string[]
}

/** All classes, newest first. */
export function listClasses(db: Db): ClassRecord[] {
  return db
    .select()
    .from(classSession)
    .orderBy(desc(classSession.day), desc(classSession.startTime))
    .all()
    .map((row) => toClass(db, row))
}

/** One class with its roster. */
export function findClass(db: Db, id: string): ClassRecord | null {
  const row = db.select().from(classSession).where(eq(classSession.id, id)).get()
  return row ? toClass(db, row) : null
}

/** The class of today, or the next one. */
export function nextClass(db: Db, today: Day): ClassRecord | null {
  const row = db
    .select()
    .from(classSession)
    .where(gte(classSession.day, today))
    .orderBy(asc(classSession.day), asc(classSession.startTime))
    .get()
  return row ? toClass(db, row) : null
}

/** Stores a new class with its roster; the same id a second time changes nothing. */
export function addClass(
  db: Db,
  record: Omit<ClassRecord, 'plan' | 'locks' | 'groupId'> & {
    groupId?: string | null
    plan?: Plan | null
    locks?: readonly Lock[]
  },
): boolean {
  const { roster, plan = null, locks = [], groupId = null, ...row } = record
  const isNew =
    db
      .insert(classSession)
      .values({ ...row, groupId, plan, locks })
      .onConflictDoNothing()
      .run().changes > 0
  if (isNew)
    for (const studentId of roster) db.insert(classRoster).values({ classId: row.id, studentId }).run()
  return isNew
}

/** Stores a plan and the choices it was made round. */
export function savePlan(db: Db, id: string, plan: Plan, locks: readonly Lock[]): void {
  db.update(classSession).set({ plan, locks }).where(eq(classSession.id, id)).run()
}

/** What happened in a class, in clock order. */
export function eventsOf(db: Db, classId: string): ClassEvent[] {
  return db
    .select()
    .from(classEvent)
    .where(eq(classEvent.classId, classId))
    .orderBy(asc(classEvent.hlc))
    .all()
}

/** Appends to what happened. Returns false when it was there already. */
export function appendClassEvent(
  db: Db,
  event: ClassEvent & { classId: string; day: Day },
  origin: Origin,
): boolean {
  return (
    db
      .insert(classEvent)
      .values({ ...event, ...origin })
      .onConflictDoNothing()
      .run().changes > 0
  )
}

/** Keeps the decisions on both sides of a class. A second end replaces the first. */
export function keepDecisions(
  db: Db,
  classId: string,
  changes: readonly { studentId: string; before: Decision; after: Decision }[],
): void {
  db.delete(classDecision).where(eq(classDecision.classId, classId)).run()
  for (const change of changes)
    db.insert(classDecision)
      .values({ classId, ...change })
      .run()
}

/** Decisions on both sides of a class, once it has ended. */
export function decisionsOf(
  db: Db,
  classId: string,
): { studentId: string; before: Decision; after: Decision; inputsErased: boolean }[] {
  const rows = db.select().from(classDecision).where(eq(classDecision.classId, classId)).all()
  return rows.map((row) => ({
    studentId: row.studentId,
    before: row.before as Decision,
    after: row.after as Decision,
    inputsErased: row.inputsErased,
  }))
}

function toClass(db: Db, row: typeof classSession.$inferSelect): ClassRecord {
  const roster = db.select().from(classRoster).where(eq(classRoster.classId, row.id)).all()
  return {
    ...row,
    plan: row.plan as Plan | null,
    locks: row.locks as Lock[],
    roster: roster.map((r) => r.studentId),
  }
}
