import type { Brief } from '../classes/brief'
import { usedFor } from '../practice/ask'
import type { Library } from '../practice/library'
import type { PracticeBlock } from '../practice/schema'
import { leadsTo } from '../readiness/ladder'
import { isOpenTo } from '../readiness/may'
import { onTheHope } from './hope'
import { knownFor, type Planned } from './known'
import type { Option } from './option'
import { optionsFor, shortlists } from './options'
import { passableOn, rungsOf } from './passable'
import { piecesOf, type Pieces } from './pieces'
import { purposesOf, type Purpose } from './purposes'
import { configsOf, frameOf, mostSeconds, type Config, type Frame } from './skeleton'
import { variantsOf, type Variant } from './variants'

/** A block that a class may have: ways of running it, and what everybody may do in it. */
export type Slot = {
  readonly purpose: Purpose
  readonly configs: readonly Config[]
  /** By person. */
  readonly options: readonly (readonly Option[])[]
}

/** A warm-up drill or counterpose as time is reckoned with it. */
export type Piece = {
  readonly id: string
  readonly leastS: number
  readonly usualS: number
  /** To how many it is closed: others are taken first. */
  readonly closedTo: number
}
type WarmBlock = {
  readonly id: string
  readonly leastS: number
  readonly drills: readonly string[]
  readonly must: PracticeBlock['must']
}

/** Everything that the search needs, as plain values: it goes to a worker and the same comes back for the same brief. */
export type Model = {
  readonly minutes: number
  readonly strengthFirst: boolean
  readonly newThing: Brief['newThing']
  /** Order of the working blocks by purpose, where it is fixed by hand. */
  readonly order: readonly string[] | null
  readonly frame: Frame
  readonly variants: readonly Variant[]
  /** By variant: what may be passed on the way to it, by place. */
  readonly passable: readonly (readonly number[])[]
  /** By variant: how high it stands on its ladder. */
  readonly rungOf: readonly number[]
  readonly people: readonly Planned[]
  /** By variant: to which families of the class it leads, as bits in its order. */
  readonly named: readonly number[]
  /** By person: the shares of what they lack, in the order of their list. */
  readonly shares: readonly (readonly number[])[]
  readonly slots: readonly Slot[]
  readonly bays: number
  /** Bays in which two lie beside each other, as bits. */
  readonly wideBays: number
  readonly open: number
  readonly stock: Pieces
  readonly helpers: readonly { readonly id: string; readonly trained: readonly string[] }[]
  /** Seconds that all conditioning together may take. */
  readonly trainMostS: number
  readonly mostTrained: number
  /** What people do while they settle: it prepares too. */
  readonly settled: readonly string[]
  readonly warmups: readonly WarmBlock[]
  readonly pieces: Readonly<Record<string, Piece>>
  readonly counterposes: readonly (Piece & { readonly instead: string | null })[]
  /** Which warm-up bit is the rehearsal of the way out: a block of its own. */
  readonly wayOut: number
}

/** Lying with the legs up takes so much of a wall: two of them share a bay, cm. */
export const BESIDE_CM = 60

/** From this length on a class has a third block of strength, min. */
const LONG_MIN = 75

/**
 * The model of a class: hard rules are left out of the options, so that nothing closed can be chosen. Whoever has not
 * answered is planned on the hope that nothing applies.
 */
export function buildModel(practice: Library, given: Brief): Model {
  const brief = onTheHope(given)
  const variants = variantsOf(practice)
  const people = brief.people.filter((p) => !brief.fixed.out.includes(p.studentId))
  const known = people.map((p) => knownFor(practice, brief, p))
  const slots = purposesOf(practice, brief, variants).map((purpose): Slot => {
    const configs = configsOf(purpose.kind, brief.aim, brief.minutes)
    const fixed = brief.fixed.lengths[purpose.id]
    const kept = fixed ? configs.filter((c) => c.sets === fixed.sets && c.waves === fixed.waves) : []
    const every = known.map((k) => optionsFor(practice, { brief, known: k, purpose }, variants))
    const options = shortlists(variants, every)
    // A block whose length the teacher fixed is never dropped for another.
    if (kept.length > 0) return { purpose: { ...purpose, needed: true }, configs: kept, options }
    return { purpose, configs, options }
  })
  const closedTo = (load: Variant['load']): number =>
    people.filter((p) => !isOpenTo({ caps: p.limits, answered: p.answered }, load)).length
  return {
    minutes: brief.minutes,
    strengthFirst: brief.strengthFirst,
    newThing: brief.newThing,
    order: brief.fixed.order,
    frame: frameOf(brief.minutes),
    variants,
    passable: passableOn(practice, variants),
    rungOf: rungsOf(practice, variants),
    people: known.map((k) => k.planned),
    named: namedBy(practice, brief, variants),
    shares: known.map((k) => Object.values(k.planned.lacks)),
    slots: slots.filter((s) => s.configs.length > 0),
    bays: brief.room.bays.length,
    wideBays: brief.room.bays.reduce(
      (mask, bay, i) => (bay.widthCm >= 2 * BESIDE_CM ? mask | (1 << i) : mask),
      0,
    ),
    open: brief.room.open,
    stock: piecesOf(brief),
    helpers: brief.helpers,
    trainMostS: mostSeconds('train', brief.aim, brief.minutes),
    // A class of strength alone has the minutes for it.
    mostTrained: brief.aim.kind === 'strength' ? 4 : brief.minutes >= LONG_MIN ? 3 : 2,
    settled: usedFor(practice, 'settle'),
    ...preparationOf(practice, closedTo),
    counterposes: practice.counterposes.map(({ id, minutes, instead, load, drills }) => ({
      id,
      leastS: 30,
      usualS: minutes * 60,
      closedTo:
        closedTo(load) +
        drills.reduce((n, d) => n + closedTo(practice.drills.find((x) => x.id === d)?.load ?? {}), 0),
      instead: instead ?? null,
    })),
  }
}

/** To which of the class's families each variant leads; empty in a class that is for no pose. */
function namedBy(practice: Library, { aim }: Brief, variants: readonly Variant[]): number[] {
  if (aim.kind !== 'practice' && aim.kind !== 'workshop') return []
  // Without a wall legs lie on a chair: the nearest there is to where shoulder stand begins.
  const raised = usedFor(practice, 'stay-raised')
  const ladders = aim.families.map((f) => new Set([...leadsTo(practice, f), ...(f === 'SH' ? raised : [])]))
  return variants.map(({ id }) => ladders.reduce((mask, l, i) => (l.has(id) ? mask | (1 << i) : mask), 0))
}

/** The warm-ups of the practice with the drills that make them, and to how many each drill is closed. */
export function preparationOf(
  practice: Library,
  closedTo: (load: Variant['load']) => number,
): Pick<Model, 'warmups' | 'pieces' | 'wayOut'> {
  return {
    warmups: practice.warmups.map(({ id, least, minutes, drills, must }) => ({
      ...{ id, drills, must },
      leastS: Math.round((least ?? minutes) * 60),
    })),
    pieces: Object.fromEntries(
      practice.drills.map(({ id, minutes, load }) => [
        id,
        { id, leastS: Math.max(60, minutes * 30), usualS: minutes * 60, closedTo: closedTo(load) },
      ]),
    ),
    wayOut: practice.warmups.findIndex((w) => w.id === 'WU-fall'),
  }
}
