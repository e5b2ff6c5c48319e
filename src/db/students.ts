import { and, asc, eq, isNull } from 'drizzle-orm'
import { SEGMENT_NAMES, type SegmentName } from '@/core/body/anthropometry'
import type { Day } from '@/core/day'
import type { Db } from './open'
import { student, studentMeasure } from './schema'

export type StudentRecord = {
  readonly id: string
  readonly name: string
  readonly statureCm: number | null
  readonly breathS: number
  /** Whom to ring; empty where nobody was named. */
  readonly contact: string
  readonly archivedDay: Day | null
  readonly createdDay: Day
  readonly measured: Partial<Record<SegmentName, number>>
}

/** Everybody still coming, by name; archived people on request. */
export function listStudents(db: Db, { archived = false }: { archived?: boolean } = {}): StudentRecord[] {
  const rows = db
    .select()
    .from(student)
    .where(archived ? undefined : isNull(student.archivedDay))
    .orderBy(asc(student.name))
    .all()
  const measures = db.select().from(studentMeasure).all()
  return rows.map((row) => ({ ...row, measured: measuredOf(measures.filter((m) => m.studentId === row.id)) }))
}

/** One person, archived or not. */
export function findStudent(db: Db, id: string): StudentRecord | null {
  const row = db.select().from(student).where(eq(student.id, id)).get()
  if (!row) return null
  return {
    ...row,
    measured: measuredOf(db.select().from(studentMeasure).where(eq(studentMeasure.studentId, id)).all()),
  }
}

/** Adds people; ids come from the form, so a second press adds nobody twice. Returns how many were new. */
export function addStudents(
  db: Db,
  people: readonly { id: string; name: string; statureCm?: number | null; breathS?: number }[],
  day: Day,
): number {
  let added = 0
  for (const { id, name, statureCm = null, breathS = 5 } of people) {
    const result = db
      .insert(student)
      .values({ id, name, statureCm, breathS, createdDay: day })
      .onConflictDoNothing()
      .run()
    added += result.changes
  }
  return added
}

/** Saves a profile: name, stature, breath and every measured length (absent ones go back to estimates). */
export function saveProfile(
  db: Db,
  id: string,
  profile: {
    name: string
    statureCm: number | null
    breathS: number
    contact?: string
    measured: Partial<Record<SegmentName, number>>
  },
  day: Day,
): boolean {
  const { name, statureCm, breathS, contact, measured } = profile
  const { changes } = db
    .update(student)
    .set({ name, statureCm, breathS, contact })
    .where(eq(student.id, id))
    .run()
  if (changes === 0) return false
  db.delete(studentMeasure).where(eq(studentMeasure.studentId, id)).run()
  for (const [segment, valueCm] of Object.entries(measured))
    db.insert(studentMeasure).values({ studentId: id, segment, valueCm, day }).run()
  return true
}

/** Puts somebody away, or brings them back when `day` is null. Nothing about them is lost. */
export function setArchived(db: Db, id: string, day: Day | null): boolean {
  return (
    db
      .update(student)
      .set({ archivedDay: day })
      .where(and(eq(student.id, id)))
      .run().changes > 0
  )
}

function measuredOf(
  rows: readonly { segment: string; valueCm: number }[],
): Partial<Record<SegmentName, number>> {
  return Object.fromEntries(
    rows
      .filter((row) => (SEGMENT_NAMES as readonly string[]).includes(row.segment))
      .map((row) => [row.segment, row.valueCm]),
  )
}
