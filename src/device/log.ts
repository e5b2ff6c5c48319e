'use client'

import type { FactKind, FactOf, SentFact } from '@/core/facts/fact'
import type { Stamp } from '@/core/facts/stamp'
import { nextStamp } from './facts'
import { deviceDb, STRICT, type Entry } from './store'
import { ownName } from './tablet'

/** A fact before it is stamped. */
export type Draft = { [K in FactKind]: Omit<FactOf<K>, keyof Stamp> }[FactKind]

/** What was stored stays on the device this long, so that a floor screen that is opened out of reach shows it, ms. */
const STORED_FOR_MS = 48 * 3_600_000

type Listener = () => void
const listeners = new Set<Listener>()
let snapshot: readonly Entry[] = []
let channel: BroadcastChannel | undefined

/** Everything on this device as it was last read, in the order of the taps. */
export function entries(): readonly Entry[] {
  return snapshot
}

/** Calls back whenever the log changes, here or in another tab. */
export function onLog(listener: Listener): () => void {
  listeners.add(listener)
  if (!channel && typeof BroadcastChannel !== 'undefined') {
    channel = new BroadcastChannel(ownName('levitar.log'))
    channel.onmessage = () => void readLog()
  }
  return () => listeners.delete(listener)
}

/** Reads what lies on the device; lets go of what was stored long ago. */
export async function readLog(): Promise<readonly Entry[]> {
  const db = await deviceDb()
  snapshot = await db.getAll('facts')
  for (const listener of listeners) listener()
  return snapshot
}

/**
 * Puts a fact down on this device, stamped in the same transaction. It is kept once this resolves, whatever happens to the
 * page, the browser or the server; the pump sends it.
 * @param label what it is, for whoever may have to decide about it
 */
export async function record(draft: Draft, label: string): Promise<SentFact> {
  keeping += 1
  const fact = await put(draft, label).finally(() => (keeping -= 1))
  await changed()
  return fact
}

let keeping = 0

/** Whether a tap is being kept at this moment: what can be drawn a little later waits for it. */
export function isKeeping(): boolean {
  return keeping > 0
}

async function put(draft: Draft, label: string): Promise<SentFact> {
  const db = await deviceDb()
  const tx = db.transaction(['facts', 'kept'], 'readwrite', STRICT)
  const facts = tx.objectStore('facts')
  // Read together and written together: on a slow tablet each round trip waits for whatever is being drawn.
  const [{ stamp, keep }, order] = await Promise.all([nextStamp(tx.objectStore('kept')), nextOrder(facts)])
  const fact: SentFact = { ...draft, ...stamp }
  await Promise.all([
    keep(),
    facts.add({ order, fact, label, state: 'waiting', why: '', atMs: Date.now() }),
    tx.done,
  ])
  return fact
}

/** Puts down a fact that was stamped before there was a log. */
export async function takeOver(fact: SentFact): Promise<void> {
  const db = await deviceDb()
  const tx = db.transaction('facts', 'readwrite', STRICT)
  if (!(await tx.store.index('id').get(fact.id)))
    await tx.store.add({
      order: await nextOrder(tx.store),
      fact,
      label: 'From before the update',
      state: 'waiting',
      why: '',
      atMs: Date.now(),
    })
  await tx.done
}

async function nextOrder(facts: { openKeyCursor: (q: null, d: 'prev') => Promise<{ key: number } | null> }) {
  return ((await facts.openKeyCursor(null, 'prev'))?.key ?? 0) + 1
}

/** What became of some facts, by id, as the server answered. */
export type Fate = { readonly id: string; readonly state: 'stored' | 'refused'; readonly why: string }

/** Notes what the server said. What it holds in sealed form is not kept here a moment longer. */
export async function settleFates(fates: readonly Fate[]): Promise<void> {
  const db = await deviceDb()
  const tx = db.transaction('facts', 'readwrite', STRICT)
  for (const { id, state, why } of fates) {
    const entry = await tx.store.index('id').get(id)
    if (!entry || entry.state === 'stored') continue
    if (state === 'stored' && entry.fact.kind === 'check-in') await tx.store.delete(entry.order)
    else await tx.store.put({ ...entry, state, why })
  }
  await tx.done
  await changed()
}

/** Sends a refused one once more, after what was wrong is put right elsewhere. */
export async function tryAgain(id: string): Promise<void> {
  await alter(id, (entry) => ({ ...entry, state: 'waiting', why: '' }))
}

/** Lets a refused one go. */
export async function letGo(id: string): Promise<void> {
  await alter(id, () => null)
}

async function alter(id: string, change: (entry: Entry) => Entry | null): Promise<void> {
  const db = await deviceDb()
  const tx = db.transaction('facts', 'readwrite', STRICT)
  const entry = await tx.store.index('id').get(id)
  if (entry?.state === 'refused') {
    const next = change(entry)
    await (next ? tx.store.put(next) : tx.store.delete(entry.order))
  }
  await tx.done
  await changed()
}

/** Lets go of what the server has had for days. */
export async function prune(nowMs: number): Promise<void> {
  const db = await deviceDb()
  const tx = db.transaction('facts', 'readwrite')
  for (const entry of await tx.store.getAll())
    if (entry.state === 'stored' && nowMs - entry.atMs > STORED_FOR_MS) await tx.store.delete(entry.order)
  await tx.done
  await readLog()
}

async function changed(): Promise<void> {
  await readLog()
  channel?.postMessage('changed')
}
