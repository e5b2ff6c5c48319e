// Retakes docs/screenshots/ from the demo data at a fixed clock. `--only name` takes one, `--out folder` puts them elsewhere.
import { execFileSync } from 'node:child_process'
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { launchBrowser } from './browser.mjs'
import { freePort, options, ROOT, run, startServer } from './lib.mjs'
import { ensureBuilt } from './packages.mjs'

export const DAY = '2026-03-10'
const NOW = `${DAY}T17:00:00Z`
const LAPTOP = { width: 1280, height: 800 }
const TABLET = { width: 820, height: 1180 }
const PHONE = { width: 390, height: 844 }

const given = options(process.argv.slice(2))
const out = path.resolve(typeof given.out === 'string' ? given.out : path.join(ROOT, 'docs', 'screenshots'))

const open = (href) => (page) => page.goto(href)
/** Every shape there is, drawn by the core alone. */
const figures = () =>
  execFileSync('npx', ['tsx', 'scripts/figures.ts'], { cwd: ROOT, encoding: 'utf8', maxBuffer: 1 << 26 })
const person = (name) => async (page) => {
  await page.goto('/readiness?who=all')
  await page.getByRole('link', { name }).click()
  await page.getByRole('heading', { level: 1, name }).waitFor()
}
/** The whole page with its chart, which is drawn once it comes into view. */
const history = async (page) => {
  await person('Greta Sommerby')(page)
  await page.getByRole('heading', { name: 'History' }).scrollIntoViewIfNeeded()
  await page.locator('svg.recharts-surface').first().waitFor()
  await page.waitForTimeout(1800)
  await page.evaluate(() => window.scrollTo(0, 0))
}
/** The weeks of one person, once the chart is drawn. */
const weeks = async (page) => {
  await page.goto('/progress')
  await page.getByRole('link', { name: 'Greta Sommerby' }).first().click()
  await page.locator('svg.recharts-surface').first().waitFor()
  await page.waitForTimeout(1800)
}
const home = async (page) => {
  await person('Wren Haskett')(page)
  await page.getByRole('link', { name: 'Week by week' }).click()
  await page.getByRole('link', { name: 'Practice at home' }).click()
  await page.getByRole('button', { name: 'Make the sheet' }).click()
  await page.getByRole('button', { name: 'Make the next week' }).waitFor()
}
const door = async (page) => {
  await page.goto('/')
  await page.getByRole('link', { name: 'At the door' }).click()
  await page.getByRole('heading', { name: 'Who is here?' }).waitFor()
}
const checkIn = async (page) => {
  await door(page)
  await page.getByRole('button', { name: 'Pass the tablet round' }).click()
  await page.getByRole('button', { name: 'Ines Calder' }).click()
  await page.getByRole('group', { name: 'Energy' }).getByRole('radio', { name: '7' }).check()
}
const checkRound = async (page) => {
  await page.goto('/readiness?who=all')
  await page.getByRole('link', { name: /Check round/ }).click()
  await page.getByText('Ready rounds').click()
  await page.getByRole('button', { name: 'Dolphin hold', exact: true }).last().click()
  await page.getByText('Ready rounds').click()
  await page.getByRole('button', { name: 'Start everybody' }).click()
  await page.waitForTimeout(3200)
  await page.getByRole('button', { name: 'Hand up' }).first().click()
  await page.getByRole('button', { name: 'End the hold' }).click()
}
const setup = (id, who) => async (page) => {
  await page.goto('/readiness?who=all')
  const href = await page.getByRole('link', { name: who }).getAttribute('href')
  await page.goto(`/setups?student=${href.split('/').at(-1)}&setup=${id}`)
}
const plan = async (page) => {
  await page.goto('/plans')
  await page.getByRole('link', { name: 'Tuesday upside down' }).first().click()
  await page.getByRole('button', { name: /Make the plan|Plan again from today/ }).click()
  await page.getByRole('link', { name: 'Take to class' }).waitFor()
}
const teach = async (page) => {
  await plan(page)
  await page.getByRole('link', { name: 'Take to class' }).click()
  const start = page.getByRole('button', { name: 'Start the class' })
  await start.or(page.getByRole('timer')).waitFor()
  if (await start.isVisible()) await start.click()
  await page.getByRole('timer').waitFor()
  const peak = page.getByRole('heading', { level: 2, name: /, in turns$/ })
  for (let n = 0; n < 12 && !(await peak.isVisible()); n += 1) {
    await page.getByRole('button', { name: /^Next: / }).click()
    await page.waitForTimeout(400)
  }
  await page.waitForTimeout(800)
}

/** name → size, scheme and how to get there, in an order that builds the state they need. */
const VIEWS = [
  { name: 'today', size: LAPTOP, go: open('/') },
  { name: 'room', size: LAPTOP, go: open('/studio') },
  { name: 'progress', size: LAPTOP, go: weeks },
  { name: 'home', size: LAPTOP, go: home },
  { name: 'door', size: TABLET, go: door },
  { name: 'check-in', size: PHONE, go: checkIn },
  { name: 'students', size: LAPTOP, go: open('/students') },
  { name: 'readiness', size: LAPTOP, go: open('/readiness') },
  { name: 'round', size: TABLET, go: checkRound },
  { name: 'person', size: LAPTOP, go: history, full: true },
  {
    name: 'limits',
    size: LAPTOP,
    go: async (page) => {
      await page.goto('/students')
      await page.getByRole('link', { name: 'Tomas Reyle' }).first().click()
      await page.getByRole('link', { name: 'Limits' }).click()
      await page.getByRole('button', { name: 'Open the health notes' }).click()
      const group = page.getByRole('radiogroup', { name: /blood pressure/ })
      await group.getByRole('radio', { name: 'Yes' }).check()
      await page.getByRole('checkbox', { name: 'High, looked after and steady' }).check()
      await page.getByRole('button', { name: 'Save the answers' }).click()
      await page.getByText('Stored. Limits are up to date.').waitFor()
      await page.evaluate(() => window.scrollTo(0, 0))
    },
  },
  { name: 'setup-kick', size: LAPTOP, go: setup('SETUP-wall-kick-forearm-block', 'Ines Calder') },
  { name: 'plan', size: LAPTOP, go: plan, full: true },
  {
    name: 'sheet',
    size: LAPTOP,
    go: async (page) => {
      await plan(page)
      await page.getByRole('link', { name: 'Printed sheet' }).click()
      await page.getByRole('button', { name: 'Print' }).waitFor()
    },
  },
  { name: 'teach-tablet', size: TABLET, go: teach },
  {
    name: 'room-display',
    size: LAPTOP,
    go: async (page) => {
      await teach(page)
      await page.getByRole('link', { name: 'Room display' }).click()
      await page.getByRole('region', { name: 'Up' }).waitFor()
    },
  },
  { name: 'library', size: LAPTOP, go: open('/library') },
  { name: 'library-step', size: LAPTOP, go: open('/library/FS-10a') },
  {
    name: 'figures',
    size: LAPTOP,
    go: async (page) => page.setContent(figures()),
    full: true,
  },
]

const wanted = VIEWS.filter(
  ({ name }) => given.only === undefined || String(given.only).split(',').includes(name),
)
if (!(await ensureBuilt())) process.exit(1)
mkdirSync(out, { recursive: true })
const data = mkdtempSync(path.join(tmpdir(), 'levitar-shots-'))
await run('npx', ['tsx', 'cli/seed.ts', DAY], { env: { LEVITAR_DATA: data } })
const { child, address } = await startServer({ port: await freePort(), data, now: NOW })
const browser = await launchBrowser()
for (const { name, size, scheme = 'light', go, full = false } of wanted) {
  const context = await browser.newContext({
    viewport: size,
    baseURL: address,
    colorScheme: scheme,
    reducedMotion: 'reduce',
  })
  const page = await context.newPage()
  await go(page)
  await page.waitForLoadState('networkidle')
  await page.waitForTimeout(250)
  await page.screenshot({ path: path.join(out, `${name}.png`), fullPage: full })
  await context.close()
  console.log(name)
}
await browser.close()
child.kill('SIGTERM')
rmSync(data, { recursive: true, force: true })
