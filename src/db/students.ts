import { asc, eq, inArray, isNull, type SQL } from 'drizzle-orm'
import { SEGMENT_NAMES, type SegmentName } from '@/core/body/anthropometry'
import type { Day } from '@/core/day'
import type { Age, AgeBand } from '@/core/screening/minor'
import { student, studentMeasure } from './schema'
import { addOnce, addRow, changeRows, dropRows, rowsOf } from './rows'
import { mine, type Scope } from './scope'

export type StudentRecord = {
  readonly id: string
  readonly name: string
  readonly statureCm: number | null
  readonly breathS: number
  /** Whom to ring; empty where nobody was named. */
  readonly contact: string
  readonly ageBand: AgeBand | null
  /** Who agrees for somebody under 18; empty where nobody is named. */
  readonly guardian: string
  readonly guardianDay: Day | null
  readonly archivedDay: Day | null
  readonly createdDay: Day
  readonly measured: Partial<Record<SegmentName, number>>
}

/** Everybody still coming, by name; archived people on request. */
export function listStudents(
  scope: Scope,
  { archived = false }: { archived?: boolean } = {},
): StudentRecord[] {
  return studentsWhere(scope, archived ? undefined : isNull(student.archivedDay))
}

/** Some people by name, archived or not. */
export function studentsByIds(scope: Scope, ids: readonly string[]): StudentRecord[] {
  return studentsWhere(scope, inArray(student.id, [...ids]))
}

/** One person, archived or not. */
export function findStudent(scope: Scope, id: string): StudentRecord | null {
  return studentsWhere(scope, eq(student.id, id))[0] ?? null
}

/** How old somebody is, as far as it limits them; nobody where the person is gone. */
export function ageOf(scope: Scope, id: string): Age {
  const [found] = scope.db
    .select({ ageBand: student.ageBand, guardianDay: student.guardianDay })
    .from(student)
    .where(mine(scope, student, eq(student.id, id)))
    .all()
  return found ?? { ageBand: null, guardianDay: null }
}

/** Names alone, for lists to pick from: the lightest read of everybody still coming. */
export function listNames(scope: Scope): { id: string; name: string }[] {
  return scope.db
    .select({ id: student.id, name: student.name })
    .from(student)
    .where(mine(scope, student, isNull(student.archivedDay)))
    .orderBy(asc(student.name))
    .all()
}

function studentsWhere(scope: Scope, where: SQL | undefined): StudentRecord[] {
  const rows = scope.db
    .select()
    .from(student)
    .leftJoin(studentMeasure, eq(studentMeasure.studentId, student.id))
    .where(mine(scope, student, where))
    .orderBy(asc(student.name), asc(student.id))
    .all()
  const people = new Map<string, StudentRecord>()
  for (const { student: row, student_measure: measure } of rows) {
    const { studioId: _o, ...fields } = row
    const known = people.get(row.id) ?? { ...fields, measured: {} }
    people.set(
      row.id,
      measure ? { ...known, measured: { ...known.measured, ...measuredOf([measure]) } } : known,
    )
  }
  return [...people.values()]
}

/** Adds people; ids come from the form, so a second press adds nobody twice. Returns how many were new. */
export function addStudents(
  scope: Scope,
  people: readonly { id: string; name: string; statureCm?: number | null; breathS?: number }[],
  day: Day,
): number {
  let added = 0
  for (const { id, name, statureCm = null, breathS = 5 } of people) {
    if (addOnce(scope, student, { id, name, statureCm, breathS, createdDay: day })) added += 1
  }
  return added
}

/** Saves a profile: name, stature, breath and every measured length (absent ones go back to estimates). */
export function saveProfile(
  scope: Scope,
  id: string,
  profile: {
    name: string
    statureCm: number | null
    breathS: number
    contact?: string
    ageBand?: AgeBand | null
    guardian?: string
    guardianDay?: Day | null
    measured: Partial<Record<SegmentName, number>>
  },
  day: Day,
): boolean {
  const { measured, ...fields } = profile
  if (changeRows(scope, student, eq(student.id, id), fields) === 0) return false
  // A length that stands as it stood was taken when it was taken, whatever else is saved today.
  const before = new Map(
    rowsOf(scope, studentMeasure, eq(studentMeasure.studentId, id)).map((row) => [row.segment, row]),
  )
  dropRows(scope, studentMeasure, eq(studentMeasure.studentId, id))
  for (const [segment, valueCm] of Object.entries(measured)) {
    const known = before.get(segment)
    const taken = known?.valueCm === valueCm ? known.day : day
    addRow(scope, studentMeasure, { studentId: id, segment, valueCm, day: taken })
  }
  return true
}

/** Puts somebody away, or brings them back when `day` is null. Nothing about them is lost. */
export function setArchived(scope: Scope, id: string, day: Day | null): boolean {
  return changeRows(scope, student, eq(student.id, id), { archivedDay: day }) > 0
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
