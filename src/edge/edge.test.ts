import { allowedHosts, nameOf } from './hosts'
import { heldBack, isPassPage, passedTo } from './passed-round'
import { contentPolicy } from './policy'
import { refusalOf } from './refuse'
import { MOST_BYTES, mostBytes } from './sizes'

const HOSTS = allowedHosts(' Studio.Lan , ')
const ask = (method: string, headers: Record<string, string>, pathname = '/students') =>
  refusalOf({ method, headers: new Headers({ host: '127.0.0.1:4180', ...headers }), pathname }, HOSTS)
    ?.status ?? null

describe('a name that leads here', () => {
  it('is this machine’s own or one that was named, whatever its port and letters', () => {
    for (const host of ['127.0.0.1:4180', 'LOCALHOST', '[::1]:99', 'studio.lan:443'])
      expect(ask('GET', { host })).toBeNull()
    for (const host of [
      'evil.test',
      '127.0.0.1.evil.test',
      'evil.test:4180',
      'localhost@evil.test',
      '',
      'a b',
      '127.0.0.1:99999999',
    ])
      expect(ask('GET', { host })).toBe(421)
    expect(nameOf(null)).toBe('')
  })
})

describe('what comes from elsewhere', () => {
  it('may visit and nothing else', () => {
    const cross = { 'sec-fetch-site': 'cross-site' }
    expect(ask('GET', { ...cross, 'sec-fetch-mode': 'navigate' })).toBeNull()
    expect(ask('GET', { ...cross, 'sec-fetch-mode': 'no-cors' })).toBe(403)
    expect(ask('POST', { ...cross, 'sec-fetch-mode': 'navigate' })).toBe(403)
    expect(ask('GET', { 'sec-fetch-site': 'same-site', 'sec-fetch-mode': 'cors' })).toBe(403)
    expect(ask('GET', { 'sec-fetch-site': 'same-origin', 'sec-fetch-mode': 'cors' })).toBeNull()
  })
  it('writes nothing: an origin is this one to the port, and never none', () => {
    const from = (origin: string) => ask('POST', { 'sec-fetch-site': 'same-origin', origin })
    expect(from('http://127.0.0.1:4180')).toBeNull()
    for (const origin of ['http://127.0.0.1:4181', 'http://localhost:4180', 'http://evil.test', 'null', 'x'])
      expect(from(origin)).toBe(403)
    // A tool on the machine itself sends neither.
    expect(ask('POST', {})).toBeNull()
  })
})

it('a page runs its own scripts and what carries the nonce, and stands in no frame', () => {
  const policy = contentPolicy('abc', false)
  expect(policy).toContain("script-src 'self' 'nonce-abc' 'strict-dynamic' 'wasm-unsafe-eval';")
  expect(policy).not.toMatch(/script-src[^;]*'unsafe/)
  expect(policy).toContain("frame-ancestors 'none'")
  expect(policy).toContain("object-src 'none'")
  expect(policy).not.toMatch(/https?:|\*/)
})

describe('a tablet that is passed round', () => {
  const page = '/pass/019cd91e-cc55-7ca7-946b-000c59c22c83'
  it('stays on its page and what that page is made of', () => {
    expect(isPassPage(page)).toBe(true)
    for (const path of [page, '/_next/static/x.js', '/facts', '/icon.svg'])
      expect(heldBack(path, page)).toBeNull()
    for (const path of [
      '/',
      '/students',
      '/teach/x/door',
      '/studio/incidents',
      '/factsheet',
      '/studio-file/taken',
      '/pass/../students',
      // Another class's page names other people.
      '/pass/019cd91e-cc55-7ca7-946b-00000000beef',
    ])
      expect(heldBack(path, page)).toBe(page)
    expect(heldBack('/students', `${page}?ask=health`)).toBe(`${page}?ask=health`)
  })
  it('is held by nothing else than such a page', () => {
    expect(heldBack('/students', undefined)).toBeNull()
    for (const cookie of ['', '/', '//evil.test', 'https://evil.test', '/students'])
      expect(heldBack('/readiness', cookie)).toBeNull()
    expect([passedTo(page, 'health'), passedTo(page, 'x')]).toEqual([`${page}?ask=health`, page])
  })
})

describe('how much is sent', () => {
  const of = (bytes: number) => ({ 'content-length': String(bytes) })
  it('is a form’s, but for the pages that take a whole studio', () => {
    expect(ask('POST', of(4_000_000))).toBeNull()
    expect(ask('POST', of(6_000_000))).toBe(413)
    expect(ask('POST', of(6_000_000), '/studio-file/brought')).toBeNull()
    expect(ask('POST', of(200_000_000), '/studio-file/brought')).toBe(413)
    expect(ask('POST', of(400_000_000), '/studio-file/restored')).toBeNull()
  })
  it('is told first, but for those pages', () => {
    const chunked = { 'transfer-encoding': 'chunked' }
    expect([ask('POST', chunked), ask('POST', chunked, '/facts'), ask('GET', chunked)]).toEqual([
      411,
      411,
      null,
    ])
    expect(ask('POST', chunked, '/studio-file/restored')).toBeNull()
  })
  it('is let through whole: as much as a reader of files takes, the server hands on', async () => {
    const { MOST_ZIPPED } = await import('@/db/bundle/read')
    const { default: config } = await import('../../next.config')
    const most = config.experimental?.proxyClientMaxBodySize
    expect([mostBytes('/studio-file/brought') >= MOST_ZIPPED, most]).toEqual([true, MOST_BYTES])
  })
})
