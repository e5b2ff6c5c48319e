import { daysBetween, type Day } from '../day'
import { findById } from '../practice/find'
import { type Library } from '../practice/library'
import type { Fault, Stage } from '../practice/schema'
import { loadsRegion, type Region } from '../screening/regions'
import { severityOf, STOP_SIGN } from './severity'
import { resultsOf, type Attempt, type Evidence } from './evidence'
import { isCleanWork } from './favourable'
import { predecessorOf, type Ladder } from './ladder'

/** A reason of somebody's own to go one rung easier, with the stage at which it was seen. */
export type Setback =
  | {
      readonly code: 'own-fault-severe'
      readonly stageId: string
      readonly faultId: string
      readonly day: Day
      readonly evidenceIds: readonly string[]
    }
  | {
      readonly code: 'own-fault-twice'
      readonly stageId: string
      readonly faultId: string
      readonly days: readonly [Day, Day]
      readonly evidenceIds: readonly string[]
    }
  | {
      readonly code: 'exit-not-controlled'
      readonly stageId: string
      readonly day: Day
      readonly evidenceIds: readonly string[]
    }

export type PainAfterWork = {
  readonly code: 'pain-after-work'
  readonly value: number
  readonly day: Day
  readonly region: Region | null
  readonly evidenceIds: readonly string[]
}

/** A next-day report from here steps back one rung (drills-and-checks.md CK-symptoms-after), 0–10. */
const PAIN_FROM = 4
const SYMPTOMS = 'CK-symptoms-after'
/** After a scare the same rung, only easier: two calm visits before trying again (class-craft.md 13). */
const CALM_DAYS = 2
/** A setback that nobody has worked on since counts this long, days: then the checks are stale anyway. */
const SETBACK_DAYS = 42

/**
 * Setbacks of a family that are not over yet, gravest first. One is over after a later day of clean work, at
 * least at the rung below the stage, without the same again, or once the teacher places them there: a day that merely
 * shows less does not end it. Only the student's own faults count (ruling 7).
 * @param evidence already folded
 */
export function setbacksOf(
  ladder: Ladder,
  evidence: Evidence,
  faults: readonly Fault[],
  asOf: Day,
): Setback[] {
  const own = evidence.attempts.filter(
    (a) =>
      ladder.order(a.stageId) >= 0 &&
      (a.endedBy === null || a.endedBy === 'self') &&
      daysBetween(a.day, asOf) <= SETBACK_DAYS,
  )
  const at = [...new Set(own.map((a) => a.stageId))]
  return at
    .flatMap((stageId) => ladder.stages.filter((s) => s.id === stageId))
    .flatMap((stage) => atStage(ladder, stage, own, evidence.placements, faults))
    .sort((a, b) => GRAVEST.indexOf(a.code) - GRAVEST.indexOf(b.code) || (newestOf(a) < newestOf(b) ? 1 : -1))
}

const GRAVEST: readonly Setback['code'][] = ['own-fault-severe', 'exit-not-controlled', 'own-fault-twice']

function newestOf(setback: Setback): Day {
  return setback.code === 'own-fault-twice' ? setback.days[1] : setback.day
}

function atStage(
  ladder: Ladder,
  stage: Stage,
  own: readonly Attempt[],
  placements: Evidence['placements'],
  faults: readonly Fault[],
): Setback[] {
  const stageId = stage.id
  const here = own.filter((a) => a.stageId === stageId)
  const from = ladder.order(predecessorOf(ladder.stages, stageId)?.id ?? stageId)
  const cleanDays = [
    ...new Set(own.filter((a) => ladder.order(a.stageId) >= from && isCleanWork(a)).map((a) => a.day)),
  ]
  /** Tries that show something, until so many later clean days have not shown it. */
  const left = (shows: (a: Attempt) => boolean, calm = 1): Attempt[] => {
    const seen = here.filter(shows)
    if (seen.length === 0) return []
    const days = new Set(seen.map((a) => a.day))
    const over = cleanDays
      .filter((day) => !days.has(day))
      .sort()
      .at(-calm)
    return seen.filter((a) => (over === undefined || a.day >= over) && !placedSince(a))
  }
  /** A teacher who places somebody here after it was seen has seen past it (ruling 5). */
  const placedSince = (a: Attempt): boolean =>
    placements.some(
      (p) =>
        p.stageId !== null &&
        ladder.order(p.stageId) >= from &&
        (p.day > a.day || (p.day === a.day && p.hlc > a.hlc)),
    )
  const graded = (severity: number): string[] =>
    [...new Set(here.flatMap((a) => a.faults))].filter((id) => {
      const fault = findById(faults, id)
      return fault.own && here.some((a) => a.faults.includes(id) && severityOf(fault, stage, a) === severity)
    })
  const severe = graded(3).flatMap((faultId): Setback[] => {
    const fault = findById(faults, faultId)
    const newest = left((a) => a.faults.includes(faultId) && severityOf(fault, stage, a) === 3, CALM_DAYS).at(
      -1,
    )
    return newest
      ? [{ code: 'own-fault-severe', stageId, faultId, day: newest.day, evidenceIds: [newest.id] }]
      : []
  })
  // Who comes down for a stop sign does well to come down, however it looks (ruling 7).
  const loose = left((a) => !a.exitControlled && a.outcome !== 'stopped' && !a.faults.includes(STOP_SIGN)).at(
    -1,
  )
  const exit: Setback[] = loose
    ? [{ code: 'exit-not-controlled', stageId, day: loose.day, evidenceIds: [loose.id] }]
    : []
  const twice = graded(2).flatMap((faultId): Setback[] => {
    const seen = left((a) => a.faults.includes(faultId))
    const days = [...new Set(seen.map((a) => a.day))].sort()
    const [first, second] = days.slice(-2)
    if (first === undefined || second === undefined) return []
    return [
      {
        code: 'own-fault-twice',
        stageId,
        faultId,
        days: [first, second],
        evidenceIds: seen.filter((a) => a.day === second).map((a) => a.id),
      },
    ]
  })
  return [...severe, ...exit, ...twice]
}

/**
 * Pain after the last work above what is kept up with, from the newest report of each region while it is fresh, where the
 * stage loads that region; a report that names none speaks of all work.
 */
export function painAfterWork(
  practice: Library,
  evidence: Evidence,
  stage: Pick<Stage, 'load'>,
  asOf: Day,
): PainAfterWork | null {
  const { freshDays } = findById(practice.checks, SYMPTOMS)
  const newest = new Map<Region | null, PainAfterWork>()
  for (const { id, day, values, region = null } of resultsOf(evidence.observations, SYMPTOMS)) {
    if (values.single === undefined || daysBetween(day, asOf) > freshDays) continue
    // Who is asked again and names no place speaks of everything told before.
    if (region === null) newest.clear()
    newest.set(region, { code: 'pain-after-work', value: values.single, day, region, evidenceIds: [id] })
  }
  const loaded = [...newest.values()].filter(
    ({ region, value }) => value >= PAIN_FROM && (region === null || loadsRegion(stage.load, region)),
  )
  return loaded.toSorted((a, b) => b.value - a.value)[0] ?? null
}
