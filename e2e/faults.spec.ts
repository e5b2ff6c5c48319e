import { expect, test, type BrowserContext, type Page } from '@playwright/test'
import Database from 'better-sqlite3'
import { rmSync } from 'node:fs'
import path from 'node:path'
import { seeded } from '@/core/random'
import { App, DAY, allSent, listening, toBlock } from './app'

/** Seeded schedules; `npm run prove -- --server` asks for ten. */
const SCHEDULES = Number(process.env.FAULT_SCHEDULES ?? 1)
const STEPS = process.env.FAULT_SCHEDULES ? 14 : 10
const NAMES = ['Ines Calder', 'Callum Strand', 'Tomas Reyle', 'Wren Haskett'] as const
const HOUR_MS = 3_600_000

const FAULTS = [
  ...['kill', 'restart', 'reload', 'crash', 'browser', 'offline', 'online', 'clock', 'replay', 'full'],
] as const

/** The tablet that runs the class, in a profile of its own that outlives its browser; and a laptop beside it. */
type Screens = { tablet: BrowserContext; at: Page; laptop: Page }

for (let seed = 1; seed <= SCHEDULES; seed += 1)
  test(`floor screens through seeded faults, schedule ${seed}: each tap once, under its day, in its order`, async ({
    playwright,
    browser,
  }) => {
    test.setTimeout(240_000)
    const random = seeded(seed)
    const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T
    const app = await App.start({ demo: true })
    const profile = path.join(app.data, 'profile')
    const launch = (): Promise<BrowserContext> =>
      playwright.chromium.launchPersistentContext(profile, {
        executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
        args: ['--no-sandbox', '--disable-gpu'],
        viewport: { width: 820, height: 1180 },
      })
    const sent: string[] = []
    const hearken = (page: Page): Page => {
      page.on('request', (request) => {
        if (request.method() === 'POST' && request.url().endsWith('/facts'))
          sent.push(request.postData() ?? '')
      })
      return page
    }
    const first = await launch()
    const screens: Screens = {
      tablet: first,
      at: hearken(first.pages()[0] ?? (await first.newPage())),
      laptop: await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage(),
    }
    let up = true as boolean
    const taps = new Map<string, number>()
    const last = new Map<Page, string>()
    const tap = async (page: Page): Promise<void> => {
      // The same press twice at once is one try: another person, or another word, each time.
      let [name, outcome] = ['', '']
      do [name, outcome] = [pick(NAMES), pick(['clean, alone', 'not yet'] as const)]
      while (`${name} ${outcome}` === last.get(page))
      last.set(page, `${name} ${outcome}`)
      const told = page.getByRole('region', { name }).getByRole('status')
      const before = await told.first().textContent()
      await page.getByRole('button', { name: `${name}: ${outcome}`, exact: true }).click()
      // What is drawn is kept; before that nobody was told that it is.
      await expect(told.first()).not.toHaveText(before ?? '')
      const what = `${name} ${outcome.replace(', alone', '')}`
      taps.set(what, (taps.get(what) ?? 0) + 1)
    }
    const { at } = screens
    await at.goto(app.address)
    await at.getByRole('link', { name: 'Plan this class' }).click()
    await at.getByRole('button', { name: /Make the plan/ }).click()
    await at.getByRole('link', { name: 'Take to class' }).click()
    await at.getByRole('button', { name: 'Start the class' }).click()
    await toBlock(at, 'Forearm stand, everyone’s version')
    const floor = at.url()
    await screens.laptop.goto(floor)
    for (const page of [at, screens.laptop]) {
      await page.reload()
      await page.waitForFunction(() => navigator.serviceWorker.controller !== null)
      await page.waitForTimeout(1000)
    }
    const done: string[] = []
    for (let n = 0; n < STEPS; n += 1) {
      const fault = pick(FAULTS)
      done.push(fault)
      await test.step(`${n + 1}: ${fault}`, async () => {
        if (fault === 'kill' && up) {
          await app.kill()
          up = false
        } else if (fault === 'restart' && !up) {
          // Another process of the same code: what a deploy between two taps is for a device.
          await app.up()
          up = true
        } else if (fault === 'reload') {
          await pick([screens.at, screens.laptop]).reload()
        } else if (fault === 'crash') {
          const gone = screens.at
          screens.at = hearken(await screens.tablet.newPage())
          await gone.goto('chrome://crash').catch(() => undefined)
          await gone.close()
          await screens.at.goto(floor)
        } else if (fault === 'browser') {
          await screens.tablet.close()
          screens.tablet = await launch()
          screens.at = hearken(screens.tablet.pages()[0] ?? (await screens.tablet.newPage()))
          await screens.at.goto(floor)
        } else if (fault === 'offline' || fault === 'online') {
          await screens.laptop.context().setOffline(fault === 'offline')
        } else if (fault === 'clock') {
          const by = pick([-HOUR_MS, HOUR_MS])
          await screens.at.evaluate((ms) => {
            const now = Date.now
            Date.now = () => now() + ms
          }, by)
        } else if (fault === 'full') {
          const cdp = await screens.tablet.newCDPSession(screens.at)
          await cdp.send('Storage.overrideQuotaForOrigin', { origin: app.address, quotaSize: 6_000_000 })
        } else if (fault === 'replay' && up) {
          for (const body of sent.slice(-2))
            for (let times = 0; times < 3; times += 1)
              await fetch(`${app.address}/facts`, {
                method: 'POST',
                headers: { 'content-type': 'application/json', origin: app.address },
                body,
              })
        }
        for (const page of [screens.at, screens.laptop]) {
          await expect(page.getByRole('timer')).toBeVisible()
          await listening(page)
          if (random() < 0.7) await tap(page)
        }
      })
    }
    if (!up) await app.up()
    await screens.laptop.context().setOffline(false)
    for (const page of [screens.at, screens.laptop]) await allSent(page)
    const raw = new Database(path.join(app.data, 'levitar.sqlite'), { readonly: true })
    const rows = raw
      .prepare(
        `select s.name || ' ' || replace(a.outcome, 'not-yet', 'not yet') as what, a.day as day, a.device_id as device,
           a.device_seq as seq, a.hlc as hlc from attempt a join student s on s.id = a.student_id
         where a.class_id is not null and a.day >= ? order by a.device_id, a.device_seq`,
      )
      .all(DAY) as { what: string; day: string; device: string; seq: number; hlc: string }[]
    raw.close()
    const stored = new Map<string, number>()
    for (const { what } of rows) stored.set(what, (stored.get(what) ?? 0) + 1)
    expect([done.join(' '), Object.fromEntries([...stored].sort())]).toEqual([
      done.join(' '),
      Object.fromEntries([...taps].sort()),
    ])
    expect(new Set(rows.map((r) => r.day))).toEqual(new Set([DAY]))
    // Stamps of one device rise as its taps did, whatever its clock showed.
    for (const [i, row] of rows.entries()) {
      const before = rows[i - 1]
      if (before?.device === row.device) expect(row.hlc > before.hlc).toBe(true)
    }
    await screens.tablet.close()
    await screens.laptop.context().close()
    await app.end()
    rmSync(profile, { recursive: true, force: true })
  })
