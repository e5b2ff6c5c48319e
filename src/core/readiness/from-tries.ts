import type { Day } from '../day'
import { BREATH_S } from '../practice/dose'
import { findById } from '../practice/find'
import type { Library } from '../practice/library'
import type { Family, ReadinessCheck } from '../practice/schema'
import { PLAIN_RESULT, type Attempt, type Observation, type Values } from './evidence'

/** What a kick reaches, on the scale of the kick height (drills-and-checks.md B.5). */
const REACHED: Readonly<Record<Attempt['level'], number | null>> = {
  'took-off': 1,
  hop: 2,
  touched: 3,
  held: 4,
  practised: null,
  'not-said': null,
}
/** Held so long in balance a kick is of the highest level, s. */
const BALANCED_S = 2
const HIGHEST = 5

/**
 * What tries show of the checks that nobody types: wall hold, free seconds, kick level with each lead and their gap, and
 * whether a stage was there on a day. Each result names its stage, so that a wall hold on the forearms proves nothing of
 * the hands.
 * @param attempts already folded, each taken for what it shows (`asShown`)
 * @param observations already folded: the lead gap follows from kick levels that were typed too
 */
export function resultsFromTries(
  practice: Library,
  attempts: readonly Attempt[],
  observations: readonly Observation[],
): Observation[] {
  const tries = attempts.filter((a) => a.outcome !== 'stopped')
  const kicks = kickHeights(practice, tries)
  return [
    ...tries.flatMap((a) => holdsOf(practice, a)),
    ...kicks,
    ...leadGaps([...observations, ...kicks]),
    ...tries
      .filter((a) => a.level !== 'took-off' && !(a.help === 'not-said' && a.outcome === 'clean'))
      .map((a) => result(a, 'CK-consistency', { single: cleanly(a) })),
  ]
}

/** Clean alone and out of it under control; what else a clean day asks is in `asShown`. */
function cleanly({ outcome, help, exitControlled }: Attempt): 0 | 1 {
  return outcome === 'clean' && help === 'alone' && exitControlled ? 1 : 0
}

function holdsOf(practice: Library, attempt: Attempt): Observation[] {
  const { seconds } = attempt
  if (seconds === null) return []
  return [
    ...(shows(practice, 'CK-wall-hold', attempt.stageId)
      ? [result(attempt, 'CK-wall-hold', { single: Math.floor(seconds / BREATH_S) }, practice)]
      : []),
    ...(shows(practice, 'CK-offwall', attempt.stageId)
      ? [result(attempt, 'CK-offwall', { single: seconds }, practice)]
      : []),
  ]
}

function shows(practice: Library, checkId: string, stageId: string): boolean {
  return familyShowing(findById(practice.checks, checkId), stageId) !== null
}

/** What has to be told of a try at a stage, since a check is read from it: the leading leg, the seconds held. */
export function toldOf(practice: Library, stageId: string): { leads: boolean; timed: boolean } {
  return {
    leads: shows(practice, 'CK-kick-height', stageId),
    timed: shows(practice, 'CK-wall-hold', stageId) || shows(practice, 'CK-offwall', stageId),
  }
}

/** The best of a day with each lead, where both led. */
function kickHeights(practice: Library, tries: readonly Attempt[]): Observation[] {
  const check = findById(practice.checks, 'CK-kick-height')
  const kicks = tries.filter((a) => a.lead !== null && REACHED[a.level] !== null)
  const days = grouped(
    kicks.filter((a) => familyShowing(check, a.stageId) !== null),
    (a) => `${familyShowing(check, a.stageId) ?? ''} ${a.day}`,
  )
  return [...days.values()].flatMap((day) => {
    // What a void fault was seen in shows no height.
    const sound = day.filter((a) => a.help === 'alone' && !a.faults.some((f) => check.voids.includes(f)))
    const last = day.at(-1)
    const [left, right] = (['left', 'right'] as const).map((lead) =>
      bestOf(sound.filter((a) => a.lead === lead)),
    )
    return last && left !== undefined && right !== undefined ? [result(last, check.id, { left, right })] : []
  })
}

function bestOf(kicks: readonly Attempt[]): number | undefined {
  const reached = kicks.map(levelOf)
  return reached.length === 0 ? undefined : Math.max(...reached)
}

/** Feet that arrive hard have touched the wall, no more. */
function levelOf({ level, outcome, seconds }: Attempt): number {
  const reached = REACHED[level] ?? 0
  if (level !== 'held') return reached
  if (outcome !== 'clean') return REACHED.touched ?? 0
  return (seconds ?? 0) >= BALANCED_S ? HIGHEST : reached
}

function familyShowing({ shownOn = {} }: ReadinessCheck, stageId: string): Family | null {
  const found = Object.entries(shownOn).find(([, ids]) => ids.includes(stageId))
  return found ? (found[0] as Family) : null
}

/** Both leads of one day, weaker against stronger. */
function leadGaps(kicks: readonly Observation[]): Observation[] {
  return kicks
    .filter((o) => o.checkId === 'CK-kick-height')
    .flatMap((o) => {
      const { left, right } = o.values
      return left === undefined || right === undefined
        ? []
        : [{ ...o, checkId: 'CK-both-leads', values: { single: Math.abs(left - right) } }]
    })
}

function result(attempt: Attempt, checkId: string, values: Values, practice?: Library): Observation {
  const { id, studentId, day, hlc, stageId, help, endedBy, classId } = attempt
  const voids = practice ? findById(practice.checks, checkId).voids : []
  return {
    ...PLAIN_RESULT,
    ...{ id, studentId, day, hlc, stageId, checkId, values, help, classId, replaces: null },
    arms: endedBy === 'spent-arms' ? 'spent' : null,
    valid: !attempt.faults.some((f) => voids.includes(f)),
  }
}

function grouped<T, K>(items: readonly T[], keyOf: (item: T) => K): Map<K, T[]> {
  const groups = new Map<K, T[]>()
  for (const item of items) {
    const key = keyOf(item)
    groups.set(key, [...(groups.get(key) ?? []), item])
  }
  return groups
}

/** How often a stage was clean among its last days, as of each day it was tried; the best of several stages. */
export function cleanOfLast(
  results: readonly Pick<Observation, 'stageId' | 'day' | 'values' | 'id'>[],
  last: number,
): { readonly day: Day; readonly value: number; readonly ids: readonly string[] }[] {
  const stages = grouped(results, (o) => o.stageId)
  const best = new Map<Day, { day: Day; value: number; ids: readonly string[] }>()
  for (const tries of stages.values()) {
    const days = [...grouped(tries, (o) => o.day).entries()].sort(([a], [b]) => (a < b ? -1 : 1))
    days.forEach(([day], i) => {
      const window = days.slice(Math.max(0, i + 1 - last), i + 1)
      const value = window.filter(([, seen]) => seen.some((o) => o.values.single === 1)).length
      if (value >= (best.get(day)?.value ?? 0))
        best.set(day, { day, value, ids: window.flatMap(([, seen]) => seen.map((o) => o.id)) })
    })
  }
  return [...best.values()].sort((a, b) => (a.day < b.day ? -1 : 1))
}
