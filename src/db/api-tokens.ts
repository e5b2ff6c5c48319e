import { and, desc, eq } from 'drizzle-orm'
import { apiToken } from './schema'
import { mine, type Scope } from './scope'

export type ApiToken = Omit<typeof apiToken.$inferSelect, 'studioId' | 'tokenHash'>

/** Every token, the newest first. */
export function listApiTokens(scope: Scope): ApiToken[] {
  return scope.db
    .select()
    .from(apiToken)
    .where(mine(scope, apiToken))
    .orderBy(desc(apiToken.madeDay), desc(apiToken.id))
    .all()
    .map(({ studioId: _s, tokenHash: _t, ...token }) => token)
}

/** Keeps a new token by its hash. */
export function addApiToken(scope: Scope, token: Omit<typeof apiToken.$inferInsert, 'studioId'>): void {
  scope.db
    .insert(apiToken)
    .values({ ...token, studioId: scope.studioId })
    .run()
}

/** The token of a hash, while it is good; null where it is not known, has ended or is over. */
export function goodToken(scope: Scope, tokenHash: string, today: string): ApiToken | null {
  const row = scope.db
    .select()
    .from(apiToken)
    .where(mine(scope, apiToken, and(eq(apiToken.tokenHash, tokenHash), eq(apiToken.ended, false))))
    .get()
  return row && row.lastDay >= today ? row : null
}

/** Notes the day on which it was used, once a day. */
export function noteUse(scope: Scope, id: string, day: string): void {
  scope.db
    .update(apiToken)
    .set({ usedDay: day })
    .where(mine(scope, apiToken, eq(apiToken.id, id)))
    .run()
}

/** Ends a token. */
export function endApiToken(scope: Scope, id: string): void {
  scope.db
    .update(apiToken)
    .set({ ended: true })
    .where(mine(scope, apiToken, eq(apiToken.id, id)))
    .run()
}
