import { expect, test, type Page } from '@playwright/test'
import { App } from './app'

let app: App
test.beforeAll(async () => {
  app = await App.start({ demo: true })
})
test.afterAll(() => app.end())

const recorded = (page: Page, n: number) =>
  expect(page.getByText(new RegExp(`^${n} of 10 recorded(?! ·)`))).toBeVisible()

test('a hold for ten people in two half-rounds, ended by taps, two faults, one undone, a reload in the middle', async ({
  page,
}) => {
  await page.setViewportSize({ width: 820, height: 1180 })
  await page.goto(`${app.address}/readiness`)
  await page.getByRole('link', { name: /Check round/ }).click()
  await expect(page.getByText(/These would settle most|No check would change/)).toBeVisible()
  await page.getByText('Ready rounds').click()
  await page.getByRole('button', { name: 'Dolphin hold', exact: true }).last().click()
  await page.getByRole('button', { name: 'Start everybody' }).click()
  for (let i = 0; i < 3; i += 1) await page.getByRole('button', { name: 'Hand up' }).first().click()
  await recorded(page, 3)
  await page.reload()
  await recorded(page, 3)
  await expect(page.getByRole('timer')).not.toHaveText('0:00')
  await page.keyboard.press('4')
  await page.keyboard.press('5')
  await recorded(page, 5)
  await page.getByRole('button', { name: 'End the hold' }).click()
  const done = page.getByRole('region').filter({ has: page.getByRole('button', { name: 'Undo' }) })
  for (const lane of [0, 1]) await done.nth(lane).getByText('Elbows slide apart').click()
  await done.nth(4).getByRole('button', { name: 'Undo' }).click()
  await recorded(page, 4)
  await page.getByRole('button', { name: 'Swap: watchers do' }).click()
  await expect(page.getByText('Half 2 of 2')).toBeVisible()
  await page.getByRole('button', { name: 'Start everybody' }).click()
  for (let i = 0; i < 5; i += 1) await page.getByRole('button', { name: 'Hand up' }).first().click()
  await recorded(page, 9)
  await page.getByRole('link', { name: 'Everybody’s readiness' }).click()
  await page.getByRole('link', { name: 'Bertram Oake' }).click()
  await expect(page.getByText('10 Mar 2026').first()).toBeVisible()
})

test('the board has six families with marks, and opens reasons, forecasts and drills', async ({ page }) => {
  await page.goto(`${app.address}/readiness`)
  for (const family of ['Forearm stand', 'Headstand', 'Handstand', 'Crow', 'Shoulder stand', 'Low push-up'])
    await expect(page.getByRole('columnheader', { name: family })).toBeVisible()
  const row = page.getByRole('row', { name: /Wren Haskett/ })
  await expect(row.getByRole('link')).toHaveCount(7)
  await row.getByRole('link', { name: 'Wren Haskett' }).click()
  await expect(page.getByRole('region', { name: 'Next steps' })).toContainText(
    /at this rate|that a trend wants|flat for/,
  )
  await expect(page.getByRole('region', { name: 'Next steps' })).toContainText(/min, .*dose/)
  await page.getByRole('navigation', { name: 'Families' }).getByRole('link', { name: /Crow/ }).click()
  await expect(page.getByRole('region', { name: 'Decision' })).toContainText('CR-')
})

test('one more clean day makes an offer, and a first solo try waits for the teacher’s tap, with name and time', async ({
  page,
}) => {
  const own = await App.start({ demo: true })
  try {
    await page.goto(`${own.address}/students`)
    await page.getByRole('link', { name: 'Ines Calder' }).first().click()
    await page.getByRole('link', { name: 'Limits' }).click()
    await page.getByRole('button', { name: 'Open the health notes' }).click()
    await page.getByRole('button', { name: 'None of it applies' }).click()
    await expect(page.getByText('Stored. Limits are up to date.')).toBeVisible()
    await page.goto(`${own.address}/readiness`)
    await expect(page.getByRole('row', { name: /Ines Calder/ })).toContainText('Once more')
    await page.getByRole('link', { name: 'Ines Calder' }).click()
    await page.getByRole('textbox', { name: 'Seconds' }).fill('52')
    await page.getByRole('button', { name: 'Save result' }).click()
    await expect(page.getByRole('region', { name: 'Decision' })).toContainText('Offer')
    await page.goto(`${own.address}/readiness`)
    const offer = page
      .getByRole('region', { name: 'New offers to look at' })
      .getByRole('group', { name: /Ines Calder/ })
    await offer.getByRole('button', { name: 'Looked: go ahead' }).click()
    await expect(offer).toContainText('Accepted by Ottoline Marsh, 10 Mar 2026')
    await offer.getByRole('button', { name: 'Hold back' }).click()
    await expect(offer).toContainText('Held back by Ottoline Marsh')
  } finally {
    await own.end()
  }
})
