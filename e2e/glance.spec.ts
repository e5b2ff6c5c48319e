import { expect, test } from '@playwright/test'
import { App } from './app'

let app: App
test.beforeAll(async () => {
  app = await App.start({ demo: true })
})
test.afterAll(() => app.end())

test('each screen tells its question, the answer and the next thing to do', async ({ page }) => {
  await test.step('Today', async () => {
    await page.goto(app.address)
    await expect(page.getByRole('heading', { level: 1, name: 'Tuesday upside down' })).toBeVisible()
    // Minutes stand here once a plan is kept, and not before.
    await expect(page.getByText('No plan is kept for this class yet.')).toBeVisible()
    await expect(page.getByRole('link', { name: /^The plan: arrive \d+ min/ })).toHaveCount(0)
    const settle = page.getByRole('region', { name: 'To settle first' })
    await expect(settle.getByRole('link')).toHaveCount(3)
    await settle.getByRole('link', { name: /^Ask now:/ }).click()
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Ines Calder')
  })
  await test.step('Readiness: tonight’s people, everybody on request, and why', async () => {
    await page.goto(`${app.address}/readiness`)
    await expect(page.getByRole('heading', { level: 1, name: 'Who is ready for what?' })).toBeVisible()
    const rows = page.getByRole('row')
    await expect(rows).toHaveCount(11)
    await expect(
      page.getByRole('link', { name: 'Once more: Kick to the wall with hand block' }),
    ).toBeVisible()
    await page.getByRole('button', { name: 'What is still missing for Ines Calder' }).click()
    await expect(page.getByRole('listitem').filter({ hasText: 'Forearm stand:' })).toContainText(
      'Dolphin hold',
    )
    await page.getByRole('link', { name: /^Everybody \(21\)/ }).click()
    // Everybody, the head, and the line that was opened and stays open.
    await expect(rows).toHaveCount(23)
    await page.getByText('What the marks mean').click()
    await expect(page.getByText('Within reach of what is asked.')).toBeVisible()
  })
  await test.step('a person: the path, what is asked, any step beside it', async () => {
    await page.getByRole('link', { name: 'Greta Sommerby', exact: true }).click()
    const path = page.getByRole('navigation', { name: 'The ladder, step by step' })
    await expect(path.getByRole('link', { name: 'Dolphin hops: stands here' })).toBeVisible()
    await expect(
      path.getByRole('link', { name: 'Kick to the wall with hand block: comes next' }),
    ).toBeVisible()
    const answer = page.getByRole('region', { name: 'Decision' })
    await expect(answer.getByRole('img', { name: 'Kick to the wall with hand block' })).toBeVisible()
    await expect(answer.getByRole('list', { name: 'What is asked' })).toContainText(/would do/)
    await expect(answer).toContainText('Way out')
    await path.getByRole('link', { name: 'Lifted-leg rock: held' }).click()
    await expect(page.getByRole('region', { name: 'Step', exact: true })).toContainText('Lifted-leg rock')
    await page.getByRole('link', { name: 'Back to what comes next' }).click()
    await expect(answer).toBeVisible()
    await page.getByRole('region', { name: 'Next steps' }).getByRole('link').first().click()
    await expect(page.getByRole('term').filter({ hasText: 'How much' })).toBeVisible()
  })
  await test.step('Students: what was worked out', async () => {
    await page.goto(`${app.address}/students`)
    await expect(page.getByRole('row', { name: /Greta Sommerby/ })).toContainText(/Near.*Kick, hand block/)
    await expect(page.getByRole('row', { name: /Bertram Oake/ })).toContainText('Headstand')
  })
})

test('what somebody vaguely remembers is found, read, and followed both ways', async ({ page }) => {
  await page.goto(`${app.address}/library`)
  await page.getByRole('textbox', { name: 'Look something up' }).fill('elbows slide appart')
  await page.getByRole('button', { name: 'Look' }).click()
  await page.getByRole('link', { name: /^Elbows slide apart/ }).click()
  await expect(page.getByRole('definition').filter({ hasText: 'Forearms open into a wedge' })).toBeVisible()
  await page
    .getByRole('region', { name: 'Drills that mend it' })
    .getByRole('link', { name: 'Dolphin hold' })
    .click()
  await expect(page.getByRole('heading', { level: 1, name: 'Dolphin hold' })).toBeVisible()
  await expect(
    page.getByRole('region', { name: 'Good for' }).getByRole('link', { name: 'Elbows slide apart' }),
  ).toBeVisible()
  await page.getByRole('button', { name: 'Run it' }).click()
  const running = page.getByRole('group', { name: 'Running' })
  await expect(running).toContainText('Set 1: hold')
  await expect(running.getByRole('timer')).not.toHaveText('0:00')
  await running.getByRole('button', { name: 'Next' }).click()
  await expect(running).toContainText(/Rest|Set/)
  await running.getByRole('button', { name: 'Stop' }).click()
  await expect(page.getByText('Done. Rest a moment.')).toBeVisible()
  await page.getByRole('region', { name: 'Setups' }).getByRole('link').first().click()
  await page.getByRole('link', { name: 'Measure it on a body' }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'Where do the hands go?' })).toBeVisible()
  await page.goto(`${app.address}/library?family=HD`)
  await page.getByRole('link', { name: 'What each step carries' }).click()
  await expect(page.getByText(/on a body of 168 cm/)).toBeVisible()
  const onHead = page.getByRole('list', { name: 'Progression' }).getByRole('link', { name: /crown \d+ %/i })
  expect(await onHead.count()).toBeGreaterThan(5)
  await page.goto(`${app.address}/library?q=zzzzqq`)
  await expect(page.getByText('Try another word for it, or fewer words.')).toBeVisible()
})

test('a whole list is placed by eye, heights down a column; a wrong one is said and loses nothing', async ({
  page,
}) => {
  await page.goto(`${app.address}/readiness`)
  await page.getByRole('link', { name: 'Place by eye' }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'Where does each one stand?' })).toBeVisible()
  const everybody = page.getByRole('link', { name: /^Everybody \(21\)/ })
  await everybody.click()
  await expect(everybody).toHaveAttribute('aria-current', 'page')
  await page.getByRole('navigation', { name: 'Families' }).getByRole('link', { name: 'Handstand' }).click()
  await page.getByRole('radio', { name: 'Ravi Ellender: Short dog, wall' }).check()
  await page.getByRole('radio', { name: 'Wren Haskett: Hand base' }).check()
  const height = page.getByRole('textbox', { name: 'Height of Ravi Ellender' })
  await height.fill('17')
  await height.press('Tab')
  await expect(page.getByText(/outside 120 cm to 220 cm/)).toBeVisible()
  await expect(height).toHaveValue('17')
  await height.fill('171')
  await height.press('Tab')
  await expect(page.getByText(/outside 120 cm to 220 cm/)).toHaveCount(0)
  await page.reload()
  await expect(height).toHaveValue('171 cm')
  await page.goto(`${app.address}/readiness?who=all`)
  await page.getByRole('link', { name: 'Ravi Ellender', exact: true }).click()
  await page
    .getByRole('navigation', { name: 'Families' })
    .getByRole('link', { name: /Handstand/ })
    .click()
  await expect(page.getByRole('link', { name: 'Short down dog at the wall: stands here' })).toBeVisible()
})
