import { formatDay } from '../day'
import { findById } from '../practice/find'
import type { Library } from '../practice/library'
import type { GateResult } from '../readiness/gate'
import { count, METRIC, type Wording } from './number'
import { describeAsked, describeUnsaid, shown, whatToLog } from './reason'

/** What is asked beside what was seen: read at once, before any sentence. */
export type Meter = {
  readonly asked: string
  /** What was seen, with its day; empty where nothing was. */
  readonly seen: string
  /** How much of the mark that is, 0…1; null where there is no number to show. */
  readonly share: number | null
  readonly met: boolean
  /** Clean days so far, or points of them, of those asked for; null where one is enough. */
  readonly days: { readonly have: number; readonly need: number } | null
  /** What would do, in a few words. */
  readonly note: string
}

/** A gate as a meter. */
export function meterOf(result: GateResult, practice: Library, wording: Wording = METRIC): Meter {
  const { gate, value, valueDay, state } = result
  const check = findById(practice.checks, gate.check)
  return {
    asked: describeAsked(gate, check, wording),
    seen:
      value === null
        ? ''
        : `${shown(check, value, wording)}${valueDay === null ? '' : `, ${formatDay(valueDay)}`}`,
    share: shareOf(result),
    met: state === 'met',
    days: dotsOf(result),
    note: [
      noteOf(result, check.shownOn ? whatToLog(check.id) : 'Not checked yet.', check.freshDays),
      result.unsaid ? describeUnsaid(result.unsaid) : '',
    ]
      .filter((part) => part !== '')
      .join(' '),
  }
}

/** Points where they are counted: a day well above the mark is worth more than one at it. */
function dotsOf({ points, cleanDays, neededDays }: GateResult): Meter['days'] {
  const [have, need] = points ? [points.have, points.need] : [cleanDays, neededDays]
  return need > 1 ? { have: Math.min(have, need), need } : null
}

function shareOf({ gate: { op, value: mark }, value }: GateResult): number | null {
  if (value === null || mark === undefined || (op !== '>=' && op !== '<=')) return null
  if (op === '>=') return mark <= 0 ? 1 : Math.max(0, Math.min(1, value / mark))
  return value <= mark ? 1 : Math.max(0, mark / value)
}

function noteOf(result: GateResult, unknown: string, freshDays: number): string {
  const { state, cleanDays, neededDays, staleDays, points } = result
  switch (state) {
    case 'unknown':
      return unknown
    case 'met':
      return ''
    case 'near':
      return 'Close.'
    case 'unmet':
      return result.notCounted ? 'The last entry does not count.' : 'Not yet.'
    case 'confirm': {
      if (staleDays !== null)
        return `Last clean ${count(staleDays, 'day')} ago, and good for ${freshDays}: check it again.`
      const days = Math.max(neededDays - cleanDays, points ? points.need - points.have : 0)
      if (days === 1) return 'One more such day would do.'
      const fewer = points && points.need - points.have > neededDays - cleanDays
      return `${count(days, 'more such day')} would do${fewer ? ', or fewer well above the mark' : ''}.`
    }
  }
}
