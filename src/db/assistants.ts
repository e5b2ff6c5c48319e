import { asc, eq } from 'drizzle-orm'
import type { Day } from '@/core/day'
import { assistant } from './schema'
import { dropRows, putRow, rowsOf } from './rows'
import type { Scope } from './scope'

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
  return rowsOf(scope, assistant, undefined, asc(assistant.name))
}

/** Adds or changes an assistant; the id comes from the form. */
export function saveAssistant(scope: Scope, record: AssistantRecord): void {
  putRow(scope, assistant, { ...record, trained: [...record.trained] })
}

/** Takes an assistant off the list. */
export function removeAssistant(scope: Scope, id: string): void {
  dropRows(scope, assistant, eq(assistant.id, id))
}
