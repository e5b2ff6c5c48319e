import { sql } from 'drizzle-orm'
import type { Evidence } from '@/core/readiness/evidence'
import { countAsRead, type Ledger } from './ledger'
import { ledgerOf, type Db } from './open'
import { ofProcess } from './process'
import { attempt, observation, placement } from './schema'
import type { Scope } from './scope'

/** People whose evidence is kept at once; of somebody who has come for ten years it is half a megabyte. */
const MOST = 40
const TABLES = ['observation', 'attempt', 'placement'] as const

type Kept = { readonly since: number; readonly rows: string; readonly evidence: Evidence }
type Shelf = { readonly since: number; readonly people: Map<string, Kept> }
// By connection, whoever was asked about last at the end.
const kept = ofProcess('evidence', () => ({ ofDb: new WeakMap<Db, Shelf>() }))

/** Lets go of everybody's at once. */
export function forgetEvidence(): void {
  kept.ofDb = new WeakMap()
}

/**
 * Somebody's evidence as it was read last, as long as nothing of theirs has come since. Facts are only ever added: as
 * long as none was changed or removed, as many rows that end at the same one are the same rows. Where any was, everything
 * is let go, so that nobody who is erased stays here.
 */
export function keptEvidence(scope: Scope, studentId: string, read: () => Evidence): Evidence {
  const ledger = ledgerOf(scope.db)
  if (!ledger) return read()
  const { people } = shelfOf(scope.db, ledger)
  const key = `${scope.studioId} ${studentId}`
  const known = people.get(key)
  people.delete(key)
  const since = ledger.now()
  if (known && ledger.untouched(TABLES, known.since)) {
    // Whoever keeps an answer made of it has to know what it was read from.
    countAsRead({ tables: TABLES })
    people.set(key, known)
    return known.evidence
  }
  const rows = rowsOf(scope, studentId)
  const evidence = known?.rows === rows ? known.evidence : read()
  people.set(key, { since, rows, evidence })
  const [oldest] = people.keys()
  if (people.size > MOST && oldest !== undefined) people.delete(oldest)
  return evidence
}

function shelfOf(db: Db, ledger: Ledger): Shelf {
  const found = kept.ofDb.get(db)
  if (found && ledger.onlyAdded(TABLES, found.since)) return found
  const shelf = { since: ledger.now(), people: new Map<string, Kept>() }
  kept.ofDb.set(db, shelf)
  return shelf
}

/** How many rows of each kind somebody has, and the last of them. */
function rowsOf(scope: Scope, studentId: string): string {
  const own = [observation, attempt, placement].map(
    (table) =>
      sql`select count(*), max(rowid) from ${table} where student_id = ${studentId} and studio_id = ${scope.studioId}`,
  )
  return scope.db.values(sql.join(own, sql` union all `)).join(' ')
}
