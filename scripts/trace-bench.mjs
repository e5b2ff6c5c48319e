// How long the main thread works for one move of a handle, on a processor slowed four times. Prints the percentiles.
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { launchBrowser } from './browser.mjs'
import { freePort, run, startServer } from './lib.mjs'
import { ensureBuilt } from './packages.mjs'

const MOVES = 300
if (!(await ensureBuilt())) process.exit(1)
const data = mkdtempSync(path.join(tmpdir(), 'levitar-trace-'))
await run('npx', ['tsx', 'cli/seed.ts', '2026-03-10'], { env: { LEVITAR_DATA: data } })
const { child, address } = await startServer({ port: await freePort(), data, now: '2026-03-10T17:00:00Z' })
const browser = await launchBrowser()
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
await page.goto(`${address}/setups?setup=SETUP-wall-kick-forearm`)
await page.getByRole('slider', { name: 'Fingertips to wall' }).first().focus()
const session = await page.context().newCDPSession(page)
await session.send('Emulation.setCPUThrottlingRate', { rate: 4 })
const times = await page.evaluate(async (moves) => {
  const handle = document.activeElement
  const frame = () => new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve, 0)))
  const taken = []
  for (let i = 0; i < moves; i += 1) {
    const key = i % 40 < 20 ? 'ArrowRight' : 'ArrowLeft'
    const began = performance.now()
    // React renders a key press at once, so what follows the call is this move's work up to the commit.
    handle.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }))
    await Promise.resolve()
    taken.push(performance.now() - began)
    await frame()
  }
  return taken
}, MOVES)
await browser.close()
child.kill('SIGTERM')
rmSync(data, { recursive: true, force: true })
times.sort((a, b) => a - b)
const at = (share) => times[Math.min(times.length - 1, Math.floor(share * times.length))].toFixed(1)
console.log(
  `${MOVES} moves at 4x slow-down, main thread: median ${at(0.5)} ms, p95 ${at(0.95)} ms, most ${at(1)} ms`,
)
