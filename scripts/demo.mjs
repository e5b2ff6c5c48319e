// One command from a fresh clone to a running demo; see README.
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { createInterface } from 'node:readline/promises'
import {
  ensureBuilt,
  ensureInstalled,
  freePort,
  machineDay,
  missingTools,
  options,
  ROOT,
  run,
  startServer,
} from './lib.mjs'
import { lanEnv, lanNames, openToRoom } from './lan.mjs'

const USUAL_PORT = 4180
const STALE_AFTER_DAYS = 3
const given = options(process.argv.slice(2))
const data = path.resolve(typeof given.data === 'string' ? given.data : path.join(ROOT, '.data', 'demo'))
const asOf = typeof given['as-of'] === 'string' ? given['as-of'] : machineDay()
const database = path.join(data, 'levitar.sqlite')
const madeFor = path.join(data, 'demo-as-of')

if (!/^\d{4}-\d\d-\d\d$/.test(asOf) || Number.isNaN(Date.parse(asOf)))
  end(`--as-of wants a day such as 2026-03-05, not “${asOf}”.`)
if (given.port !== undefined && !/^\d{2,5}$/.test(String(given.port)))
  end(`--port wants a number, not “${given.port}”.`)
const missing = missingTools()
if (missing) end(missing)
if (!(await ensureInstalled())) end('The packages could not be installed; the lines above say why.')
if (!(await ensureBuilt())) end('The build failed; the lines above say why.')

mkdirSync(data, { recursive: true })
if (existsSync(database) && (given.reset || (await wantsReseed()))) setAside()
if (!existsSync(database)) {
  console.log(`Making the demo world as of ${asOf} …`)
  if (!(await run('npx', ['tsx', 'cli/seed.ts', asOf], { env: { LEVITAR_DATA: data } })))
    end('The demo data could not be made; the lines above say why.')
  writeFileSync(madeFor, asOf)
}

const port = await freePort(given.port === undefined ? USUAL_PORT : Number(given.port))
// An explicit day also sets the clock, so that the demo looks as it did then.
const now = typeof given['as-of'] === 'string' ? `${asOf}T17:00:00Z` : undefined
const names = given.lan ? lanNames() : []
const { child, address } = await startServer({ port, data, now, env: given.lan ? lanEnv(names) : {} })
if (given.lan) await openToRoom({ appPort: port, data, names })
console.log(
  `\nLevitar is ready: ${address}\nCtrl-C stops it. The data lies in ${path.relative(process.cwd(), data) || '.'}.`,
)

for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill('SIGTERM'))
child.on('close', () => process.exit(0))

async function wantsReseed() {
  const day = existsSync(madeFor) ? readFileSync(madeFor, 'utf8').trim() : asOf
  const age = Math.round((Date.parse(asOf) - Date.parse(day)) / 86_400_000)
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

function end(message) {
  console.error(message)
  process.exit(1)
}
