import type { LibrarySource } from './library'
import type { Override, OverrideRefusal } from './override'

type Raw = Record<string, unknown>

/** Kinds of which a studio may have its own: each is built on one that ships. */
export const BUILDABLE = ['drill', 'stage'] as const
export type Buildable = (typeof BUILDABLE)[number]

const OWN_DRILL = 'DR-own-'
const OWN_STAGE = '-own-'
/** What it is built on, and whether it is still used. */
export const BASE = 'base'
export const RETIRED = 'retired'

/** The id that an own entry goes by. @param tail letters and digits that no other has */
export function ownId(kind: Buildable, base: string, tail: string): string {
  return kind === 'drill' ? `${OWN_DRILL}${tail}` : `${base}${OWN_STAGE}${tail}`
}

/** What an own drill or step is built on; null for everything that ships. */
export function baseOf({ kind, id, fields }: Override): string | null {
  if (kind === 'drill' && id.startsWith(OWN_DRILL)) return String(fields[BASE] ?? '')
  if (kind !== 'stage' || !id.includes(OWN_STAGE)) return null
  // Its id tells what it is built on, so that no entry can say two things.
  const base = id.slice(0, id.indexOf(OWN_STAGE))
  return fields[BASE] === base ? base : ''
}

/** An own drill or step is called like nothing else: on a sheet two of one name are one. */
export function namesTaken(source: LibrarySource, overrides: readonly Override[]): OverrideRefusal[] {
  const names = [...(source.drills as readonly Raw[]), ...(source.stages as readonly Raw[])].map(({ name }) =>
    String(name).toLowerCase(),
  )
  return overrides.flatMap((override): OverrideRefusal[] => {
    if (baseOf(override) === null) return []
    const name = String(override.fields.name ?? '').trim()
    const taken = names.includes(name.toLowerCase())
    names.push(name.toLowerCase())
    // A name that was typed empty is told of with the other fields.
    if (override.fields.name === undefined) return [{ code: 'empty', key: 'name' }]
    return taken ? [{ code: 'taken', key: 'name', name }] : []
  })
}

/** Puts an own drill or step beside what it is built on: its loads, props and picture, with other words and dose. */
export function addOwn(
  source: LibrarySource,
  { kind, id, fields }: Override,
  base: string,
  laid: (entry: Raw, fields: Override['fields']) => Raw,
): void {
  const list = kind === 'stage' ? 'stages' : 'drills'
  const like = (source[list] as readonly Raw[]).find((entry) => entry.id === base)
  const picture = (source.pictures as readonly Raw[]).find((p) => p.of === base)
  source.pictures = [...(source.pictures as readonly Raw[]), { ...picture, of: id }]
  const { [BASE]: _, [RETIRED]: retired, ...own } = fields
  const { sanskrit: _s, short: _n, ...plain } = like ?? {}
  const made = laid({ ...plain, id }, own)
  const rests = retired !== undefined
  if (kind === 'stage') source.stages = besideBase(source.stages, base, stepOf(made, base, rests))
  else addDrill(source, base, { ...made, like: base }, rests)
}

/** Done by whoever holds what it is built on, and on the way to nothing. */
function stepOf(made: Raw, base: string, rests: boolean): Raw {
  return {
    ...made,
    ...{ like: base, after: { all: [base] }, ifNot: [base], fadeTo: [] },
    ...(rests ? { rests } : {}),
  }
}

function addDrill(source: LibrarySource, base: string, made: Raw, rests: boolean): void {
  const id = String(made.id)
  // What is not used any more trains nothing, so that nothing takes it; what was recorded of it keeps its name.
  source.drills = [...(source.drills as readonly Raw[]), rests ? { ...made, for: {} } : made]
  if (rests) return
  // It serves wherever what it is built on does: in a warm-up, for what is short, against a fault.
  source.warmups = beside(source.warmups, base, id)
  source.capabilities = beside(source.capabilities, base, id)
  source.faults = beside(source.faults, base, id)
}

/** Right after what it is built on and what stands there already: the order of a list is the order of its ladder. */
function besideBase(list: unknown, base: string, made: Raw): unknown {
  const entries = list as readonly Raw[]
  const at = entries.findLastIndex(({ id, like }) => id === base || like === base)
  return [...entries.slice(0, at + 1), made, ...entries.slice(at + 1)]
}

type Serving = {
  readonly drills: readonly string[]
  readonly must?: readonly { readonly from: readonly string[] }[]
}

function beside(list: unknown, base: string, id: string): unknown {
  const after = (ids: readonly string[]): string[] => ids.flatMap((one) => (one === base ? [one, id] : [one]))
  return (list as readonly Serving[]).map((entry) => ({
    ...entry,
    drills: after(entry.drills),
    ...(entry.must ? { must: entry.must.map((group) => ({ ...group, from: after(group.from) })) } : {}),
  }))
}
