import Database from 'better-sqlite3'
import { spawnSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { expect, test, type Page } from '@playwright/test'
import { App, DAY, listening } from './app'
import { whole } from './paper'

let app: App
test.beforeAll(async () => {
  app = await App.start({ demo: true })
})
test.afterAll(() => app.end())

async function openProgress(page: Page, name: string): Promise<void> {
  await page.goto(`${app.address}/readiness?who=all`)
  await page.getByRole('link', { name, exact: true }).first().click()
  await page.getByRole('link', { name: 'Week by week' }).click()
  await expect(page.getByRole('heading', { level: 1, name: `${name}, week by week` })).toBeVisible()
}

test('eight weeks of one who stands still: found in the review, told by her page, the drill to change named', async ({
  page,
}) => {
  await page.goto(`${app.address}/progress`)
  const still = page.getByRole('region', { name: 'Stands still' })
  await expect(still).toContainText(
    /Dolphin hold has stood at about \d+ s for \d weeks\. In place of .+: .+\./,
  )
  await still.getByRole('link', { name: 'Greta Sommerby' }).click()
  await expect(page.getByRole('list', { name: 'The ladder over time' })).toContainText('Dolphin hops')
  const measure = page.getByRole('region', { name: 'Dolphin hold', exact: true })
  await expect(measure).toContainText('Asked next: Dolphin hold at least 45 s.')
  // The chart and its table say the same.
  await expect(measure.getByRole('table').getByRole('row')).toHaveCount(6)
  await expect(measure.locator('.recharts-surface').first()).toBeVisible()
  await expect(page.getByRole('region', { name: 'Load by week' })).toContainText('shoulder')
  await expect(page.getByRole('region', { name: 'Drilled' })).toContainText('times, last on')
})

test('between classes Today turns to the week, and on the day to the class', async ({ page }) => {
  for (const [day, head] of [
    ['2026-03-09', 'Tuesday upside down'],
    ['2026-03-11', 'Nothing booked'],
  ] as const) {
    await app.onDay(day)
    await page.goto(app.address)
    await expect(page.getByRole('heading', { level: 1, name: head })).toBeVisible()
    const week = page.getByRole('region', { name: 'Until then' })
    await expect(week).toContainText('Stands still')
    await expect(week.getByRole('link', { name: 'Greta Sommerby' })).toBeVisible()
    await expect(page.getByText(/have checked in/)).toHaveCount(0)
  }
  await page.getByRole('link', { name: 'The whole week' }).click()
  await expect(page).toHaveURL(/\/progress$/)
  await app.onDay(DAY)
  await page.goto(app.address)
  await expect(page.getByText(/have checked in/)).toBeVisible()
  await expect(page.getByRole('region', { name: 'Until then' })).toHaveCount(0)
})

test('a group’s progress: where each stands, what holds most of them back, and its week alone', async ({
  page,
}) => {
  await page.goto(`${app.address}/progress`)
  await page
    .getByRole('navigation', { name: 'Whose week' })
    .getByRole('link', { name: 'Tuesday upside down' })
    .click()
  const stands = page.getByRole('region', { name: 'Where Tuesday upside down stands' })
  await expect(stands.getByRole('listitem').filter({ hasText: 'Wren Haskett' })).toContainText(
    /; next .+: near/,
  )
  await expect(stands.getByText(/still asked of \d+ of \d+ people/).first()).toBeVisible()
  await stands.getByRole('link', { name: 'Strength for all of them' }).click()
  await expect(page.getByRole('form', { name: 'A new sequence' })).toContainText('Bertram Oake')
})

test('a week at home: made, handed over by a private link, ticked on a phone, grown, the link ended', async ({
  page,
  browser,
}) => {
  await openProgress(page, 'Wren Haskett')
  await page.getByRole('link', { name: 'Practice at home' }).click()
  await listening(page)
  await page.getByRole('button', { name: 'Make the sheet' }).click()
  const items = page.getByRole('list', { name: 'What to do' })
  await expect(items.getByRole('listitem')).not.toHaveCount(0)
  const name = (await items.getByRole('listitem').nth(2).locator('strong').textContent()) ?? ''
  const doseOf = async (): Promise<string> =>
    (await items.getByRole('listitem').filter({ hasText: name }).locator('p').first().textContent()) ?? ''
  const before = await doseOf()
  await whole(page, name)
  // Handed over as a file too: a picture that has something on it, a drawing with its words, and the same as data.
  await page.getByText('As a file').click()
  const fileBy = async (button: string): Promise<Buffer> => {
    const kept = page.waitForEvent('download')
    await page.getByRole('button', { name: button }).click()
    return readFileSync(await (await kept).path())
  }
  const png = await fileBy('Picture (PNG)')
  expect(png.subarray(1, 4).toString()).toBe('PNG')
  expect(png.readUInt32BE(16)).toBeGreaterThan(600)
  expect((await fileBy('Drawing (SVG)')).toString()).toContain(name)
  const data = JSON.parse((await fileBy('Data (JSON)')).toString()) as {
    format: string
    items: { name: string }[]
  }
  expect([data.format, data.items.map((i) => i.name).includes(name)]).toEqual(['levitar-home', true])
  await page.getByRole('button', { name: 'Make a private link' }).click()
  const link = await page.getByLabel('Private link, shown this once').inputValue()
  const days = await page.getByRole('table', { name: 'How it went' }).getByRole('columnheader').count()
  // A week later, on her own phone.
  await app.onDay('2026-03-17')
  const phone = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage()
  await phone.goto(link)
  await expect(phone.getByRole('heading', { level: 1, name: 'Wren, this week at home' })).toBeVisible()
  await expect(phone.getByRole('navigation')).toHaveCount(0)
  await expect(phone.getByText('Haskett')).toHaveCount(0)
  for (let n = 0; n < days - 1; n += 1) {
    await phone
      .getByRole('row', { name: new RegExp(name) })
      .getByRole('combobox')
      .nth(n)
      .click()
    await phone.getByRole('option', { name: 'Done' }).click()
    await expect(
      phone
        .getByRole('row', { name: new RegExp(name) })
        .getByRole('combobox')
        .nth(n),
    ).toHaveValue('Done')
  }
  await page.reload()
  await expect(page.getByRole('region', { name: 'What this week says' })).toContainText(
    `${name}: done ${days - 1} times of ${days - 1}; a little more next week.`,
  )
  await page.getByRole('button', { name: 'Make the next week' }).click()
  await expect.poll(doseOf).not.toBe(before)
  await page.getByRole('button', { name: 'End the link' }).click()
  await expect(page.getByRole('button', { name: 'Make a private link' })).toBeVisible()
  await phone.reload()
  await expect(phone.getByRole('heading', { level: 1, name: 'This link has ended' })).toBeVisible()
  await phone.context().close()
})

test('a threshold in the studio’s own way: told first whom it changes, kept, taken out, given back, brought in', async ({
  page,
}) => {
  await page.goto(`${app.address}/library/FS-05`)
  await page.getByText('Say or ask it in your own way').click()
  const field = page.getByLabel(/^Asks: Dolphin hold/)
  const own = await field.inputValue()
  await field.fill('9999')
  await page.getByRole('button', { name: 'What would change?' }).click()
  await expect(page.getByText(/, the range it is kept with\./)).toBeVisible()
  await field.fill(String(Number(own) + 60))
  await page.getByRole('button', { name: 'What would change?' }).click()
  await expect(page.getByRole('status', { name: 'What would change' })).toContainText(/: from .+ to .+\./)
  await page.getByRole('button', { name: 'Keep it for this studio' }).click()
  await expect(page.getByText('Changed for this studio')).toBeVisible()
  await expect(page.getByText(`at least ${Number(own) + 60} s`).first()).toBeVisible()
  await page.goto(`${app.address}/library/own`)
  await expect(page.getByRole('list', { name: 'In our own way' })).toContainText('Dolphin, one leg')
  const taken = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Take it out as a file' }).click()
  const file = await (await taken).path()
  await page.goto(`${app.address}/library/FS-05`)
  await listening(page)
  await page.getByRole('button', { name: 'Back to the practice' }).click()
  await expect(page.getByText('Say or ask it in your own way')).toBeVisible()
  await expect(page.getByText(`at least ${own} s`).first()).toBeVisible()
  // Another year, or another studio: told first, then kept.
  await page.goto(`${app.address}/library/own`)
  await listening(page)
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'A practice’s file' }).click(),
  ])
  await chooser.setFiles(file)
  await expect(page.getByRole('list', { name: 'What it brings' })).toContainText('in place of')
  await page.getByRole('button', { name: 'Keep it for this studio' }).click()
  await expect(page.getByText('1 entry kept.')).toBeVisible()
  await expect(page.getByRole('list', { name: 'In our own way' })).toContainText('Dolphin, one leg')
  await page.goto(`${app.address}/library/FS-05`)
  await listening(page)
  await page.getByRole('button', { name: 'Back to the practice' }).click()
  await expect(page.getByText('Say or ask it in your own way')).toBeVisible()
})

test('the whole studio taken out, and brought into an empty one', async ({ page }) => {
  await page.goto(`${app.address}/studio/files`)
  await expect(page.getByRole('region', { name: 'Bring a studio in' })).toContainText(
    'Somebody is here already',
  )
  await listening(page)
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Take it all out' }).click(),
  ])
  const path = await file.path()
  const fresh = await App.start({ demo: false })
  try {
    await page.goto(`${fresh.address}/studio/files`)
    await listening(page)
    const into = page.getByRole('region', { name: 'Bring a studio in' })
    await into
      .locator('input[type=file]')
      .setInputFiles({ name: 'x.zip', mimeType: 'application/zip', buffer: Buffer.from('no') })
    await into.getByRole('button', { name: 'Bring it in' }).click()
    await expect(into).toContainText('That file does not open')
    await into.locator('input[type=file]').setInputFiles(path)
    await into.getByRole('button', { name: 'Bring it in' }).click()
    await expect(into.getByRole('status')).toContainText(/\d+ records brought in\./)
    await page.goto(`${fresh.address}/students`)
    await expect(page.getByRole('link', { name: 'Wren Haskett' }).first()).toBeVisible()
  } finally {
    await fresh.end()
  }
})

test('a backup of a large studio put back where nobody is, and the same people there', async ({ page }) => {
  const kept = spawnSync('npx', ['tsx', 'cli/keep.ts', 'backup'], {
    env: { ...process.env, LEVITAR_DATA: app.data },
    encoding: 'utf8',
  })
  const file = kept.stdout.replace(/^Kept as /, '').trim()
  // As large as ten years make it: more than a server usually hands on.
  const raw = new Database(file)
  raw.exec('create table years (what blob)')
  raw.prepare('insert into years values (randomblob(?))').run(14_000_000)
  raw.close()
  const fresh = await App.start({ demo: false })
  try {
    await page.goto(`${fresh.address}/studio/files`)
    await listening(page)
    const back = page.getByRole('region', { name: 'Put a backup back' })
    const [backup, list] = [back.locator('input[type=file]').first(), back.locator('input[type=file]').last()]
    await backup.setInputFiles({
      name: 'x.sqlite',
      mimeType: 'application/octet-stream',
      buffer: Buffer.from('no'),
    })
    await back.getByRole('button', { name: 'Put it back' }).click()
    await expect(back).toContainText('That file is no whole backup of a studio.')
    await list.setInputFiles({ name: 'x.txt', mimeType: 'text/plain', buffer: Buffer.from('nobody') })
    await back.getByRole('button', { name: 'Put it back' }).click()
    await expect(back).toContainText('That is no list of who was erased')
    await list.setInputFiles({ name: 'x.txt', mimeType: 'text/plain', buffer: Buffer.from('\n') })
    await backup.setInputFiles(file)
    await back.getByRole('button', { name: 'Put it back' }).click()
    await expect(back.getByRole('status')).toContainText('Restored. Nobody had to be erased again.')
    await back.getByRole('button', { name: 'Go to Today' }).click()
    await page.getByRole('link', { name: 'Students' }).first().click()
    await expect(page.getByRole('link', { name: 'Wren Haskett' }).first()).toBeVisible()
    await page.goto(`${fresh.address}/studio/files`)
    await expect(page.getByRole('region', { name: 'Put a backup back' })).toHaveCount(0)
  } finally {
    await fresh.end()
  }
})

test('a class handed to whoever stands in: read on its day, by its link alone, and ended', async ({
  page,
  browser,
}) => {
  // The journeys above left the studio a week later: the class stands in one of its own.
  const own = await App.start({ demo: true })
  try {
    await page.goto(`${own.address}/plans`)
    await page.getByRole('link', { name: 'Tuesday upside down' }).first().click()
    await page.getByRole('button', { name: 'Make the plan' }).click()
    await page.getByRole('button', { name: 'For a stand-in' }).click()
    const link = await page.getByLabel('Link for whoever stands in, shown this once').inputValue()
    const other = await (await browser.newContext({ viewport: { width: 820, height: 1180 } })).newPage()
    await other.goto(link)
    await expect(other.getByRole('heading', { level: 1, name: 'Tuesday upside down' })).toBeVisible()
    await expect(other.getByRole('region', { name: 'Who comes' })).toContainText('Ines Calder')
    await expect(other.getByRole('region', { name: 'Emergency card' }).getByRole('listitem')).not.toHaveCount(
      0,
    )
    await expect(other.getByRole('navigation')).toHaveCount(0)
    await expect(other.getByRole('button')).toHaveCount(0)
    await page.getByRole('button', { name: 'End the link' }).click()
    await expect(page.getByText('No link to this class is open any more.')).toBeVisible()
    await other.reload()
    await expect(other.getByRole('heading', { level: 1, name: 'This link has ended' })).toBeVisible()
    await other.context().close()
  } finally {
    await own.end()
  }
})
