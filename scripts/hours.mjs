// A day of use in minutes: eight hours' worth of pages, taps and boards that come and go, with what the server holds after each hour.
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import Database from 'better-sqlite3'
import { v7 } from 'uuid'
import { noteTaps, sendFacts } from './floor-taps.mjs'
import { freePort, machineDay, options, run, startServer } from './lib.mjs'
import { ensureBuilt } from './packages.mjs'

const given = options(process.argv.slice(2))
const HOURS = Number(given.hours ?? 8)
/** Three people at work: a page every twenty seconds each, a tap every four seconds in all, a board opened each minute. */
const AN_HOUR = { pages: 540, taps: 900, boards: 60 }
const AT_ONCE = 3
/** What may be held more at the end than after the first hour, when everything was drawn once. */
const GROWTH = { rssMB: 80, handles: 12, walMB: 8 }
const DAY = '2026-03-10'
if (!(await ensureBuilt())) process.exit(1)
const data = mkdtempSync(path.join(tmpdir(), 'levitar-hours-'))
await run('npx', ['tsx', 'cli/seed.ts', DAY], { env: { LEVITAR_DATA: data } })
const database = path.join(data, 'levitar.sqlite')
const raw = new Database(database, { readonly: true })
const people = raw.prepare('select id from student').pluck().all()
const [classId] = raw.prepare('select id from class_session order by day desc').pluck().all()
raw.close()
const { child, address } = await startServer({ port: await freePort(), data, now: `${DAY}T17:00:00Z` })

const PAGES = [
  ...['/', '/students', '/readiness', '/plans', `/plans/${classId}`, '/progress', '/library', '/setups'],
  ...['/teach', `/teach/${classId}/door`, `/readiness/round/${classId}`, '/studio/cupboard'],
  ...people.flatMap((id) => [`/readiness/${id}`, `/students/${id}`, `/progress/${id}`]),
]
const next = noteTaps(v7(), DAY)
let taps = 0
let failed = 0
const tap = async () => {
  taps += 1
  const [answer] = await sendFacts(address, [next()])
  if (answer?.state !== 'stored') failed += 1
}
const page = async (n) => {
  const answer = await fetch(address + PAGES[n % PAGES.length])
  await answer.text()
  if (answer.status >= 500) failed += 1
}
/** A room display that is opened, hears one thing, and is gone: its stream has to go with it. */
const board = async () => {
  const gone = new AbortController()
  const answer = await fetch(`${address}/teach/${classId}/live`, { signal: gone.signal })
  await Promise.race([answer.body?.getReader().read(), new Promise((r) => setTimeout(r, 200))])
  gone.abort()
}
const held = () => {
  const status = readFileSync(`/proc/${child.pid}/status`, 'utf8')
  const wal = `${database}-wal`
  return {
    rssMB: Math.round(Number(/VmRSS:\s+(\d+)/.exec(status)?.[1] ?? 0) / 1024),
    handles: readdirSync(`/proc/${child.pid}/fd`).length,
    walMB: existsSync(wal) ? Math.round(statSync(wal).size / 1e5) / 10 : 0,
  }
}

console.log('| hour | memory, MB | open handles | log, MB |\n| --- | --- | --- | --- |')
const after = []
let n = 0
for (let hour = 1; hour <= HOURS; hour += 1) {
  const work = [
    ...Array.from({ length: AN_HOUR.pages }, () => () => page((n += 1))),
    ...Array.from({ length: AN_HOUR.taps }, () => tap),
    ...Array.from({ length: AN_HOUR.boards }, () => board),
  ].map((what, i, all) => [((i * 7919) % all.length) + i / all.length, what])
  const queue = work.toSorted((a, b) => a[0] - b[0]).map(([, what]) => what)
  await Promise.all(
    Array.from({ length: AT_ONCE }, async () => {
      for (let what = queue.pop(); what; what = queue.pop()) await what()
    }),
  )
  await new Promise((resolve) => setTimeout(resolve, 2000))
  const now = held()
  after.push(now)
  console.log(`| ${hour} | ${now.rssMB} | ${now.handles} | ${now.walMB} |`)
}
child.kill()
rmSync(data, { recursive: true, force: true })
const [first, last] = [after[0], after.at(-1)]
const grew = Object.entries(GROWTH).filter(([what, most]) => last[what] - first[what] > most)
console.log(
  `${machineDay()}: ${HOURS} hours, ${HOURS * AN_HOUR.pages} pages, ${taps} taps, ${HOURS * AN_HOUR.boards} boards; ${failed} failed; ${grew.length === 0 ? 'nothing grows' : `GROWS: ${grew.map(([what]) => what).join(', ')}`}`,
)
process.exit(failed === 0 && grew.length === 0 ? 0 : 1)
