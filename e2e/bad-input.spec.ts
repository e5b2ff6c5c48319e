import { expect, test } from '@playwright/test'
import { App } from './app'

let app: App
test.beforeAll(async () => {
  app = await App.start({ demo: true })
})
test.afterAll(() => app.end())

test.describe('a profile', () => {
  test.beforeEach(async ({ page }) => {
    await page.goto(`${app.address}/students`)
    await page.getByRole('link', { name: 'Tomas Reyle' }).click()
    await expect(page.getByRole('heading', { level: 1, name: 'Tomas Reyle' })).toBeVisible()
  })

  for (const [typed, sentence] of [
    ['17', '17 cm is outside 120 cm to 220 cm. Measure again?'],
    ['1680', '1680 cm is outside 120 cm to 220 cm. Measure again?'],
    ['tall', '“tall” is not a length'],
    [`5'13"`, '13 inches are more than a foot'],
  ] as const)
    test(`height ${typed}`, async ({ page }) => {
      const height = page.getByRole('textbox', { name: 'Height', exact: true })
      await height.fill(typed)
      await page.getByRole('button', { name: 'Save profile' }).click()
      await expect(page.getByText(sentence)).toBeVisible()
      await expect(height).toHaveValue(typed)
      await page.reload()
      await expect(height).toHaveValue('183 cm')
    })

  test('a name with a picture, one of 300 characters, a breath of no length, a hand as long as a leg', async ({
    page,
  }) => {
    const save = page.getByRole('button', { name: 'Save profile' })
    const name = page.getByRole('textbox', { name: 'Name', exact: true })
    await name.fill('Tomas 🤸')
    await save.click()
    await expect(page.getByText('has a sign in it that is no letter')).toBeVisible()
    await expect(name).toHaveValue('Tomas 🤸')
    await name.fill('x'.repeat(300))
    await save.click()
    await expect(page.getByText('A name may have 80 characters; this one has 300.')).toBeVisible()
    await name.fill('Tomas Reyle')
    await page.getByRole('textbox', { name: 'One breath, seconds' }).fill('-2')
    await save.click()
    await expect(page.getByText('-2 s is outside 2 to 12 s')).toBeVisible()
    await page.getByRole('textbox', { name: 'One breath, seconds' }).fill('5')
    await page.getByText('All lengths as a list').click()
    const hand = page.getByRole('textbox', { name: 'Hand, measured' })
    await hand.fill('90')
    // Said at once, and by the server where it is saved all the same.
    await expect(page.getByRole('alert').getByText('Which line did you use?')).toBeVisible()
    await save.click()
    await expect(page.getByText('Which line did you use?').nth(1)).toBeVisible()
    await expect(hand).toHaveValue('90')
    await hand.fill('a span')
    await save.click()
    await expect(page.getByText('“a span” is not a length').first()).toBeVisible()
    await expect(hand).toHaveValue('a span')
  })
})

test('a check: letters, negative seconds, nothing, a note of 300 characters', async ({ page }) => {
  await page.goto(`${app.address}/readiness`)
  await page.getByRole('link', { name: 'Maud Ferrier' }).click()
  const seconds = page.getByRole('textbox', { name: 'Seconds' })
  const save = page.getByRole('button', { name: 'Save result' })
  for (const [typed, sentence] of [
    ['', 'Type a result in s.'],
    ['a while', '“a while” is not a number.'],
    ['-5', '-5 s is outside 0 to 300 s'],
  ] as const) {
    await seconds.fill(typed)
    await save.click()
    await expect(page.getByText(sentence)).toBeVisible()
    await expect(seconds).toHaveValue(typed)
  }
  await seconds.fill('12')
  await page.getByRole('textbox', { name: 'Note' }).fill('n'.repeat(300))
  await save.click()
  await expect(page.getByText('A note may have 280 characters.')).toBeVisible()
  await expect(page.getByRole('row', { name: /Dolphin hold/ })).toHaveCount(0)
})

test('two presses on Save store one result; Save while the server is down keeps what was typed and stores it once later', async ({
  page,
}) => {
  await page.goto(`${app.address}/readiness?who=all`)
  await page.getByRole('link', { name: 'Ravi Ellender' }).click()
  await page.getByRole('textbox', { name: 'Seconds' }).fill('11')
  await page.getByRole('button', { name: 'Save result' }).dblclick()
  await expect(page.getByRole('row', { name: /Dolphin hold 11 s/ })).toHaveCount(1)

  await app.kill()
  await page.getByRole('textbox', { name: 'Seconds' }).fill('13')
  await page.getByRole('button', { name: 'Save result' }).click()
  await expect(page.getByText('The server did not answer. Nothing was stored')).toBeVisible()
  await expect(page.getByRole('textbox', { name: 'Seconds' })).toHaveValue('13')
  await app.up()
  await page.getByRole('button', { name: 'Save result' }).click()
  await expect(page.getByRole('row', { name: /Dolphin hold 13 s/ })).toHaveCount(1)
})

test('a list of names with a bad line adds nobody and says which line', async ({ page }) => {
  await page.goto(`${app.address}/students`)
  const names = page.getByRole('textbox', { name: 'Names, one on each line' })
  await names.fill('Nell Harrow\n🤸🤸')
  await page.getByRole('button', { name: 'Add these people' }).click()
  await expect(page.getByText('Line 2:')).toBeVisible()
  await expect(names).toHaveValue('Nell Harrow\n🤸🤸')
  await expect(page.getByRole('link', { name: 'Nell Harrow' })).toHaveCount(0)
  await names.fill('Nell Harrow\nTomas Reyle')
  await page.getByRole('button', { name: 'Add these people' }).dblclick()
  await expect(page.getByText('1 added, 1 already here.')).toBeVisible()
  await expect(page.getByRole('link', { name: 'Nell Harrow' })).toHaveCount(1)
})

test('a class with nobody, no minutes or no bay is refused with the form as it was', async ({ page }) => {
  await page.goto(`${app.address}/plans/new`)
  await page.getByRole('textbox', { name: 'Minutes' }).fill('-30')
  await page.getByRole('button', { name: 'Make the plan' }).click()
  await expect(page.getByText('-30 min is outside 20 to 120 min')).toBeVisible()
  await page.getByRole('textbox', { name: 'Minutes' }).fill('30')
  await page.getByRole('button', { name: 'Make the plan' }).click()
  await expect(page.getByText('Nobody is left to plan for: pick at least one person')).toBeVisible()
  await page.getByRole('checkbox', { name: 'Ines Calder' }).check()
  await page.getByRole('textbox', { name: 'Wall bays' }).fill('none')
  await page.getByRole('button', { name: 'Make the plan' }).click()
  await expect(page.getByText('None, or a number of bays.')).toBeVisible()
  await expect(page.getByRole('checkbox', { name: 'Ines Calder' })).toBeChecked()
})

test('a room of letters is refused; a setup says what it cannot do', async ({ page }) => {
  await page.goto(`${app.address}/studio`)
  const width = page.getByRole('textbox', { name: 'Room width' })
  await width.fill('wide')
  await width.press('Enter')
  await expect(page.getByText('“wide” is not a length')).toBeVisible()
  await expect(width).toHaveValue('wide')
  await page.goto(`${app.address}/setups`)
  await page.getByRole('textbox', { name: 'Height', exact: true }).fill('300')
  await expect(page.getByText('300 cm is outside 120 cm to 220 cm')).toBeVisible()
})
