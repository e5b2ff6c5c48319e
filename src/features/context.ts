import 'server-only'
import type { Day } from '@/core/day'
import { sharedDb, type Db } from '@/db/open'
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
