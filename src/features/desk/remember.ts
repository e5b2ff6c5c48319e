import 'server-only'
import { writesSeen, type Db } from '@/db/open'
import type { Context } from '../context'

/** Answers that are kept at once: the few pages that many look at, and the people who were looked at last. */
const MOST = 60

type Kept = { readonly stamp: string; readonly value: unknown }
// By connection, newest last: another database put in its place counts its writes anew.
const ofDb = new WeakMap<Db, Map<string, Kept>>()

/**
 * An answer that takes long to work out, kept until anything is written. It is one screen's: whoever sees less, or asks on
 * another day, has their own.
 * @param name tells this question and everything that it is asked with
 */
export function remembered<T>(ctx: Context, name: string, make: () => T): T {
  const { scope, clock, privacy, actor, health, studio } = ctx
  const who = [privacy.hidden, privacy.notesOpen, actor.role, health.code, scope.studioId]
  const key = JSON.stringify([name, clock.today, studio.units, ...who])
  const kept = ofDb.get(scope.db) ?? new Map<string, Kept>()
  ofDb.set(scope.db, kept)
  const stamp = writesSeen(scope.db)
  const known = kept.get(key)
  kept.delete(key)
  const value = known?.stamp === stamp ? (known.value as T) : make()
  // What is made may itself keep something: the stamp is the one from before, so that it is made once more then.
  kept.set(key, { stamp, value })
  const [oldest] = kept.keys()
  if (kept.size > MOST && oldest !== undefined) kept.delete(oldest)
  return value
}
