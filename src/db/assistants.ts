import { asc, eq } from 'drizzle-orm'
import type { Day } from '@/core/day'
import { assistant } from './schema'
import { mine, type Scope } from './scope'

export type AssistantRecord = {
  readonly id: string
  readonly name: string
  /** Assists they are trained for. */
  readonly trained: readonly string[]
  /** Not willing up to and including this day. */
  readonly restsUntil: Day | null
}

/** Everybody who helps, by name. */
export function listAssistants(scope: Scope): AssistantRecord[] {
  return scope.db.select().from(assistant).where(mine(scope, assistant)).orderBy(asc(assistant.name)).all()
}

/** Adds or changes an assistant; the id comes from the form. */
export function saveAssistant(scope: Scope, record: AssistantRecord): void {
  const row = { ...record, studioId: scope.studioId, trained: [...record.trained] }
  scope.db.insert(assistant).values(row).onConflictDoUpdate({ target: assistant.id, set: row }).run()
}

/** Takes an assistant off the list. */
export function removeAssistant(scope: Scope, id: string): void {
  scope.db
    .delete(assistant)
    .where(mine(scope, assistant, eq(assistant.id, id)))
    .run()
}
