import { asc, sql } from 'drizzle-orm'
import type { OfferTap } from '@/core/readiness/offers'
import type { Db } from './open'
import { offerTap } from './schema'

/** Every answer to an offer, oldest first; of two in one moment the one that was stored first. */
export function listOfferTaps(db: Db): OfferTap[] {
  return db
    .select()
    .from(offerTap)
    .orderBy(asc(offerTap.atMs), sql`rowid`)
    .all()
}

/** Adds an answer; the same id a second time changes nothing. */
export function addOfferTap(db: Db, tap: OfferTap & { readonly id: string }): void {
  db.insert(offerTap).values(tap).onConflictDoNothing().run()
}
