import { and, desc, eq } from 'drizzle-orm'
import { apiToken } from './schema'
import { addRow, changeRows, rowOf, rowsOf } from './rows'
import type { Scope } from './scope'

export type ApiToken = Omit<typeof apiToken.$inferSelect, 'studioId' | 'tokenHash'>

/** Every token, the newest first. */
export function listApiTokens(scope: Scope): ApiToken[] {
  return rowsOf(scope, apiToken, undefined, desc(apiToken.madeDay), desc(apiToken.id)).map(
    ({ studioId: _s, tokenHash: _t, ...token }) => token,
  )
}

/** Keeps a new token by its hash. */
export function addApiToken(scope: Scope, token: Omit<typeof apiToken.$inferInsert, 'studioId'>): void {
  addRow(scope, apiToken, token)
}

/** The token of a hash, while it is good; null where it is not known, has ended or is over. */
export function goodToken(scope: Scope, tokenHash: string, today: string): ApiToken | null {
  const row = rowOf(scope, apiToken, and(eq(apiToken.tokenHash, tokenHash), eq(apiToken.ended, false)))
  return row && row.lastDay >= today ? row : null
}

/** Notes the day on which it was used, once a day. */
export function noteUse(scope: Scope, id: string, day: string): void {
  changeRows(scope, apiToken, eq(apiToken.id, id), { usedDay: day })
}

/** Ends a token. */
export function endApiToken(scope: Scope, id: string): void {
  changeRows(scope, apiToken, eq(apiToken.id, id), { ended: true })
}
