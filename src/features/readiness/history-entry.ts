import type { Region } from '@/core/screening/regions'
import 'server-only'
import { formatDay } from '@/core/day'
import { findById } from '@/core/practice/find'
import type { Library } from '@/core/practice/library'
import type { ReadinessCheck } from '@/core/practice/schema'
import type { Observation } from '@/core/readiness/evidence'
import { CM_PER_INCH } from '@/core/units'
import { plain, type Wording } from '@/core/words/number'
import { describeCounted, faultName, shown } from '@/core/words/reason'

/** A result as it stands in the history, newest first. */
export type HistoryEntry = {
  id: string
  day: string
  dayLabel: string
  checkId: string
  check: string
  result: string
  counted: string
  /** Who put it down; empty where nobody said. */
  observer: string
  faults: string[]
  note: string
  corrects: boolean
  /** As it was entered, for a correction to begin from. */
  was: {
    typed: { single: string; left: string; right: string }
    faults: string[]
    region: Region | null
    exitId: string | null
    aided: boolean
    valid: boolean
    watched: boolean
  }
}

/** Values as they would be typed again, in the units on the screen. */
function typedOf(
  check: ReadinessCheck,
  values: Observation['values'],
  wording: Wording,
): HistoryEntry['was']['typed'] {
  const typed = (value: number | undefined): string =>
    value === undefined
      ? ''
      : plain(check.unit === 'cm' && wording.units === 'in' ? value / CM_PER_INCH : value)
  return { single: typed(values.single), left: typed(values.left), right: typed(values.right) }
}

/** One result with everything that was said of it, and as it was entered. */
export function historyEntry(
  practice: Library,
  o: Observation,
  replaced: ReadonlySet<string>,
  wording: Wording,
): HistoryEntry {
  const check = findById(practice.checks, o.checkId)
  const { single, left, right } = o.values
  const sides =
    left === undefined || right === undefined
      ? ''
      : `left ${shown(check, left, wording)}, right ${shown(check, right, wording)}`
  return {
    id: o.id,
    day: o.day,
    dayLabel: formatDay(o.day),
    checkId: check.id,
    check: check.name,
    result: `${single === undefined ? sides : shown(check, single, wording)}${o.region ? `, ${o.region}` : ''}${o.exitId ? `, ${findById(practice.exits, o.exitId).name.toLowerCase()}` : ''}`,
    counted: describeCounted(o, check),
    observer: o.observer,
    faults: o.faults.map((f) => faultName(practice, f)),
    note: o.note,
    was: {
      typed: typedOf(check, o.values, wording),
      faults: [...o.faults],
      region: o.region ?? null,
      exitId: o.exitId ?? null,
      aided: o.aided,
      valid: o.valid,
      watched: o.watched,
    },
    corrects: o.replaces !== null && replaced.has(o.replaces),
  }
}
