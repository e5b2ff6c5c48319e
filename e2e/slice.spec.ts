import { expect, test, type Page } from '@playwright/test'
import { App, allSent, toBlock } from './app'
import { printed, whole } from './paper'

const NAMES = [
  'Ines Calder',
  'Tomas Reyle',
  'Wren Haskett',
  'Odile Voss',
  'Bertram Oake',
  'Sunniva Lund',
  'Priya Dunmore',
  'Callum Strand',
  'Maud Ferrier',
  'Jonty Abara',
  'Ysolde Pike',
  'Hamish Tolland',
]

let app: App
test.beforeAll(async () => {
  app = await App.start({ demo: false })
})
test.afterAll(() => app.end())

async function openPerson(page: Page, name: string): Promise<void> {
  await page.goto(`${app.address}/readiness`)
  await page.getByRole('link', { name }).click()
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible()
}

async function place(page: Page, name: string, stage: string): Promise<void> {
  await openPerson(page, name)
  await page.getByRole('combobox', { name: 'Place by eye' }).click()
  await page.getByRole('option', { name: stage, exact: true }).click()
  await page.getByRole('button', { name: 'Place here' }).click()
  await expect(page.getByRole('button', { name: 'Take the placing back' })).toBeVisible()
}

test('from pasted names to a taught class and what it changed, over a killed server', async ({ page }) => {
  test.setTimeout(180_000)
  await test.step('an empty studio starts with names, wall and blocks', async () => {
    await page.goto(app.address)
    await expect(page.getByRole('heading', { level: 1, name: 'Who is coming?' })).toBeVisible()
    await page.getByRole('textbox', { name: 'Names, one on each line' }).fill(NAMES.join('\n'))
    await page.getByRole('button', { name: 'Add these people' }).click()
    await expect(page.getByText('12 people are here.')).toBeVisible()
    await page.getByRole('textbox', { name: 'Clear wall' }).fill('7.2 m')
    await page.getByRole('textbox', { name: 'Blocks' }).fill('12')
    await page.getByRole('textbox', { name: 'Straps' }).fill('6')
    await page.getByRole('button', { name: 'Save the room' }).click()
    await expect(page.getByRole('heading', { level: 1, name: 'Nothing booked' })).toBeVisible()
  })

  await test.step('a profile: height in feet and inches, one measured length, breath by tapping', async () => {
    await page.goto(`${app.address}/students`)
    await page.getByRole('link', { name: 'Ines Calder' }).click()
    await page.getByRole('textbox', { name: 'Height', exact: true }).fill(`5'6"`)
    // Its number is its own: nothing of the forearm’s lies over it.
    await page
      .getByRole('button', { name: /^Upper arm .*estimated/ })
      .locator('text')
      .click()
    await page.getByRole('textbox', { name: 'Upper arm, by tape' }).fill('30.5')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('button', { name: /^Upper arm 30.5 cm, measured/ })).toBeFocused()
    await page.getByRole('button', { name: 'Time five breaths' }).click()
    for (let i = 0; i < 5; i += 1) {
      await page.waitForTimeout(500)
      await page.getByRole('button', { name: 'Tap at each in-breath' }).click()
    }
    await expect(page.getByRole('textbox', { name: 'One breath, seconds' })).not.toHaveValue('5')
    await page.getByRole('textbox', { name: 'One breath, seconds' }).fill('4')
    await page.getByRole('button', { name: 'Save profile' }).click()
    await expect(page.getByText('Saved.')).toBeVisible()
    await page.reload()
    await expect(page.getByRole('textbox', { name: 'Height', exact: true })).toHaveValue('167.5 cm')
    await expect(page.getByRole('button', { name: /^Upper arm 30.5 cm, measured/ })).toBeVisible()
  })

  await test.step('a dolphin hold by stopwatch, and a correction of it', async () => {
    await openPerson(page, 'Ines Calder')
    await page.getByRole('button', { name: 'Start the stopwatch' }).click()
    await page.waitForTimeout(1200)
    await page.keyboard.press('Escape')
    await page.getByRole('button', { name: 'Stop the stopwatch' }).click()
    await expect(page.getByRole('textbox', { name: 'Seconds' })).not.toHaveValue('')
    await page.getByRole('textbox', { name: 'Seconds' }).fill('20')
    await page.getByRole('checkbox', { name: 'Elbows stayed in' }).uncheck()
    await page.getByRole('textbox', { name: 'Note' }).fill('left elbow first')
    await page.getByRole('button', { name: 'Save result' }).click()
    await expect(page.getByRole('row', { name: /Dolphin hold 20 s/ })).toContainText('left elbow first')
    await page.getByRole('button', { name: /^Correct Dolphin hold/ }).click()
    await page.getByRole('textbox', { name: 'Seconds' }).fill('34')
    await page.getByRole('button', { name: 'Save the correction' }).click()
    await expect(page.getByRole('row', { name: /Dolphin hold 34 s \(corrected\)/ })).toBeVisible()
    await expect(page.getByRole('row', { name: /20 s/ })).toHaveCount(0)
  })

  await test.step('other checks come from their data: sides, yes and no', async () => {
    await page.getByRole('combobox', { name: 'Check' }).click()
    await page.getByRole('option', { name: 'Leg lift in dolphin without sinking' }).click()
    await page.getByRole('textbox', { name: 'Left, s' }).fill('9')
    await page.getByRole('textbox', { name: 'Right, s' }).fill('8,5')
    await page.getByRole('button', { name: 'Save result' }).click()
    await expect(page.getByRole('row', { name: /left 9 s, right 8.5 s/ })).toBeVisible()
    await page.getByRole('combobox', { name: 'Check' }).click()
    await page.getByRole('option', { name: 'Finds a neutral, braced pelvis' }).click()
    await page.getByRole('combobox', { name: 'Result' }).click()
    await page.getByRole('option', { name: 'Yes' }).click()
    await page.getByRole('button', { name: 'Save result' }).click()
    await expect(page.getByRole('row', { name: /braced pelvis yes/ })).toBeVisible()
  })

  await test.step('placement, decision and its reasons', async () => {
    await place(page, 'Ines Calder', 'Dolphin, one leg lifted')
    const decision = page.getByRole('region', { name: 'Decision' })
    await expect(decision).toContainText('Offer')
    await expect(decision).toContainText('Lifted-leg rock')
    await expect(decision).toContainText('8.5 s, 10 Mar 2026')
    await place(page, 'Tomas Reyle', 'Dolphin with hand block')
    await place(page, 'Wren Haskett', 'Lifted-leg rock')
    await openPerson(page, 'Wren Haskett')
    await expect(page.getByRole('region', { name: 'Decision' })).toContainText(
      'The health questions are not answered yet',
    )
  })

  await test.step('the setup is solved for this body and follows the handle', async () => {
    await openPerson(page, 'Ines Calder')
    await page.getByRole('link', { name: /: measure it$/ }).click()
    await page.getByRole('combobox', { name: 'Setup' }).click()
    await page.getByRole('option', { name: 'Kick-up at the wall with hand block' }).click()
    const list = page.getByRole('list').filter({ hasText: 'Far face of the block' })
    await expect(list).toContainText('Far face of the block 10 cm from the wall.')
    const handle = page.getByRole('slider', { name: 'Block to wall' }).first()
    await handle.focus()
    for (let i = 0; i < 4; i += 1) await page.keyboard.press('ArrowRight')
    await expect(list).toContainText('Far face of the block 12 cm from the wall.')
    await expect(handle).toHaveAttribute('aria-valuetext', '12 cm')
    await expect(page.getByText(/Lean \d+°, no arch/)).toBeVisible()
  })

  await test.step('a class of four on two bays gets a plan', async () => {
    await page.goto(`${app.address}/plans/new`)
    for (const name of NAMES.slice(0, 4)) await page.getByRole('checkbox', { name }).check()
    await page.getByRole('textbox', { name: 'Name of the class' }).fill('First evening')
    await page.getByRole('button', { name: 'Make the plan' }).click()
    await expect(page.getByRole('heading', { level: 1, name: 'First evening' })).toBeVisible()
    for (const title of [
      'Warm up for what comes',
      'Forearm stand, everyone’s version',
      'Forearm stand, in turns',
      'Counterposes',
      'Rest',
    ])
      await expect(page.getByRole('region', { name: title })).toBeVisible()
    await expect(page.getByRole('region', { name: 'Forearm stand, everyone’s version' })).toContainText(
      /Dolphin, one leg lifted|Lifted-leg rock/,
    )
  })

  await test.step('a version above what is recorded wants a reason and is named', async () => {
    await page.getByRole('button', { name: 'Change versions: Forearm stand, in turns' }).click()
    await page.getByRole('combobox', { name: 'Wren Haskett' }).click()
    await page.getByRole('option', { name: /Dolphin hops/ }).click()
    await page
      .getByRole('group', { name: 'Why Wren Haskett may do this' })
      .getByRole('button', { name: 'Spotter beside' })
      .click()
    await expect(
      page.getByText('Wren Haskett: Dolphin hops is your call, above what is recorded.').first(),
    ).toBeVisible()
  })

  await test.step('the sheet prints on two pages with the numbers that place the hands', async () => {
    await page.getByRole('link', { name: 'Printed sheet' }).click()
    await expect(page.getByRole('row', { name: /Ines Calder .*Elbow to elbow/ })).toBeVisible()
    await whole(page, 'Elbow to elbow')
    expect((await printed(page, 'A4')).sheets).toBe(2)
    await page.goBack()
  })

  await test.step('taught: one timer, whose turn, taps, one taken back', async () => {
    await page.getByRole('link', { name: 'Take to class' }).click()
    await page.getByRole('button', { name: 'Start the class' }).click()
    await expect(page.getByRole('timer')).toBeVisible()
    await toBlock(page, 'Forearm stand, everyone’s version')
    await page.getByRole('button', { name: 'Ines Calder: clean' }).click()
    await expect(page.getByRole('region', { name: 'Ines Calder' })).toContainText('1 try: clean')
    await page.getByRole('button', { name: 'Tomas Reyle: clean' }).click()
    await page.getByRole('button', { name: 'Tomas Reyle: undo the last tap' }).click()
    await page.getByRole('region', { name: 'Tomas Reyle' }).getByText('Elbows slide apart').click()
    await page.getByRole('button', { name: 'Tomas Reyle: not yet' }).click()
    await toBlock(page, 'Forearm stand, in turns')
    await expect(page.getByText(/^Fetch and build|^Up now/)).toBeVisible()
    const first = page.getByRole('button', { name: /: clean, alone$/ }).first()
    await first.click()
  })

  await test.step('the server is killed in the middle; taps wait on the device and nothing is lost', async () => {
    await app.kill()
    await page
      .getByRole('button', { name: /: not yet$/ })
      .first()
      .click()
    await expect(page.getByText(/kept on this device/)).toBeVisible()
    await app.up()
    await allSent(page)
    await page.reload()
    await expect(page.getByText(/^Fetch and build|^Up now|^Change over/)).toBeVisible()
    await toBlock(page, 'Close')
    await page.getByRole('button', { name: 'End the class' }).click()
    await page.getByRole('link', { name: 'See what changed' }).click()
  })

  await test.step('what changed stands with its reasons, also after another restart', async () => {
    await expect(page.getByRole('heading', { level: 1, name: 'What changed, and why?' })).toBeVisible()
    await expect(page.getByRole('region', { name: 'Ines Calder' }).first()).toContainText(
      /Stands at .*, clean on 10 Mar 2026\./,
    )
    await app.kill()
    await app.up()
    await page.goto(`${app.address}/progress`)
    await page.getByRole('link', { name: /First evening/ }).click()
    await expect(page.getByRole('region', { name: 'Ines Calder' }).first()).toContainText('Dolphin hops')
    await page.goto(`${app.address}/students`)
    for (const name of NAMES) await expect(page.getByRole('link', { name })).toBeVisible()
  })
})
