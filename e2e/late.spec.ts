import { expect, test } from '@playwright/test'
import { App, allSent, listening, toBlock } from './app'

let app: App
test.beforeAll(async () => {
  app = await App.start({ demo: true })
})
test.afterAll(() => app.end())

test('into a class under way: one comes late and owes a warm-up, one is new and gets the gentle version at once', async ({
  page,
}) => {
  await page.setViewportSize({ width: 820, height: 1180 })
  await page.goto(app.address)
  await page.getByRole('link', { name: 'Plan this class' }).click()
  await page.getByRole('button', { name: /Make the plan/ }).click()
  await page.getByRole('link', { name: 'Take to class' }).click()
  await page.getByRole('button', { name: 'Start the class' }).click()
  await toBlock(page, 'Forearm stand, everyone’s version')
  const begun = Date.now()
  let taps = 0
  await test.step('the list at the door is one tap away; late is one, somebody new a name and one', async () => {
    await page.getByRole('link', { name: 'Who came' }).click()
    await listening(page)
    const ines = page.getByRole('radiogroup', { name: 'Ines Calder is' })
    await ines.getByText('Late').click()
    await page.getByLabel('Somebody new').fill('Kit Farrow')
    await page.getByRole('button', { name: 'Add a new person' }).click()
    await expect(page.getByRole('group', { name: 'Kit Farrow' })).toContainText('not screened yet')
    taps += 4
    await page.getByRole('link', { name: 'The class' }).click()
    taps += 1
  })
  await test.step('in the class both have what is theirs, in less than twenty seconds', async () => {
    await expect(page.getByText(/^Ines Calder came late: \d+ minutes? of warming up first/)).toBeVisible()
    const kit = page.getByRole('region', { name: 'Kit Farrow' })
    await expect(kit).toBeVisible()
    // On the floor until somebody has asked about health.
    await expect(kit).toContainText('Forearm table')
    await expect(page.getByText(/^Kit Farrow came late: \d+ minutes? of warming up/)).toBeVisible()
    expect(Date.now() - begun).toBeLessThan(20_000)
    expect(taps).toBeLessThanOrEqual(6)
  })
  await test.step('one tap says that she has warmed up, also after a reload', async () => {
    await page.getByRole('button', { name: 'Ines Calder: has warmed up' }).click()
    await expect(page.getByText(/^Ines Calder came late/)).toHaveCount(0)
    await allSent(page)
    await page.reload()
    await expect(page.getByText(/^Kit Farrow came late/)).toBeVisible()
    await expect(page.getByText(/^Ines Calder came late/)).toHaveCount(0)
  })
})
