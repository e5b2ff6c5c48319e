// What ten tablets on one class cost the server, and how long a tap takes to be kept while a class of 24 is planned: the
// second part of `npm run bench -- --floor`.
import { readFileSync } from 'node:fs'
import { v7 } from 'uuid'
import { launchBrowser } from './browser.mjs'
import { sendFacts, tryTaps } from './floor-taps.mjs'
import { freePort, machineDay, startServer } from './lib.mjs'
import { ensureBuilt } from './packages.mjs'
import { DAY, tenYears } from './ten-years.mjs'

const TABLETS = 10
const TAPS = 60
const PEOPLE = 24
const PLANS = 5
/** A clock tick of the process's own account, ms. */
const TICK_MS = 10

if (!(await ensureBuilt())) process.exit(1)
const { folder, classId, roster } = tenYears()
const { child, address } = await startServer({
  port: await freePort(),
  data: folder,
  now: `${DAY}T17:00:00Z`,
})
const browser = await launchBrowser()
try {
  const tablets = []
  for (let n = 0; n < TABLETS; n += 1) {
    const page = await (await browser.newContext({ viewport: { width: 820, height: 1180 } })).newPage()
    await page.goto(`${address}/teach/${classId}`)
    tablets.push(page)
  }
  const start = tablets[0].getByRole('button', { name: 'Start the class' })
  if (await start.isVisible()) await start.click()
  await pause(5000)
  const tap = tryTaps(v7(), DAY, classId, roster)
  await tapOnce(tap)
  const idle = await spentOver(async () => pause(TAPS * 1000))
  const busy = await spentOver(async () => {
    for (let n = 0; n < TAPS; n += 1) {
      const began = Date.now()
      await tapOnce(tap)
      await pause(1000 - (Date.now() - began))
    }
  })
  console.log(`\n${machineDay()}`)
  console.log(
    `${TABLETS} tablets on a class of ${roster.length}, a tap a second: ${((busy - idle) / TAPS).toFixed(1)} ms of the server's processor a tap, ${((busy - idle) / TAPS / TABLETS).toFixed(2)} a tap and tablet (idle ${(idle / TAPS).toFixed(1)} ms a second)`,
  )
  for (const page of tablets.slice(1)) await page.context().close()
  console.log(await whilePlanning(tablets[0], tap))
} finally {
  await browser.close()
  child.kill('SIGKILL')
}

/** How long taps take while somebody has a class of many planned, on and on. */
async function whilePlanning(page, tap) {
  const [alone, beside] = [[], []]
  await tapsUntil(tap, pause(5000), alone)
  let planned = 0
  for (let n = 0; n < PLANS; n += 1) {
    await page.goto(`${address}/plans/new`)
    const boxes = page.getByRole('group', { name: /who/i }).getByRole('checkbox')
    const count = await boxes.count()
    for (let i = 0; i < count; i += 1) await boxes.nth(i).setChecked(i < PEOPLE)
    await page.getByLabel('Name of the class').fill(`Many ${n}`)
    const asked = Date.now()
    const made = page
      .getByRole('button', { name: 'Make the plan' })
      .click()
      .then(() => page.waitForURL(/\/plans\/[0-9a-f-]{36}/, { timeout: 60_000 }))
      .catch(async () => {
        throw new Error(await page.getByRole('alert').allInnerTexts().then(String))
      })
    await tapsUntil(tap, made, beside)
    planned += Date.now() - asked
  }
  return [
    `taps with nothing beside: ${spread(alone)}`,
    `taps while a class of ${PEOPLE} is planned (${(planned / PLANS / 1000).toFixed(1)} s each with its page): ${spread(beside)}`,
  ].join('\n')
}

async function tapsUntil(tap, done, times) {
  let over = false
  const end = done.finally(() => {
    over = true
  })
  while (!over) {
    times.push(await tapOnce(tap))
    await pause(250)
  }
  await end
}

/** A tap sent and kept; how long that took, ms. */
async function tapOnce(tap) {
  const began = performance.now()
  const [{ state, why }] = await sendFacts(address, [tap()])
  if (state !== 'stored') throw new Error(`a tap was ${state}: ${why}`)
  return performance.now() - began
}

async function spentOver(work) {
  const before = spent()
  await work()
  return spent() - before
}

/** What the server has used of its processor, all threads, ms. */
function spent() {
  const fields = readFileSync(`/proc/${child.pid}/stat`, 'utf8').split(') ')[1].split(' ')
  return (Number(fields[11]) + Number(fields[12])) * TICK_MS
}

function spread(times) {
  const sorted = times.toSorted((a, b) => a - b)
  const at = (q) => sorted[Math.floor(q * (sorted.length - 1))].toFixed(0)
  return `median ${at(0.5)} ms, p95 ${at(0.95)} ms, longest ${at(1)} ms of ${times.length}`
}

function pause(ms) {
  return new Promise((resolve) => setTimeout(resolve, Math.max(0, ms)))
}
