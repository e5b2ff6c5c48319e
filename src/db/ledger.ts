import type Database from 'better-sqlite3'
import { ofProcess } from './process'

/**
 * What a connection has written, by table, so that an answer worked out from some tables is known to stand as long as
 * nobody wrote to them. Every statement passes here when it is prepared and, where it writes, at each run. Which tables
 * it touches is asked of SQLite itself (EXPLAIN), with whatever its triggers and foreign keys do beside it.
 */
export class Ledger {
  #now = 0
  /** Anything may be different since: another process wrote, or something whose tables are not known. */
  #everything = 0
  readonly #written = new Map<string, number>()
  /** Writes that were more than new rows. */
  readonly #rewritten = new Map<string, number>()
  readonly #about = new Map<string, About>()
  /** Statements by their text: to prepare one takes longer than many a question does. */
  readonly #statements = new Map<string, Database.Statement>()
  /** Tables by the page that they, or one of their indexes, begin at. */
  #roots: ReadonlyMap<number, string>
  readonly #prepare: Database.Database['prepare']
  readonly #askOthers: () => number
  #others: number

  /** @param raw a connection whose schema is up to date; its statements are watched from now on */
  constructor(raw: Database.Database) {
    this.#prepare = raw.prepare.bind(raw)
    this.#roots = this.#readRoots()
    const version = this.#prepare('PRAGMA data_version').pluck()
    this.#askOthers = () => version.get() as number
    this.#others = this.#askOthers()
    raw.prepare = ((sql: string) => this.#prepared(sql)) as typeof raw.prepare
    const exec = raw.exec.bind(raw)
    raw.exec = (sql) => {
      exec(sql)
      // A script may do anything, and tables begin elsewhere after a VACUUM.
      this.#everything = this.#now += 1
      this.#about.clear()
      this.#statements.clear()
      this.#roots = this.#readRoots()
      return raw
    }
  }

  /** This moment: what is written from now on comes after it. */
  now(): number {
    const others = this.#askOthers()
    if (others !== this.#others) {
      this.#others = others
      this.#everything = this.#now += 1
    }
    return this.#now
  }

  /** Whether nobody has written to any of these tables since a moment. */
  untouched(tables: Iterable<string>, since: number): boolean {
    return this.#stands(this.#written, tables, since)
  }

  /** Whether these tables have had new rows at most since a moment: none was changed and none is gone. */
  onlyAdded(tables: Iterable<string>, since: number): boolean {
    return this.#stands(this.#rewritten, tables, since)
  }

  #stands(writes: ReadonlyMap<string, number>, tables: Iterable<string>, since: number): boolean {
    this.now()
    if (this.#everything > since) return false
    for (const table of tables) if ((writes.get(table) ?? 0) > since) return false
    return true
  }

  /** The statement of a text, as freshly prepared: one that is in the middle of its rows is somebody else's. */
  #prepared(sql: string): Database.Statement {
    const about = this.#aboutOf(sql)
    const known = this.#statements.get(sql)
    const statement = known && !known.busy ? known : this.#watched(this.#prepare(sql), about)
    if (statement !== known) {
      if (this.#statements.size > MOST_TEXTS) this.#statements.clear()
      this.#statements.set(sql, statement)
    } else if (statement.reader) statement.raw(false).pluck(false)
    if (statement.readonly) countAsRead({ tables: about.reads })
    return statement
  }

  #watched(statement: Database.Statement, about: About): Database.Statement {
    if (statement.readonly) return statement
    for (const way of ['run', 'get', 'all', 'iterate'] as const) {
      const run = statement[way].bind(statement) as (...given: unknown[]) => unknown
      Object.defineProperty(statement, way, {
        value: (...given: unknown[]) => {
          this.#note(about)
          return run(...given)
        },
      })
    }
    return statement
  }

  #note({ writes, adds }: About): void {
    this.#now += 1
    if (writes === null) this.#everything = this.#now
    for (const table of writes ?? []) {
      this.#written.set(table, this.#now)
      if (table !== adds) this.#rewritten.set(table, this.#now)
    }
  }

  #aboutOf(sql: string): About {
    const known = this.#about.get(sql)
    if (known) return known
    const about = this.#explained(sql)
    if (this.#about.size > MOST_TEXTS) this.#about.clear()
    this.#about.set(sql, about)
    return about
  }

  #explained(sql: string): About {
    const adds = /do\s+update/i.test(sql) ? null : (/^\s*insert\s+into\s+["`]?(\w+)/i.exec(sql)?.[1] ?? null)
    try {
      const asked = sql.replace(/'[^']*'|"[^"]*"|`[^`]*`/g, '').split('?').length - 1
      const steps = this.#prepare(`EXPLAIN ${sql}`).all(
        ...Array.from({ length: asked }, () => null),
      ) as Step[]
      const of = (codes: readonly string[]): string[] => {
        const roots = steps.flatMap(({ opcode, p1, p2 }) =>
          codes.includes(opcode) ? [opcode === 'Clear' || opcode === 'Destroy' ? p1 : p2] : [],
        )
        return [...new Set(roots.map((root) => this.#roots.get(root) ?? ''))]
      }
      return {
        reads: of(['OpenRead', 'ReopenIdx', 'OpenWrite']),
        writes: of(['OpenWrite', 'Clear', 'Destroy']),
        adds,
      }
    } catch {
      return { reads: [...new Set(this.#roots.values())], writes: null, adds: null }
    }
  }

  #readRoots(): Map<number, string> {
    const rows = this.#prepare('select rootpage, tbl_name from sqlite_master where rootpage > 0').all() as {
      rootpage: number
      tbl_name: string
    }[]
    return new Map(rows.map(({ rootpage, tbl_name }) => [rootpage, tbl_name]))
  }
}

type Step = { readonly opcode: string; readonly p1: number; readonly p2: number }
type About = {
  readonly reads: readonly string[]
  /** Null where it is not known. */
  readonly writes: readonly string[] | null
  /** The table that gets new rows and nothing else. */
  readonly adds: string | null
}

/** Different texts of statements kept; the lengths of lists make many of one. */
const MOST_TEXTS = 2000

/** A question whose answer can be had again for little: whatever it was read from, it stands as long as the answer does. */
export type Again = { readonly tables: ReadonlySet<string>; readonly stands: () => boolean }

/** What some work follows from. */
export type Reads = { readonly tables: Set<string>; readonly again: Again[] }

/** Whoever wants to know what is read now, outermost first; the innermost hears it, and hands it on. */
const reading = ofProcess<Reads[]>('reading', () => [])

/** What some work reads, with its answer. The work must not wait for anything. */
export function readsOf<T>(work: () => T): { readonly value: T; readonly reads: Reads } {
  const reads: Reads = { tables: new Set(), again: [] }
  reading.push(reads)
  let value: T
  try {
    value = work()
  } finally {
    reading.pop()
  }
  return { value, reads }
}

/** Counts as read by whoever wants to know: an answer that was kept follows from what it was worked out from. */
export function countAsRead({
  tables,
  again = [],
}: {
  tables: Iterable<string>
  again?: readonly Again[]
}): void {
  const reads = reading.at(-1)
  if (!reads) return
  for (const table of tables) reads.tables.add(table)
  reads.again.push(...again)
}

/**
 * Asks something that is asked again, in place of all that follows from it, when its tables have been written to: one
 * person's facts do not change because another's came into the same table.
 */
export function readAgain<T>(ask: () => T, same: (before: T, now: T) => boolean): T {
  const { value, reads } = readsOf(ask)
  const tables = new Set([...reads.tables, ...reads.again.flatMap((inner) => [...inner.tables])])
  countAsRead({ tables: [], again: [{ tables, stands: () => same(value, readsOf(ask).value) }] })
  return value
}
