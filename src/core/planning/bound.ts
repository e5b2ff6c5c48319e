import { FEW, knownPart } from './block-value'
import { minutesUsed, type Head, type Run } from './bound-minutes'
import { Programme, type Term } from './lp'
import { BESIDE_CM, type Model, type Slot } from './model'
import { piecesFor } from './pieces'
import { isStayed, type Config } from './skeleton'
import {
  ASSISTANT_POINTS,
  eyesOf,
  lightPoints,
  MOST_AT_ONCE,
  MOST_FIRST,
  mostGentle,
  MOST_KICKERS,
  MOST_VERSIONS,
  SPOTTING_LEFT,
  TEACHER_POINTS,
} from './deal'
import { LIGHT_POINTS } from './variants'
import { OWN_WORK, WEIGHTS } from './weights'

/** What spotting takes of the teacher's eyes. */
const SPOT = TEACHER_POINTS - SPOTTING_LEFT

/**
 * A linear programme no plan of a class can be better than: it leaves out who is up in which wave, in which order blocks
 * stand and how long they stay warm, and lets versions be shared out in parts. With whole
 * blocks and versions (`whole`) it is tighter. Text in the CPLEX LP format; its optimum, in points, bounds the points of every legal plan from above.
 */
export function boundProgramme(model: Model, whole: boolean): string {
  const lp = new Programme()
  const runs = model.slots.flatMap((slot, s) =>
    slot.configs.map((config, q) => runOf(lp, model, slot, { s, q, config })),
  )
  chooseBlocks(lp, model, runs)
  for (const run of runs) withinRoom(lp, model, run)
  model.slots.forEach((_, s) => {
    versionsOf(
      lp,
      model,
      s,
      runs.filter((r) => r.slot === s),
    )
  })
  lacksCovered(lp, model, runs)
  minutesUsed(lp, model, runs)
  keptPieces(lp, model, runs)
  sameTwice(lp, model, runs)
  unnamed(lp, model, runs)
  return lp.text(whole ? [...runs.map((r) => r.u), ...lp.named(/^y/)] : [])
}

type Way = { readonly s: number; readonly q: number; readonly config: Config }

function runOf(lp: Programme, model: Model, slot: Slot, { s, q, config }: Way): Run {
  const u = `u${s}_${q}`
  const heads = model.people.flatMap((_, p) => {
    const own = (slot.options[p] ?? []).flatMap((_o, o): Head[] => {
      const part = knownPart(model, slot, config, p, o)
      return part ? [{ x: `x${s}_${q}_${p}_${o}`, person: p, part }] : []
    })
    const waits = `h${s}_${q}_${p}`
    if ((slot.options[p] ?? []).length > 0) lp.points(waits, WEIGHTS.waitsThrough)
    for (const { x, part } of own)
      lp.points(
        x,
        part.points.reduce((sum, v) => sum + v, 0),
      )
    // Everybody does one thing where the block is run, or waits.
    lp.row([...own.map(({ x }): Term => [x, 1]), [waits, 1], [u, -1]], '=', 0)
    return own
  })
  return { slot: s, config, u, heads }
}

function chooseBlocks(lp: Programme, model: Model, runs: readonly Run[]): void {
  const one = (of: readonly Run[], sense: '=' | '<=', most: number): void =>
    lp.row(
      of.map((r): Term => [r.u, 1]),
      sense,
      most,
    )
  model.slots.forEach(({ purpose }, s) =>
    one(
      runs.filter((r) => r.slot === s),
      purpose.needed ? '=' : '<=',
      1,
    ),
  )
  const trained = runs.filter((r) => model.slots[r.slot]?.purpose.kind === 'train')
  one(trained, '<=', model.mostTrained)
  const usual = ({ sets, waves, workS, gapS }: Config): number => sets * waves * (workS + gapS)
  lp.row(
    trained.map((r): Term => [r.u, usual(r.config)]),
    '<=',
    model.trainMostS + 1,
  )
  // A drill of strength is done once.
  for (let p = 0; p < model.people.length; p += 1) {
    const heads = trained.flatMap((r) => r.heads.filter((h) => h.person === p))
    for (const v of new Set(heads.map((h) => h.part.v)))
      lp.row(
        heads.filter((h) => h.part.v === v).map((h): Term => [h.x, 1]),
        '<=',
        1,
      )
  }
}

/** Bays, floor, pieces, kickers, first tries and eyes, all waves of a block together; rigs hold theirs in every wave. */
function withinRoom(lp: Programme, model: Model, run: Run): void {
  const {
    config: { waves },
    u,
    heads,
  } = run
  const most = (terms: readonly (readonly [Head, number])[], each: number): void => {
    const used = terms.filter(([, n]) => n > 0)
    if (used.length > 0) lp.row([...used.map(([h, n]): Term => [h.x, n]), [u, -waves * each]], '<=', 0)
  }
  const times = (h: Head): number => (model.variants[h.part.v]?.rig && run.config.stays !== 'own' ? waves : 1)
  for (const union of unionsOf(heads.map((h) => h.part.option.bays)))
    most(
      heads.map((h) => [
        h,
        h.part.option.bays !== 0 && (h.part.option.bays & ~union) === 0 ? times(h) * wallOf(model, h) : 0,
      ]),
      union.toString(2).replaceAll('0', '').length,
    )
  most(
    heads.map((h) => [h, h.part.option.openFloor ? times(h) : 0]),
    model.open,
  )
  for (const kind of Object.keys(model.stock))
    most(
      heads.map((h) => [
        h,
        times(h) * takenBy(model, h).reduce((n, b) => n + (b.kind === kind ? b.count : 0), 0),
      ]),
      model.stock[kind] ?? 0,
    )
  most(
    heads.map((h) => [h, Number(model.variants[h.part.v]?.kick ?? false)]),
    MOST_KICKERS,
  )
  most(
    heads.map((h) => [h, Number(h.part.option.first)]),
    MOST_FIRST,
  )
  eyesOn(lp, model, run)
}

/** How much of a bay somebody takes: two who lie with the legs up share one. */
function wallOf(model: Model, { part }: Head): number {
  return (model.variants[part.v]?.widthCm ?? Infinity) <= BESIDE_CM ? 0.5 : 1
}

/** What the teacher spots takes of their eyes; assistants spot besides, and whoever waits is watched where nobody spots. */
function eyesOn(lp: Programme, model: Model, { config: { waves }, u, heads }: Run): void {
  const [k, a] = [`k${u}`, `a${u}`]
  const assistants = model.helpers.length
  const helped = heads.filter((h) => h.part.option.helper)
  const spots: Term[] = helped.length > 0 ? [[k, 1]] : []
  const byOthers: Term[] = helped.length > 0 ? [[a, 1]] : []
  if (helped.length > 0) {
    lp.row([...helped.map((h): Term => [h.x, 1]), [k, -1], [a, -1]], '<=', 0)
    lp.row([...spots, [u, -waves]], '<=', 0)
    lp.row([...byOthers, [u, -waves * assistants]], '<=', 0)
  }
  const times = (terms: readonly Term[], factor: number): Term[] =>
    terms.map(([name, n]) => [name, n * factor])
  const most = eyesOf(model.helpers)
  const unhelped = heads.filter((h) => !h.part.option.helper && h.part.option.points > 0)
  // All at light work take half of the eyes at most: where they would be more, only who is at their step is added up, and of
  // the others what is so however many are up.
  const all = LIGHT_POINTS * model.people.length
  const isCapped = all > most / 2
  const pointsAt = (points: number): number => (isCapped && points <= LIGHT_POINTS ? 0 : points)
  const watched = unhelped.map((h): Term => [h.x, pointsAt(h.part.option.points)])
  lp.row(
    [...watched, ...times(spots, SPOT), ...times(byOthers, ASSISTANT_POINTS), [u, -waves * most]],
    '<=',
    0,
  )
  const waits = isCapped ? lightPoints(Math.max(0, model.people.length - most), most) : all
  lp.row(
    [
      ...heads.map((h): Term => {
        const points = h.part.option.helper ? 0 : pointsAt(h.part.option.points)
        return [h.x, isCapped ? points : points - LIGHT_POINTS]
      }),
      ...times(spots, SPOT - waits),
      ...times(byOthers, ASSISTANT_POINTS),
      [u, waves * (waits - most)],
    ],
    '<=',
    0,
  )
  // While the teacher spots nobody unhelped does more than one-point work.
  const heavy = unhelped.filter((h) => h.part.option.points > 1)
  const atOnce = Math.min(model.people.length, Math.floor(most / 1.5))
  if (heavy.length > 0 && helped.length > 0)
    lp.row([...heavy.map((h): Term => [h.x, 1]), ...times(spots, atOnce), [u, -waves * atOnce]], '<=', 0)
}

/** Sets of bays within which people have to find room (Hall): every union of what will do for somebody. */
function unionsOf(masks: readonly number[]): number[] {
  const unions = new Set<number>()
  for (const mask of new Set(masks))
    if (mask !== 0) for (const known of [0, ...unions]) unions.add(known | mask)
  return [...unions]
}

/** Each version that is taught in a block is said once, whoever does it, and not too many of them. */
function versionsOf(lp: Programme, model: Model, s: number, runs: readonly Run[]): void {
  const heads = runs.flatMap((r) => r.heads)
  const taught = [...new Set(heads.map((h) => h.part.v))]
  for (const v of taught) {
    lp.points(`y${s}_${v}`, WEIGHTS.version)
    for (let p = 0; p < model.people.length; p += 1) {
      const own = heads.filter((h) => h.person === p && h.part.v === v)
      if (own.length > 0) lp.row([...own.map((h): Term => [h.x, 1]), [`y${s}_${v}`, -1]], '<=', 0)
    }
    if (!pricesAlone(model, runs)) continue
    const doing = heads.filter((h) => h.part.v === v)
    lp.points(`a${s}_${v}`, WEIGHTS.alone)
    lp.row([[`a${s}_${v}`, 1], [`y${s}_${v}`, -2], ...doing.map((h): Term => [h.x, 1])], '>=', 0)
  }
  const isGentle = (v: number): boolean => model.variants[v]?.gentle ?? false
  const sum = (vs: readonly number[]): Term[] => vs.map((v) => [`y${s}_${v}`, 1])
  const perRun = (most: (c: Config) => number): Term[] => runs.map((r) => [r.u, -most(r.config)])
  const working = taught.filter((v) => !isGentle(v))
  if (working.length > 0)
    lp.row([...sum(working), ...perRun((c) => Math.min(MOST_VERSIONS, MOST_AT_ONCE * c.waves))], '<=', 0)
  const gentle = taught.filter(isGentle)
  if (gentle.length > 0) lp.row([...sum(gentle), ...perRun(mostGentle)], '<=', 0)
}

/** Whether a version for one person alone costs in a block: not among few, nor where everybody stays in a shape. */
function pricesAlone(model: Model, runs: readonly Run[]): boolean {
  return model.people.length > FEW && runs.every((r) => !isStayed(r.config))
}

/** What each person lacks is covered once, at most whole. */
function lacksCovered(lp: Programme, model: Model, runs: readonly Run[]): void {
  model.people.forEach((person, p) => {
    const heads = runs.flatMap((r) => r.heads.filter((h) => h.person === p))
    model.shares[p]?.forEach((share, c) => {
      const z = `z${p}_${c}`
      lp.points(z, WEIGHTS.lacks * person.weight * share)
      lp.row([[z, 1]], '<=', 1)
      lp.row([[z, 1], ...heads.map((h): Term => [h.x, -(h.part.covers[c] ?? 0)])], '<=', 0)
    })
  })
}

/** Pieces that stay from block to block: of each kind at most what all blocks but the fullest take. */
function keptPieces(lp: Programme, model: Model, runs: readonly Run[]): void {
  const kinds = runs[0]?.heads[0]?.part.byKind.length ?? 0
  for (let kind = 0; kind < kinds; kind += 1) {
    const taken = runs.flatMap((r) =>
      r.heads.flatMap((h): [string, number, number][] => {
        const n = h.part.setupS > 0 ? (h.part.byKind[kind] ?? 0) : 0
        return n > 0 ? [[h.x, n, r.slot]] : []
      }),
    )
    if (taken.length === 0) continue
    lp.points(`e${kind}`, WEIGHTS.keptPiece)
    for (const s of new Set(taken.map(([, , slot]) => slot)))
      lp.row([[`e${kind}`, 1], ...taken.map(([x, n, slot]): Term => [x, slot === s ? 0 : -n])], '<=', 0)
  }
}

function takenBy(model: Model, { part, person }: Head): readonly { kind: string; count: number }[] {
  const [variant, who] = [model.variants[part.v], model.people[person]]
  return variant && who ? piecesFor(model.stock, variant, who) : []
}

/** The same version again in a later block costs: in a class of rest, or at the peak after the skill. */
function sameTwice(lp: Programme, model: Model, runs: readonly Run[]): void {
  for (const kind of [['ease'], [...OWN_WORK]])
    for (let p = 0; p < model.people.length; p += 1) {
      const heads = runs
        .filter((r) => kind.includes(model.slots[r.slot]?.purpose.kind ?? ''))
        .flatMap((r) => r.heads.filter((h) => h.person === p).map((h) => ({ ...h, slot: r.slot })))
      for (const v of new Set(heads.map((h) => h.part.v))) {
        const own = heads.filter((h) => h.part.v === v)
        if (new Set(own.map((h) => h.slot)).size < 2) continue
        const t = `t${kind[0] ?? ''}${p}_${v}`
        // Each time after the first costs; the row counts them all.
        lp.points(t, kind[0] === 'ease' ? WEIGHTS.restAgain : WEIGHTS.sameTwice)
        lp.row([[t, 1], ...own.map((h): Term => [h.x, -1])], '>=', -1)
      }
    }
}

/** Whoever has nothing of a family that the class is for, though something of it is open to them. */
function unnamed(lp: Programme, model: Model, runs: readonly Run[]): void {
  if (model.named.length === 0) return
  model.people.forEach(({ named }, p) => {
    for (let f = 0; named >> f > 0; f += 1) {
      if (!((named >> f) & 1)) continue
      const own = runs.flatMap((r) =>
        r.heads.filter((h) => h.person === p && ((model.named[h.part.v] ?? 0) >> f) & 1),
      )
      lp.points(`m${p}_${f}`, WEIGHTS.unnamed)
      lp.row([[`m${p}_${f}`, 1], ...own.map((h): Term => [h.x, 1])], '>=', 1)
    }
  })
}
