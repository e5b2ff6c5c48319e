import type { FittedDose } from '../practice/dose'
import { fitDose, lessBy } from '../practice/dose'
import { changeOn } from '../classes/change'
import type { Library } from '../practice/library'
import type { Drill } from '../practice/schema'
import { ok, refused, type Result } from '../result'
import { prescribe, type Deficits } from '../readiness/prescribe'
import { NO_CLOCK } from '../readiness/may'
import { staysWithin, type Within } from '../readiness/within'
import { isForAlone } from '../teaching/at-home'
import { AT_HOME, type AtHome, type HomeItem } from './home'

/** Who it is for and what there is. */
export type HomeAsked = Deficits & {
  readonly minutes: number
  readonly has: ReadonlySet<AtHome>
  readonly within: Within
  readonly breathS: number
  /** Drills that were done in class before: what is new is shown there first, and begins smaller. */
  readonly shown: ReadonlySet<string>
}

export type HomeRefusal = { readonly code: 'nothing-open' }

/** Themes that go home: nothing that lifts off, turns the neck under load, or sits a knee into lotus. */
const THEMES: readonly string[] = ['wrist', 'shoulder-open', 'blades', 'push', 'core', 'legs', 'breath']
const LEAST = 3
const MOST = 5
/** Shares of the time: warming, then strength, then quiet (class-craft.md 17). */
const STRENGTH_SHARE = 0.6
/** What is new begins smaller (A38: first exposure). */
const NEW_SHARE = 0.8

/** Where nothing is known to be short: the least that keeps arms and trunk, in this order. */
const GENERAL = [
  ...['DR-forearm-plank', 'DR-hollow', 'DR-dolphin-rock', 'DR-quadruped-draw', 'DR-scap-plank'],
  ...['DR-curl-up', 'DR-pelvic-tilt', 'DR-sphinx-press', 'DR-seated-leg-lifts'],
]
const WARMING = [
  'DR-wrist-rocks',
  'DR-shoulder-rolls',
  'DR-eagle-arms',
  'DR-open-close',
  'DR-hand-press-grip',
]
const QUIET = ['DR-back-breath', 'DR-even-breath']

/** Whether a drill may be done at home by somebody: open, light, within what is behind them, with what is there. */
export function mayGoHome(drill: Drill, within: Within, has: ReadonlySet<AtHome>): boolean {
  const there: ReadonlySet<string> = has
  return (
    THEMES.includes(drill.theme) &&
    isForAlone(drill.load) &&
    staysWithin(drill, within, NO_CLOCK) &&
    drill.props.every((prop) => there.has(prop)) &&
    (AT_HOME.some((thing) => thing === drill.place) ? there.has(drill.place) : true)
  )
}

/**
 * Three to five things for a week at home: one to warm with, what is short, something quiet at the end. Nothing is on it
 * that falls, loads head or nape, or asks for anybody who watches.
 */
export function composeHome(practice: Library, asked: HomeAsked): Result<HomeItem[], HomeRefusal> {
  const { minutes, within, has, breathS, shown } = asked
  const open = practice.drills.filter((d) => mayGoHome(d, within, has))
  const byId = (ids: readonly string[]): Drill[] => ids.flatMap((id) => open.find((d) => d.id === id) ?? [])
  const mended = prescribe({ ...practice, drills: open }, asked, {
    ...{ minutes: minutes * STRENGTH_SHARE, within, breathS, tired: false },
  })
  const [warm] = byId(WARMING)
  const [quiet] = byId(QUIET)
  const ends = [warm, quiet].filter((d) => d !== undefined)
  const chosen: HomeItem[] = []
  let left = minutes - ends.reduce((sum, d) => sum + d.minutes, 0)
  const room = (d: Drill): boolean =>
    chosen.length + ends.length < MOST && d.minutes <= left && !chosen.some((c) => c.drillId === d.id)
  const take = (drill: Drill, dose: FittedDose, weaker: HomeItem['weaker']): void => {
    if (!room(drill) || ends.includes(drill)) return
    chosen.push(itemOf(drill, dose, weaker))
    left -= drill.minutes
  }
  for (const { drillId, dose, weaker } of mended)
    for (const drill of byId([drillId])) take(drill, newBegins(drill, dose, asked), weaker)
  for (const drill of byId(GENERAL)) {
    if (chosen.length + ends.length >= LEAST + 1) break
    take(drill, fitted(drill, asked), null)
  }
  const items = [
    ...(warm ? [itemOf(warm, fitDose(warm.dose, { breathS }), null)] : []),
    ...chosen,
    ...(quiet ? [itemOf(quiet, fitDose(quiet.dose, { breathS }), null)] : []),
  ]
  return chosen.length === 0 ? refused({ code: 'nothing-open' }) : ok(items)

  function newBegins(drill: Drill, dose: FittedDose, who: HomeAsked): FittedDose {
    return shown.has(drill.id) ? dose : least(dose, fitted(drill, who))
  }
}

/** A drill’s dose at home: smaller where it is new, and what limits leave of it. */
function fitted(drill: Drill, { breathS, within, shown }: HomeAsked): FittedDose {
  const change = changeOn(drill, within)
  const dose = fitDose(drill.dose, {
    breathS,
    share: shown.has(drill.id) ? 1 : NEW_SHARE,
    mostSeconds: change?.mostSeconds ?? null,
  })
  return lessBy(dose, change?.share ?? 1)
}

/** The smaller of two doses, part by part. */
function least(a: FittedDose, b: FittedDose): FittedDose {
  const smaller = (x: number | null, y: number | null): number | null =>
    x === null || y === null ? (x ?? y) : Math.min(x, y)
  return {
    ...a,
    sets: Math.min(a.sets, b.sets),
    reps: smaller(a.reps, b.reps),
    holdS: smaller(a.holdS, b.holdS),
  }
}

function itemOf({ id }: Drill, dose: FittedDose, weaker: HomeItem['weaker']): HomeItem {
  const { sets, reps, holdS, perSide, restS } = dose
  return { drillId: id, sets, reps, holdS, perSide, restS, weaker: perSide ? weaker : null }
}
