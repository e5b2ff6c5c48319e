import { asc, inArray, sql } from 'drizzle-orm'
import type { OfferTap } from '@/core/readiness/offers'
import { offerTap } from './schema'
import { addOnce, rowsOf } from './rows'
import type { Scope } from './scope'

/** Every answer to an offer to some people, oldest first; of two in one moment the one that was stored first. */
export function offerTapsOf(scope: Scope, studentIds: readonly string[]): OfferTap[] {
  return rowsOf(scope, offerTap, inArray(offerTap.studentId, [...studentIds]), asc(offerTap.atMs), sql`rowid`)
}

/** Adds an answer. Returns false when it was there already. */
export function addOfferTap(scope: Scope, tap: OfferTap & { readonly id: string }): boolean {
  return addOnce(scope, offerTap, tap)
}
