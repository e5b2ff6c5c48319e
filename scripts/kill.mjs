// Ends the server at random moments of writing, again and again: what was confirmed is there once, or this fails.
import Database from 'better-sqlite3'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { v7 } from 'uuid'
import { noteTaps, sendFacts } from './floor-taps.mjs'
import { freePort, options, run, startServer } from './lib.mjs'
import { ensureBuilt } from './packages.mjs'

const given = options(process.argv.slice(2))
const KILLS = Number(given.kills ?? 300)
const CLIENTS = 4
const DAY = '2026-03-10'
if (!(await ensureBuilt())) process.exit(1)
const data = mkdtempSync(path.join(tmpdir(), 'levitar-kill-'))
await run('npx', ['tsx', 'cli/seed.ts', DAY], { env: { LEVITAR_DATA: data } })
const database = path.join(data, 'levitar.sqlite')

let seed = Number(given.seed ?? 1)
const random = () => {
  seed = (Math.imul(seed, 1_664_525) + 1_013_904_223) >>> 0
  return seed / 2 ** 32
}
const fact = noteTaps(v7(), DAY)

const confirmed = new Set()
const sent = new Set()
const bad = []
for (let kill = 0; kill < KILLS; kill += 1) {
  const { child, address } = await startServer({ port: await freePort(), data, now: `${DAY}T17:00:00Z` })
  let over = false
  const client = async () => {
    while (!over) {
      const facts = Array.from({ length: 1 + Math.floor(random() * 5) }, fact)
      for (const { id } of facts) sent.add(id)
      try {
        for (const { id, state, why } of await sendFacts(address, facts)) {
          if (state === 'stored' || state === 'known') confirmed.add(id)
          else bad.push(`${state} ${why ?? ''}`)
        }
      } catch {
        // The server is gone: nothing was said of these.
      }
    }
  }
  const clients = Array.from({ length: CLIENTS }, client)
  await new Promise((resolve) => setTimeout(resolve, 250 + random() * 900))
  const gone = new Promise((resolve) => child.once('exit', resolve))
  child.kill('SIGKILL')
  await gone
  over = true
  await Promise.all(clients)
  const raw = new Database(database)
  const sound = raw.pragma('integrity_check', { simple: true })
  raw.close()
  if (sound !== 'ok') bad.push(`after kill ${kill + 1}: ${sound}`)
}
const raw = new Database(database, { readonly: true })
const rows = raw.prepare('select id, text from note').all()
raw.close()
rmSync(data, { recursive: true, force: true })
const kept = rows.filter(({ id }) => sent.has(id))
const lost = [...confirmed].filter((id) => !kept.some((r) => r.id === id))
const doubled = kept.length - new Set(kept.map((r) => r.id)).size
const halved = kept.filter(({ text }) => !/^note \d+$/.test(text)).length
console.log(
  `${KILLS} kills: ${sent.size} facts sent, ${confirmed.size} confirmed, ${kept.length} rows; lost ${lost.length}, doubled ${doubled}, half-written ${halved}, not sound or refused ${bad.length}`,
)
if (bad.length > 0) console.log(bad.slice(0, 5).join('\n'))
process.exit(lost.length + doubled + halved + bad.length === 0 && confirmed.size > 0 ? 0 : 1)
