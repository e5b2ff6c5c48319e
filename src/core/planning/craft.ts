import type { Brief } from '../classes/brief'
import { allTurns, inSet, isWork, type Doing, type Plan, type Together, type Work } from '../classes/plan'
import type { Library } from '../practice/library'
import { isTry, usedFor } from '../practice/ask'
import { TEMPO_S } from '../practice/dose'
import { isOpenTo } from '../readiness/may'

/** What craft asks of every plan; a judge apart from the search (hour.md 3). */
export const QUESTIONS = [
  'filled',
  'own-work',
  'least-served',
  'waits',
  'warm-up',
  'unload',
  'rest',
  'same-running',
  'strength-warmed',
  'versions',
  'alone',
  'named-pose',
] as const
export type Question = (typeof QUESTIONS)[number]

/** One question with its figure, the threshold it is held to, and whose fault it is where people are to be named. */
export type Craft = {
  readonly question: Question
  readonly held: boolean
  readonly value: number
  readonly threshold: number
  readonly who: readonly string[]
}

/** A plan ends within a minute of its class, s. */
const LEFT_S = 60
/** Share of the working blocks that people are really at work in: the median person, and the least served. */
const [OWN_MEDIAN, OWN_LEAST] = [0.35, 0.22]
/** After attempts the body is unloaded for so long at least, s. */
const UNLOAD_S = 180
/** Shares of the class: warm-up and way out at least, resting and closing at most. */
const [WARM_LEAST, REST_MOST] = [0.1, 0.22]
/** Versions taught beside each other in a block, and how many of them for one person alone. */
const [AT_ONCE, ALONE] = [6, 0.34]

/**
 * What a teacher of twenty years would ask of a plan, read from the plan alone: the twelve questions in their order, each with
 * its figure. Nothing here is known to the search.
 */
export function readCraft(practice: Library, brief: Pick<Brief, 'people'>, plan: Plan): Craft[] {
  const works = plan.blocks.filter(isWork)
  const togethers = plan.blocks.filter((b): b is Together => !isWork(b))
  // Whoever may do nothing at all today is told what to do instead, and is nobody's idle time.
  const closed = new Set(
    brief.people.flatMap((p) =>
      isOpenTo({ caps: p.limits, answered: p.answered }, {}) ? [] : [p.studentId],
    ),
  )
  const ids = [...new Set(works.flatMap((b) => b.people.map((p) => p.studentId)))].filter(
    (id) => !closed.has(id),
  )
  const endS = Math.max(0, ...plan.blocks.map((b) => b.startS + b.seconds))
  const secondsOf = (...kinds: readonly Together['kind'][]): number =>
    togethers.filter((b) => kinds.includes(b.kind)).reduce((sum, b) => sum + b.seconds, 0)
  const own = ownShares(works, ids)
  const shares = ids.map((id) => own.get(id) ?? 0).toSorted((a, b) => a - b)
  const ask = (
    question: Question,
    value: number,
    threshold: number,
    held: boolean,
    who: readonly string[] = [],
  ): Craft => ({ question, value, threshold, held, who })
  const left = plan.minutes * 60 - endS
  const median = shares[Math.floor((shares.length - 1) / 2)] ?? 1
  const least = shares[0] ?? 1
  const waits = ids.filter((id) => works.some((b) => doingIn(b, id)?.variantId === null))
  const warm = secondsOf('warm-up', 'settle', 'way-out') / (plan.minutes * 60)
  const tried = works.some((b) => b.people.some((p) => isTry(loadOf(practice, p.variantId))))
  const rest = secondsOf('rest', 'close') / (plan.minutes * 60)
  const same = sameRunning(works, ids)
  const warmed = strengthWarmed(works, togethers)
  const versions = Math.max(0, ...works.map((b) => atOnceIn(b)))
  const alone = aloneShare(works)
  const unnamed = withoutNamed(practice, brief, plan, works)
  return [
    ask('filled', left, LEFT_S, Math.abs(left) <= LEFT_S),
    ask('own-work', median, OWN_MEDIAN, median >= OWN_MEDIAN),
    ask(
      'least-served',
      least,
      OWN_LEAST,
      least >= OWN_LEAST,
      ids.filter((id) => (own.get(id) ?? 0) < OWN_LEAST),
    ),
    ask('waits', waits.length, 0, waits.length === 0, waits),
    ask('warm-up', warm, WARM_LEAST, warm >= WARM_LEAST),
    ask('unload', secondsOf('counterpose'), UNLOAD_S, !tried || secondsOf('counterpose') >= UNLOAD_S),
    ask('rest', rest, REST_MOST, rest <= REST_MOST),
    ask('same-running', same.length, 0, same.length === 0, same),
    ask('strength-warmed', warmed, 0, warmed === 0),
    ask('versions', versions, AT_ONCE, versions <= AT_ONCE),
    ask('alone', alone, ALONE, alone <= ALONE),
    ask('named-pose', unnamed.length, 0, unnamed.length === 0, unnamed),
  ]
}

function doingIn(block: Work, studentId: string): Doing | undefined {
  return block.people.find((p) => p.studentId === studentId)
}

/** Seconds really held, moved or stayed, of all seconds of the working blocks; rests are not counted. */
function ownShares(works: readonly Work[], ids: readonly string[]): ReadonlyMap<string, number> {
  const all = works.reduce((sum, b) => sum + b.seconds, 0)
  return new Map(
    ids.map((id) => {
      const seconds = works.reduce((sum, block) => {
        const planned = doingIn(block, id)
        if (!planned || planned.variantId === null) return sum
        const turns = allTurns(block, planned)
        for (let set = 0; set < turns; set += 1) sum += turnOf(block, inSet(planned, set))
        return sum
      }, 0)
      return [id, all === 0 ? 1 : seconds / all]
    }),
  )
}

/** Seconds at work in one turn; what is rested in is stayed in for all of it. */
function turnOf({ kind, workS }: Work, { sides, sideMore, holdS, reps }: Doing): number {
  const times = sides ? (sideMore ? 3 : 2) : 1
  return kind === 'ease' ? workS : Math.min(workS, (holdS ?? TEMPO_S) * reps * times)
}

/** Who does the same thing in two blocks running. */
function sameRunning(works: readonly Work[], ids: readonly string[]): string[] {
  return ids.filter((id) =>
    works.some((block, k) => {
      const [now, before] = [doingIn(block, id), works[k - 1] && doingIn(works[k - 1] as Work, id)]
      return now?.variantId != null && now.variantId === before?.variantId
    }),
  )
}

/** How many versions of a strength block everybody has warmed up with already. */
function strengthWarmed(works: readonly Work[], togethers: readonly Together[]): number {
  const warmed = new Set(togethers.flatMap((b) => (b.kind === 'warm-up' ? b.items.map((i) => i.id) : [])))
  return works
    .filter((b) => b.kind === 'train')
    .reduce((n, b) => n + [...versionsOf(b)].filter((id) => warmed.has(id)).length, 0)
}

function versionsOf({ people }: Work): ReadonlySet<string> {
  return new Set(people.flatMap((p) => (p.variantId === null ? [] : [p.variantId])))
}

/** The most versions that are done beside each other in a set, rungs of climbs among them. */
function atOnceIn(block: Work): number {
  const bySet = Array.from({ length: block.sets }, (_, set) =>
    versionsOf({ ...block, people: block.people.filter((p) => set < p.turns).map((p) => inSet(p, set)) }),
  )
  return Math.max(0, ...bySet.map((versions) => versions.size))
}

/** Share of versions, over all blocks, that one person does alone. */
function aloneShare(all: readonly Work[]): number {
  // Where people build and stay each has a shape of their own.
  const works = all.filter((b) => b.kind !== 'stay' && b.kind !== 'ease')
  const each = works.flatMap((b) =>
    [...versionsOf(b)].map((id) => b.people.filter((p) => p.variantId === id).length),
  )
  return each.length === 0 ? 0 : each.filter((n) => n === 1).length / each.length
}

/** Who does nothing of a named family, or of what leads to it, for two turns, though something of it is open to them. */
function withoutNamed(
  practice: Library,
  { people }: Pick<Brief, 'people'>,
  { aim }: Plan,
  works: readonly Work[],
): string[] {
  if (aim.kind !== 'practice' && aim.kind !== 'workshop') return []
  return people
    .filter((person) => {
      const done = works.flatMap((b) => b.people.filter((p) => p.studentId === person.studentId))
      if (done.length === 0) return false
      // What is stayed in is entered once.
      const stayed = new Set(works.filter((b) => b.kind === 'stay').flatMap((b) => b.people))
      return aim.families.some((family) => {
        const own = person.families[family]?.open ?? []
        const open = own.length > 0 && family === 'SH' ? [...own, ...usedFor(practice, 'stay-raised')] : own
        const turns = done
          .filter((d) => d.variantId !== null && open.includes(d.variantId))
          .reduce((sum, d) => sum + (stayed.has(d) ? 2 : d.turns), 0)
        return open.length > 0 && turns < 2
      })
    })
    .map((p) => p.studentId)
}

function loadOf(practice: Library, variantId: string | null) {
  return practice.stages.find((s) => s.id === variantId)?.load ?? {}
}
