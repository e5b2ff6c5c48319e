import { desc, eq } from 'drizzle-orm'
import type { Day } from '@/core/day'
import type { Incident } from '@/core/incident/incident'
import { seal, unseal, type HealthKey } from './health-codec'
import { incident } from './schema'
import { mine, type Scope } from './scope'

export type IncidentRecord = {
  readonly id: string
  readonly day: Day
  readonly time: string
  readonly classId: string | null
  readonly studentId: string | null
  readonly writtenDay: Day
  /** Null where the key does not open it. */
  readonly report: Incident | null
}

/** Keeps a report, sealed. The same id a second time changes nothing: a report is not rewritten. */
export function addIncident(
  scope: Scope,
  key: HealthKey,
  { report, ...row }: Omit<IncidentRecord, 'report'> & { readonly report: Incident },
): void {
  scope.db
    .insert(incident)
    .values({ ...row, studioId: scope.studioId, sealed: seal(key, row.id, report) })
    .onConflictDoNothing({ target: incident.id })
    .run()
}

/** Reports, newest first. */
export function listIncidents(scope: Scope, key: HealthKey | null): IncidentRecord[] {
  return scope.db
    .select()
    .from(incident)
    .where(mine(scope, incident))
    .orderBy(desc(incident.day), desc(incident.time))
    .all()
    .map((row) => opened(key, row))
}

/** One report. */
export function findIncident(scope: Scope, key: HealthKey | null, id: string): IncidentRecord | null {
  const row = scope.db
    .select()
    .from(incident)
    .where(mine(scope, incident, eq(incident.id, id)))
    .get()
  return row ? opened(key, row) : null
}

/** How many reports are about somebody. */
export function incidentsOf(scope: Scope, studentId: string): number {
  return scope.db
    .select()
    .from(incident)
    .where(mine(scope, incident, eq(incident.studentId, studentId)))
    .all().length
}

function opened(
  key: HealthKey | null,
  { sealed, studioId: _o, ...row }: typeof incident.$inferSelect,
): IncidentRecord {
  return { ...row, report: key ? (unseal(key, row.id, sealed) as Incident | null) : null }
}
