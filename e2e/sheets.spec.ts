import { expect, test } from '@playwright/test'
import { Secret, TOTP } from 'otpauth'
import { App, listening } from './app'
import { whole } from './paper'

// Sheets that no other journey passes: each on A4 and Letter, with nothing cut and nothing of the page round it.
let app: App
test.beforeAll(async () => {
  app = await App.start({ demo: true })
})
test.afterAll(() => app.end())

const SHEETS: readonly [address: string, heading: string, has: string][] = [
  ['/library/DR-dolphin-hold', 'Dolphin hold', 'How much'],
  ['/library/FS-10a', 'Kick to the wall with hand block', 'Step down'],
  ['/students/card', 'What should be known?', 'none of it applies to me'],
  ['/studio/emergency', 'What if something happens?', 'In an emergency'],
]

for (const [address, heading, has] of SHEETS)
  test(`${heading}: whole on both papers`, async ({ page }) => {
    await page.goto(app.address + address)
    await expect(page.getByRole('heading', { level: 1, name: heading })).toBeVisible()
    await whole(page, has)
  })

test('the key of the health notes: alone on both papers, and only while the notes are open', async ({
  page,
}) => {
  await page.goto(`${app.address}/studio/house`)
  await listening(page)
  await expect(page.getByLabel('Recovery code')).toHaveCount(0)
  await page.getByRole('button', { name: 'Open the health notes' }).click()
  const code = (await page.getByLabel('Recovery code').textContent()) ?? ''
  expect(code.replace(/[^0-9A-Za-z]/g, '').length).toBeGreaterThan(20)
  await whole(page, code, 'Without its key nobody can read the notes again')
  // What else stands on that page is set there, and is nobody's to carry round.
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByText('Not done in this room')).toBeHidden()
  await expect(page.getByRole('heading', { name: 'A word for the health notes' })).toBeHidden()
})

test('codes for the day on which the telephone is lost: told once, whole on both papers', async ({
  page,
}) => {
  await page.goto(`${app.address}/studio/access`)
  await listening(page)
  const account = page.getByRole('form', { name: 'The owner’s account' })
  await account.getByLabel('Name', { exact: true }).fill('Mina')
  await account.getByLabel('Sign-in name', { exact: true }).fill('mina')
  await account.getByLabel('Password to begin with').fill('seven plovers')
  await account.getByRole('button', { name: 'Make the owner’s account' }).click()
  await page.getByRole('link', { name: 'Signed in as Mina' }).click()
  const card = page.getByRole('region', { name: 'Second factor' })
  await card.getByRole('button', { name: 'Set one up' }).click()
  await expect(card.getByRole('img', { name: /seed as a square/ })).toBeVisible()
  const seed = /(?:[A-Z2-7]{4} ){4,}[A-Z2-7]*/.exec(await card.innerText())?.[0].replaceAll(' ', '') ?? ''
  const shows = new TOTP({ secret: Secret.fromBase32(seed) })
  // The studio's clock stands still in this world.
  const digits = shows.generate({ timestamp: Date.parse('2026-03-10T17:00:00Z') })
  await card.getByLabel('Six digits').fill(digits === '000000' ? '111111' : '000000')
  await card.getByRole('button', { name: 'It shows these' }).click()
  await expect(
    card
      .getByRole('alert')
      .or(card.getByText(/not|other/i))
      .first(),
  ).toBeVisible()
  await card.getByLabel('Six digits').fill(digits)
  await card.getByRole('button', { name: 'It shows these' }).click()
  const codes = card.getByRole('list', { name: 'Codes to print' }).getByRole('listitem')
  await expect(codes.first()).toBeVisible()
  const all = await codes.allTextContents()
  expect(new Set(all).size).toBeGreaterThanOrEqual(8)
  await whole(page, ...all)
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByRole('form', { name: 'Password' })).toBeHidden()
  await page.reload()
  await expect(page.getByText('It is set.', { exact: false })).toBeVisible()
  for (const code of all) await expect(page.getByText(code)).toHaveCount(0)
})
