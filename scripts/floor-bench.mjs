// From a tap on the floor to “kept on this device”, on a machine four times as slow: `npm run bench -- --floor`.
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { launchBrowser } from './browser.mjs'
import { freePort, run, startServer } from './lib.mjs'
import { ensureBuilt } from './packages.mjs'

const TAPS = 40
const SLOWER = 4
const DAY = '2026-03-10'
if (!(await ensureBuilt())) process.exit(1)
const data = mkdtempSync(path.join(tmpdir(), 'levitar-floor-'))
await run('npx', ['tsx', 'cli/seed.ts', DAY], { env: { LEVITAR_DATA: data } })
const { child, address } = await startServer({ port: await freePort(), data, now: `${DAY}T17:00:00Z` })
const browser = await launchBrowser()
const page = await browser.newPage({ viewport: { width: 820, height: 1180 } })
await page.goto(`${address}/plans`)
await page.getByRole('link', { name: 'Tuesday upside down' }).first().click()
await page.getByRole('button', { name: /Make the plan/ }).click()
await page.getByRole('link', { name: 'Take to class' }).click()
await page.getByRole('button', { name: 'Start the class' }).click()
const here = page.getByRole('heading', { level: 2, name: 'Forearm stand, everyone’s version' })
for (let n = 0; n < 12 && !(await here.isVisible()); n += 1) {
  await page.getByRole('button', { name: /^Next: / }).click()
  await page.waitForTimeout(300)
}
const cdp = await page.context().newCDPSession(page)
await cdp.send('Emulation.setCPUThrottlingRate', { rate: SLOWER })
// What is drawn is committed first; the frame in which it is drawn comes after that.
const times = await page.evaluate(async (count) => {
  const found = []
  let kept = 0
  const open = IDBDatabase.prototype.transaction
  IDBDatabase.prototype.transaction = function (...args) {
    const made = open.apply(this, args)
    if (made.mode === 'readwrite')
      made.addEventListener('complete', () => {
        if (kept === 0) kept = performance.now()
      })
    return made
  }
  const buttons = [...document.querySelectorAll('button')].filter((b) =>
    /: not yet$/.test(b.getAttribute('aria-label') ?? ''),
  )
  for (let n = 0; n < count; n += 1) {
    const button = buttons[n % buttons.length]
    const told = button.closest('section').querySelector('[role="status"]')
    const began = performance.now()
    kept = 0
    await new Promise((resolve) => {
      const watch = new MutationObserver(() => {
        watch.disconnect()
        resolve()
      })
      watch.observe(told, { childList: true, characterData: true, subtree: true })
      button.click()
    })
    found.push({ kept: kept - began, drawn: performance.now() - began })
    await new Promise((resolve) => setTimeout(resolve, 1000))
  }
  return found
}, TAPS)
for (const [what, label] of [
  ['kept', 'tap to committed on the device'],
  ['drawn', 'tap to drawn as kept'],
]) {
  const sorted = times.map((t) => t[what]).toSorted((a, b) => a - b)
  const at = (q) => sorted[Math.floor(q * (sorted.length - 1))].toFixed(0)
  console.log(
    `${label}, ${SLOWER} times slower, ${TAPS} taps: median ${at(0.5)} ms, p95 ${at(0.95)} ms, longest ${at(1)} ms`,
  )
}
await browser.close()
child.kill('SIGKILL')
rmSync(data, { recursive: true, force: true })
