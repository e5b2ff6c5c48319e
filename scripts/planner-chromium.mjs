// The search and the bound in the browser's workers, on tonight's demo class: how long, and what the page feels of it.
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { launchBrowser } from './browser.mjs'
import { freePort, run, startServer } from './lib.mjs'
import { ensureBuilt } from './packages.mjs'

const PATIENCE_MS = 90_000
if (!(await ensureBuilt())) process.exit(1)
const data = mkdtempSync(path.join(tmpdir(), 'levitar-planner-'))
await run('npx', ['tsx', 'cli/seed.ts', '2026-03-10'], { env: { LEVITAR_DATA: data } })
const { child, address } = await startServer({ port: await freePort(), data, now: '2026-03-10T17:00:00Z' })
const browser = await launchBrowser()
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
await page.goto(`${address}/plans`)
await page.getByRole('link', { name: 'Tuesday upside down' }).first().click()
const make = page.getByRole('button', { name: 'Make the plan' })
const look = page.getByRole('button', { name: 'Look for a better plan' })
await make.or(look).first().waitFor()
// A press before the page listens does nothing.
await page.waitForTimeout(2000)
if (await make.isVisible()) await make.click()
await look.waitFor()
// The longest time between two frames is what a press may have to wait.
await page.evaluate(() => {
  window.gaps = []
  let last = performance.now()
  const frame = () => {
    const now = performance.now()
    window.gaps.push(now - last)
    last = now
    requestAnimationFrame(frame)
  }
  requestAnimationFrame(frame)
})
const began = Date.now()
await look.click()
await page
  .getByText(/below the best possible|No plan of this class can be better/)
  .waitFor({ timeout: PATIENCE_MS })
const bounded = Date.now() - began
await page.getByRole('button', { name: 'Leave it' }).waitFor({ timeout: PATIENCE_MS })
const searched = Date.now() - began
const gaps = (await page.evaluate(() => window.gaps)).sort((a, b) => a - b)
const said = await page.getByRole('region', { name: 'A better plan' }).getByRole('status').textContent()
await browser.close()
child.kill('SIGTERM')
rmSync(data, { recursive: true, force: true })
const at = (share) => gaps[Math.min(gaps.length - 1, Math.floor(share * gaps.length))].toFixed(0)
console.log(`in Chromium: searched in ${searched} ms, bound after ${bounded} ms`)
console.log(`between frames meanwhile: p95 ${at(0.95)} ms, longest ${at(1)} ms`)
console.log(`the page says: ${said}`)
