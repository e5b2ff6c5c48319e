import { asc, eq } from 'drizzle-orm'
import type { Day } from '@/core/day'
import type { Db } from './open'
import { assistant } from './schema'

export type AssistantRecord = {
  readonly id: string
  readonly name: string
  /** Assists they are trained for. */
  readonly trained: readonly string[]
  /** Not willing up to and including this day. */
  readonly restsUntil: Day | null
}

/** Everybody who helps, by name. */
export function listAssistants(db: Db): AssistantRecord[] {
  return db.select().from(assistant).orderBy(asc(assistant.name)).all()
}

/** Adds or changes an assistant; the id comes from the form. */
export function saveAssistant(db: Db, record: AssistantRecord): void {
  const row = { ...record, trained: [...record.trained] }
  db.insert(assistant).values(row).onConflictDoUpdate({ target: assistant.id, set: row }).run()
}

/** Takes an assistant off the list. */
export function removeAssistant(db: Db, id: string): void {
  db.delete(assistant).where(eq(assistant.id, id)).run()
}
