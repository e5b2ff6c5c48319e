import { expect, test } from '@playwright/test'
import { App, toBlock } from './app'

let app: App
test.beforeAll(async () => {
  app = await App.start({ demo: true })
})
test.afterAll(() => app.end())

test('a rig is built and tested before anybody goes in; the group’s breath is counted while people are up', async ({
  page,
}) => {
  await page.clock.install({ time: new Date('2026-03-10T18:30:00Z') })
  await page.setViewportSize({ width: 820, height: 1180 })
  await page.goto(`${app.address}/plans/new`)
  await page.getByRole('textbox', { name: 'Name of the class' }).fill('Shoulder stand')
  await page.getByRole('checkbox', { name: 'Forearm stand' }).uncheck()
  await page.getByRole('checkbox', { name: 'Shoulder stand' }).check()
  for (const name of ['Ivo Tarn', 'Rosalind Quay', 'Otto Pell', 'Suki Amberley'])
    await page.getByRole('checkbox', { name }).check()
  await page.getByRole('button', { name: 'Make the plan' }).click()
  await page.getByRole('link', { name: 'Take to class' }).click()
  await page.getByRole('button', { name: 'Start the class' }).click()
  await toBlock(page, 'Shoulder stand: built once, stayed in')

  const building = page.getByRole('group', { name: /: building it$/ }).first()
  const name = ((await building.getAttribute('aria-label')) ?? '').replace(': building it', '')
  const strip = page.getByRole('region', { name })
  const clean = strip.getByRole('button', { name: `${name}: clean` })
  const steps = building.getByRole('checkbox')
  const last = (await steps.count()) - 1
  await test.step('nobody goes in before the press test, which comes last', async () => {
    expect(last).toBeGreaterThan(0)
    await expect(clean).toHaveCount(0)
    await expect(steps.nth(last)).toHaveAccessibleName(/full weight|must not move/)
    for (let i = 0; i < last; i += 1) await steps.nth(i).check()
    await expect(strip.getByText('1 step to go before anybody goes in.')).toBeVisible()
    await expect(strip.getByRole('list', { name: `${name}: going in` })).toHaveCount(0)
  })
  await test.step('what is built stays built over a reload; the last tick frees the place and says how to go in', async () => {
    await page.reload()
    await expect(steps.nth(0)).toBeChecked()
    await steps.nth(last).check()
    await expect(strip.getByText('Built: the place is free.')).toBeVisible()
    await expect(strip.getByRole('list', { name: `${name}: going in` })).toBeVisible()
    await clean.click()
    await expect(strip.getByText('1 try: clean')).toBeVisible()
  })
  await test.step('breaths of the group are counted from one to the next while people are up', async () => {
    const breath = page.getByText(/^Breath \d+ of \d+, (in|out)$/)
    await expect(breath).toHaveCount(0)
    await page.getByRole('switch', { name: 'Count breaths' }).check()
    for (let s = 0; s < 240 && (await breath.count()) === 0; s += 5) await page.clock.runFor(5000)
    const counted = async (): Promise<number> => Number(/\d+/.exec((await breath.textContent()) ?? '')?.[0])
    const first = await counted()
    await page.clock.runFor(6000)
    expect(await counted()).toBeGreaterThan(first)
  })
})
