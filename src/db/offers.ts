import { asc, inArray, sql } from 'drizzle-orm'
import type { OfferTap } from '@/core/readiness/offers'
import { offerTap } from './schema'
import { mine, type Scope } from './scope'

/** Every answer to an offer to some people, oldest first; of two in one moment the one that was stored first. */
export function offerTapsOf(scope: Scope, studentIds: readonly string[]): OfferTap[] {
  return scope.db
    .select()
    .from(offerTap)
    .where(mine(scope, offerTap, inArray(offerTap.studentId, [...studentIds])))
    .orderBy(asc(offerTap.atMs), sql`rowid`)
    .all()
}

/** Adds an answer. Returns false when it was there already. */
export function addOfferTap(scope: Scope, tap: OfferTap & { readonly id: string }): boolean {
  const row = { ...tap, studioId: scope.studioId }
  return scope.db.insert(offerTap).values(row).onConflictDoNothing({ target: offerTap.id }).run().changes > 0
}
