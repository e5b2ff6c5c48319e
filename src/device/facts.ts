'use client'

import type { IDBPObjectStore } from 'idb'
import { v7 } from 'uuid'
import { readHlc, tick, writeHlc } from '@/core/facts/hlc'
import type { Stamp } from '@/core/facts/stamp'
import { studioDay, studioNowMs } from './clock'
import { deviceDb, STRICT } from './store'

const DEVICE = 'device'
const SEQUENCE = 'sequence'
const CLOCK = 'clock'

/** A fresh stamp; call it once for each thing somebody does, and send the same one again on a retry. */
export async function newStamp(): Promise<Stamp> {
  const db = await deviceDb().catch(() => null)
  // A form works in a browser that keeps nothing: only what waits on the device needs one that does.
  if (!db) return makeshift()
  const tx = db.transaction('kept', 'readwrite', STRICT)
  const { stamp, keep } = await nextStamp(tx.objectStore('kept'))
  await keep()
  await tx.done
  return stamp
}

/** Which device this is; empty where the browser keeps nothing. */
export async function ownDeviceId(): Promise<string> {
  const db = await deviceDb().catch(() => null)
  const known = await db?.get('kept', DEVICE)
  return typeof known === 'string' ? known : ''
}

/** An id for something that is made once on this device. */
export function newId(): string {
  return v7()
}

/**
 * Hears of a stamp of another device: whatever is tapped here from now on is ordered after it, whatever the clocks say.
 * @param hlc the newest that this screen has seen
 */
export async function hearOf(hlc: string): Promise<void> {
  const db = await deviceDb().catch(() => null)
  if (!db) return
  const tx = db.transaction('kept', 'readwrite', STRICT)
  const own = await tx.store.get(CLOCK)
  const [heard, last] = [readHlc(hlc), readHlc(typeof own === 'string' ? own : '')]
  const isLater = heard.ms > last.ms || (heard.ms === last.ms && heard.counter > last.counter)
  if (isLater) await tx.store.put(hlc, CLOCK)
  await tx.done
}

function makeshift(): Stamp {
  const deviceId = v7()
  const hlc = writeHlc({ ms: studioNowMs(), counter: 0 }, deviceId)
  return { id: v7(), deviceId, deviceSeq: 1, hlc, day: studioDay() }
}

export type KeptStore = Pick<
  IDBPObjectStore<{ kept: { key: string; value: unknown } }, ['kept'], 'kept', 'readwrite'>,
  'get' | 'put'
>

/**
 * The next stamp inside a transaction that is open: two tabs wait for each other there and never count the same.
 * @returns the stamp, and what writes the counters on in the same transaction
 */
export async function nextStamp(kept: KeptStore): Promise<{ stamp: Stamp; keep: () => Promise<unknown> }> {
  const [known, sequence, clock] = await Promise.all([kept.get(DEVICE), kept.get(SEQUENCE), kept.get(CLOCK)])
  const deviceId = typeof known === 'string' ? known : v7()
  const deviceSeq = (typeof sequence === 'number' ? sequence : 0) + 1
  const last = readHlc(typeof clock === 'string' ? clock : '')
  const hlc = writeHlc(tick(last, studioNowMs()), deviceId)
  const keep = (): Promise<unknown> =>
    Promise.all([kept.put(deviceId, DEVICE), kept.put(deviceSeq, SEQUENCE), kept.put(hlc, CLOCK)])
  return { stamp: { id: v7(), deviceId, deviceSeq, hlc, day: studioDay() }, keep }
}
