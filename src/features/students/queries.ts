import 'server-only'
import { findStudent, listStudents, type StudentRecord } from '@/db/students'
import { incidentsOf } from '@/db/incidents'
import type { Context } from '../context'
import type { ScreeningState } from '../desk/screening'
import { standings } from '../desk/standing'
import type { ProfileValues } from './components/profile-form'
import { typedLength, typedStature } from './typed'

/** Everybody, current people first by name; put-away people apart. */
export function studentLists({ scope }: Context): { current: StudentRecord[]; archived: StudentRecord[] } {
  const everybody = listStudents(scope, { archived: true })
  return {
    current: everybody.filter((s) => !s.archivedDay),
    archived: everybody.filter((s) => s.archivedDay),
  }
}

/** One person's profile, or null. */
export function studentProfile({ scope }: Context, id: string): StudentRecord | null {
  return findStudent(scope, id)
}

/** A profile as the form shows it: lengths in the studio's units. */
export function profileValues({ studio: { units } }: Context, student: StudentRecord): ProfileValues {
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
export function screeningStates(
  ctx: Context,
  ids: readonly string[],
): ReadonlyMap<string, ScreeningState['code']> {
  return new Map([...standings(ctx, ids)].map(([id, now]) => [id, now.screening]))
}

/** How many incident reports name somebody. */
export function incidentCount({ scope }: Context, id: string): number {
  return incidentsOf(scope, id)
}
