import type { Body } from '../body/estimate'
import type { Parameters } from '../mechanics/parameters'
import { answersTo } from '../practice/after'
import type { Library } from '../practice/library'
import type { Gate, Stage, Way } from '../practice/schema'
/** The option in force for every question. */
export type InForce = ReadonlyMap<string, { readonly option: string }>

/** What the options in force do, in the order of the questions. */
export function waysInForce(practice: Library, inForce: InForce): readonly Way[] {
  const on = new Set([...inForce].map(([question, { option }]) => `${question}:${option}`))
  return practice.ways.filter(({ of }) => on.has(of))
}

function speaksOf(names: readonly string[], stageId: string): boolean {
  return names.some((name) => answersTo(stageId, name))
}

/** What is said at a stage: its own cue, and the words of the ways in force. */
export function cueFor(practice: Library, inForce: InForce, { id, cue }: Pick<Stage, 'id' | 'cue'>): string {
  const words = waysInForce(practice, inForce).flatMap(({ say }) =>
    say && speaksOf(say.on, id) ? [say.words] : [],
  )
  return [cue, ...words].join(' ')
}

/** Where a setup begins under a way, as a number or in lengths of one's own. */
export type Beginning = Pick<NonNullable<Way['set']>, 'option' | 'value' | 'own'>

/** Where setups begin, by setup: as the studio has them, and under the ways in force. */
export function beginnings(
  practice: Library,
  inForce: InForce,
): Readonly<Record<string, readonly Beginning[]>> {
  const found: Record<string, Beginning[]> = Object.fromEntries(
    practice.setups.flatMap(({ id, begins }) => (begins ? [[id, [...begins]]] : [])),
  )
  for (const { set } of waysInForce(practice, inForce))
    for (const id of set?.setups ?? []) if (set) (found[id] ??= []).push(set)
  return found
}

/** Options to begin with on a body; what no way names keeps the setup's own usual value. */
export function beginWith(sets: readonly Beginning[] | undefined, body: Body): Parameters {
  return Object.fromEntries(
    (sets ?? []).map(({ option, value = 0, own }) => [option, own ? body.length[own].valueCm : value]),
  )
}

/** A check that stages ask besides their own. */
export type Asked = { readonly on: readonly string[]; readonly gate: Gate }

/** Checks that the ways in force add: a way may ask for more, never for less. */
export function askedBy(practice: Library, inForce: InForce): Asked[] {
  return waysInForce(practice, inForce).flatMap(({ ask }) => {
    if (!ask) return []
    const { on, ...gate } = ask
    return [{ on, gate: { ...gate, aidedOk: false, life: 'standing' } }]
  })
}

/** Gates of a stage with what the ways ask besides; of two that ask the same check the harder stands. */
export function gatesWith(practice: Library, stage: Stage, asked: readonly Asked[]): readonly Gate[] {
  const more = asked
    .filter(({ on }) => speaksOf(on, stage.id))
    .map(({ gate }) => shownAt(practice, stage, gate))
  const harder = (a: Gate, b: Gate): boolean =>
    a.op === b.op && a.value !== undefined && b.value !== undefined
      ? a.op === '<='
        ? a.value < b.value
        : a.value > b.value
      : false
  const kept = stage.gates.filter((own) => !more.some((m) => m.check === own.check && harder(m, own)))
  return [...kept, ...more.filter((m) => !kept.some((own) => own.check === m.check))]
}

/** A check that is read from tries is read from those of the stage's own family. */
function shownAt(practice: Library, { family }: Stage, gate: Gate): Gate {
  const stages = practice.checks.find((c) => c.id === gate.check)?.shownOn?.[family]
  return stages ? { ...gate, shownBy: stages } : gate
}

/** The fewest attempts that a way allows in one class; null where none says. */
export function attemptsAllowed(practice: Library, inForce: InForce): number | null {
  const caps = waysInForce(practice, inForce).flatMap(({ cap }) => (cap === undefined ? [] : [cap]))
  return caps.length > 0 ? Math.min(...caps) : null
}

/** Whether strength comes before the turns: what tires then is part of the way. */
export function strengthFirst(inForce: InForce): boolean {
  return inForce.get('A31')?.option === 'drill-first'
}

/** When in a class the new thing comes: fresh, in the first wave after priming, unless a way of working says otherwise. */
export function newThing(practice: Library, inForce: InForce): 'first' | 'middle' | 'late' {
  const [said] = waysInForce(practice, inForce).flatMap((way) => way.newThing ?? [])
  return said ?? 'first'
}

/** Whether props stay: nobody is asked to leave one off. */
export function keepsProps(practice: Library, inForce: InForce): boolean {
  return waysInForce(practice, inForce).some((way) => way.keepsProps)
}

/** Whether hands stay off whatever somebody says at the door. */
export function handsOff(practice: Library, inForce: InForce): boolean {
  return waysInForce(practice, inForce).some(({ touch }) => touch === 'no')
}
