import { z } from 'zod'
import type { Day } from '../day'
import { OVERRIDABLE, type Override } from '../practice/override'
import { ok, refused, type Result } from '../result'

/** A studio's own words, numbers, drills and steps as a file: described in docs/formats.md. */
const FORMAT = 'levitar-practice'
const VERSION = 1
/** More than a studio ever says in its own way. */
const MOST_ENTRIES = 2000
/** Longest file that is read, characters. */
export const MOST_PRACTICE_CHARS = 500_000

const FileSchema = z.strictObject({
  format: z.literal(FORMAT),
  version: z.number().int().positive(),
  made: z.string().max(10),
  entries: z
    .array(
      z.strictObject({
        kind: z.enum(OVERRIDABLE),
        id: z.string().min(1).max(60),
        fields: z.record(z.string().max(60), z.union([z.string().max(400), z.number()])),
      }),
    )
    .max(MOST_ENTRIES),
})

export type PracticeFileRefusal =
  | { readonly code: 'too-large' | 'not-json' | 'other-file' }
  | { readonly code: 'newer'; readonly version: number }
  | { readonly code: 'damaged'; readonly at: string }
  | { readonly code: 'twice'; readonly id: string }

/** What a studio has of its own as text: entries in the order of their ids, so that the same practice is the same file. */
export function writePracticeFile(overrides: readonly Override[], made: Day): string {
  const entries = overrides
    .map(({ kind, id, fields }) => ({
      kind,
      id,
      fields: inOrder(fields),
    }))
    .toSorted((a, b) => (`${a.kind} ${a.id}` < `${b.kind} ${b.id}` ? -1 : 1))
  return `${JSON.stringify({ format: FORMAT, version: VERSION, made, entries }, null, 2)}\n`
}

/** Reads such a file. Whether its entries fit this practice is for `withOverrides` to say. */
export function readPracticeFile(text: string): Result<readonly Override[], PracticeFileRefusal> {
  if (text.length > MOST_PRACTICE_CHARS) return refused({ code: 'too-large' })
  let raw: unknown
  try {
    raw = JSON.parse(text)
  } catch {
    return refused({ code: 'not-json' })
  }
  const head = z.looseObject({ format: z.literal(FORMAT), version: z.number() }).safeParse(raw)
  if (!head.success) return refused({ code: 'other-file' })
  if (head.data.version > VERSION) return refused({ code: 'newer', version: head.data.version })
  const read = FileSchema.safeParse(raw)
  if (!read.success) return refused({ code: 'damaged', at: read.error.issues[0]?.path.join('.') ?? '' })
  const seen = new Set<string>()
  for (const { kind, id } of read.data.entries) {
    if (seen.has(`${kind} ${id}`)) return refused({ code: 'twice', id })
    seen.add(`${kind} ${id}`)
  }
  return ok(read.data.entries)
}

/**
 * What stands in a studio once a file is laid over it: entry by entry the file's, and what it does not speak of as it was.
 * @returns all that would count, what of the file differs from what stands, and how much of it stands so already
 */
export function laidOver(
  standing: readonly Override[],
  brought: readonly Override[],
): { readonly all: readonly Override[]; readonly fresh: readonly Override[]; readonly known: number } {
  const keyOf = ({ kind, id }: Override): string => `${kind} ${id}`
  const now = new Map(standing.map((o) => [keyOf(o), JSON.stringify(inOrder(o.fields))]))
  const spoken = new Set(brought.map(keyOf))
  const fresh = brought.filter((o) => now.get(keyOf(o)) !== JSON.stringify(inOrder(o.fields)))
  return {
    all: [...standing.filter((o) => !spoken.has(keyOf(o))), ...brought],
    fresh,
    known: brought.length - fresh.length,
  }
}

function inOrder(fields: Override['fields']): Override['fields'] {
  return Object.fromEntries(Object.entries(fields).toSorted(([a], [b]) => (a < b ? -1 : 1)))
}
