import { desc, eq } from 'drizzle-orm'
import type { Day } from '@/core/day'
import type { Reported } from '@/core/incident/consequence'
import type { Incident, Told } from '@/core/incident/incident'
import { seal, unseal, type HealthKey } from './health-codec'
import { incident } from './schema'
import { addOnce, changeRows, rowOf, rowsOf } from './rows'
import type { Scope } from './scope'

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
  addOnce(scope, incident, { ...row, sealed: seal(key, row.id, report) })
}

/** Adds who was told since: a report’s words stay as they were written. False where it does not open. */
export function tellSince(scope: Scope, key: HealthKey, id: string, told: readonly Told[]): boolean {
  const found = findIncident(scope, key, id)
  if (!found?.report) return false
  const report = { ...found.report, told: [...new Set([...found.report.told, ...told])] }
  return changeRows(scope, incident, eq(incident.id, id), { sealed: seal(key, id, report) }) > 0
}

/** Reports, newest first. */
export function listIncidents(scope: Scope, key: HealthKey | null): IncidentRecord[] {
  return rowsOf(scope, incident, undefined, desc(incident.day), desc(incident.time)).map((row) =>
    opened(key, row),
  )
}

/** One report. */
export function findIncident(scope: Scope, key: HealthKey | null, id: string): IncidentRecord | null {
  const row = rowOf(scope, incident, eq(incident.id, id))
  return row ? opened(key, row) : null
}

/** What reports about somebody hold them out of: the kind and day of each that opens, and nothing else of it. */
export function reportedOf(scope: Scope, key: HealthKey | null, studentId: string): Reported[] {
  return rowsOf(scope, incident, eq(incident.studentId, studentId)).flatMap((row) => {
    const { day, report } = opened(key, row)
    return report ? [{ day, kind: report.kind }] : []
  })
}

/** How many reports are about somebody. */
export function incidentsOf(scope: Scope, studentId: string): number {
  return rowsOf(scope, incident, eq(incident.studentId, studentId)).length
}

function opened(
  key: HealthKey | null,
  { sealed, studioId: _o, ...row }: typeof incident.$inferSelect,
): IncidentRecord {
  return { ...row, report: key ? (unseal(key, row.id, sealed) as Incident | null) : null }
}
