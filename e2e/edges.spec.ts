import http from 'node:http'
import { expect, test } from '@playwright/test'
import { App } from './app'

let app: App
test.beforeAll(async () => {
  app = await App.start({ demo: true })
})
test.afterAll(() => app.end())

type Answer = { status: number; headers: http.IncomingHttpHeaders; body: string }

/** A request as it is written, host name and all: a browser would not send these. */
function ask(path: string, { method = 'GET', ...headers }: Record<string, string> = {}): Promise<Answer> {
  return new Promise((resolve, reject) => {
    const request = http.request(
      { host: '127.0.0.1', port: app.port, path, method, headers, setHost: !('host' in headers) },
      (answer) => {
        let body = ''
        answer.on('data', (chunk: Buffer) => (body += chunk.toString()))
        answer.on('end', () => resolve({ status: answer.statusCode ?? 0, headers: answer.headers, body }))
      },
    )
    request.on('error', reject)
    request.end(method === 'GET' ? undefined : '{}')
  })
}

const PATHS = ['/', '/students', '/facts', '/studio/files', '/nowhere', '/h/x'.padEnd(30, 'y')]

test('another name for this machine reads nothing, and a write from elsewhere is not run', async () => {
  for (const path of PATHS) {
    const rebound = await ask(path, { host: `evil.test:${app.port}` })
    expect([path, rebound.status]).toEqual([path, 421])
    expect(rebound.body).not.toContain('Boathouse')
  }
  const foreign: Record<string, string>[] = [
    { 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': 'no-cors' },
    { origin: 'http://evil.test' },
    { origin: 'null' },
    { origin: `http://localhost:${app.port}` },
    { origin: `http://evil.test`, 'x-forwarded-host': 'evil.test' },
  ]
  for (const headers of foreign)
    for (const path of ['/facts', '/studio-file/taken', '/students'])
      expect([path, (await ask(path, { method: 'POST', ...headers })).status]).toEqual([path, 403])
})

test('every page says what it may run, and stands in no frame', async ({ page }) => {
  for (const path of PATHS) {
    const { headers } = await ask(path)
    expect([path, headers['x-content-type-options'], headers['x-frame-options']]).toEqual([
      path,
      'nosniff',
      'DENY',
    ])
    expect(headers['content-security-policy']).toMatch(/script-src 'self' 'nonce-[^']+' 'strict-dynamic'/)
    expect(headers['cross-origin-opener-policy']).toBe('same-origin')
  }
  const nonces = await Promise.all([ask('/'), ask('/')])
  const [one, two] = nonces.map(
    (n) => /nonce-([^']+)'/.exec(String(n.headers['content-security-policy']))?.[1],
  )
  expect(one).not.toBe(two)
  // Nothing of the app itself is held back by it.
  const broken: string[] = []
  page.on(
    'console',
    (message) => /Content Security Policy/i.test(message.text()) && broken.push(message.text()),
  )
  for (const path of ['/', '/setups', '/plans', '/readiness', '/library/FS-07', '/studio']) {
    await page.goto(app.address + path)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  }
  expect(broken).toEqual([])
  // A script that somebody planted does not run.
  await page.evaluate(() => {
    const planted = document.createElement('img')
    planted.setAttribute('onerror', 'window.planted = true')
    planted.src = 'data:,'
    document.body.append(planted)
  })
  await page.waitForTimeout(300)
  expect(await page.evaluate(() => 'planted' in window)).toBe(false)
})

test('the same question twice, a page out of all bounds and a broken percent sign are no faults of the server', async () => {
  for (const path of [
    ...['/library?q=crow&q=wall', '/setups?setup=SETUP-kick-up-wall&setup=x', '/setups?student=a&student=b'],
    ...['/progress/log?page=1e308', '/progress/log?page=1&page=2', '/students?q=%25', '/?x=%'],
  ])
    expect([path, (await ask(path)).status]).toEqual([path, 200])
  for (const path of ['/students/%E0%A4%A', '/%', '/teach/%zz/door']) {
    const { status, headers } = await ask(path)
    expect([path, status, headers['x-frame-options'], headers['x-content-type-options']]).toEqual([
      ...[path, 404, 'DENY', 'nosniff'],
    ])
  }
})

test('a link to a tablet’s page that nobody passed holds nobody', async ({ page }) => {
  await page.goto(`${app.address}/pass/00000000-0000-7000-8000-000000000000`)
  await page.goto(`${app.address}/students`)
  await expect(page.getByRole('link', { name: /Ines Calder/ }).first()).toBeVisible()
  // A tablet that is held at a class which went since lets go by itself.
  await page
    .context()
    .addCookies([
      { name: 'levitar.pass', value: '/pass/00000000-0000-7000-8000-000000000000', url: app.address },
    ])
  await page.goto(`${app.address}/students`)
  await expect(page.getByRole('link', { name: 'Plans' }).first()).toBeVisible()
  await page.goto(`${app.address}/students`)
  await expect(page.getByRole('link', { name: /Ines Calder/ }).first()).toBeVisible()
})
