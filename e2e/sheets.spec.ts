import { expect, test } from '@playwright/test'
import { App } from './app'
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
