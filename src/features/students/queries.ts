import 'server-only'
import { findStudent, listStudents, type StudentRecord } from '@/db/students'
import { incidentsOf } from '@/db/incidents'
import { context } from '../context'
import { screeningState, type ScreeningState } from '../health/queries'
import { judgeFor } from '../judge'
import type { ProfileValues } from './components/profile-form'
import { typedLength, typedStature } from './typed'

/** Everybody, current people first by name; put-away people apart. */
export function studentLists(): { current: StudentRecord[]; archived: StudentRecord[] } {
  const everybody = listStudents(context().db, { archived: true })
  return {
    current: everybody.filter((s) => !s.archivedDay),
    archived: everybody.filter((s) => s.archivedDay),
  }
}

/** One person's profile, or null. */
export function studentProfile(id: string): StudentRecord | null {
  return findStudent(context().db, id)
}

/** A profile as the form shows it: lengths in the studio's units. */
export function profileValues(student: StudentRecord): ProfileValues {
  const { units } = context().studio
  return {
    id: student.id,
    name: student.name,
    stature: typedStature(student.statureCm, units),
    breath: String(student.breathS),
    contact: student.contact,
    measured: Object.fromEntries(
      Object.entries(student.measured).map(([segment, cm]) => [segment, typedLength(cm, units)]),
    ),
    archived: student.archivedDay !== null,
  }
}

/** Where everybody's screening stands, by id. */
export function screeningStates(): ReadonlyMap<string, ScreeningState['code']> {
  const ctx = context()
  const judge = judgeFor(ctx)
  return new Map(
    listStudents(ctx.db, { archived: true }).map((s) => [s.id, screeningState(judge, s.id, ctx.today).code]),
  )
}

/** How many incident reports name somebody. */
export function incidentCount(id: string): number {
  return incidentsOf(context().db, id)
}
