// What a thousand studios ask of one host: one process measured here, a week of classes drawn from a seed. Printed for docs/scale.md.
import Database from 'better-sqlite3'
import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { freePort, options, run, startServer } from './lib.mjs'
import { ensureBuilt } from './packages.mjs'

const given = options(process.argv.slice(2))
const STUDIOS = Number(given.studios ?? 1000)
/** Of the ten-year studio that `npm run bench -- --studio` makes: 400 people, four classes a week. */
const TEN_YEARS_MB = 153
const PEOPLE_A_CLASS = 10
/** Taps, marks and events of somebody in one class. */
const FACTS_A_PERSON = 14
const PAGES_A_CLASS = 40

if (!(await ensureBuilt())) process.exit(1)
const data = mkdtempSync(path.join(tmpdir(), 'levitar-scale-'))
await run('npx', ['tsx', 'cli/seed.ts', '2026-03-10'], { env: { LEVITAR_DATA: data } })
const began = performance.now()
const { child, address } = await startServer({ port: await freePort(), data, now: '2026-03-10T17:00:00Z' })
const startS = (performance.now() - began) / 1000
const idleMb = rssMb(child.pid)
for (const at of ['/', '/students', '/plans', '/readiness', '/progress', '/setups', '/library'])
  for (let n = 0; n < 5; n += 1) await (await fetch(address + at)).text()
const usedMb = rssMb(child.pid)
const file = path.join(data, 'levitar.sqlite')
const raw = new Database(file)
const backup = path.join(data, 'copy.sqlite')
const t = performance.now()
await raw.backup(backup)
const mb = statSync(backup).size / 2 ** 20
const backupMs = performance.now() - t
raw.close()
child.kill('SIGKILL')
rmSync(data, { recursive: true, force: true })

// A week in five-minute steps: classes at the hours when people have time, four a week at the median, twenty at most.
let seed = 1
const random = () => {
  seed = (Math.imul(seed, 1_664_525) + 1_013_904_223) >>> 0
  return seed / 2 ** 32
}
const HOURS = [7, 9, 9, 10, 12, 17, 18, 18, 18, 19, 19, 20]
const STEPS = (7 * 24 * 60) / 5
const running = new Float64Array(STEPS)
let classes = 0
for (let s = 0; s < STUDIOS; s += 1) {
  const normal = Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
  const aWeek = Math.max(1, Math.min(20, Math.round(4 * Math.exp(0.7 * normal))))
  for (let c = 0; c < aWeek; c += 1) {
    classes += 1
    const day = Math.floor(7 * random())
    const hour = HOURS[Math.floor(HOURS.length * random())]
    const from = (day * 24 + hour) * 12 + 6 * Math.floor(2 * random())
    for (let i = from; i < from + 13 && i < STEPS; i += 1) running[i] += 1
  }
}
const most = Math.max(...running)
const writes = (most * PEOPLE_A_CLASS * FACTS_A_PERSON) / 3600
const pages = (most * PAGES_A_CLASS) / 3600
const line = (what, value) => console.log(`${what.padEnd(58)} ${value}`)
line('one process, started in', `${startS.toFixed(1)} s`)
line('one process, memory at rest / after 35 pages', `${idleMb.toFixed(0)} / ${usedMb.toFixed(0)} MB`)
line(`a backup of ${mb.toFixed(1)} MB while it runs`, `${backupMs.toFixed(0)} ms`)
line('studios / classes a week', `${STUDIOS} / ${classes}`)
line('classes at once at most', String(most))
line('facts a second then', writes.toFixed(1))
line('pages a second then', pages.toFixed(1))
line('memory, all of them started', `${((STUDIOS * usedMb) / 1024).toFixed(0)} GB`)
line('memory, those in use and an hour round them', `${((most * 2 * usedMb) / 1024).toFixed(0)} GB`)
line('disk after ten years, with three kept copies', `${((STUDIOS * TEN_YEARS_MB * 4) / 1024).toFixed(0)} GB`)
const hourlyS = (STUDIOS * (backupMs * TEN_YEARS_MB)) / mb / 1000
line('backups of all, one after another, ten years old', `${(hourlyS / 60).toFixed(0)} min an hour`)

function rssMb(pid) {
  const status = readFileSync(`/proc/${pid}/status`, 'utf8')
  return Number(/VmRSS:\s+(\d+)/.exec(status)?.[1] ?? 0) / 1024
}
