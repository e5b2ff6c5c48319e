import { expect, test, type Browser, type Page } from '@playwright/test'
import { execFileSync } from 'node:child_process'
import path from 'node:path'
import { launchBrowser } from '../scripts/browser.mjs'
import { lanEnv, startFront } from '../scripts/lan.mjs'
import { App, allSent, freePort, listening, toBlock } from './app'

// A name that is not this machine's own, so that the browser grants nothing for being at home.
const NAME = 'studio.test'
const PASSWORD = 'seven plovers'
let app: App
let front: Awaited<ReturnType<typeof startFront>>
let browser: Browser
let port: number

const open = () => startFront({ port, appPort: app.port, folder: path.join(app.data, 'lan'), names: [NAME] })

test.beforeAll(async () => {
  app = await App.start({ demo: true, env: lanEnv([NAME]) })
  port = await freePort()
  front = await open()
  browser = await launch(front.spki)
})
test.afterAll(async () => {
  await browser.close()
  front.stop()
  await app.end()
})

/** A browser that finds the name and trusts this one certificate, as a tablet does that took it. */
function launch(spki: string): Promise<Browser> {
  return launchBrowser([
    `--host-resolver-rules=MAP ${NAME} 127.0.0.1`,
    `--ignore-certificate-errors-spki-list=${spki}`,
  ])
}

const screen = async (): Promise<Page> =>
  (await browser.newContext({ viewport: { width: 820, height: 1180 } })).newPage()

/** Whether the page is kept by the device's worker; where it is not, what the browser says of it. */
function keeper(page: Page): Promise<string> {
  return page.evaluate(async () => {
    if (navigator.serviceWorker.controller) return 'keeps this page'
    const known = await navigator.serviceWorker.getRegistration()
    if (known)
      return `active: ${known.active?.state ?? 'none'}, installing: ${known.installing?.state ?? 'none'}`
    return navigator.serviceWorker.register('/sw.js').then(
      () => 'was not registered',
      (error: unknown) => String(error),
    )
  })
}

test('over the room’s own HTTPS: an owner, a paired tablet, a class that goes on offline, and nothing for a stranger', async () => {
  test.setTimeout(150_000)
  const laptop = await screen()
  await test.step('the page that helps to trust it gives the certificate and nothing else', async () => {
    const help = await (await fetch(`http://127.0.0.1:${port + 1}/`)).text()
    expect(help).toContain('Take the certificate')
    const root = await (await fetch(`http://127.0.0.1:${port + 1}/levitar.crt`)).text()
    expect(root).toContain('BEGIN CERTIFICATE')
    expect(await (await fetch(`http://127.0.0.1:${port + 1}/students`)).text()).toBe(help)
  })
  await test.step('without an owner nobody comes in; the machine’s own code makes one', async () => {
    await laptop.goto(`${front.address}/students`)
    await expect(laptop.getByText('This studio has no owner yet')).toBeVisible()
    const printed = execFileSync('npx', ['tsx', 'cli/keep.ts', 'owner'], {
      env: { ...process.env, LEVITAR_DATA: app.data },
      encoding: 'utf8',
    })
    await listening(laptop)
    await laptop.getByLabel('Code from the machine').fill(printed.split('\n')[0] ?? '')
    await laptop.getByLabel('Your name').fill('Mina')
    await laptop.getByLabel('Sign-in name, new or the one you had').fill('mina')
    await laptop.getByLabel('New password').fill(PASSWORD)
    await laptop.getByRole('button', { name: 'Come in as the owner' }).click()
    await expect(laptop.getByRole('link', { name: 'Signed in as Mina' })).toBeVisible()
    const cookie = (await laptop.context().cookies()).find((c) => c.name === 'levitar.sign-in')
    expect(cookie).toMatchObject({ secure: true, httpOnly: true, sameSite: 'Strict' })
  })
  const classPath = await test.step('a plan is made on the laptop', async () => {
    await laptop.getByRole('link', { name: 'Plan this class' }).click()
    await laptop.getByRole('button', { name: /Make the plan/ }).click()
    await expect(laptop.getByRole('link', { name: 'Take to class' })).toBeVisible()
    return `/teach/${new URL(laptop.url()).pathname.split('/').at(-1) ?? ''}`
  })
  const tablet = await screen()
  await test.step('a tablet that is not paired gets nothing; paired it takes the class', async () => {
    await tablet.goto(`${front.address}${classPath}`)
    await expect(tablet).toHaveURL(/sign-in/)
    const status = await tablet.evaluate(async () => {
      const headers = { 'content-type': 'application/json' }
      return (await fetch('/facts', { method: 'POST', headers, body: '{"facts":[]}' })).status
    })
    expect(status).toBe(401)
    await laptop.goto(`${front.address}/studio/access`)
    await listening(laptop)
    await laptop.getByRole('button', { name: 'Make a code' }).click()
    const code =
      (await laptop.getByRole('region', { name: 'Pair a tablet' }).locator('b').textContent()) ?? ''
    await listening(tablet)
    await tablet.getByText('This is a tablet of the studio').click()
    await tablet.getByLabel('Code from the other screen').fill(code)
    await tablet.getByRole('button', { name: 'Pair this tablet' }).click()
    // The class that it asked for before anybody knew it.
    await expect(tablet).toHaveURL(`${front.address}${classPath}`)
    await listening(tablet)
    await tablet.getByRole('button', { name: 'Start the class' }).click()
    await toBlock(tablet, 'Forearm stand, everyone’s version')
    await tablet.reload()
    await expect.poll(() => keeper(tablet), { timeout: 30_000 }).toBe('keeps this page')
    // What the worker keeps is there once it has been told.
    await tablet.waitForTimeout(3000)
    await allSent(tablet)
  })
  await test.step('the network goes: the class opens anew from the tablet, and taps are kept', async () => {
    front.stop()
    await tablet.reload()
    await expect(tablet.getByRole('timer')).toBeVisible()
    await tablet.getByRole('button', { name: 'Ines Calder: clean' }).click()
    await tablet.getByRole('button', { name: 'Callum Strand: not yet' }).click()
    await expect(tablet.getByText('2 taps are kept on this device')).toBeVisible()
    await tablet.reload()
    await expect(tablet.getByRole('region', { name: 'Ines Calder' })).toContainText('1 try: clean')
  })
  await test.step('it comes back: both are stored, once, and the laptop sees them', async () => {
    front = await open()
    await allSent(tablet)
    await laptop.goto(`${front.address}${classPath}`)
    await expect(laptop.getByRole('region', { name: 'Ines Calder' })).toContainText('1 try: clean')
    await expect(laptop.getByRole('region', { name: 'Callum Strand' })).toContainText('1 try')
  })
})
