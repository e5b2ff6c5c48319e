import 'server-only'
import { formatDay } from '@/core/day'
import { measuredBody } from '@/core/figure/measured-body'
import { findById } from '@/core/practice/find'
import { markOf, nearestOf, type Mark } from '@/core/readiness/mark'
import { FAMILY_NAMES } from '@/core/words/family'
import { lastFactDays } from '@/db/evidence'
import { findStudent, listStudents, type StudentRecord } from '@/db/students'
import { incidentsOf } from '@/db/incidents'
import { bodyOfStudent } from '../body'
import type { Context } from '../context'
import type { ScreeningState } from '../desk/screening'
import { BOARD } from '../desk/families'
import { decisionIn, standings } from '../desk/standing'
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

/** Somebody’s own body with its lengths; null where no height is known. */
export function bodyLines({ practice }: Context, student: StudentRecord): ReturnType<typeof measuredBody> {
  const body = bodyOfStudent(student)
  return body ? measuredBody(practice, body) : null
}

/** What was worked out of somebody, for a list. */
export type WorkedOut = {
  screening: ScreeningState['code']
  /** The ladder to speak of first; null where nothing is known of anybody’s. */
  nearest: { mark: Mark; family: string; next: string; href: string } | null
  /** Ladders that limits close for now; left out on a private screen. */
  closed: string[]
  /** When something was last on record; empty where nothing ever was. */
  lastSeen: string
}

/** What was worked out of some people, by id: their nearest step, what is closed, when they were last seen. */
export function workedOut(ctx: Context, ids: readonly string[]): ReadonlyMap<string, WorkedOut> {
  const { practice, scope, privacy } = ctx
  const seen = lastFactDays(scope, ids)
  return new Map(
    [...standings(ctx, ids)].map(([id, now]) => {
      const decisions = BOARD.map((family) => decisionIn(now, family))
      const first = nearestOf(decisions)
      const target = first?.targetId ? findById(practice.stages, first.targetId) : null
      const last = seen.get(id)
      return [
        id,
        {
          screening: now.screening,
          nearest: first
            ? {
                mark: markOf(first),
                family: FAMILY_NAMES[first.family],
                next: target?.short ?? target?.name ?? 'Top of the ladder',
                href: `/readiness/${id}?family=${first.family}`,
              }
            : null,
          closed: privacy.hidden
            ? []
            : decisions.filter((d) => d.outcome === 'not-now').map((d) => FAMILY_NAMES[d.family]),
          lastSeen: last === undefined ? '' : formatDay(last),
        },
      ]
    }),
  )
}

/** How many incident reports name somebody. */
export function incidentCount({ scope }: Context, id: string): number {
  return incidentsOf(scope, id)
}
