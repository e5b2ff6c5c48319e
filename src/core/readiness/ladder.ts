import { answersTo, namesIn } from '../practice/after'
import type { Library } from '../practice/library'
import { RUNGS, type Family, type Gate, type Stage } from '../practice/schema'

/** One family's stages in order, with what lies beneath each. */
export type Ladder = {
  readonly stages: readonly Stage[]
  /** A stage and everything beneath it, on whichever branch: what a fault or pain there may reach. */
  readonly beneath: (stageId: string) => ReadonlySet<string>
  /** A stage and what every way to it leads through: what work there credits (ruling 26). */
  readonly credits: (stageId: string) => ReadonlySet<string>
  /** Standing gates of a stage and of everything beneath it: clean work there shows them anew. */
  readonly gatesBeneath: (stageId: string) => readonly Gate[]
  readonly order: (stageId: string) => number
  /** How high a stage stands: 0 for rung a. */
  readonly rung: (stageId: string) => number
  /** Stages that nobody reaches a top of this ladder without, whichever branches they take. */
  readonly onTheWay: ReadonlySet<string>
}

/** Every stage that leads to a family, those of other families among them. */
export function leadsTo(practice: Library, family: Family): ReadonlySet<string> {
  const { stages, beneath } = ladderOf(practice, family)
  return new Set(stages.flatMap(({ id }) => [...beneath(id)]))
}

/** A family's ladder, with what follows it among the advanced; made once for a library. */
export function ladderOf(practice: Library, family: Family): Ladder {
  const known = ladders.get(practice) ?? new Map<Family, Ladder>()
  ladders.set(practice, known)
  const found = known.get(family)
  if (found) return found
  const made = makeLadder(practice, stagesOf(practice, family))
  known.set(family, made)
  return made
}

/** A family's stages, and the advanced ones that come after nothing but them (ruling 15). */
function stagesOf({ stages }: Library, family: Family): Stage[] {
  const onLadder = stages.filter((stage) => stage.like === undefined)
  const own = onLadder.filter((stage) => stage.family === family)
  if (family === 'AD') return own
  for (const stage of onLadder.filter((s) => s.family === 'AD')) {
    const names = namesIn(stage.after)
    const follows = names.every((name) => own.some((s) => answersTo(s.id, name)))
    if (names.length > 0 && follows) own.push(stage)
  }
  return own
}

const ladders = new WeakMap<Library, Map<Family, Ladder>>()

function makeLadder({ stages: all }: Library, stages: readonly Stage[]): Ladder {
  // What lies beneath may belong to another family: a headstand on clasped forearms rests on the forearm ladder.
  const below = new Map(stages.map((s) => [s.id, withPredecessors(all, s.id)]))
  const tops = stages.filter((s) => s.rung === RUNGS.at(-1))
  const gates = new Map(
    stages.map((s) => [
      s.id,
      all
        .filter((t) => below.get(s.id)?.has(t.id))
        .flatMap((t) => t.gates.filter((gate) => gate.life === 'standing')),
    ]),
  )
  const at = new Map(stages.map((s, i) => [s.id, i]))
  return {
    stages,
    beneath: (id) => below.get(id) ?? new Set([id]),
    credits: creditsOf(all),
    gatesBeneath: (id) => gates.get(id) ?? [],
    order: (id) => at.get(id) ?? -1,
    rung: (id) => RUNGS.indexOf(all.find((s) => s.id === id)?.rung ?? 'a'),
    onTheWay: new Set(tops.flatMap((s) => [...creditsOf(all)(s.id)].filter((id) => id !== s.id))),
  }
}

const crediting = new WeakMap<readonly Stage[], (stageId: string) => ReadonlySet<string>>()

/**
 * What work at a stage credits: the stage, all that it needs, and of a choice only what enough of its ways share. Which way
 * somebody came is known from what they did, and credited by that (ruling 26).
 */
export function creditsOf(stages: readonly Stage[]): (stageId: string) => ReadonlySet<string> {
  const made = crediting.get(stages)
  if (made) return made
  const known = new Map<string, ReadonlySet<string>>()
  const credits = (stageId: string): ReadonlySet<string> => {
    const found = known.get(stageId)
    if (found) return found
    // Set before looking below, so that a circle in an altered library ends.
    known.set(stageId, new Set([stageId]))
    const stage = stages.find((s) => s.id === stageId)
    const choices = stage
      ? [...stage.after.all.map((name) => ({ least: 1, of: [name] })), ...stage.after.some]
      : []
    const result = new Set([stageId, ...choices.flatMap((choice) => [...shared(choice)])])
    known.set(stageId, result)
    return result
  }
  /** What each way of a choice leads through that asks for so many of them. */
  const shared = ({ least, of }: { readonly least: number; readonly of: readonly string[] }): Set<string> => {
    const ways = of.map((name) =>
      inAll(stages.filter((s) => answersTo(s.id, name)).map((s) => credits(s.id))),
    )
    // So many have to be gone that whatever more than the rest of them share cannot be missed.
    const all = new Set(ways.flatMap((way) => [...way]))
    return new Set([...all].filter((id) => ways.filter((way) => way.has(id)).length > of.length - least))
  }
  crediting.set(stages, credits)
  return credits
}

function inAll(sets: readonly ReadonlySet<string>[]): ReadonlySet<string> {
  const [first = new Set<string>(), ...rest] = sets
  return new Set([...first].filter((id) => rest.every((set) => set.has(id))))
}

/**
 * A studio's own steps beside some stages: open to whoever holds what they are built on, and shown with it. What is done
 * there proves nothing on the ladder (docs/decisions/022).
 */
export function besideThem({ stages }: Pick<Library, 'stages'>, held: ReadonlySet<string>): Stage[] {
  return stages.filter(({ like, rests }) => like !== undefined && rests !== true && held.has(like))
}

/** A stage and everything that any way to it may lead through. */
export function withPredecessors(stages: readonly Stage[], stageId: string): ReadonlySet<string> {
  const credited = new Set<string>()
  const visit = (id: string): void => {
    if (credited.has(id)) return
    credited.add(id)
    const stage = stages.find((s) => s.id === id)
    for (const name of stage ? namesIn(stage.after) : [])
      for (const before of stages.filter((s) => answersTo(s.id, name))) visit(before.id)
  }
  visit(stageId)
  return credited
}

/** Stages that name this one as what they come after, in ladder order. */
export function successorsOf(stages: readonly Stage[], stageId: string): Stage[] {
  return stages.filter((stage) => namesIn(stage.after).some((name) => answersTo(stageId, name)))
}

/** The step below: the first of the stages that this one comes after, which is the usual branch. */
export function predecessorOf(stages: readonly Stage[], stageId: string): Stage | null {
  const stage = stages.find((s) => s.id === stageId)
  if (!stage) return null
  const names = namesIn(stage.after)
  const before = stages.filter((s) => names.some((name) => answersTo(s.id, name)))
  return before[0] ?? null
}

/** Some rungs down, not below the foot. */
export function stepsBelow(stages: readonly Stage[], stageId: string, rungs: number): string {
  let at = stageId
  for (let i = 0; i < rungs; i += 1) at = predecessorOf(stages, at)?.id ?? at
  return at
}
