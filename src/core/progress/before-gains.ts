import { daysBetween, type Day } from '../day'
import { findById } from '../practice/find'
import type { Library } from '../practice/library'
import type { Measure } from './measures'

/** A drill that was done before a measure rose; how often that was so, of all its rises. */
export type BeforeGains = {
  readonly checkId: string
  readonly drillId: string
  readonly before: number
  readonly rises: number
  /** Of the counted days on which it did not rise: how many had the drill before them too. */
  readonly beforeOthers: number
  readonly others: number
}

/** Drills of so many days before a result are what came before it, days. */
const BEFORE_DAYS = 28
/** So often within them, to be worth the name of having been done. */
const LEAST_TIMES = 3
/** Rises that are needed before anything is said. */
const LEAST_RISES = 2
/** A rise is a tenth over the best so far: less is the day, not the person. */
const RISE = 1.1

type Done = { readonly drillId: string; readonly day: Day }

/**
 * Which drills came before somebody's rises, for checks that the drill trains: counted beside the days without a rise,
 * and told as what came before. It proves nothing: whoever practises more does more of everything.
 */
export function beforeGains(
  practice: Pick<Library, 'checks' | 'drills' | 'capabilities'>,
  measures: readonly Measure[],
  drills: readonly Done[],
): BeforeGains[] {
  return measures.flatMap(({ checkId, days }): BeforeGains[] => {
    const higher = findById(practice.checks, checkId).betterIs === 'more'
    const counted = days.filter((d) => d.notCounted === null).toSorted((a, b) => (a.day < b.day ? -1 : 1))
    const rose = counted.map((d, i) => {
      if (i === 0) return null
      const before = counted.slice(0, i).map((x) => x.value)
      return higher ? d.value >= Math.max(...before) * RISE : d.value <= Math.min(...before) / RISE
    })
    const on = (risen: boolean): Day[] => counted.flatMap((d, i) => (rose[i] === risen ? [d.day] : []))
    const [rises, others] = [on(true), on(false)]
    if (rises.length < LEAST_RISES) return []
    const trains = new Set(practice.capabilities.filter((c) => c.checks.includes(checkId)).map((c) => c.id))
    return practice.drills.flatMap((drill): BeforeGains[] => {
      if (!Object.keys(drill.for).some((c) => [...trains].some((t) => t === c))) return []
      const came = (to: Day): boolean =>
        drills.filter((d) => d.drillId === drill.id && d.day < to && daysBetween(d.day, to) <= BEFORE_DAYS)
          .length >= LEAST_TIMES
      const before = rises.filter(came).length
      const found = { checkId, drillId: drill.id, before, rises: rises.length }
      return before < LEAST_RISES
        ? []
        : [{ ...found, beforeOthers: others.filter(came).length, others: others.length }]
    })
  })
}
