import { eq } from 'drizzle-orm'
import { NO_FLOOR, type StudioFloor } from '@/core/approaches/floor'
import { library } from '@/core/practice/library'
import { countOf, houseWords, stockFrom } from '@/core/props/inventory'
import type { Stock } from '@/core/props/stock'
import { EMPTY_CARD, type EmergencyCard } from '@/core/room/emergency'
import { usableBays, type Room } from '@/core/room/room'
import type { LengthUnit } from '@/core/units'
import { listProps } from './inventory'
import type { Db } from './open'
import { studio } from './schema'

/** What is set for the studio as a whole. */
export type StudioSettings = {
  readonly name: string
  readonly teacher: string
  /** Null until it is drawn. */
  readonly room: Room | null
  readonly floor: StudioFloor
  readonly emergency: EmergencyCard
  /** Salted hash of the word that opens the health layer. */
  readonly passHash: string | null
  readonly timeZone: string
  readonly units: LengthUnit
  readonly demoAsOf: string | null
}

/** Settings, and what follows from the room and the cupboard. */
export type StudioRecord = StudioSettings & {
  /** Bays where somebody can go up. */
  readonly bays: number
  readonly straps: number
  readonly blocks: number
  /** What setups may be built from; a kind that nobody listed is taken to be there. */
  readonly stock: Stock
  /** What this house calls its props, by kind. */
  readonly propNames: Readonly<Record<string, string>>
}

/** What a new installation starts from. */
const EMPTY_STUDIO: StudioSettings = {
  name: '',
  teacher: '',
  room: null,
  floor: NO_FLOOR,
  emergency: EMPTY_CARD,
  passHash: null,
  timeZone: 'Europe/London',
  units: 'cm',
  demoAsOf: null,
}

/** The studio's settings with its bays and stock counted. */
export function readStudio(db: Db): StudioRecord {
  const settings = readSettings(db)
  const props = listProps(db)
  const practice = library()
  return {
    ...settings,
    bays: settings.room ? usableBays(settings.room).length : 0,
    straps: countOf(practice, props, 'strap'),
    blocks: countOf(practice, props, 'block'),
    stock: stockFrom(practice, props),
    propNames: houseWords(practice, props),
  }
}

function readSettings(db: Db): StudioSettings {
  const row = db.select().from(studio).where(eq(studio.id, 1)).get()
  if (!row) return EMPTY_STUDIO
  return { ...row, floor: row.floor ?? NO_FLOOR, emergency: row.emergency ?? EMPTY_CARD }
}

/** Changes some settings and leaves the others. */
export function saveStudio(db: Db, changes: Partial<StudioSettings>): void {
  const next = { ...readSettings(db), ...changes, id: 1 }
  db.insert(studio).values(next).onConflictDoUpdate({ target: studio.id, set: next }).run()
}
