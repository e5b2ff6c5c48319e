import 'server-only'
import type { Day } from '@/core/day'
import { dataFolder, sharedDb, type Db } from '@/db/open'
import { healthKey, healthKeyFile, type HealthKey } from '@/db/health-codec'
import { readStudio, type StudioRecord } from '@/db/studio'
import { now, today } from './clock'

export type Context = {
  readonly db: Db
  readonly studio: StudioRecord
  readonly today: Day
  readonly nowMs: number
}

/** What a page or action works with. The single owner is the only user so far; accounts change this function. */
export function context(db: Db = sharedDb()): Context {
  const studio = readStudio(db)
  return { db, studio, today: today(studio.timeZone), nowMs: now().getTime() }
}

/** The key of the health layer; null where its file is broken, and then everything else still works. */
export function keyOfHealth(): HealthKey | null {
  return healthKey(healthKeyFile(dataFolder()))
}
