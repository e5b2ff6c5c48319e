import { expect, test, type Page } from '@playwright/test'
import { App } from './app'
import { printed, whole } from './paper'

let app: App
test.beforeAll(async () => {
  app = await App.start({ demo: false })
})
test.afterAll(() => app.end())

/** Who is known by eye, and on which of the six rungs. */
const PLACED = [
  ['Ines Calder', 3],
  ['Tomas Reyle', 2],
  ['Wren Haskett', 1],
  ['Odile Voss', 0],
  ['Bertram Oake', 1],
  ['Sunniva Lund', 2],
] as const
const NEW = ['Priya Dunmore', 'Callum Strand', 'Maud Ferrier', 'Jonty Abara']
/** As many as a teacher may need from an empty studio to a printed plan. */
const MOST_TAPS = 45

/** Counts what a hand does: clicks that a browser calls real. */
async function countTaps(page: Page): Promise<() => Promise<number>> {
  await page.addInitScript(() => {
    addEventListener(
      'click',
      (event) => {
        if (event.isTrusted && event.detail > 0)
          localStorage.setItem('taps', String(Number(localStorage.getItem('taps') ?? 0) + 1))
      },
      true,
    )
  })
  return () => page.evaluate(() => Number(localStorage.getItem('taps') ?? 0))
}

test('an empty studio to a first printed plan for ten people in at most 45 taps', async ({ page }) => {
  test.setTimeout(120_000)
  const taps = await countTaps(page)
  const type = async (name: string, text: string): Promise<void> => {
    await page.getByRole('textbox', { name, exact: true }).click()
    await page.keyboard.insertText(text)
  }
  await page.goto(app.address)
  await type('Names, one on each line', [...PLACED.map(([name]) => name), ...NEW].join('\n'))
  await page.getByRole('button', { name: 'Add these people' }).click()
  await type('Clear wall', '6 m')
  await type('Blocks', '9')
  await type('Straps', '6')
  await page.getByRole('button', { name: 'Save the room' }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'Nothing booked' })).toBeVisible()

  await page.getByRole('link', { name: 'Readiness' }).first().click()
  await page.getByRole('link', { name: 'Place by eye' }).click()
  await page
    .getByRole('navigation', { name: 'Families' })
    .getByRole('link', { name: 'Forearm stand' })
    .click()
  for (const [name, rung] of PLACED)
    await page
      .getByRole('radio', { name: new RegExp(`^${name}: `) })
      .nth(rung)
      .click()

  await page.getByRole('link', { name: 'Plans' }).first().click()
  await page.getByRole('link', { name: 'New class' }).click()
  await page.getByRole('button', { name: 'Everybody' }).click()
  await page.getByRole('button', { name: 'Make the plan' }).click()
  await expect(page.getByText('10 people were never asked about health')).toBeVisible()
  await page.getByRole('link', { name: 'Printed sheet' }).click()
  await expect(page.getByRole('heading', { level: 2, name: 'Who does what' })).toBeVisible()
  expect(await taps()).toBeLessThanOrEqual(MOST_TAPS)
  // Fewer than the people who were placed could not have counted at all.
  expect(await taps()).toBeGreaterThan(PLACED.length)

  await whole(page, ...PLACED.map(([name]) => name))
  for (const format of ['A4', 'Letter'] as const)
    expect([format, (await printed(page, format)).sheets]).toEqual([format, 2])
})

test('nine names pasted, wall and blocks said: tomorrow’s 75 minutes in at most 25 presses', async ({
  page,
}) => {
  test.setTimeout(120_000)
  const fresh = await App.start({ demo: false })
  try {
    const taps = await countTaps(page)
    const type = async (name: string, text: string): Promise<void> => {
      await page.getByLabel(name, { exact: true }).click()
      await page.keyboard.press('ControlOrMeta+a')
      await page.keyboard.insertText(text)
    }
    await page.goto(fresh.address)
    const beside = [', advanced', '', ', neck hurts']
    const names = [...PLACED.map(([name]) => name), ...NEW].slice(0, 9)
    await type('Names, one on each line', names.map((name, i) => `${name}${beside[i] ?? ''}`).join('\n'))
    await expect(page.getByText(`${names[0]}: practised, placed by eye`)).toBeVisible()
    await expect(page.getByText(`${names[2]}: “neck hurts” is kept as a word`)).toBeVisible()
    await page.getByRole('button', { name: 'Add these people' }).click()
    await type('Clear wall', '6 m')
    await type('Blocks', '9')
    await page.getByRole('button', { name: 'Save the room' }).click()
    await page.getByRole('link', { name: 'Plans' }).first().click()
    await page.getByRole('link', { name: 'New class' }).click()
    const day = page.getByLabel('Day', { exact: true })
    const tomorrow = new Date(Date.parse(`${await day.inputValue()}T12:00:00Z`) + 86_400_000)
    await day.click()
    await day.fill(tomorrow.toISOString().slice(0, 10))
    await type('Minutes', '75')
    await page.getByRole('button', { name: 'Everybody' }).click()
    await page.getByRole('button', { name: 'Make the plan' }).click()
    await expect(page.getByText('9 people were never asked about health')).toBeVisible()
    expect(await taps()).toBeLessThanOrEqual(25)
    expect(await taps()).toBeGreaterThan(5)
    await expect(page.getByText('Rules that are broken')).toHaveCount(0)
    await expect(page.getByText('minutes are left over')).toHaveCount(0)
    const read = await page.getByText(/^Read as a teacher: \d+ of 12/).textContent()
    expect(Number(/: (\d+) of/.exec(read ?? '')?.[1])).toBeGreaterThanOrEqual(11)
  } finally {
    await fresh.end()
  }
})
