import { expect, test, type Page } from '@playwright/test'
import Database from 'better-sqlite3'
import path from 'node:path'
import { App, allSent, toBlock } from './app'

let app: App
test.beforeAll(async () => {
  app = await App.start({ demo: true })
})
test.afterAll(() => app.end())

/** What lies in the store, read beside the server. */
function stored<T>(sql: string): T[] {
  const raw = new Database(path.join(app.data, 'levitar.sqlite'), { readonly: true })
  const rows = raw.prepare(sql).all() as T[]
  raw.close()
  return rows
}

async function controlled(page: Page): Promise<void> {
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null)
}

test('two floor screens, a killed server and reloads: each tap is stored once, or refused with its sentence', async ({
  context,
}) => {
  test.setTimeout(150_000)
  const teach = await context.newPage()
  const round = await context.newPage()
  await test.step('a class is under way on one screen, a check round on the other', async () => {
    await teach.goto(app.address)
    await teach.getByRole('link', { name: 'Plan this class' }).click()
    await teach.getByRole('button', { name: /Make the plan/ }).click()
    await teach.getByRole('link', { name: 'Take to class' }).click()
    await teach.getByRole('button', { name: 'Start the class' }).click()
    await toBlock(teach, 'Forearm stand, everyone’s version')
    await teach.getByRole('button', { name: 'Ines Calder: clean' }).click()
    await expect(teach.getByRole('region', { name: 'Ines Calder' })).toContainText('1 try: clean')
    const classId = new URL(teach.url()).pathname.split('/').at(-1) ?? ''
    await round.goto(`${app.address}/readiness/round/${classId}`)
    await round.getByText('Ready rounds').click()
    await round.getByRole('button', { name: 'Dolphin hold', exact: true }).last().click()
    await teach.reload()
    await round.reload()
    await controlled(teach)
    await controlled(round)
    // What the worker keeps is there once it has been told.
    await teach.waitForTimeout(1500)
  })
  await test.step('the server dies; both screens go on, also through a reload', async () => {
    await app.kill()
    await teach.getByRole('button', { name: 'Callum Strand: clean' }).click()
    await teach.getByRole('button', { name: 'Tomas Reyle: not yet' }).click()
    await teach.getByRole('button', { name: 'Ines Calder: undo the last tap' }).click()
    await expect(teach.getByText('3 taps are kept on this device')).toBeVisible()
    await teach.reload()
    await expect(teach.getByRole('region', { name: 'Callum Strand' })).toContainText('1 try: clean')
    await expect(teach.getByRole('region', { name: 'Ines Calder' })).not.toContainText('1 try')
    await expect(teach.getByRole('timer')).toBeVisible()
    await round.getByRole('button', { name: 'Start everybody' }).click()
    for (const done of [1, 2]) {
      await round.getByRole('button', { name: 'Hand up' }).first().click()
      await expect(round.getByText(`${done} of 10 recorded`)).toBeVisible()
    }
    await expect(round.getByText('5 taps are kept on this device')).toBeVisible()
    await round.reload()
    await expect(round.getByText(/2 of 10 recorded/)).toBeVisible()
  })
  await test.step('another page says so instead of the browser’s error page', async () => {
    const other = await context.newPage()
    await other.goto(`${app.address}/students`)
    await expect(other.getByRole('heading', { name: 'The server is away' })).toBeVisible()
    await other.close()
  })
  await test.step('meanwhile somebody leaves the list; the rest is stored once under its day, that tap is refused and says why', async () => {
    await teach.getByRole('button', { name: 'Bertram Oake: clean' }).click()
    await expect(teach.getByText('taps are kept on this device')).toBeVisible()
    const raw = new Database(path.join(app.data, 'levitar.sqlite'))
    raw
      .prepare(
        "delete from class_roster where student_id = (select id from student where name = 'Bertram Oake')",
      )
      .run()
    raw.close()
    await app.up()
    await allSent(teach)
    await allSent(round)
    const refused = teach.getByRole('alert').filter({ hasText: 'Not recorded: Bertram Oake: clean' })
    await expect(refused).toContainText('This person is not on the list of that class.')
    await expect(
      teach.getByRole('region', { name: 'Bertram Oake' }).filter({ hasText: '1 try' }),
    ).toHaveCount(0)
    const tries = stored<{ name: string; n: number; day: string }>(
      "select s.name, count(*) n, a.day from attempt a join student s on s.id = a.student_id where a.day = '2026-03-10' group by s.name",
    )
    expect(Object.fromEntries(tries.map((t) => [t.name, t.n]))).toMatchObject({
      'Callum Strand': 1,
      'Tomas Reyle': 1,
      'Ines Calder': 2,
    })
    expect(tries.map((t) => t.name)).not.toContain('Bertram Oake')
    expect(stored("select 1 from observation where day = '2026-03-10'")).toHaveLength(2)
  })
  await test.step('what was refused stands on every page until somebody decides', async () => {
    await teach.goto(`${app.address}/students`)
    await expect(teach.getByRole('alert').filter({ hasText: 'Not recorded: Bertram Oake' })).toBeVisible()
    await teach.getByRole('button', { name: 'Let it go' }).click()
    await expect(teach.getByRole('alert').filter({ hasText: 'Not recorded' })).toHaveCount(0)
  })
})

test('a browser that is killed keeps what it said it kept, and counts on without swallowing a tap', async ({
  playwright,
}) => {
  test.setTimeout(120_000)
  const profile = path.join(app.data, 'profile')
  const launch = () =>
    playwright.chromium.launchPersistentContext(profile, {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-gpu'],
    })
  const first = await launch()
  const page = first.pages()[0] ?? (await first.newPage())
  await page.goto(`${app.address}/teach`)
  await page.getByRole('link', { name: 'Tuesday upside down' }).first().click()
  await expect(page.getByRole('button', { name: 'Wren Haskett: not yet' })).toBeVisible()
  await app.kill()
  const before = stored("select 1 from attempt where day = '2026-03-10'").length
  // The same press twice at once would be one try.
  for (let n = 0; n < 5; n += 1)
    await page
      .getByRole('button', { name: `Wren Haskett: ${n % 2 === 0 ? 'not yet' : 'fell out of it'}` })
      .click()
  await expect(page.getByText('5 taps are kept on this device')).toBeVisible()
  // Every process of it, at once.
  await new Promise<void>((resolve) => {
    first.browser()?.on('disconnected', () => resolve())
    void import('node:child_process').then(({ spawnSync }) => {
      spawnSync('pkill', ['-KILL', '-f', profile])
      setTimeout(resolve, 1500)
    })
  })
  await app.up()
  const second = await launch()
  const again = second.pages()[0] ?? (await second.newPage())
  await again.goto(`${app.address}/teach`)
  await expect
    .poll(() => stored("select 1 from attempt where day = '2026-03-10'").length, { timeout: 15_000 })
    .toBe(before + 5)
  await again.getByRole('link', { name: 'Tuesday upside down' }).first().click()
  for (let n = 0; n < 3; n += 1)
    await again
      .getByRole('button', { name: `Wren Haskett: ${n % 2 === 0 ? 'not yet' : 'fell out of it'}` })
      .click()
  await expect
    .poll(() => stored("select 1 from attempt where day = '2026-03-10'").length, { timeout: 15_000 })
    .toBe(before + 8)
  await second.close()
})
