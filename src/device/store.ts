'use client'

import { openDB, type DBSchema, type IDBPDatabase } from 'idb'
import type { SentFact } from '@/core/facts/fact'
import { ownName } from './tablet'

/** Where a fact stands on this device. */
export type EntryState = 'waiting' | 'refused' | 'stored'

/** A fact as it lies on the device. */
export type Entry = {
  /** Order in which it was tapped here. */
  readonly order: number
  readonly fact: SentFact
  /** What it is, for whoever has to decide about it: “Wren Haskett: clean”. */
  readonly label: string
  readonly state: EntryState
  /** Why the server refused it; empty otherwise. */
  readonly why: string
  /** Wall time of this device, ms: for letting go of what was stored long ago. */
  readonly atMs: number
}

interface Shape extends DBSchema {
  facts: { key: number; value: Entry; indexes: { id: string } }
  /** Small things by name: who this device is, its counters, where a round stands. */
  kept: { key: string; value: unknown }
}

export type DeviceDb = IDBPDatabase<Shape>

/** Written through to the disk before it counts: “kept” is not said sooner. */
export const STRICT = { durability: 'strict' } as const

let opening: Promise<DeviceDb> | undefined

/** What lies on this device, opened once a page. Rejects where the browser keeps nothing. */
export function deviceDb(): Promise<DeviceDb> {
  opening ??= openDB<Shape>(ownName('levitar'), 1, {
    upgrade(db) {
      db.createObjectStore('facts', { keyPath: 'order' }).createIndex('id', 'fact.id', { unique: true })
      db.createObjectStore('kept')
    },
    terminated() {
      opening = undefined
    },
  })
  opening.catch(() => (opening = undefined))
  return opening
}
