import { readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { expect, test, type Page } from '@playwright/test'
import { App } from './app'

let app: App
test.beforeAll(async () => {
  app = await App.start({ demo: true })
})
test.afterAll(() => app.end())

async function openLimits(page: Page): Promise<void> {
  await page.goto(`${app.address}/students`)
  await page.getByRole('link', { name: 'Tomas Reyle' }).first().click()
  await page.getByRole('link', { name: 'Limits' }).click()
  await expect(page.getByRole('heading', { level: 2, name: 'Limits today' })).toBeVisible()
}

const question = (page: Page, words: RegExp) => page.getByRole('radiogroup', { name: words })

test('raised blood pressure and a sore wrist: limits, what to do instead, a clearance, and taking it all away', async ({
  page,
}) => {
  await openLimits(page)
  await expect(page.getByText('Not asked yet. Full inversions and falls wait for it.')).toBeVisible()
  expect(await page.title()).not.toContain('Tomas')
  await page.getByRole('button', { name: 'Open the health notes' }).click()

  await test.step('answer two questions', async () => {
    await question(page, /blood pressure/)
      .getByRole('radio', { name: 'Yes' })
      .check()
    await page.getByRole('checkbox', { name: 'High, looked after and steady' }).check()
    await question(page, /wrist, hand or elbow/)
      .getByRole('radio', { name: 'Yes' })
      .check()
    await page.getByRole('checkbox', { name: 'Wrist sore, 3 or more, or tingling' }).check()
    await page.getByRole('button', { name: 'Save the answers' }).click()
    await expect(page.getByText('Stored. Limits are up to date.')).toBeVisible()
  })

  await test.step('the limits stand at once and name loads, not conditions', async () => {
    const limits = page.getByRole('region', { name: 'Limits today' })
    await expect(limits.getByText('Barred: full inversions')).toBeVisible()
    await expect(limits.getByText('Left out: weight on the wrists')).toBeVisible()
    await expect(limits).not.toContainText(/blood|pressure|BP\d/)
    const instead = page.getByRole('region', { name: /what to do instead/ })
    await expect(instead.getByText(/Instead: .+\./).first()).toBeVisible()
  })

  await test.step('a clearance without a clinician is refused and keeps what was picked', async () => {
    await page.getByRole('combobox', { name: 'Covers' }).fill('Up to full inv')
    await page.getByRole('option', { name: 'Up to full inversions' }).click()
    await page.keyboard.press('Escape')
    await page.getByRole('button', { name: 'Record the clearance' }).click()
    await expect(page.getByText('Who gave it? The person’s own word is not a clearance.')).toBeVisible()
  })

  await test.step('with one, that load opens and no other', async () => {
    await page.getByRole('textbox', { name: 'Clinician' }).fill('Dr Alder')
    await page.getByRole('button', { name: 'Record the clearance' }).click()
    await expect(page.getByText('Clearance recorded.')).toBeVisible()
    const limits = page.getByRole('region', { name: 'Limits today' })
    await expect(page.getByText('Cleared for full inversions until 10 Mar 2027.')).toBeVisible()
    await expect(limits.getByText('Barred: full inversions')).toBeHidden()
    await expect(limits.getByText('Barred: weight on the head')).toBeVisible()
  })

  await test.step('nothing that was answered lies in the data in words', () => {
    const files = readdirSync(app.data).filter((f) => f.includes('sqlite'))
    expect(files.length).toBeGreaterThan(0)
    for (const file of files) {
      const bytes = readFileSync(path.join(app.data, file))
      for (const word of ['high-managed', 'BPH-managed', 'Dr Alder', 'asked-aloud'])
        expect(bytes.includes(word)).toBe(false)
    }
  })

  await test.step('no page, no address and no line of the log says a word of it to anybody else', async () => {
    const id = page.url().split('/').at(-2) ?? ''
    const paths = [
      '/',
      '/students',
      '/readiness',
      `/readiness/${id}`,
      `/students/${id}`,
      `/students/${id}/health`,
      '/plans',
      '/setups',
    ]
    for (const at of paths) {
      // A request without this screen's mark is what another role would send.
      const sent = await (await fetch(`${app.address}${at}`)).text()
      for (const word of ['high-managed', 'BPH', 'Dr Alder', 'looked after and steady', 'or tingling'])
        expect([at, word, sent.includes(word)]).toEqual([at, word, false])
      expect(/<title>([^<]*)/.exec(sent)?.[1]).not.toMatch(/Tomas|pressure|wrist/)
    }
    for (const word of ['high-managed', 'Dr Alder', 'Q01', 'Q07'])
      expect([word, app.log.includes(word)]).toEqual([word, false])
    expect(page.url()).not.toMatch(/Q0|high|wrist/)
  })

  await test.step('forgotten, everything is unknown again', async () => {
    await page.getByRole('button', { name: 'Forget the health answers' }).click()
    await page.getByRole('button', { name: 'Yes, forget every answer' }).click()
    await expect(page.getByText('Not asked yet. Full inversions and falls wait for it.')).toBeVisible()
  })
})

test('“none of it applies” opens the way to an offer', async ({ page }) => {
  await openLimits(page)
  await page.getByRole('button', { name: 'Open the health notes' }).click()
  await page.getByRole('button', { name: 'None of it applies' }).click()
  await expect(page.getByText('Nothing is limited by what is on record.')).toBeVisible()
  await page.getByRole('link', { name: 'Readiness' }).last().click()
  await expect(page.getByText('The health questions are not answered yet')).toBeHidden()
})
