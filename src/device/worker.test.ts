import { readFileSync } from 'node:fs'
import path from 'node:path'
import vm from 'node:vm'

type Event = {
  data?: unknown
  request?: unknown
  waitUntil: (work: Promise<unknown>) => void
  respondWith?: (answer: Promise<Response>) => void
}

/** The floor's worker as it ships, in a scope that stands for a browser's. */
function worker(answers: (url: string) => Response | Error | Promise<Response>) {
  const on = new Map<string, (event: Event) => void>()
  const stores = new Map<string, Map<string, Response>>()
  const claimed: string[] = []
  const urlOf = (what: unknown): string => (typeof what === 'string' ? what : (what as { url: string }).url)
  const fetch = (what: unknown): Promise<Response> => {
    const answer = answers(urlOf(what))
    return answer instanceof Error ? Promise.reject(answer) : Promise.resolve(answer)
  }
  const open = (name: string) => {
    const store = stores.get(name) ?? new Map<string, Response>()
    stores.set(name, store)
    return Promise.resolve({
      match: (what: unknown) => Promise.resolve(store.get(urlOf(what))),
      put: (what: unknown, answer: Response) => Promise.resolve(void store.set(urlOf(what), answer)),
      add: async (what: unknown) => void store.set(urlOf(what), await fetch(what)),
      keys: () => Promise.resolve([...store.keys()].map((url) => ({ url }))),
      delete: (what: unknown) => Promise.resolve(store.delete(urlOf(what))),
    })
  }
  const self = {
    location: new URL('https://studio.test/sw.js'),
    addEventListener: (kind: string, hear: (event: Event) => void) => on.set(kind, hear),
    skipWaiting: () => Promise.resolve(),
    clients: { claim: () => Promise.resolve(void claimed.push('all')) },
  }
  // Whatever the worker waits for is over at once.
  const later = (done: (value: unknown) => void, _ms: number, value: unknown): void => done(value)
  const code = readFileSync(path.join(__dirname, '..', '..', 'public', 'sw.js'), 'utf8')
  vm.runInNewContext(code, { self, caches: { open }, fetch, URL, Response, Promise, setTimeout: later })
  const tell = async (kind: string, event: Omit<Event, 'waitUntil'> = {}): Promise<Response | undefined> => {
    const work: Promise<unknown>[] = []
    let answer: Promise<Response> | undefined
    on.get(kind)?.({ ...event, waitUntil: (w) => void work.push(w), respondWith: (a) => void (answer = a) })
    await Promise.all(work)
    return answer
  }
  return { tell, claimed, stores }
}

const CLASS = 'https://studio.test/teach/1'
const FILE = 'https://studio.test/_next/static/a.js'
const keep = { data: { kind: 'keep', page: CLASS, files: [FILE, 'https://studio.test/facts'] } }
const asked = (url: string) => ({ request: { url, method: 'GET', mode: 'navigate' } })

it('takes the page in that asks to be kept, also one that was opened while it began', async () => {
  const { tell, claimed, stores } = worker((url) => new Response(url))
  await tell('message', keep)
  expect(claimed).toEqual(['all'])
  expect([...(stores.get('levitar-files')?.keys() ?? [])]).toEqual([FILE])
  expect([...(stores.get('levitar-floor')?.keys() ?? [])]).toEqual([CLASS])
})

it('shows the kept class where the server is away, and says so on any other page', async () => {
  let away = false
  const { tell } = worker((url) => (away ? new TypeError('away') : new Response(`page ${url}`)))
  await tell('message', keep)
  away = true
  expect(await (await tell('fetch', asked(CLASS)))?.text()).toBe(`page ${CLASS}`)
  const other = await (await tell('fetch', asked('https://studio.test/students')))?.text()
  expect(other).toContain('The server is away')
  expect(other).toContain('href="/teach/1"')
})

it('shows what is kept of a slow server’s page, and waits for what is not kept as long as it takes', async () => {
  let slow = false
  let answer: (response: Response) => void = () => undefined
  const { tell, stores } = worker((url) =>
    slow ? new Promise<Response>((done) => (answer = done)) : new Response(`page ${url}`),
  )
  await tell('message', keep)
  slow = true
  expect(await (await tell('fetch', asked(CLASS)))?.text()).toBe(`page ${CLASS}`)
  answer(new Response('newer'))
  await new Promise((done) => setImmediate(done))
  expect(await stores.get('levitar-floor')?.get(CLASS)?.text()).toBe('newer')
  const other = tell('fetch', asked('https://studio.test/teach/2'))
  await new Promise((done) => setImmediate(done))
  answer(new Response('at last'))
  expect(await (await other)?.text()).toBe('at last')
})

it('keeps no page that is not of the floor, and leaves everything else to the server', async () => {
  const { tell, stores } = worker((url) => new Response(url))
  await tell('fetch', asked('https://studio.test/students/7/health'))
  await tell('message', { data: { kind: 'keep', page: 'https://studio.test/students', files: [] } })
  expect([...(stores.get('levitar-floor')?.keys() ?? [])]).toEqual([])
  expect(
    await tell('fetch', { request: { url: 'https://studio.test/facts', method: 'POST' } }),
  ).toBeUndefined()
  expect(await tell('fetch', { request: { url: 'https://elsewhere.test/a', method: 'GET' } })).toBeUndefined()
})
