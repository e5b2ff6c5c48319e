import { strFromU8, strToU8, unzipSync } from 'fflate'
import { gunzipSync } from 'node:zlib'
import { z } from 'zod'
import { ok, refused, type Result } from '@/core/result'
import type { BundleRefusal } from '@/core/words/bundle'
import type { HealthKey } from '../health-codec'
import { openWith } from './seal'
import { BUNDLE_TABLES, type Row } from './tables'
import { BUNDLE_FORMAT, BUNDLE_VERSION, digestOf } from './write'

/** Larger than a studio of thirty years, bytes. */
export const MOST_ZIPPED = 128 * 1024 * 1024
const MOST_UNZIPPED = 1024 * 1024 * 1024
const KEY_BYTES = 32

const NAMES: ReadonlySet<string> = new Set([
  ...['manifest.json', 'health.sealed'],
  ...BUNDLE_TABLES.map((t) => `tables/${t.name}.json`),
])

/** Rows ready to be stored, by table, and the key of the health notes among them. */
export type ReadBundle = {
  readonly tables: ReadonlyMap<string, readonly Row[]>
  readonly key: HealthKey | null
}

const manifestSchema = z.strictObject({
  format: z.literal(BUNDLE_FORMAT),
  version: z.number().int().min(1),
  rows: z.record(z.string(), z.number().int().min(0)),
  files: z.record(z.string(), z.string()),
  digest: z.string(),
})
const sealedSchema = z.strictObject({
  key: z.string(),
  tables: z.record(z.string(), z.array(z.unknown())),
})

/**
 * Reads a bundle without storing anything: every file against its digest, every row against its table.
 * @param passphrase empty where the health notes stay behind
 */
export function readBundle(zip: Uint8Array, passphrase: string): Result<ReadBundle, BundleRefusal> {
  if (zip.length > MOST_ZIPPED) return refused({ code: 'too-large' })
  const files = unzipped(zip)
  if (!files) return refused({ code: 'no-zip' })
  if (files === 'too-large') return refused({ code: 'too-large' })
  if (files === 'strange') return refused({ code: 'strange-file' })
  const manifest = manifestOf(files)
  if (!manifest.ok) return manifest
  for (const [name, digest] of Object.entries(manifest.value.files)) {
    const bytes = files[name]
    if (!bytes || digestOf(bytes) !== digest) return refused({ code: 'damaged', file: name })
  }
  const extra = Object.keys(files).find((name) => name !== 'manifest.json' && !(name in manifest.value.files))
  if (extra) return refused({ code: 'strange-file' })
  const tables = new Map<string, readonly Row[]>()
  for (const { name } of BUNDLE_TABLES) {
    // A table that came later is empty in a file of before it.
    const bytes = files[`tables/${name}.json`]
    const rows = bytes ? rowsFrom(name, parsed(strFromU8(bytes))) : ok<readonly Row[]>([])
    if (!rows.ok) return rows
    tables.set(name, rows.value)
  }
  const sealed = files['health.sealed']
  if (!sealed || passphrase === '') return ok({ tables, key: null })
  return withHealth(tables, sealed, passphrase)
}

function unzipped(zip: Uint8Array): Record<string, Uint8Array> | null | 'too-large' | 'strange' {
  const seen: { name: string; originalSize: number }[] = []
  const size = (): number => seen.reduce((sum, file) => sum + file.originalSize, 0)
  try {
    const files = unzipSync(zip, {
      // Only what a bundle holds is unpacked, and no more of it than any studio has.
      filter: (file) => {
        seen.push(file)
        return NAMES.has(file.name) && size() <= MOST_UNZIPPED
      },
    })
    if (seen.some(({ name }) => !NAMES.has(name))) return 'strange'
    return size() > MOST_UNZIPPED ? 'too-large' : files
  } catch {
    return null
  }
}

function manifestOf(
  files: Record<string, Uint8Array>,
): Result<z.output<typeof manifestSchema>, BundleRefusal> {
  const raw = parsed(strFromU8(files['manifest.json'] ?? new Uint8Array()))
  const version = z.object({ format: z.literal(BUNDLE_FORMAT), version: z.number() }).safeParse(raw)
  if (!version.success) return refused({ code: 'no-bundle' })
  if (version.data.version > BUNDLE_VERSION) return refused({ code: 'newer', version: version.data.version })
  const read = manifestSchema.safeParse(raw)
  if (!read.success) return refused({ code: 'damaged', file: 'manifest.json' })
  const { digest, ...body } = read.data
  return digestOf(strToU8(JSON.stringify(body))) === digest
    ? ok(read.data)
    : refused({ code: 'damaged', file: 'manifest.json' })
}

function rowsFrom(name: string, raw: unknown): Result<readonly Row[], BundleRefusal> {
  const table = BUNDLE_TABLES.find((t) => t.name === name)
  if (!table || !Array.isArray(raw)) return refused({ code: 'damaged', file: name })
  const rows: Row[] = []
  for (const [i, entry] of raw.entries()) {
    // Whose it is stands in no file: a studio is brought in as this one.
    const read = table.row.safeParse({ studio_id: '', ...(entry as object) })
    if (!read.success)
      return refused({
        code: 'row',
        table: name,
        line: i + 1,
        column: String(read.error.issues[0]?.path[0] ?? ''),
      })
    rows.push(read.data)
  }
  return ok(rows)
}

function withHealth(
  plain: ReadonlyMap<string, readonly Row[]>,
  sealed: Uint8Array,
  passphrase: string,
): Result<ReadBundle, BundleRefusal> {
  const opened = openWith(passphrase, sealed)
  if (!opened) return refused({ code: 'passphrase' })
  const bytes = unpacked(opened)
  if (!bytes) return refused({ code: 'damaged', file: 'health.sealed' })
  const read = sealedSchema.safeParse(parsed(strFromU8(bytes)))
  const key = Buffer.from(read.data?.key ?? '', 'base64')
  if (!read.success || key.length !== KEY_BYTES) return refused({ code: 'damaged', file: 'health.sealed' })
  const tables = new Map(plain)
  for (const [name, raw] of Object.entries(read.data.tables)) {
    const rows = rowsFrom(name, raw)
    if (!rows.ok) return rows
    tables.set(name, rows.value)
  }
  return ok({ tables, key })
}

/** What is sealed is packed since version 2; a file of before holds it plain. */
function unpacked(bytes: Uint8Array): Uint8Array | null {
  if (bytes[0] !== 0x1f || bytes[1] !== 0x8b) return bytes
  try {
    return new Uint8Array(gunzipSync(bytes, { maxOutputLength: MOST_UNZIPPED }))
  } catch {
    return null
  }
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return null
  }
}
