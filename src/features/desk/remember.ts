import 'server-only'
import { countAsRead, readsOf, type Again, type Ledger } from '@/db/ledger'
import { forgetEvidence } from '@/db/kept-evidence'
import { ledgerOf, type Db } from '@/db/open'
import { ofProcess } from '@/db/process'
import type { Context } from '../context'
import { forgetOpened } from './standing'

/** Answers that are kept at once: the few pages that many look at, whoever was looked at last, and the lists of a week's classes. */
const MOST = 480

type Kept = {
  readonly value: unknown
  readonly tables: ReadonlySet<string>
  /** When it was begun to be worked out: what it was read from has not been written to since. */
  readonly since: number
  /** Questions that are asked again where their tables were written to, each with when it was answered last. */
  readonly again: { readonly asked: Again; since: number }[]
}
// By connection, newest last: another database put in its place counts its writes anew.
const answers = ofProcess('answers', () => ({ ofDb: new WeakMap<Db, Map<string, Kept>>() }))

/** Lets go of every answer, and of what was opened for one: whoever is erased stays in no memory either. */
export function forgetAnswers(): void {
  answers.ofDb = new WeakMap()
  forgetOpened()
  forgetEvidence()
}

/**
 * An answer that takes long to work out, kept until anything that it was worked out from is written to. It is one
 * screen's: whoever sees less, or asks on another day, has their own.
 * @param name tells this question and everything that it is asked with
 * @param make works it out, all at once, and reads everything itself: what somebody else read for it is not known to it
 */
export function remembered<T>(ctx: Context, name: string, make: () => T): T {
  const { scope, clock, privacy, actor, health, studio } = ctx
  const ledger = ledgerOf(scope.db)
  if (!ledger) return make()
  const who = [privacy.hidden, privacy.notesOpen, actor.role, health.code, scope.studioId]
  // What a tap allows runs out at a moment, not with a write: nothing is kept for longer than its hour.
  const hour = Math.floor(clock.nowMs / 3_600_000)
  const key = JSON.stringify([name, clock.today, hour, studio.units, ...who])
  const kept = answers.ofDb.get(scope.db) ?? new Map<string, Kept>()
  answers.ofDb.set(scope.db, kept)
  const known = kept.get(key)
  kept.delete(key)
  if (known && stands(ledger, known)) {
    countAsRead({ tables: known.tables, again: known.again.map(({ asked }) => asked) })
    kept.set(key, known)
    return known.value as T
  }
  // What is made may itself keep something: it is from the moment before, so that it is made once more then.
  const since = ledger.now()
  const { value, reads } = readsOf(make)
  const all = {
    tables: new Set([...reads.tables, ...ctx.reads.tables]),
    again: [...reads.again, ...ctx.reads.again],
  }
  countAsRead(all)
  // Between the context and this, somebody may have written to what it was read from: then it is for this request alone.
  if (!ledger.untouched(ctx.reads.tables, ctx.reads.since)) return value
  kept.set(key, { since, value, tables: all.tables, again: all.again.map((asked) => ({ asked, since })) })
  const [oldest] = kept.keys()
  if (kept.size > MOST && oldest !== undefined) kept.delete(oldest)
  return value
}

function stands(ledger: Ledger, { tables, since, again }: Kept): boolean {
  if (!ledger.untouched(tables, since)) return false
  return again.every((one) => {
    if (ledger.untouched(one.asked.tables, one.since)) return true
    if (!one.asked.stands()) return false
    one.since = ledger.now()
    return true
  })
}
