import { expect, test, type Page } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { reaches, PAGES, type Asker } from '../src/core/access/roles'
import { App, listening } from './app'
import { crawl, healthWords, wordsFound } from './crawl'

// What the first makes the others use.
test.describe.configure({ mode: 'serial' })
let app: App
test.beforeAll(async () => {
  app = await App.start({ demo: true })
})
test.afterAll(() => app.end())

const PASSWORD = 'seven plovers'

async function signIn(page: Page, login: string, password = PASSWORD): Promise<void> {
  await page.goto(`${app.address}/sign-in`)
  await listening(page)
  await page.getByLabel('Sign-in name', { exact: true }).fill(login)
  await page.getByLabel('Password', { exact: true }).fill(password)
  await page.getByRole('button', { name: 'Sign in' }).click()
}

async function signOut(page: Page): Promise<void> {
  await page.goto(`${app.address}/account`)
  await listening(page)
  await page.getByRole('button', { name: 'Sign out' }).click()
  await expect(page).toHaveURL(/sign-in/)
}

async function addAccount(page: Page, name: string, may: string): Promise<void> {
  const form = page.getByRole('form', { name: 'A new account' })
  await form.getByLabel('Name', { exact: true }).fill(name)
  await form.getByLabel('Sign-in name', { exact: true }).fill(name.toLowerCase())
  await form.getByLabel('Password to begin with').fill(PASSWORD)
  await form.getByRole('combobox', { name: 'May' }).click()
  await page.getByRole('option', { name: may, exact: true }).click()
  await form.getByRole('button', { name: 'Add the account' }).click()
  await expect(page.getByRole('cell', { name, exact: true })).toBeVisible()
}

const sessionOf = async (page: Page): Promise<string> =>
  (await page.context().cookies()).find((c) => c.name === 'levitar.sign-in')?.value ?? ''

/** The mark of each role’s sign-in, filled as the journeys go. */
const marks: Partial<Record<Asker, string>> = { nobody: '' }

test('the owner lets others in, each to their own work, and a tablet by a code', async ({
  page,
  browser,
}) => {
  await page.goto(`${app.address}/account`)
  await expect(page.getByText('The demo signs in by itself.')).toBeVisible()
  await page.getByRole('link', { name: 'Who may sign in', exact: true }).last().click()
  await listening(page)
  const first = page.getByRole('form', { name: 'The owner’s account' })
  await first.getByLabel('Name', { exact: true }).fill('Mina')
  await first.getByLabel('Sign-in name', { exact: true }).fill('mina')
  await first.getByLabel('Password to begin with').fill('short')
  await first.getByRole('button').last().click()
  await expect(first.getByText('At least 10 characters.')).toBeVisible()
  await expect(first.getByLabel('Name', { exact: true })).toHaveValue('Mina')
  await first.getByLabel('Password to begin with').fill(PASSWORD)
  await first.getByRole('button', { name: 'Make the owner’s account' }).click()
  await expect(page.getByRole('link', { name: 'Signed in as Mina' })).toBeVisible()
  marks.owner = await sessionOf(page)
  await addAccount(page, 'Orin', 'teacher')
  await addAccount(page, 'Wren', 'assistant')

  const tabletCard = page.getByRole('region', { name: 'Pair a tablet' })
  await tabletCard.getByRole('button', { name: 'Make a code' }).click()
  const code = (await tabletCard.getByRole('status').locator('b').textContent()) ?? ''
  const tablet = await (await browser.newContext()).newPage()
  await tablet.goto(`${app.address}/students`)
  await expect(tablet).toHaveURL(/sign-in/)
  await listening(tablet)
  await tablet.getByText('This is a tablet of the studio').click()
  await tablet.getByLabel('Code from the other screen').fill(code)
  await tablet.getByRole('button', { name: 'Pair this tablet' }).click()
  await expect(tablet).toHaveURL(/teach$/)
  marks.device = await sessionOf(tablet)
  const parts = tablet.getByRole('navigation', { name: 'Parts of the work' }).getByRole('link')
  await expect(parts).toHaveText(['Teach'])
  await tablet.goto(`${app.address}/students`)
  await expect(tablet.getByRole('heading', { name: 'Not open here' })).toBeVisible()

  const other = await (await browser.newContext()).newPage()
  await signIn(other, 'wren', 'not the password')
  await expect(other.getByText('Name and password do not fit together.')).toBeVisible()
  await expect(other.getByLabel('Sign-in name', { exact: true })).toHaveValue('wren')
  await other.getByLabel('Password', { exact: true }).fill(PASSWORD)
  await other.getByRole('button', { name: 'Sign in' }).click()
  await expect(other.getByRole('navigation', { name: 'Parts of the work' }).getByRole('link')).toHaveText([
    'Today',
    'Readiness',
    'Setups',
    'Teach',
    'Library',
  ])
  marks.assistant = await sessionOf(other)
  // Whoever asked for a page before signing in comes to it.
  const late = await (await browser.newContext()).newPage()
  await late.goto(`${app.address}/library/FS-05`)
  await listening(late)
  await late.getByLabel('Sign-in name', { exact: true }).fill('wren')
  await late.getByLabel('Password', { exact: true }).fill(PASSWORD)
  await late.getByRole('button', { name: 'Sign in' }).click()
  await expect(late).toHaveURL(/library\/FS-05$/)
  await late.context().close()
  const orin = await (await browser.newContext()).newPage()
  await signIn(orin, 'orin')
  await expect(orin.getByRole('link', { name: 'Signed in as Orin' })).toBeVisible()
  marks.teacher = await sessionOf(orin)

  await page.reload()
  await expect(page.getByRole('region', { name: 'The trail' })).toContainText('Wren was not let in')
  for (const p of [tablet, other, orin]) await p.context().close()
})

test('what each page opens to each role is what the list of roles says', async ({ page }) => {
  expect(Object.keys(marks)).toHaveLength(5)
  await page.context().addCookies([{ name: 'levitar.sign-in', value: marks.owner ?? '', url: app.address }])
  await page.goto(`${app.address}/students`)
  const student = (
    await page
      .locator('a[href^="/students/"]')
      .evaluateAll((links) => links.map((a) => a.getAttribute('href') ?? ''))
  ).find((href) => /^\/students\/[0-9a-f-]{36}$/.test(href))
  await page.goto(`${app.address}/plans`)
  const plan = (
    await page
      .locator('a[href^="/plans/"]')
      .evaluateAll((links) => links.map((a) => a.getAttribute('href') ?? ''))
  ).find((href) => /^\/plans\/[0-9a-f-]{36}$/.test(href))
  const [studentId, classId] = [student?.split('/').at(-1) ?? '', plan?.split('/').at(-1) ?? '']
  expect(studentId).not.toBe('')
  const SKIPPED = /^\/(pass|facts|sign-in|account|studio-file|h|cover)|\/live$|^\/healthz/
  const wrong: string[] = []
  for (const [pattern, level] of PAGES.filter(([p]) => !SKIPPED.test(p)))
    for (const [role, mark] of Object.entries(marks) as [Asker, string][]) {
      const isClass = /^\/(teach|plans)/.test(pattern)
      const path = pattern
        .replace('*', pattern.startsWith('/library') ? 'FS-01' : isClass ? classId : studentId)
        .replace('*', studentId)
      const answer = await fetch(app.address + path, {
        redirect: 'manual',
        headers: { accept: 'text/html', cookie: `levitar.sign-in=${mark}` },
      })
      const text = await answer.text()
      const shut = answer.status === 307 ? 'sign-in' : text.includes('Not open here') ? 'not open' : 'open'
      const should = reaches(role, level) ? 'open' : role === 'nobody' ? 'sign-in' : 'not open'
      if (shut !== should && answer.status !== 404)
        wrong.push(`${path} for ${role}: ${shut}, should be ${should}`)
      // What is not open sends no name of anybody along.
      if (should !== 'open' && /Greta|Tomas|Jonty/.test(text))
        wrong.push(`${path} for ${role} names somebody`)
    }
  expect(wrong).toEqual([])
})

test('a crawl of all that others reach finds no word of health, and nobody who is not theirs to see', async ({
  page,
}) => {
  const asOwner = { name: 'levitar.sign-in', value: marks.owner ?? '', url: app.address }
  await page.context().addCookies([asOwner])
  // A word that is nowhere but in a sealed report.
  await page.goto(`${app.address}/studio/incidents/new`)
  await listening(page)
  await page.getByRole('combobox', { name: 'What kind' }).click()
  await page.getByRole('option', { name: /Fall on the head/ }).click()
  await page.getByRole('textbox', { name: 'What happened' }).fill('Came down: kestrelword.')
  await page.getByRole('textbox', { name: 'What was done' }).fill('Kept still: kestrelword.')
  await page.getByRole('button', { name: 'Keep the report' }).click()
  await expect(page.getByRole('heading', { name: 'The report is kept' })).toBeVisible()
  const { answers, changes } = healthWords()
  expect([answers.length > 30, changes.length > 5]).toEqual([true, true])
  const telling = (pages: Map<string, string>, of: readonly string[]): string[] =>
    wordsFound(pages, ['kestrelword', ...of])
  const mark = (role: Asker): string => `levitar.sign-in=${marks[role] ?? ''}`
  const START = ['/', '/teach', '/readiness', '/plans', '/students', '/progress', '/studio']
  const owner = await crawl(app.address, START, `${mark('owner')}; levitar.private=1`)
  expect([owner.size > 30, telling(owner, [...answers, ...changes])]).toEqual([true, []])
  // An assistant sees what is left out or changed tonight, in words; never an answer or a report.
  const assistant = await crawl(app.address, START, mark('assistant'))
  expect([assistant.size > 10, telling(assistant, answers)]).toEqual([true, []])
  const device = await crawl(app.address, START, mark('device'))
  expect([device.size > 4, telling(device, answers)]).toEqual([true, []])
  // A tablet that is passed round: its page and nothing else, whatever is asked for.
  const html = [...owner.values()].join(' ')
  const classes = [...new Set([...html.matchAll(/\/plans\/([0-9a-f-]{36})/g)].map((m) => m[1] ?? ''))]
  const [own = '', other = ''] = classes
  const held = `${mark('owner')}; levitar.private=1; levitar.pass=/pass/${own}`
  for (const path of [...START, `/pass/${other}`, `/teach/${own}`]) {
    const answer = await fetch(app.address + path, { headers: { accept: 'text/html', cookie: held } })
    expect([path, new URL(answer.url).pathname]).toEqual([path, `/pass/${own}`])
    const text = await answer.text()
    expect(text).not.toContain('kestrelword')
  }
})

test('every action asks who sends it, before it looks at what was sent', async () => {
  type Manifest = { node: Record<string, { workers: Record<string, unknown>; exportedName?: string }> }
  const manifest = JSON.parse(readFileSync('.next/server/server-reference-manifest.json', 'utf8')) as Manifest
  const refused: Record<string, number> = {}
  // Signing out comes last: it works.
  const isOut = ([, { exportedName }]: [string, { exportedName?: string }]) =>
    Number(exportedName === 'signOut')
  const ids = Object.entries(manifest.node).toSorted((a, b) => isOut(a) - isOut(b))
  expect(ids.length).toBeGreaterThan(60)
  const letIn: string[] = []
  for (const [role, mark] of Object.entries({ nobody: '', device: marks.device ?? '' })) {
    for (const [id, { workers, exportedName }] of ids) {
      const worker = Object.keys(workers)[0] ?? ''
      const path = worker
        .replace(/^app/, '')
        .replace(/\/\([^/]+\)/g, '')
        .replace(/\/page$/, '')
        .replaceAll(/\[[^\]]+\]/g, '019cd91e-cc55-7ca7-946b-000c59c22c83')
      const answer = await fetch(app.address + (path || '/'), {
        method: 'POST',
        redirect: 'manual',
        headers: {
          'next-action': id,
          'content-type': 'text/plain;charset=UTF-8',
          origin: app.address,
          cookie: `levitar.sign-in=${mark}`,
        },
        body: '[{}]',
      })
      const text = await answer.text()
      const isRefused = /Nobody is signed in|That is for (a teacher|the owner)/.test(text)
      if (isRefused) refused[role] = (refused[role] ?? 0) + 1
      else letIn.push(`${role}: ${exportedName ?? id}`)
    }
  }
  // What opens by its own means, or says and changes nothing of the studio.
  expect(letIn.toSorted()).toEqual(
    [
      ...['changePassword', 'lockScreen', 'unlockScreen', 'signOut', 'signIn', 'pairTablet', 'ownerByCode'],
      ...['hideLimits', 'shutLayer', 'keepLayerOpen', 'tickByLink', 'endEmptyPass'],
    ]
      .flatMap((name) => [`nobody: ${name}`, `device: ${name}`])
      .concat(
        [
          ...[
            'endPass',
            'recordFact',
            'recordFactQuietly',
            'savePassedScreening',
            'teachAgain',
            'boardAgain',
          ],
          ...['beginPass', 'faultAnswer'],
        ].map((name) => `device: ${name}`),
      )
      .toSorted(),
  )
  const { nobody = 0, device = 0 } = refused
  expect([nobody > 70, device > 70]).toEqual([true, true])
})

test('a locked screen opens by the password and holds up no class', async ({ page }) => {
  await signIn(page, 'orin')
  await expect(page.getByRole('link', { name: 'Signed in as Orin' })).toBeVisible()
  await page.goto(`${app.address}/account`)
  await listening(page)
  await page.getByRole('button', { name: 'Lock this screen' }).click()
  await expect(page.getByRole('heading', { name: 'Locked' })).toBeVisible()
  await page.goto(`${app.address}/students`)
  await expect(page.getByRole('heading', { name: 'Locked' })).toBeVisible()
  const floor = await page.request.post(`${app.address}/facts`, { data: { facts: [] } })
  expect(floor.status()).toBe(200)
  await listening(page)
  await page.getByLabel('Your password').fill('not this one')
  await page.getByRole('button', { name: 'Go on' }).click()
  await expect(page.getByText('That is not your password.')).toBeVisible()
  await page.getByLabel('Your password').fill(PASSWORD)
  await page.getByRole('button', { name: 'Go on' }).click()
  await expect(page.getByRole('link', { name: 'Signed in as Orin' })).toBeVisible()
  await signOut(page)
  expect((await page.request.post(`${app.address}/facts`, { data: { facts: [] } })).status()).toBe(401)
})
