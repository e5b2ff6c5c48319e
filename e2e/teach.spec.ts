import { expect, test, type Browser, type Page } from '@playwright/test'
import { App, allSent, listening, toBlock } from './app'
import { whole } from './paper'

let app: App
test.beforeAll(async () => {
  app = await App.start({ demo: true })
})
test.afterAll(() => app.end())

const NOW = new Date('2026-03-10T18:30:00Z')

async function atTeach(page: Page): Promise<string> {
  await page.goto(`${app.address}/plans`)
  await page.getByRole('link', { name: 'Tuesday upside down' }).first().click()
  await expect(page.getByRole('heading', { level: 1, name: 'Tuesday upside down' })).toBeVisible()
  const make = page.getByRole('button', { name: 'Make the plan' })
  if (await make.isVisible()) await make.click()
  await page.getByRole('link', { name: 'Take to class' }).click()
  await expect(page).toHaveURL(/\/teach\//)
  return new URL(page.url()).pathname
}

async function other(browser: Browser): Promise<Page> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  return context.newPage()
}

test('a class at accelerated time: six looks, pause, a minute more, late, a fault answered, arms spent, over', async ({
  page,
  browser,
}) => {
  test.setTimeout(180_000)
  await page.clock.install({ time: NOW })
  const path = await atTeach(page)
  const clock = page.getByRole('timer')
  const seconds = async (): Promise<number> => {
    const [m = 0, s = 0] = ((await clock.textContent()) ?? '').split(':').map(Number)
    return m * 60 + s
  }
  const board = await other(browser)
  await test.step('six looks at wall and props, kept over a reload', async () => {
    await page.getByRole('checkbox', { name: /^Wall: bare/ }).check()
    await expect(page.getByText('5 of 6 still to look at.')).toBeVisible()
    await page.reload({ waitUntil: 'commit' })
    await expect(page.getByRole('checkbox', { name: /^Wall: bare/ })).toBeChecked()
  })
  await test.step('the room’s display follows', async () => {
    await board.goto(app.address + path + '/board')
    await expect(board.getByText('Make yourselves at home.')).toBeVisible()
    await page.getByRole('button', { name: 'Start the class' }).click()
    await expect(board.getByRole('heading', { level: 2, name: 'Arrive' })).toBeVisible()
  })
  await test.step('ten simulated minutes lose no tenth of a second; a pause stands still', async () => {
    const before = await seconds()
    await page.clock.runFor(100_000)
    await expect.poll(async () => before - (await seconds())).toBeGreaterThanOrEqual(99)
    await page.getByRole('button', { name: 'Pause' }).click()
    await expect(page.getByText(/, paused/)).toBeVisible()
    // The clock is drawn once more after the press before it stands.
    await page.clock.runFor(2000)
    const stood = await seconds()
    await page.clock.runFor(60_000)
    expect(await seconds()).toBe(stood)
    await page.getByRole('button', { name: 'Go on' }).click()
    await page.getByRole('button', { name: 'A minute more' }).click()
    await expect.poll(seconds).toBeGreaterThan(stood + 50)
  })
  await test.step('late: what gives is said first, and one tap shortens it on every screen', async () => {
    await page.clock.runFor(14 * 60_000)
    await expect(page.getByText(/min late/)).toBeVisible()
    await expect(page.getByText(/To end in time: .*Strength/)).toBeVisible()
    await page.getByRole('button', { name: 'Shorten it so' }).click()
    await expect(page.getByText(/^Shortened: .*Strength/)).toBeVisible()
  })
  await test.step('a fault is answered there and then; arms spent ends tries and says what instead', async () => {
    await toBlock(page, 'Forearm stand, in turns')
    await expect(board.getByRole('heading', { level: 2, name: 'Forearm stand, in turns' })).toBeVisible()
    // In waves the board calls who is up; where the wall holds everybody there is nobody to call.
    await expect(board.getByRole('list', { name: 'What is done' })).toBeVisible()
    expect(await board.locator('#content').innerText()).not.toMatch(/Callum Strand|at most|No touch/)
    const person = page
      .getByRole('region')
      .filter({ has: page.getByRole('button', { name: /: clean, alone$/ }) })
      .first()
    const name = (await person.getAttribute('aria-label')) ?? ''
    await person
      .getByRole('group', { name: `Faults of ${name}` })
      .locator('label')
      .first()
      .click()
    await expect(person.getByText(/Say: |Lay /)).toBeVisible()
    await person.getByRole('button', { name: `${name}: stopped` }).click()
    await person.getByRole('button', { name: `${name}: arms spent` }).click()
    await expect(page.getByRole('region', { name: 'Meanwhile' })).toContainText(
      `${name}: no more tries tonight`,
    )
  })
  await test.step('drills are done at one tap for all, and undone for one', async () => {
    await toBlock(page, /^Strength/)
    // However many people are listed, these stay where the hand knows them.
    await page.evaluate(() => window.scrollTo(0, 0))
    for (const name of ['Pause', 'A minute more', /^Next: /, 'Emergency card'])
      await expect(page.getByRole('button', { name, exact: true })).toBeInViewport({ ratio: 1 })
    await page.getByRole('button', { name: /^All \d+ drills done$/ }).click()
    await expect(page.getByRole('button', { name: /: did it$/ })).toHaveCount(0)
    await page
      .getByRole('button', { name: /: undo the last tap$/ })
      .first()
      .click()
    await expect(page.getByRole('button', { name: /: did it$/ })).toHaveCount(1)
  })
  await test.step('the emergency card opens with the server away', async () => {
    await app.kill()
    await page.getByRole('button', { name: 'Emergency card' }).click()
    await expect(page.getByRole('region', { name: 'Emergency card' })).toContainText(
      /number|Nothing is on the card/i,
    )
    await app.up()
  })
  await test.step('over: against the plan, a word about each, and what each takes home', async () => {
    const title = page.getByRole('heading', { level: 2 }).first()
    for (let n = 0; n < 14; n += 1) {
      const end = page.getByRole('button', { name: 'End the class' })
      if (await end.isVisible()) break
      const shown = (await title.textContent()) ?? ''
      await page.getByRole('button', { name: /^Next: / }).click()
      await expect(title).not.toHaveText(shown)
    }
    await page.getByRole('button', { name: 'End the class' }).click()
    // The server was away: what was tapped meanwhile has to be there before anybody is told what they did.
    await allSent(page)
    await page.getByRole('link', { name: 'See what changed' }).click()
    await expect(page.getByRole('region', { name: 'Against the plan' })).toContainText(
      /min, planned|left out/,
    )
    const word = page.getByRole('region', { name: 'Ines Calder' }).last()
    await word.getByRole('button', { name: 'calm' }).click()
    await expect(word.getByRole('status')).toHaveText('calm')
    await page.getByRole('link', { name: 'To take home' }).click()
    await expect(page.getByRole('heading', { level: 2, name: 'Ines Calder' })).toBeVisible()
    await whole(page, 'Nothing upside down alone.')
  })
  await board.context().close()
})

test('a class taught from paper is copied in, and two screens of one class see each other’s taps', async ({
  page,
  browser,
}) => {
  test.setTimeout(120_000)
  await page.goto(`${app.address}/plans/new`)
  await page.getByRole('textbox', { name: 'Name of the class' }).fill('On paper')
  for (const name of ['Ines Calder', 'Wren Haskett', 'Tomas Reyle'])
    await page.getByRole('checkbox', { name }).check()
  await page.getByRole('button', { name: 'Make the plan' }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'On paper' })).toBeVisible()
  const id = new URL(page.url()).pathname.split('/').at(-1) ?? ''
  await page.goto(`${app.address}/teach/${id}/after`)
  await page.getByRole('link', { name: /taught from the sheet/ }).click()
  let taps = 0
  for (const name of ['Ines Calder', 'Wren Haskett', 'Tomas Reyle']) {
    const step = page
      .getByRole('region', { name })
      .getByRole('button', { name: /: clean, alone$/ })
      .first()
    for (let n = 0; n < 3; n += 1, taps += 1) await step.click()
  }
  await page
    .getByRole('region', { name: 'Wren Haskett' })
    .getByRole('button', { name: /take the last one back/ })
    .click()
  await page.reload()
  await page.getByRole('button', { name: 'Store 8 tries' }).click()
  // Three tries a person and one press: forty taps for ten people.
  expect(taps / 3).toBeLessThanOrEqual(4)
  await expect(page.getByRole('heading', { level: 1, name: 'What changed, and why?' })).toBeVisible()
  await expect(page.getByRole('region', { name: 'Ines Calder' }).last()).toContainText('3 tries, 3 clean')
  await expect(page.getByRole('region', { name: 'Wren Haskett' }).last()).toContainText('2 tries, 2 clean')
  await page.goto(`${app.address}/teach/${id}/recap`)
  await expect(page.getByRole('heading', { level: 2, name: 'Wren Haskett' })).toBeVisible()
  await whole(page, 'You did', 'Ines Calder', 'Nothing upside down alone.')

  const helper = await other(browser)
  const path = `/teach/${id}`
  await page.goto(`${app.address}/plans/new`)
  await page.getByRole('textbox', { name: 'Name of the class' }).fill('Two screens')
  for (const name of ['Ines Calder', 'Wren Haskett', 'Tomas Reyle'])
    await page.getByRole('checkbox', { name }).check()
  await page.getByRole('button', { name: 'Make the plan' }).click()
  await page.getByRole('link', { name: 'Take to class' }).click()
  await page.getByRole('button', { name: 'Start the class' }).click()
  await expect(page.getByRole('timer')).toBeVisible()
  const running = new URL(page.url()).pathname
  expect(running).not.toBe(path)
  await helper.goto(app.address + running)
  await toBlock(page, 'Forearm stand, everyone’s version')
  await expect(
    helper.getByRole('heading', { level: 2, name: 'Forearm stand, everyone’s version' }),
  ).toBeVisible()
  const there = helper.getByRole('region', { name: 'Ines Calder' })
  await there.getByRole('button', { name: 'Ines Calder: clean' }).click()
  await expect(page.getByRole('region', { name: 'Ines Calder' }).getByRole('status').first()).toHaveText(
    '1 try: clean',
  )
  await helper.context().close()
})

test('a window that plays a second tablet has a log of its own, and both meet as two devices do', async ({
  page,
}) => {
  await page.goto(`${app.address}/plans/new`)
  await listening(page)
  await page.getByRole('textbox', { name: 'Name of the class' }).fill('Two tablets')
  for (const name of ['Ines Calder', 'Wren Haskett', 'Tomas Reyle'])
    await page.getByRole('checkbox', { name }).check()
  await page.getByRole('button', { name: 'Make the plan' }).click()
  await page.getByRole('link', { name: 'Take to class' }).click()
  const opened = page.waitForEvent('popup')
  await page.getByRole('link', { name: /^Try it with a second tablet/ }).click()
  const second = await opened
  await expect(second.getByText('This window plays tablet 2')).toBeVisible()
  await page.getByRole('button', { name: 'Start the class' }).click()
  await toBlock(page, 'Forearm stand, everyone’s version')
  const clean = (on: Page, name: string) => on.getByRole('button', { name: `${name}: clean` })
  const told = (on: Page, name: string) => on.getByRole('region', { name }).getByRole('status').first()
  await expect(clean(second, 'Ines Calder')).toBeVisible()
  // The one that is out of reach goes on; what the other taps meanwhile stays where it is.
  await second.context().setOffline(true)
  await clean(second, 'Ines Calder').click()
  await expect(told(second, 'Ines Calder')).toHaveText('1 try: clean')
  await expect(second.getByText(/kept on this device/)).toBeVisible()
  await allSent(page)
  await second.context().setOffline(false)
  await clean(page, 'Wren Haskett').click()
  for (const on of [page, second])
    for (const name of ['Ines Calder', 'Wren Haskett'])
      await expect(told(on, name)).toHaveText('1 try: clean', { timeout: 30_000 })
  await second.close()
})

test('a clean kick of which neither leg nor height was said shows neither, and a double press is one try', async ({
  page,
}) => {
  test.setTimeout(120_000)
  const own = await App.start({ demo: true })
  await page.clock.install({ time: NOW })
  await page.goto(own.address)
  await page.getByRole('link', { name: 'Plan this class' }).click()
  await page.getByRole('button', { name: /Make the plan/ }).click()
  await page.getByRole('link', { name: 'Take to class' }).click()
  await page.getByRole('button', { name: 'Start the class' }).click()
  await toBlock(page, 'Forearm stand, in turns')
  // Whoever kicks first in the turns: waves go by until a leg is asked for.
  const leg = page.getByRole('radiogroup', { name: /^Which leg of .* leads$/ }).first()
  for (let n = 0; n < 40 && !(await leg.isVisible()); n += 1) await page.clock.runFor(15_000)
  const name = /^Which leg of (.*) leads$/.exec((await leg.getAttribute('aria-label')) ?? '')?.[1] ?? ''
  const strip = page.getByRole('region', { name })
  const clean = strip.getByRole('button', { name: `${name}: clean, alone` })
  // Nothing is picked before somebody picks it.
  await expect(strip.getByRole('radio').first()).toBeAttached()
  await expect(strip.getByRole('radio', { checked: true })).toHaveCount(0)
  const sent = page.waitForResponse(
    (answer) => answer.url().endsWith('/facts') && (answer.request().postData() ?? '').includes('"attempt"'),
  )
  // A finger that bounces has seen one try.
  await clean.dblclick()
  await expect(strip).toContainText('1 try: clean')
  const { facts } = (await sent).request().postDataJSON() as { facts: { kind: string }[] }
  expect(facts.filter((f) => f.kind === 'attempt')).toEqual([
    expect.objectContaining({ level: 'not-said', lead: null, help: 'alone', seconds: null }),
  ])
  await page.goto(`${own.address}/readiness?who=all`)
  await page.getByRole('link', { name }).first().click()
  // The try counts as clean work; it shows no height with either leg, and what was shown before stands as it stood.
  await expect(page.getByText(/clean on 10 Mar 2026/).first()).toBeAttached()
  await expect(page.getByRole('row', { name: /10 Mar 2026 Kick height/ })).toHaveCount(0)
  const height = page.getByRole('listitem').filter({ hasText: 'Kick height at least level 2 each side' })
  await expect(height.first()).toContainText('3 Mar 2026')
  await own.end()
})
