import { desc, eq } from 'drizzle-orm'
import type { Day } from '@/core/day'
import type { Incident } from '@/core/incident/incident'
import { seal, unseal, type HealthKey } from './health-codec'
import type { Db } from './open'
import { incident } from './schema'

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
  db: Db,
  key: HealthKey,
  { report, ...row }: Omit<IncidentRecord, 'report'> & { readonly report: Incident },
): void {
  db.insert(incident)
    .values({ ...row, sealed: seal(key, row.id, report) })
    .onConflictDoNothing()
    .run()
}

/** Reports, newest first. */
export function listIncidents(db: Db, key: HealthKey | null): IncidentRecord[] {
  return db
    .select()
    .from(incident)
    .orderBy(desc(incident.day), desc(incident.time))
    .all()
    .map((row) => opened(key, row))
}

/** One report. */
export function findIncident(db: Db, key: HealthKey | null, id: string): IncidentRecord | null {
  const row = db.select().from(incident).where(eq(incident.id, id)).get()
  return row ? opened(key, row) : null
}

/** How many reports are about somebody. */
export function incidentsOf(db: Db, studentId: string): number {
  return db.select().from(incident).where(eq(incident.studentId, studentId)).all().length
}

function opened(key: HealthKey | null, { sealed, ...row }: typeof incident.$inferSelect): IncidentRecord {
  return { ...row, report: key ? (unseal(key, row.id, sealed) as Incident | null) : null }
}
