import { composeClosing, composeWarmUp, HOPS_S, REHEARSAL_S } from './compose'
import type { Programme, Term } from './lp'
import type { Model } from './model'
import { FALLS, KICKS_FB, KICKS_WB, type Part } from './part'
import { CHANGE_S, HEAVY_REST_S, secondsOf, type Config } from './skeleton'
import { WEIGHTS } from './weights'

/** One block run in one way. */
export type Run = {
  readonly slot: number
  readonly config: Config
  readonly u: string
  readonly heads: Head[]
}
/** One person's version there. */
export type Head = { readonly x: string; readonly person: number; readonly part: Part }

/** Blocks, changeovers, warm-up, way out and closing within the class; what is left beyond two minutes costs. */
export function minutesUsed(lp: Programme, model: Model, runs: readonly Run[]): void {
  const { frame, minutes } = model
  const time: Term[] = runs.map((r) => [r.u, secondsOf(r.config, false, 0)])
  time.push(...longerTurns(lp, model, runs))
  model.slots.forEach((_, s) => {
    const own = runs.filter((r) => r.slot === s)
    const g = `g${s}`
    lp.points(g, WEIGHTS.changeoverMinute / 60)
    time.push([g, 1])
    lp.row([[g, 1], ...own.map((r): Term => [r.u, -CHANGE_S])], '>=', 0)
    const slowest = (r: Run): number => Math.max(CHANGE_S, HEAVY_REST_S, ...r.heads.map((h) => h.part.setupS))
    lp.row([[g, 1], ...own.map((r): Term => [r.u, -slowest(r)])], '<=', 0)
    // People fetch at the same time: the slowest decides.
    for (let p = 0; p < model.people.length; p += 1) {
      const slow = own.flatMap((r) => r.heads.filter((h) => h.person === p && h.part.setupS > CHANGE_S))
      const rest = own.map((r): Term => [r.u, -CHANGE_S])
      if (slow.length > 0)
        lp.row([[g, 1], ...slow.map((h): Term => [h.x, CHANGE_S - h.part.setupS]), ...rest], '>=', 0)
    }
  })
  warmUp(lp, model, runs)
  closing(lp, model, runs)
  calledFor(lp, runs, (h) => h.part.marks & FALLS, 'f')
  calledFor(lp, runs, (h) => h.part.marks & KICKS_FB, 'kf')
  calledFor(lp, runs, (h) => h.part.marks & KICKS_WB, 'kw')
  time.push(...heavyGaps(lp, model, runs), ['W', 1], ['C', 1])
  time.push(['f', REHEARSAL_S], ['kf', HOPS_S], ['kw', HOPS_S])
  const room = minutes * 60 - frame.arriveS - frame.settleS - frame.restS - frame.closeS - CHANGE_S
  lp.row([...time, ['left', 1]], '=', room)
  lp.points('beyond', WEIGHTS.unusedMinute / 60)
  lp.row(
    [
      ['beyond', 1],
      ['left', -1],
    ],
    '>=',
    -120,
  )
}

/** A turn is as long as the slowest needs. */
function longerTurns(lp: Programme, model: Model, runs: readonly Run[]): Term[] {
  return runs.flatMap(({ config, u, heads }): Term[] => {
    const least = secondsOf(config, false, 0)
    const longer = heads.filter((h) => secondsOf(config, false, h.part.needS) > least)
    if (longer.length === 0) return []
    for (let p = 0; p < model.people.length; p += 1) {
      const own = longer.filter((h) => h.person === p)
      if (own.length > 0)
        lp.row(
          [[`t${u}`, 1], ...own.map((h): Term => [h.x, least - secondsOf(config, false, h.part.needS)])],
          '>=',
          0,
        )
    }
    // Nobody takes longer than the slowest: minutes are not used up by pretending.
    const most = Math.max(...longer.map((h) => secondsOf(config, false, h.part.needS) - least))
    lp.row(
      [
        [`t${u}`, 1],
        [u, -most],
      ],
      '<=',
      0,
    )
    return [[`t${u}`, 1]]
  })
}

/** Where somebody's work tires a joint most the gaps of the whole block are longer. */
function heavyGaps(lp: Programme, model: Model, runs: readonly Run[]): Term[] {
  return runs.flatMap(({ config, u, heads }): Term[] => {
    const longer = secondsOf(config, true) - secondsOf(config, false)
    const heavy = heads.filter((h) => h.part.heavy !== 0)
    if (longer === 0 || heavy.length === 0) return []
    for (let p = 0; p < model.people.length; p += 1) {
      const own = heavy.filter((h) => h.person === p)
      if (own.length > 0) lp.row([...own.map((h): Term => [h.x, 1]), [`v${u}`, -1]], '<=', 0)
    }
    return [[`v${u}`, longer]]
  })
}

/** Warm-up as drills: of each block called for what it must contain and its least, each drill counted for all of them. */
function warmUp(lp: Programme, model: Model, runs: readonly Run[]): void {
  const blocks = model.warmups.flatMap((block, w) => (w === model.wayOut ? [] : [{ ...block, w }]))
  const drills = [...new Set(blocks.flatMap((b) => [...b.drills, ...b.must.flatMap((m) => m.from)]))].filter(
    (id) => model.pieces[id] && !model.settled.includes(id),
  )
  const most = (id: string): number => Math.max(model.pieces[id]?.leastS ?? 0, model.pieces[id]?.usualS ?? 0)
  const named = (by: 's' | 'd', ids: readonly string[]): Term[] =>
    ids.filter((id) => drills.includes(id)).map((id): Term => [`${by}${drills.indexOf(id)}`, 1])
  drills.forEach((id, d) => {
    lp.row([[`d${d}`, 1]], '<=', 1)
    lp.row(
      [
        [`s${d}`, 1],
        [`d${d}`, -(model.pieces[id]?.leastS ?? 0)],
      ],
      '>=',
      0,
    )
    lp.row(
      [
        [`s${d}`, 1],
        [`d${d}`, -most(id)],
      ],
      '<=',
      0,
    )
  })
  const inSettling = (ids: readonly string[]): number => ids.filter((id) => model.settled.includes(id)).length
  for (const { w, leastS, drills: own, must } of blocks) {
    calledFor(lp, runs, (h) => (h.part.warm >> w) & 1, `n${w}`)
    const can = own.filter((id) => drills.includes(id)).reduce((sum, id) => sum + most(id), 0)
    const least = Math.min(leastS - 60 * inSettling(own), can)
    if (least > 0) lp.row([...named('s', own), [`n${w}`, -least]], '>=', 0)
    for (const { n, from } of must) {
      const owed = Math.min(n - inSettling(from), named('d', from).length)
      if (owed > 0) lp.row([...named('d', from), [`n${w}`, -owed]], '>=', 0)
    }
  }
  // Nothing is warmed that no block calls for: together at most what each takes by itself.
  lp.row(
    [['W', 1], ...blocks.map(({ w }): Term => [`n${w}`, -composeWarmUp(model, 1 << w).wantedS - ROUNDED_S])],
    '<=',
    0,
  )
  // Beyond a third of the class it is shortened, at a price; where it cannot come to that, not at all.
  const third = (model.minutes * 60) / 3
  const wanted = drills.reduce((sum, id) => sum + most(id), 0)
  lp.points('over', -2 / 60)
  lp.row([['over', 1]], '<=', wanted > third ? wanted - third + ROUNDED_S : 0)
  lp.row([['W', 1], ['over', 1], ...named('s', drills).map(([name]): Term => [name, -1])], '=', 0)
}

/** What shortening rounds away at most, s. */
const ROUNDED_S = 60

/** Counterposes owed by what is done, each once; a ninth of the class at most. */
function closing(lp: Programme, model: Model, runs: readonly Run[]): void {
  const owed = model.counterposes.map((_, i) => composeClosing(model, 1 << i).seconds)
  const scale = Math.min(
    1,
    (model.minutes * 60) /
      9 /
      Math.max(
        1,
        owed.reduce((sum, s) => sum + s, 0),
      ),
  )
  owed.forEach((_, i) => calledFor(lp, runs, (h) => (h.part.owes >> i) & 1, `m${i}`))
  lp.row([['C', 1], ...owed.map((s, i): Term => [`m${i}`, -Math.max(0, s - 5) * scale])], '>=', 0)
  lp.row([['C', 1], ...owed.map((s, i): Term => [`m${i}`, -s])], '<=', 0)
}

/** What is called for as soon as one version is taught that calls for it. */
function calledFor(lp: Programme, runs: readonly Run[], calls: (h: Head) => number, by: string): void {
  lp.row([[by, 1]], '<=', 1)
  const ys = new Set(
    runs.flatMap((r) => r.heads.filter((h) => calls(h) !== 0).map((h) => `y${r.slot}_${h.part.v}`)),
  )
  for (const y of ys)
    lp.row(
      [
        [by, 1],
        [y, -1],
      ],
      '>=',
      0,
    )
  lp.row([[by, 1], ...[...ys].map((y): Term => [y, -1])], '<=', 0)
}
