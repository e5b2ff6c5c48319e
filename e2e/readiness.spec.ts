import { expect, test, type Locator, type Page } from '@playwright/test'
import { App } from './app'
import { printed, whole } from './paper'

let app: App
test.beforeAll(async () => {
  app = await App.start({ demo: true })
})
test.afterAll(() => app.end())

const recorded = (page: Page, n: number) =>
  expect(page.getByText(new RegExp(`^${n} of 10 recorded(?! ·)`))).toBeVisible()

/** One hand after another, each once the one before is down: the next button is another lane’s. */
async function handsUp(page: Page, counts: readonly number[]): Promise<void> {
  for (const n of counts) {
    await page.getByRole('button', { name: 'Hand up' }).first().click()
    await recorded(page, n)
  }
}

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
  const last = page.getByRole('button', { name: 'Hand up' }).last()
  const height = () =>
    last.evaluate((button) => Math.round(button.getBoundingClientRect().top + window.scrollY))
  const before = await height()
  await handsUp(page, [1, 2, 3])
  // While others still hold, no button moves under the next finger.
  expect(await height()).toBe(before)
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
  await handsUp(page, [5, 6, 7, 8, 9])
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
    /at this rate|are needed before a forecast|flat for|on the last days/,
  )
  await expect(page.getByRole('region', { name: 'Next steps' })).toContainText(/About \d+ min\./)
  await page.getByRole('navigation', { name: 'Families' }).getByRole('link', { name: /Crow/ }).click()
  await expect(page.getByRole('region', { name: 'Decision' })).toContainText(/Crow|Crane|squat/)
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

const openRound = async (page: Page): Promise<void> => {
  await page.goto(`${app.address}/readiness`)
  await page.getByRole('link', { name: /Check round/ }).click()
  await expect(page.getByText('Half 1 of 2')).toBeVisible()
}

/** Tab until something has the focus. */
async function tabTo(page: Page, target: Locator): Promise<void> {
  for (let i = 0; i < 120; i += 1) {
    if (await target.evaluate((el) => el === document.activeElement)) return
    await page.keyboard.press('Tab')
  }
  throw new Error('Tab never got there')
}

test('a round by keyboard alone: the check chosen, two half-rounds, a fault, an aid, one undone', async ({
  page,
}) => {
  await openRound(page)
  const pick = page.getByRole('group', { name: 'Suggested checks' }).getByRole('button').first()
  const ready = page.getByText('Ready rounds')
  await tabTo(page, ready)
  await page.keyboard.press('Enter')
  const hold = page
    .getByRole('group', { name: 'Hand round' })
    .getByRole('button', { name: /^Short down dog/ })
  await tabTo(page, hold)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { level: 2, name: /^Short down dog/ })).toBeVisible()
  await expect(pick).toHaveAttribute('aria-pressed', 'false')
  // On a button the space bar presses that button and nothing else.
  await tabTo(page, page.getByRole('button', { name: 'Start everybody' }))
  await page.keyboard.press('Space')
  await expect(page.getByRole('button', { name: 'End the hold' })).toBeVisible()
  for (const lane of ['1', '2', '3', '4', '5']) await page.keyboard.press(lane)
  await recorded(page, 5)
  await page.keyboard.press('Space')
  await expect(page.getByRole('button', { name: 'Start everybody' })).toBeVisible()
  const lanes = page.getByRole('region').filter({ has: page.getByRole('button', { name: 'Undo' }) })
  const chip = lanes.nth(0).getByRole('checkbox').first()
  await tabTo(page, chip)
  await page.keyboard.press('Space')
  await expect(chip).toBeChecked()
  await tabTo(page, lanes.nth(0).getByText('Helped, or arms spent?'))
  await page.keyboard.press('Enter')
  await tabTo(page, lanes.nth(0).getByRole('checkbox', { name: 'Block' }))
  await page.keyboard.press('Space')
  await expect(lanes.nth(0).getByText('Noted: block')).toBeVisible()
  await tabTo(page, lanes.nth(4).getByRole('button', { name: 'Undo' }))
  await page.keyboard.press('Enter')
  await recorded(page, 4)
  await page.keyboard.press('s')
  await expect(page.getByText('Half 2 of 2')).toBeVisible()
  await tabTo(page, page.getByRole('button', { name: 'Start everybody' }))
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: 'End the hold' })).toBeVisible()
  for (const lane of ['1', '2', '3', '4', '5']) await page.keyboard.press(lane)
  await recorded(page, 9)
})

test('sides, body units and levels, each in its own way; who records is asked once', async ({ page }) => {
  await page.setViewportSize({ width: 820, height: 1180 })
  await openRound(page)
  await page.getByRole('combobox', { name: 'Who records on this device?' }).fill('Bram Teale')
  await page.keyboard.press('Tab')
  await expect(page.getByText('Bram Teale records on this device.')).toBeVisible()
  await page.getByText('Ready rounds').click()
  const pick = (round: string, check: RegExp) =>
    page.getByRole('group', { name: round }).getByRole('button', { name: check }).click()
  const ines = page.getByRole('region', { name: 'Ines Calder' })

  await pick('Forearm round', /^Leg lift in dolphin/)
  await page.getByRole('button', { name: 'Start everybody' }).click()
  await ines.getByRole('button', { name: 'Hand up' }).click()
  await expect(ines.getByRole('button', { name: /^left \d/ })).toBeDisabled()
  await page.getByText('Right', { exact: true }).click()
  await expect(ines.getByRole('note')).toContainText(/^left \d.*the other side makes it whole/)
  await page.getByRole('button', { name: 'Start everybody' }).click()
  await ines.getByRole('button', { name: 'Hand up' }).click()
  await expect(ines).toContainText(/left [\d.]+ s, right [\d.]+ s/)

  await pick('Shoulder map', /^Elbows overhead, bent/)
  await expect(ines).toContainText('One of Ines’s fists is about 8.4 cm')
  await ines.getByRole('textbox', { name: 'left, fists' }).fill('2')
  await ines.getByRole('textbox', { name: 'right, fists' }).fill('17 cm')
  await ines.getByRole('button', { name: 'Keep' }).click()
  await recorded(page, 1)
  await page.reload()
  await expect(page.getByText('Bram Teale records on this device.')).toBeVisible()
  await recorded(page, 1)
  await page.getByRole('link', { name: 'Everybody’s readiness' }).click()
  await page.getByRole('link', { name: 'Ines Calder' }).click()
  await expect(
    page.getByRole('row', { name: /Elbows overhead, bent left 2 fists, right 2 fists/ }),
  ).toContainText('by Bram Teale')
})

test('a printed check card is one page, and is copied in by the row with what cannot be read named', async ({
  page,
}) => {
  await openRound(page)
  const round = page.url()
  await page.goto(`${round}/card?checks=CK-dolphin-hold,CK-leg-lift-forearm,CK-pelvic-set`)
  await expect(page.getByRole('heading', { level: 1, name: 'Check card' })).toBeVisible()
  await whole(page, 'Ines Calder')
  expect((await printed(page, 'A4')).sheets).toBe(1)
  await page.getByRole('link', { name: 'Copy it in' }).click()
  const cell = (name: string, check: string) => page.getByRole('textbox', { name: `${name}, ${check}` })
  await cell('Ines Calder', 'Dolphin hold').focus()
  for (const text of ['61', '30/28', 'y']) {
    await page.keyboard.type(text)
    await page.keyboard.press('Tab')
  }
  await cell('Jonty Abara', 'Dolphin hold').fill('40 b')
  await cell('Jonty Abara', 'Leg lift in dolphin without sinking').fill('7')
  await page.keyboard.press('Enter')
  await expect(page.getByText('Both sides, please: left/right, such as 6/5.')).toBeVisible()
  await expect(cell('Ines Calder', 'Leg lift in dolphin without sinking')).toHaveValue('30/28')
  await cell('Jonty Abara', 'Leg lift in dolphin without sinking').fill('7/6')
  await page.getByRole('button', { name: 'Store 5 results' }).click()
  await expect(page.getByText('5 results stored.')).toBeVisible()
  await page.getByRole('link', { name: 'Jonty Abara' }).click()
  await expect(page.getByRole('row', { name: /Dolphin hold 40 s/ })).toContainText(
    'did not count: a fault was marked that voids it',
  )
})
