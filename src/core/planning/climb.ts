import type { Brief, BriefPerson } from '../classes/brief'
import { onRung, type Doing, type Rung, type Work } from '../classes/plan'
import type { Library } from '../practice/library'
import { MOST_AT_ONCE } from './deal'
import type { Model } from './model'
import { ownTurn } from './option'
import { mayClimbTo, ONE_FROM, TWO_FROM } from './passable'
import { variantsOf, type Variant } from './variants'

/** Kinds of block in which people climb. */
const CLIMBS: readonly Work['kind'][] = ['skill', 'peak']
/** Rungs passed in a block that are nobody's own version, at most: each is explained to those who pass it together. */
const MOST_SHARED = 2
/** What passing a rung is worth, by how many rungs it lies below: nobody far on begins at the foot where a nearer one will do. */
const NEAR = [0.9, 1, 0.9, 0.75, 0.5, 0.3]

/** A rung that somebody could pass, with how far below it lies. */
type Passable = { readonly v: number; readonly rung: Rung; readonly worth: number }

/**
 * Adds to a block the rungs by which its people climb: first what as many as can be pass together, then one between where
 * there are turns for it. What stands at the top stays as it was chosen, with most of the turns.
 */
export function climbing(
  model: Model,
  brief: Brief,
  block: Pick<Work, 'kind' | 'workS' | 'waves'>,
  people: readonly Doing[],
): Doing[] {
  if (!CLIMBS.includes(block.kind)) return [...people]
  // Where they start one after another everybody begins with the kick that the starts were set for.
  const isStaggered = people.some((p) => p.after > 0)
  const could = people.map((doing) =>
    isStaggered && doing.tries > 0 ? [] : passableFor(model, brief, doing, block.workS),
  )
  const own = new Set(people.flatMap((p) => (p.variantId === null ? [] : [indexOf(model, p.variantId)])))
  const now = [...people]
  const shared = new Set<number>()
  for (let at = 0; at < 2; at += 1) {
    // Whoever finds the shared rung on their way passes it; for the rest another one may be shared.
    for (;;) {
      const best = bestShared(now, could, at, { own, shared })
      if (best === null) break
      const isOwn = own.has(best.v)
      if (!isOwn && shared.size >= MOST_SHARED) break
      const tried = now.map((doing, i) => (best.who.includes(i) ? climbed(doing, could[i], best.v) : doing))
      could.forEach((all, i) => {
        if (best.who.includes(i)) could[i] = all.filter(({ v }) => model.passable[v]?.includes(best.v))
        else could[i] = all.filter(({ v }) => v !== best.v)
      })
      if (!fewAtOnce(model, block.waves, tried)) continue
      tried.forEach((doing, i) => {
        now[i] = doing
      })
      if (!isOwn) shared.add(best.v)
    }
  }
  return now
}

function climbed(doing: Doing, could: readonly Passable[] | undefined, v: number): Doing {
  const rung = could?.find((c) => c.v === v)?.rung
  return rung ? { ...doing, climb: [...doing.climb, rung] } : doing
}

function passableFor(model: Model, brief: Brief, doing: Doing, workS: number): Passable[] {
  const person = brief.people.find((p) => p.studentId === doing.studentId)
  const track = model.people.find((p) => p.studentId === doing.studentId)?.track
  const top = doing.variantId === null ? -1 : indexOf(model, doing.variantId)
  const variant = model.variants[top]
  if (
    !person ||
    !track ||
    !variant ||
    doing.every ||
    doing.inPlace ||
    doing.override !== null ||
    doing.after > 0
  )
    return []
  return (model.passable[top] ?? []).flatMap((v) => {
    const under = model.variants[v]
    if (!under || !mayClimbTo(person, track, under.id)) return []
    const { holdS, reps } = ownTurn(person, under, null, workS)
    const seconds = (holdS ?? 0) * reps * (under.sides ? 2 : 1)
    if (seconds > workS) return []
    const { id: variantId, setupId, sides, bill } = under
    const below = (model.rungOf[top] ?? 0) - (model.rungOf[v] ?? 0)
    const worth = NEAR[Math.max(0, below)] ?? 0.2
    return [{ v, worth, rung: { variantId, setupId, sides, holdS, reps, props: [...bill] } }]
  })
}

/** The rung that most pass together, the nearer the better; one that somebody works at anyhow counts them too. */
function bestShared(
  now: readonly Doing[],
  could: readonly (readonly Passable[])[],
  at: number,
  { own, shared }: { readonly own: ReadonlySet<number>; readonly shared: ReadonlySet<number> },
): { readonly v: number; readonly who: readonly number[] } | null {
  const turns = at === 0 ? ONE_FROM : TWO_FROM
  const worth = new Map<number, { sum: number; who: number[] }>()
  could.forEach((all, i) => {
    const doing = now[i]
    if (!doing || doing.turns < turns || doing.climb.length !== at) return
    for (const { v, worth: w } of all) {
      const entry = worth.get(v) ?? { sum: 0, who: [] }
      worth.set(v, { sum: entry.sum + w, who: [...entry.who, i] })
    }
  })
  const few = now.filter((d) => d.variantId !== null).length <= 4
  const found = [...worth]
    .filter(([v, { who }]) => few || who.length > 1 || own.has(v) || shared.has(v))
    .sort(([a, x], [b, y]) => y.sum - x.sum || b - a)
  const [first] = found
  return first ? { v: first[0], who: first[1].who } : null
}

/** Whether what is done at once stays few in every set, as planned and with everybody kept where they began. */
function fewAtOnce(model: Model, waves: number, people: readonly Doing[]): boolean {
  const most = Math.max(0, ...people.map((p) => p.climb.length))
  for (let wave = 1; wave <= waves; wave += 1) {
    const up = people.filter((p) => p.variantId !== null && (p.every || p.wave === wave))
    for (let set = 0; set <= most; set += 1) {
      const ids = up.map((p) => p.climb[set]?.variantId ?? p.variantId ?? '')
      const working = new Set(ids.filter((id) => model.variants[indexOf(model, id)]?.gentle === false))
      if (working.size > MOST_AT_ONCE) return false
    }
  }
  return true
}

function indexOf({ variants }: Pick<Model, 'variants'>, id: string): number {
  return variants.findIndex((v) => v.id === id)
}

/**
 * The path of somebody's climb in a block, from its foot to what they may go on to, each as they would do it; what they are
 * planned to work at stands after the rungs of `climb`.
 */
export function pathOf(
  practice: Library,
  brief: Pick<Brief, 'people'> | null,
  block: Work,
  doing: Doing,
): Doing[] {
  const person = brief?.people.find((p) => p.studentId === doing.studentId)
  const next = variantsOf(practice).find((v) => v.id === doing.then)
  const onward = person && next ? [onTo(person, next, block, doing)] : []
  return [...doing.climb.map((rung) => onRung(doing, rung)), doing, ...onward]
}

function onTo(person: BriefPerson, next: Variant, { workS }: Work, doing: Doing): Doing {
  const { id: variantId, setupId, sides } = next
  const { holdS, reps, sideMore } = ownTurn(person, next, null, workS)
  const rung = { variantId, setupId, holdS, reps, sides, props: [] }
  return { ...onRung(doing, rung), sideMore, sideFirst: person.weaker[variantId] ?? null }
}
