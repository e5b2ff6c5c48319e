import raw from '../practice/data/setup-bills.json'

/** What the practice says of a setup; validated with the rest of the library in practice/library.ts. */
export type SetupFacts = {
  readonly id: string
  readonly bill: readonly { readonly prop: string; readonly count: number; readonly optional: boolean }[]
  readonly less: readonly string[]
  readonly more: readonly string[]
}

const BY_ID: ReadonlyMap<string, SetupFacts> = new Map(
  (raw satisfies readonly SetupFacts[]).map((entry) => [entry.id, entry]),
)

/** The practice's entry of a setup. Only the bills are read, so that screens do not carry the whole library. */
export function entryOf(id: string): SetupFacts {
  const entry = BY_ID.get(id)
  if (!entry) throw new Error(`no setup called ${id} in the practice`)
  return entry
}
