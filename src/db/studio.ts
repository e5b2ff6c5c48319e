import { eq } from 'drizzle-orm'
import type { LengthUnit } from '@/core/units'
import type { Db } from './open'
import { studio } from './schema'

export type StudioRecord = {
  readonly name: string
  readonly teacher: string
  readonly assistant: string
  readonly wallCm: number | null
  readonly bays: number
  readonly straps: number
  readonly blocks: number
  readonly timeZone: string
  readonly units: LengthUnit
  readonly demoAsOf: string | null
}

/** What a new installation starts from. */
const EMPTY_STUDIO: StudioRecord = {
  name: '',
  teacher: '',
  assistant: '',
  wallCm: null,
  bays: 0,
  straps: 0,
  blocks: 0,
  timeZone: 'Europe/London',
  units: 'cm',
  demoAsOf: null,
}

/** The studio's settings. */
export function readStudio(db: Db): StudioRecord {
  return db.select().from(studio).where(eq(studio.id, 1)).get() ?? EMPTY_STUDIO
}

/** Changes some settings and leaves the others. */
export function saveStudio(db: Db, changes: Partial<StudioRecord>): void {
  const next = { ...readStudio(db), ...changes, id: 1 }
  db.insert(studio).values(next).onConflictDoUpdate({ target: studio.id, set: next }).run()
}
