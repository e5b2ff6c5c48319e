import AxeBuilder from '@axe-core/playwright'
import { expect, test } from '@playwright/test'
import { App } from './app'
import { unsaid } from './words'

let app: App
test.beforeAll(async () => {
  app = await App.start({ demo: true })
})
test.afterAll(() => app.end())

const PAGES = [
  '/',
  '/students',
  '/readiness',
  '/readiness/by-eye',
  '/setups',
  '/plans',
  '/plans/new',
  '/teach',
  '/progress',
  '/progress/sequences',
  '/library',
  '/library?kind=drills',
  '/library?q=pinca',
  '/library/FS-10a',
  '/library/DR-dolphin-hold',
  '/library/FT-elbow-splay',
  '/library/SETUP-dolphin-block',
  '/library/CK-dolphin-hold',
  '/library/BP1',
  '/library/A18',
  '/help',
  '/studio',
  '/studio/api',
  '/studio/mailbox',
]

/** An id of the practice, as it stands in addresses and exports and nowhere else. */
const CODE = /\b(?:(?:PU|FS|HD|HS|CR|SH|AD)-\d\d[a-f]?|(?:CK|DR|FT|EX|CP|WU|AS)-[a-z]|SETUP-)/

/** Widths at which nothing may run off a page. */
const WIDTHS = [820, 390, 320]

test('every page: nothing serious in both schemes, nothing unsaid, nothing off its edge, nothing from elsewhere', async ({
  page,
}) => {
  test.setTimeout(400_000)
  const outside: string[] = []
  page.on('request', (request) => {
    if (![`${app.address}/`, 'data:', 'blob:'].some((own) => request.url().startsWith(own)))
      outside.push(request.url())
  })
  await page.goto(`${app.address}/readiness`)
  const href = (name: string | RegExp) => page.getByRole('link', { name }).first().getAttribute('href')
  const [person, round] = [await href('Ines Calder'), await href(/Check round/)]
  const profile = person?.replace('readiness', 'students')
  const rounds = ['', '/card', '/enter'].map((end) => `${round ?? ''}${end}`)
  const serious = async (path: string, axe: AxeBuilder): Promise<void> => {
    const { violations } = await axe.analyze()
    const found = violations.filter((v) => v.impact === 'serious' || v.impact === 'critical')
    expect(found.map((v) => `${path} ${v.id}: ${v.nodes[0]?.html ?? ''}`)).toEqual([])
  }
  for (const path of [...PAGES, person ?? '', profile ?? '', ...rounds]) {
    await page.setViewportSize({ width: 1280, height: 800 })
    await page.emulateMedia({ colorScheme: 'light' })
    await page.goto(app.address + path)
    await page.getByRole('heading', { level: 1 }).waitFor()
    const more = page.getByRole('tab', { name: 'Log a try' })
    if (await more.isVisible()) await more.click()
    await serious(path, new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa']))
    const said = (await page.locator('#content').innerText()).replace(/Known in exports as .*/, '')
    expect([path, CODE.exec(said)?.[0], unsaid(said)]).toEqual([path, undefined, []])
    // Names, roles and order are the same in both schemes; only the colours have to be asked again.
    await page.emulateMedia({ colorScheme: 'dark' })
    await expect(page.locator('html')).toHaveAttribute('data-mantine-color-scheme', 'dark')
    // Colours that are still on their way are nobody's.
    await page.waitForFunction(() => document.getAnimations().every((a) => a.playState !== 'running'))
    await serious(path, new AxeBuilder({ page }).withRules(['color-contrast', 'link-in-text-block']))
    for (const width of WIDTHS) {
      await page.setViewportSize({ width, height: 844 })
      const over = () => document.documentElement.scrollWidth - document.documentElement.clientWidth
      await expect
        .poll(() => page.evaluate(over), { message: `${path} at ${width} px` })
        .toBeLessThanOrEqual(0)
    }
  }
  expect(outside).toEqual([])
})

test('palette, shortcuts and the sheet of keys', async ({ page }) => {
  await page.goto(app.address)
  await page.keyboard.press('Control+k')
  await page
    .getByRole('searchbox', { name: 'Find a page or a person' })
    .or(page.getByPlaceholder('A page, a person'))
    .fill('Wren')
  await expect(page.getByRole('button', { name: /Wren Haskett/ })).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { level: 1, name: 'Wren Haskett' })).toBeVisible()
  await page.keyboard.press('g')
  await page.keyboard.press('p')
  await expect(page.getByRole('heading', { level: 1, name: 'What happens when?' })).toBeVisible()
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog', { name: 'Keys you can press' })).toContainText('Go to Readiness')
  await page.getByRole('link', { name: 'What the words and marks mean' }).click()
  await expect(page.getByText('Within reach of what is asked.')).toBeVisible()
})

test('a link to nowhere leads back', async ({ page }) => {
  for (const path of ['/nowhere', '/students/00000000-0000-7000-8000-000000000000']) {
    await page.goto(app.address + path)
    await expect(page.getByRole('heading', { level: 1, name: 'That page is not here' })).toBeVisible()
  }
  await page.getByRole('link', { name: 'Back to Today' }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'Tuesday upside down' })).toBeVisible()
})

test('inches everywhere at once, and back without a change to what is stored', async ({ page }) => {
  await page.goto(`${app.address}/students`)
  await page.getByRole('radio', { name: 'cm', exact: true }).press('ArrowRight')
  await expect(page.getByRole('row', { name: /Ines Calder/ })).toContainText('5 ft 6 in')
  await page.goto(`${app.address}/readiness`)
  await page.getByRole('link', { name: 'Bertram Oake' }).first().click()
  await expect(page.getByRole('region', { name: 'Decision' })).toContainText(
    /Elbow drift at most 0.8 in.*1.2 in/,
  )
  await page.goto(`${app.address}/students`)
  await page.getByRole('link', { name: 'Ines Calder' }).click()
  await page.getByRole('button', { name: 'Save profile' }).click()
  await expect(page.getByText('Saved.')).toBeVisible()
  await page.getByRole('radio', { name: 'in', exact: true }).press('ArrowLeft')
  await expect(page.getByRole('textbox', { name: 'Height', exact: true })).toHaveValue('168 cm')
  await page.goto(`${app.address}/students`)
  await expect(page.getByRole('row', { name: /Ines Calder/ })).toContainText('168 cm')
})
