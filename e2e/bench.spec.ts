import { readFileSync } from 'node:fs'
import path from 'node:path'
import AxeBuilder from '@axe-core/playwright'
import { expect, test, type Page } from '@playwright/test'
import { App } from './app'
import { whole } from './paper'

let app: App
test.beforeAll(async () => {
  app = await App.start({ demo: true })
})
test.afterAll(() => app.end())

const gap = (page: Page) => page.getByRole('slider', { name: 'Fingertips to wall' }).first()

async function openBench(page: Page, setup: string): Promise<void> {
  await page.goto(`${app.address}/readiness`)
  const href = await page.getByRole('link', { name: 'Ines Calder' }).getAttribute('href')
  await page.goto(`${app.address}/setups?student=${href?.split('/').at(-1) ?? ''}&setup=${setup}`)
  // Drawing and numbers come as parts of their own, in either order.
  await expect(page.getByRole('heading', { name: 'Where things go' })).toBeVisible()
  await expect(page.locator('[data-label]').first()).toBeAttached()
}

test('a setup is dragged, read, kept, asked about, switched to inches, compared, weighed and printed', async ({
  page,
}) => {
  await openBench(page, 'SETUP-wall-kick-forearm')
  const box = (await gap(page).boundingBox())!
  await test.step('dragging the wall out leans the body and asks whether that is meant', async () => {
    const before = await page.getByText(/^Lean \d/).innerText()
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
    await page.mouse.down()
    await page.mouse.move(box.x + box.width / 2 + 60, box.y + box.height / 2, { steps: 6 })
    await page.mouse.up()
    await expect(page.getByText(/^Lean \d/)).not.toHaveText(before)
    await expect(page.getByText('That is “far”; usually it is “small” here. Keep it?')).toBeVisible()
    await page.getByRole('button', { name: 'Only Ines' }).click()
    await expect(page.getByText(/Keep it\?/)).toHaveCount(0)
  })
  await test.step('why, faults and the way out stand beside it', async () => {
    await expect(page.getByText('Out:').first()).toBeVisible()
    await page.getByText('Why here', { exact: true }).click()
    await expect(page.getByRole('article', { name: 'Fingertips to wall' })).toContainText(
      /cm (more|less): .+ instead of/,
    )
    await page.getByText('Goes wrong', { exact: true }).click()
    await expect(page.getByRole('img', { name: 'Right', exact: true }).first()).toBeVisible()
    await page.getByText('Bench', { exact: true }).first().click()
  })
  await test.step('kept and taken up again', async () => {
    await page.getByRole('button', { name: 'Keep for Ines' }).click()
    await expect(page.getByText('Kept for Ines Calder.')).toBeVisible()
    const kept = page.getByRole('group', { name: 'Kept for Ines Calder' })
    await expect(kept.getByRole('button').first()).toContainText('10 Mar 2026')
  })
  await test.step('inches everywhere', async () => {
    await page.getByText('in', { exact: true }).first().click()
    await expect(page.getByRole('table').first()).toContainText(/\d in/)
    await page.getByText('cm', { exact: true }).first().click()
    await expect(page.getByRole('table').first()).toContainText(/\d cm/)
  })
  await test.step('two measures side by side, and the ways of finding a line', async () => {
    await page.getByText('Compare', { exact: true }).first().click()
    const right = page.getByRole('region', { name: 'Right', exact: true })
    await right.getByRole('slider').first().focus()
    for (let i = 0; i < 8; i += 1) await page.keyboard.press('ArrowLeft')
    await expect(page.getByRole('row', { name: /Trunk leans/ }).first()).toContainText(/[−+]\d/)
    await expect(page.getByText('hips over wrists')).toBeVisible()
  })
  await test.step('weighed on the try-out scale: only the share is kept', async () => {
    await page.getByText('Weigh', { exact: true }).first().click()
    await expect(page.getByRole('img', { name: 'Hands, in a plank, on the scale' })).toBeVisible()
    await expect(page.getByRole('img', { name: /^Reckoned \d+ %, nothing weighed yet/ })).toBeVisible()
    await page.getByRole('button', { name: 'Read the try-out scale' }).click()
    await expect(page.getByRole('img', { name: /^Reckoned \d+ %, weighed \d+ %/ })).toBeVisible()
    await expect(page.getByText(/of body weight; the model says/)).toBeVisible()
    const standing = await page.getByRole('textbox', { name: 'Standing on it' }).inputValue()
    await page.getByRole('button', { name: 'Keep the share for Ines' }).click()
    await expect(
      page.getByText(/^Kept: only the share, neither reading. (The part was|It is what)/),
    ).toBeVisible()
    await expect(page.getByText(/From 1 weighing: .+ than usual/)).toBeVisible()
    const bytes = readFileSync(path.join(app.data, 'levitar.sqlite'))
    expect(bytes.includes(standing)).toBe(false)
  })
  await test.step('what is worth a tape', async () => {
    await page.getByText('Measure', { exact: true }).first().click()
    await expect(page.getByRole('heading', { name: 'Can the arms carry the head?' })).toBeVisible()
  })
  await test.step('the printed card holds the numbers of the screen', async () => {
    await page.getByText('Bench', { exact: true }).first().click()
    await page.getByRole('link', { name: 'Card to print' }).click()
    await expect(page.getByRole('button', { name: 'Print' })).toBeVisible()
    const cells = await page.getByRole('table').getByRole('cell').allInnerTexts()
    expect(cells.length).toBeGreaterThan(2)
    await whole(page, ...cells)
  })
})

test('a handle stops where the body ends, and says why beside itself; the drawing stays what it was', async ({
  page,
}) => {
  await openBench(page, 'SETUP-wall-kick-forearm')
  const feet = page.getByRole('slider', { name: 'Feet from the elbows' }).first()
  const now = async () => Number(await feet.getAttribute('aria-valuenow'))
  const begun = await now()
  await feet.focus()
  for (let i = 0; i < 15; i += 1) await page.keyboard.press('PageUp')
  const why = page.getByRole('alert').filter({ hasText: /The legs reach .* Shorten: Feet from the elbows/ })
  await expect(why).toBeInViewport()
  const furthest = await now()
  expect(furthest).toBeGreaterThan(begun + 20)
  await page.keyboard.press('PageUp')
  expect(await now()).toBe(furthest)
  await page.keyboard.press('ArrowDown')
  await expect(why).toHaveCount(0)
  expect(await now()).toBeLessThan(furthest)
})

test('keys alone move a handle, say what changed, and reach every part', async ({ page }) => {
  await openBench(page, 'SETUP-wall-kick-forearm')
  await gap(page).focus()
  const before = await gap(page).getAttribute('aria-valuetext')
  await page.keyboard.press('PageUp')
  await expect(gap(page)).not.toHaveAttribute('aria-valuetext', before ?? '')
  const spoken = page.locator('[aria-live="polite"]').filter({ hasText: 'of body weight' })
  await expect(spoken).toContainText('plumb line')
  const results = await new AxeBuilder({ page }).include('#content').analyze()
  expect(results.violations.map((v) => `${v.id}: ${v.nodes[0]?.html ?? ''}`)).toEqual([])
})

for (const width of [390, 820, 1280])
  test(`no number of a drawing covers another at ${width} px, in both schemes and on paper`, async ({
    page,
  }) => {
    await page.setViewportSize({ width, height: 900 })
    for (const setup of [
      'SETUP-wall-kick-forearm-block',
      'SETUP-wall-l-hand',
      'SETUP-crow-brow',
      'SETUP-platform-wall',
    ]) {
      await page.emulateMedia({ colorScheme: 'light', media: 'screen' })
      await openBench(page, setup)
      for (const [scheme, media] of [
        ['light', 'screen'],
        ['dark', 'screen'],
        ['light', 'print'],
      ] as const) {
        await page.emulateMedia({ colorScheme: scheme, media })
        const boxes = await page.locator('[data-label]').evaluateAll((nodes) =>
          nodes.map((n) => {
            const { left, right, top, bottom } = n.getBoundingClientRect()
            return { left, right, top, bottom, text: n.textContent }
          }),
        )
        expect(boxes.length).toBeGreaterThan(1)
        for (const [i, a] of boxes.entries())
          for (const b of boxes.slice(i + 1))
            expect([
              setup,
              media,
              a.text,
              b.text,
              a.left < b.right - 1 && b.left < a.right - 1 && a.top < b.bottom - 3 && b.top < a.bottom - 3,
            ]).toEqual([setup, media, a.text, b.text, false])
      }
    }
  })
