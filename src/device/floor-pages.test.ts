import { keepThisPage } from './floor-pages'

/** A browser that refuses the worker so many times, and then has it. */
function browser(refusals: number) {
  const posted: unknown[] = []
  let asked = 0
  let isReady: (of: { active: { postMessage: (what: unknown) => void } }) => void = () => undefined
  const ready = new Promise((resolve) => (isReady = resolve))
  const have = (): void => isReady({ active: { postMessage: (what) => posted.push(what) } })
  const serviceWorker = {
    ready,
    register: () => {
      asked += 1
      if (asked <= refusals) return Promise.reject(new TypeError('Failed to fetch the script'))
      have()
      return Promise.resolve({})
    },
  }
  Object.defineProperty(globalThis, 'navigator', { value: { serviceWorker }, configurable: true })
  Object.defineProperty(globalThis, 'location', {
    value: { href: 'https://studio.test/teach/1' },
    configurable: true,
  })
  performance.getEntriesByType = (() => [{ name: 'https://studio.test/_next/static/a.js' }]) as never
  return { posted, asked: () => asked, have }
}

const KEEP = {
  kind: 'keep',
  page: 'https://studio.test/teach/1',
  files: ['https://studio.test/_next/static/a.js'],
}

beforeEach(() => jest.useFakeTimers())
afterEach(() => jest.useRealTimers())

it('keeps the page once the worker is there, at the first asking', async () => {
  const { posted, asked } = browser(0)
  await keepThisPage()
  expect([posted, asked()]).toEqual([[KEEP], 1])
})

it('asks again where a network dropped out while the worker was fetched', async () => {
  const { posted, asked } = browser(2)
  const kept = keepThisPage()
  await jest.advanceTimersByTimeAsync(900)
  expect([posted, asked()]).toEqual([[], 1])
  await jest.advanceTimersByTimeAsync(5000)
  await kept
  expect([posted, asked()]).toEqual([[KEEP], 3])
})

it('does not sit out a pause when another page of the class got it meanwhile', async () => {
  const { posted, have } = browser(1)
  const kept = keepThisPage()
  await jest.advanceTimersByTimeAsync(100)
  have()
  await jest.advanceTimersByTimeAsync(0)
  await kept
  expect(posted).toEqual([KEEP])
})

it('gives up with the browser’s own reason, and where there is no such thing does nothing', async () => {
  const { posted, asked } = browser(99)
  const kept = expect(keepThisPage()).rejects.toThrow('Failed to fetch')
  await jest.advanceTimersByTimeAsync(60_000)
  await kept
  expect([posted, asked()]).toEqual([[], 4])
  Object.defineProperty(globalThis, 'navigator', { value: {}, configurable: true })
  await keepThisPage()
})
