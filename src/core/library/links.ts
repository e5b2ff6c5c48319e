import { answersTo, namesIn } from '../practice/after'
import { callsFor } from '../practice/ask'
import type { Library } from '../practice/library'
import type { Stage } from '../practice/schema'
import { findEntry, type Entry } from './entries'

/** Why one entry points at another; the words are in `words/kinds`. */
const RELATIONS = [
  'comes-after',
  'leads-to',
  'if-not',
  'built-with',
  'measured-by',
  'goes-wrong',
  'mended-by',
  'trained-by',
  'trains',
  'way-out',
  'warmed-by',
  'closed-by',
  'asked-by',
  'seen-at',
  'used-at',
  'voids',
  'voided-by',
  'prevents',
  'less-support',
  'more-support',
  'fetches',
  'part-of',
  'contains',
  'for-stages',
] as const
export type Relation = (typeof RELATIONS)[number]
type Pair = readonly [from: string, relation: Relation, to: string, back: Relation]

/** Both ways of every link, made once for a library: what is said of one is found from the other. */
function makeLinks(practice: Library): Map<string, Map<Relation, string[]>> {
  const all = new Map<string, Map<Relation, string[]>>()
  const put = (from: string, relation: Relation, to: string): void => {
    const of = all.get(from) ?? new Map<Relation, string[]>()
    all.set(from, of)
    const list = of.get(relation) ?? []
    of.set(relation, list)
    if (!list.includes(to)) list.push(to)
  }
  for (const [from, relation, to, back] of pairs(practice)) {
    put(from, relation, to)
    put(to, back, from)
  }
  return all
}

function* pairs(practice: Library): Generator<Pair> {
  const stagesNamed: StagesNamed = (names) =>
    practice.stages.filter(({ id }) => names.some((name) => answersTo(id, name))).map(({ id }) => id)
  for (const stage of practice.stages) yield* stagePairs(practice, stage, stagesNamed)
  yield* trainingPairs(practice)
  yield* setupPairs(practice)
  for (const way of practice.approaches)
    for (const id of stagesNamed(way.stages)) yield [way.id, 'for-stages', id, 'asked-by']
}

/** Stages by their ids or by the number that branches share. */
type StagesNamed = (names: readonly string[]) => string[]

/** What drills, checks and faults have to do with each other. */
function* trainingPairs(practice: Library): Generator<Pair> {
  for (const drill of practice.drills) {
    for (const fault of drill.faults) yield [drill.id, 'goes-wrong', fault, 'seen-at']
    for (const setup of drill.setups) yield [drill.id, 'built-with', setup, 'used-at']
  }
  for (const check of practice.checks)
    for (const fault of check.voids) yield [fault, 'voids', check.id, 'voided-by']
  for (const fault of practice.faults) {
    for (const drill of fault.drills) yield [fault.id, 'mended-by', drill, 'trains']
    for (const setup of fault.setups) yield [fault.id, 'built-with', setup, 'prevents']
  }
  for (const { checks, drills } of practice.capabilities)
    for (const check of checks) for (const drill of drills) yield [check, 'trained-by', drill, 'trains']
  for (const block of [...practice.warmups, ...practice.counterposes])
    for (const drill of block.drills) yield [block.id, 'contains', drill, 'part-of']
}

function* setupPairs(practice: Library): Generator<Pair> {
  for (const setup of practice.setups) {
    for (const fault of setup.prevents) yield [setup.id, 'prevents', fault, 'built-with']
    for (const to of setup.less) yield [setup.id, 'less-support', to, 'more-support']
    for (const to of setup.more) yield [setup.id, 'more-support', to, 'less-support']
    for (const { prop } of setup.bill)
      for (const { id } of practice.props.filter((p) => p.id === prop || p.kind === prop))
        yield [setup.id, 'fetches', id, 'used-at']
  }
}

function* stagePairs(practice: Library, stage: Stage, stagesNamed: StagesNamed): Generator<Pair> {
  const { id, load } = stage
  for (const to of stagesNamed(namesIn(stage.after))) yield [id, 'comes-after', to, 'leads-to']
  for (const to of stagesNamed(stage.ifNot)) yield [id, 'if-not', to, 'leads-to']
  for (const setup of stage.setups) yield [id, 'built-with', setup, 'used-at']
  for (const { check } of stage.gates) yield [id, 'measured-by', check, 'asked-by']
  for (const fault of stage.faults) yield [id, 'goes-wrong', fault, 'seen-at']
  for (const exit of stage.exits) yield [id, 'way-out', exit, 'used-at']
  for (const block of [...practice.warmups, ...practice.counterposes])
    if (callsFor(stage, block)) yield [id, 'warmed-by', block.id, 'for-stages']
  for (const { id: caution, tags, action } of practice.cautions)
    if (action !== 'watch' && tags.some(({ tag, level }) => (load[tag] ?? 0) >= level))
      yield [caution, 'for-stages', id, 'closed-by']
}

const made = new WeakMap<Library, ReturnType<typeof makeLinks>>()

/** Everything that an entry points at or is pointed at by, in the order of the relations. */
export function linksOf(practice: Library, id: string): { relation: Relation; to: Entry[] }[] {
  const links = made.get(practice) ?? makeLinks(practice)
  made.set(practice, links)
  const of = links.get(id)
  return RELATIONS.flatMap((relation) => {
    const to = (of?.get(relation) ?? []).flatMap((other) => findEntry(practice, other) ?? [])
    return to.length > 0 ? [{ relation, to }] : []
  })
}
