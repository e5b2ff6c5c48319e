import { asc, eq } from 'drizzle-orm'
import type { Attempt, Evidence, Observation, Placement } from '@/core/readiness/evidence'
import type { Db } from './open'
import { attempt, observation, placement } from './schema'

/** Where a fact was tapped: makes a fact sent twice count once. */
export type Origin = { readonly deviceId: string; readonly deviceSeq: number }

/** Everything seen of one person, uncorrected: core folds it. */
export function evidenceOf(db: Db, studentId: string): Evidence {
  return {
    observations: db
      .select()
      .from(observation)
      .where(eq(observation.studentId, studentId))
      .orderBy(asc(observation.hlc))
      .all()
      .map(toObservation),
    attempts: db
      .select()
      .from(attempt)
      .where(eq(attempt.studentId, studentId))
      .orderBy(asc(attempt.hlc))
      .all()
      .map(toAttempt),
    placements: db
      .select()
      .from(placement)
      .where(eq(placement.studentId, studentId))
      .orderBy(asc(placement.hlc))
      .all()
      .map(toPlacement),
  }
}

/** Everything seen of everybody, grouped by person, in three reads. */
export function evidenceByStudent(db: Db): Map<string, Evidence> {
  const grouped = new Map<
    string,
    { observations: Observation[]; attempts: Attempt[]; placements: Placement[] }
  >()
  const of = (id: string): { observations: Observation[]; attempts: Attempt[]; placements: Placement[] } => {
    const found = grouped.get(id) ?? { observations: [], attempts: [], placements: [] }
    grouped.set(id, found)
    return found
  }
  for (const row of db.select().from(observation).all())
    of(row.studentId).observations.push(toObservation(row))
  for (const row of db.select().from(attempt).all()) of(row.studentId).attempts.push(toAttempt(row))
  for (const row of db.select().from(placement).all()) of(row.studentId).placements.push(toPlacement(row))
  return grouped
}

/** Appends a result. Returns false when it was there already. */
export function appendObservation(db: Db, fact: Observation, origin: Origin): boolean {
  const { kind: _kind, values, ...rest } = fact
  const row = {
    ...rest,
    ...origin,
    single: values.single ?? null,
    left: values.left ?? null,
    right: values.right ?? null,
    faults: [...fact.faults],
  }
  return db.insert(observation).values(row).onConflictDoNothing().run().changes > 0
}

/** Appends an attempt. Returns false when it was there already. */
export function appendAttempt(db: Db, fact: Attempt, origin: Origin): boolean {
  const { kind: _kind, ...rest } = fact
  return (
    db
      .insert(attempt)
      .values({ ...rest, ...origin, faults: [...fact.faults] })
      .onConflictDoNothing()
      .run().changes > 0
  )
}

/** Appends a placement by eye. */
export function appendPlacement(db: Db, fact: Placement, origin: Origin): boolean {
  const { kind: _kind, ...rest } = fact
  return (
    db
      .insert(placement)
      .values({ ...rest, ...origin })
      .onConflictDoNothing()
      .run().changes > 0
  )
}

/** What was recorded in one class, uncorrected. */
export function attemptsOfClass(db: Db, classId: string): Attempt[] {
  return db
    .select()
    .from(attempt)
    .where(eq(attempt.classId, classId))
    .orderBy(asc(attempt.hlc))
    .all()
    .map(toAttempt)
}

function toObservation(row: typeof observation.$inferSelect): Observation {
  const { single, left, right, deviceId: _d, deviceSeq: _s, ...rest } = row
  const values = {
    ...(single === null ? {} : { single }),
    ...(left === null ? {} : { left }),
    ...(right === null ? {} : { right }),
  }
  return { ...rest, kind: 'observation', values }
}

function toAttempt(row: typeof attempt.$inferSelect): Attempt {
  const { deviceId: _d, deviceSeq: _s, ...rest } = row
  return { ...rest, kind: 'attempt' }
}

function toPlacement(row: typeof placement.$inferSelect): Placement {
  const { id, studentId, day, hlc, replaces, stageId } = row
  return { id, studentId, day, hlc, replaces, stageId, kind: 'placement' }
}
