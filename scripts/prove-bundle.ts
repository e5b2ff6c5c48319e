// The studio of ten years out as a file, into an empty database and out again, health sealed and without: `npm run prove -- --bundle`.
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { readBundle } from '@/db/bundle/read'
import { takeIn } from '@/db/bundle/take-in'
import { digestOf, writeBundle } from '@/db/bundle/write'
import { keyOf } from '@/db/health-key'
import { databaseFile, openDb } from '@/db/open'
import { HOME, type Scope } from '@/db/scope'

const [folder = ''] = process.argv.slice(2)
const PASS = 'seven grey herons'
const scope: Scope = { db: openDb(databaseFile(folder)), studioId: HOME }
const { key } = keyOf(scope, folder, null)
if (!key) throw new Error('the studio has no health key')
const into = mkdtempSync(path.join(tmpdir(), 'levitar-bundle-'))
const timed = <T>(what: string, run: () => T): T => {
  const began = performance.now()
  const value = run()
  process.stdout.write(`${what}: ${((performance.now() - began) / 1000).toFixed(1)} s\n`)
  return value
}

let same = true
try {
  for (const health of [null, { passphrase: PASS, key }]) {
    const how = health ? 'health sealed' : 'without health'
    const first = timed(`out, ${how}`, () => writeBundle(scope, health))
    const read = timed('read', () => readBundle(first, health ? PASS : ''))
    if (!read.ok) throw new Error(JSON.stringify(read.refusal))
    const again = mkdtempSync(path.join(into, 'studio-'))
    const empty: Scope = { db: openDb(databaseFile(again)), studioId: HOME }
    timed('in', () =>
      empty.db.transaction((db) => {
        const taken = takeIn({ ...empty, db }, read.value)
        if (!taken.ok) throw new Error(JSON.stringify(taken.refusal))
      }),
    )
    const second = timed('out again', () => writeBundle(empty, health))
    const equal = digestOf(first) === digestOf(second)
    same &&= equal
    process.stdout.write(
      `${how}: ${(first.length / 1e6).toFixed(1)} MB, ${equal ? 'byte for byte the same' : 'NOT THE SAME'}\n`,
    )
  }
} finally {
  rmSync(into, { recursive: true })
}
process.exit(same ? 0 : 1)
