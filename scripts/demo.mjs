// One command from a fresh clone to a running demo; see README. Up to the install it needs Node alone.
import { existsSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { createInterface } from 'node:readline/promises'
import { heldBy, hold } from './holder.mjs'
import { dataFolder, end, freePort, machineDay, options, portOf, ROOT, run, startServer } from './lib.mjs'
import { ensureBuilt, ensureInstalled, isBuilt, isInstalled } from './packages.mjs'

const USUAL_PORT = 4180
const STALE_AFTER_DAYS = 3
const STEPS = 4
const given = options(process.argv.slice(2))
const data = path.resolve(typeof given.data === 'string' ? given.data : path.join(ROOT, '.data', 'demo'))
const asOf = typeof given['as-of'] === 'string' ? given['as-of'] : machineDay()
const database = path.join(data, 'levitar.sqlite')
const madeFor = path.join(data, 'demo-as-of')
/** Stands while the demo world is made: whoever finds it finds half a world. */
const begun = path.join(data, 'demo-begun')

if (!/^\d{4}-\d\d-\d\d$/.test(asOf) || Number.isNaN(Date.parse(asOf)))
  end(`--as-of wants a day such as 2026-03-05, not “${asOf}”.`)
const wanted = portOf(given.port, USUAL_PORT)
dataFolder(data)
const lock = path.join(data, 'server.pid')
const other = heldBy(lock)
if (other) end(runningAlready(other))
let release = hold(lock, { address: `http://127.0.0.1:${wanted}` })
process.on('exit', () => release())

told(1, 'packages', isInstalled() ? null : 'about two minutes: the database driver is compiled')
const wrong = await ensureInstalled()
if (wrong) end(wrong)
told(2, 'build', isBuilt() ? null : 'about a minute')
if (!(await ensureBuilt())) end('The build failed; the lines above say why.')

if (existsSync(begun)) for (const ending of ['', '-wal', '-shm']) rmSync(database + ending, { force: true })
if (existsSync(database) && (given.reset || (await wantsReseed()))) setAside()
told(
  3,
  `demo world as of ${existsSync(database) ? dayMadeFor() : asOf}`,
  existsSync(database) ? null : 'about ten seconds',
)
if (!existsSync(database)) {
  writeFileSync(begun, asOf)
  if (!(await run('npx', ['tsx', 'cli/seed.ts', asOf], { env: { LEVITAR_DATA: data } })))
    end('The demo data could not be made; the lines above say why.')
  writeFileSync(madeFor, asOf)
}
rmSync(begun, { force: true })

told(4, 'start', 'a few seconds')
const port = await freePort(wanted)
if (port !== wanted) {
  if (given.port !== undefined)
    end(`Port ${wanted} is taken by another program: end that one, or name another port with --port.`)
  console.log(`Port ${wanted} is taken by another program, so this is at ${port}.`)
}
// An explicit day also sets the clock, so that the demo looks as it did then.
const now = typeof given['as-of'] === 'string' ? `${asOf}T17:00:00Z` : undefined
const lan = given.lan ? await import('./lan.mjs') : null
const names = lan?.lanNames() ?? []
const { child, address } = await startServer({ port, data, now, env: lan?.lanEnv(names) ?? {} })
release = hold(lock, { address }, child.pid)
await lan?.openToRoom({ appPort: port, data, names })
console.log(
  `\nLevitar is ready: ${address}\nCtrl-C stops it. The data lies in ${path.relative(process.cwd(), data) || '.'}.`,
)

for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill('SIGTERM'))
child.on('close', () => process.exit(0))

/** A step with what it costs, or that it stands already. */
function told(step, what, cost) {
  console.log(`${step} of ${STEPS}: ${what}${cost === null ? ', there already' : `, ${cost} …`}`)
}

function runningAlready({ pid, address }) {
  const where = address ? ` at ${address}` : ''
  return `Levitar runs on that folder already${where} (process ${pid}): open it there, or end it with Ctrl-C first. Another folder is named with --data.`
}

function dayMadeFor() {
  return existsSync(madeFor) ? readFileSync(madeFor, 'utf8').trim() : asOf
}

async function wantsReseed() {
  const age = Math.round((Date.parse(asOf) - Date.parse(dayMadeFor())) / 86_400_000)
  if (age <= STALE_AFTER_DAYS) return false
  if (!process.stdin.isTTY) {
    console.log(
      `The demo data is ${age} days old. “npm run demo -- --reset” makes it afresh and keeps a copy.`,
    )
    return false
  }
  const prompt = createInterface({ input: process.stdin, output: process.stdout })
  const answer = await prompt.question(
    `The demo data is ${age} days old. Make it afresh (a copy is kept)? [y/N] `,
  )
  prompt.close()
  return /^y/i.test(answer.trim())
}

function setAside() {
  const stamp = new Date().toISOString().replace(/[:.]/g, '-')
  for (const ending of ['', '-wal', '-shm'])
    if (existsSync(database + ending))
      renameSync(database + ending, `${database}.before-reset-${stamp}${ending}`)
  console.log(`The earlier data is kept as levitar.sqlite.before-reset-${stamp}.`)
}
