import type { Library } from '../practice/library'
import { describeCaution } from '../words/caution'

/** What can be read about: the word for each kind is in `words/kinds`. */
export const KINDS = [
  'stage',
  'drill',
  'check',
  'fault',
  'setup',
  'warmup',
  'counterpose',
  'exit',
  'prop',
  'caution',
  'way',
] as const
export type Kind = (typeof KINDS)[number]

/** One thing of the practice as a reader looks for it. */
export type Entry = {
  readonly id: string
  readonly kind: Kind
  readonly name: string
  /** Other names: Sanskrit, and what people call it. */
  readonly also: string
  /** What is said of it, for a search that reads on. */
  readonly text: string
}

/** Everything that can be read about, kind by kind. A caution has no name of its own and is called by what it does. */
export function entriesOf(practice: Library): Entry[] {
  const aliases = new Map(practice.aliases.map(({ of, words }) => [of, words]))
  const entry = (
    kind: Kind,
    id: string,
    name: string,
    also: string | undefined,
    ...text: string[]
  ): Entry => ({
    id,
    kind,
    name,
    also: [also ?? '', aliases.get(id) ?? ''].filter((t) => t !== '').join(' '),
    text: text.join(' '),
  })
  return [
    ...practice.stages.map((s) => entry('stage', s.id, s.name, s.sanskrit, s.do, s.lookFor, s.cue, s.why)),
    ...practice.drills.map((d) => entry('drill', d.id, d.name, d.sanskrit, d.do, d.lookFor, d.theme)),
    ...practice.checks.map((c) => entry('check', c.id, c.name, '', c.asks, c.run)),
    ...practice.faults.map((f) => entry('fault', f.id, f.name, '', f.see, f.cue)),
    ...practice.setups.map((s) => entry('setup', s.id, s.name, '', s.place)),
    ...practice.warmups.map((b) => entry('warmup', b.id, b.name, 'warm-up', b.do)),
    ...practice.counterposes.map((b) => entry('counterpose', b.id, b.name, '', b.do)),
    ...practice.exits.map((e) => entry('exit', e.id, e.name, 'way out', e.do)),
    ...practice.props.map((p) => entry('prop', p.id, p.name, p.kind)),
    ...practice.cautions.map((c) => entry('caution', c.id, describeCaution(c), '', c.instead)),
    ...practice.approaches.map((a) => entry('way', a.id, a.question, '', ...a.options.map((o) => o.reason))),
  ]
}

const known = new WeakMap<Library, ReadonlyMap<string, Entry>>()

/** An entry by its id; undefined where nothing is called so. */
export function findEntry(practice: Library, id: string): Entry | undefined {
  const found = known.get(practice)
  if (found) return found.get(id)
  const made = new Map(entriesOf(practice).map((entry) => [entry.id, entry]))
  known.set(practice, made)
  return made.get(id)
}
