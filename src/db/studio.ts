import { NO_FLOOR, type StudioFloor } from '@/core/approaches/floor'
import type { Library } from '@/core/practice/library'
import { countOf, houseWords, stockFrom } from '@/core/props/inventory'
import type { Stock } from '@/core/props/stock'
import { EMPTY_CARD, type EmergencyCard } from '@/core/room/emergency'
import { usableBays, type Room } from '@/core/room/room'
import type { LengthUnit } from '@/core/units'
import { listProps } from './inventory'
import { studio } from './schema'
import { rowOf } from './rows'
import type { Scope } from './scope'

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
  /** Sealed with the health key: tells a lost key from the right one; null until something is sealed. */
  readonly keyCheck: string | null
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
  keyCheck: null,
  timeZone: 'Europe/London',
  units: 'cm',
  demoAsOf: null,
}

/** The studio's settings with its bays and stock counted. */
export function readStudio(scope: Scope, practice: Library): StudioRecord {
  const settings = readSettings(scope)
  const props = listProps(scope)
  return {
    ...settings,
    bays: settings.room ? usableBays(settings.room).length : 0,
    straps: countOf(practice, props, 'strap'),
    blocks: countOf(practice, props, 'block'),
    stock: stockFrom(practice, props),
    propNames: houseWords(practice, props),
  }
}

function readSettings(scope: Scope): StudioSettings {
  const row = rowOf(scope, studio)
  if (!row) return EMPTY_STUDIO
  const { studioId: _o, id: _i, ...settings } = row
  return { ...settings, floor: row.floor ?? NO_FLOOR, emergency: row.emergency ?? EMPTY_CARD }
}

/** Changes some settings and leaves the others. */
export function saveStudio(scope: Scope, changes: Partial<StudioSettings>): void {
  const next = { ...readSettings(scope), ...changes, id: 1, studioId: scope.studioId }
  scope.db.insert(studio).values(next).onConflictDoUpdate({ target: studio.id, set: next }).run()
}
