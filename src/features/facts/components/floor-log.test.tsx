/** @jest-environment jsdom */
import 'fake-indexeddb/auto'
import { MantineProvider } from '@mantine/core'
import { act, cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react'
import { readLog } from '@/device/log'
import { deviceDb } from '@/device/store'
import { useRecord } from '@/device/use-log'
import { useStopwatch } from '@/device/use-stopwatch'
import { inBrowser } from '@/testing/in-browser'
import { FloorLog } from './floor-log'

const NOW = Date.parse('2026-03-10T17:00:00Z')
const SOON = { timeout: 20_000 }
let path = '/students'
const refresh = jest.fn()
jest.mock('next/navigation', () => ({
  usePathname: () => path,
  useRouter: () => router,
}))
const router = { refresh }

/** What the server says to each fact; null is no answer at all. */
let says: { state: string; why?: string } | null = null
const sent: string[] = []

beforeAll(() => {
  inBrowser()
  let held = false
  const request = async (_: string, __: unknown, work: (lock: unknown) => Promise<boolean>) => {
    if (held) return work(null)
    held = true
    return work({}).finally(() => (held = false))
  }
  Object.defineProperty(navigator, 'locks', { value: { request } })
  Object.assign(AbortSignal, { timeout: () => new AbortController().signal })
  globalThis.fetch = ((_: unknown, init: RequestInit) => {
    if (says === null) return Promise.reject(new Error('away'))
    const { facts } = JSON.parse(init.body as string) as { facts: { id: string }[] }
    sent.push(...facts.map((fact) => fact.id))
    const answers = facts.map(({ id }) => ({ id, ...says }))
    const json = () => Promise.resolve({ answers, nowMs: Date.now(), timeZone: 'Europe/London' })
    return Promise.resolve({ ok: true, status: 200, json })
  }) as never
})
beforeEach(() => {
  says = null
  path = '/students'
  sent.length = 0
  refresh.mockClear()
})
afterEach(async () => {
  cleanup()
  await (await deviceDb()).clear('facts')
  await readLog()
})

function Floor() {
  const { tell, failed } = useRecord()
  const note = { kind: 'note', studentId: 's', classId: null, text: 'left elbow first' } as const
  return (
    <MantineProvider>
      <FloorLog nowMs={NOW} timeZone="Europe/London" hidden={false} />
      <button onClick={() => void tell(note, 'Note for Wren')}>Note</button>
      <p>{failed}</p>
    </MantineProvider>
  )
}
const tap = (name: string) => fireEvent.click(screen.getByRole('button', { name }))

it('says what waits while the server is away, and draws the page anew once it is sent', async () => {
  render(<Floor />)
  tap('Note')
  expect((await screen.findByRole('status', {}, SOON)).textContent).toMatch(/^One tap is kept on this device/)
  tap('Note')
  await waitFor(() => expect(screen.getByRole('status').textContent).toMatch(/^2 taps are kept/))
  expect(refresh).not.toHaveBeenCalled()
  says = { state: 'stored' }
  act(() => void window.dispatchEvent(new Event('online')))
  await waitFor(() => expect(screen.queryByRole('status')).toBeNull(), SOON)
  expect(sent).toHaveLength(2)
  expect(refresh).toHaveBeenCalledTimes(1)
})

it('says nothing of a tap that is on its way, so that nothing flickers at each', async () => {
  says = { state: 'stored' }
  const { container } = render(<Floor />)
  const seen: (string | null)[] = []
  const watch = new MutationObserver(() =>
    seen.push(container.querySelector('[role=status]')?.textContent ?? null),
  )
  watch.observe(container, { childList: true, subtree: true, attributes: true })
  tap('Note')
  await waitFor(() => expect(sent).toHaveLength(1), SOON)
  await waitFor(() => expect(container.querySelector('[data-waiting="0"]')).toBeTruthy(), SOON)
  watch.disconnect()
  expect(seen.length).toBeGreaterThan(0)
  expect(seen.filter((text) => text !== null)).toEqual([])
})

it('keeps a refusal in view with its sentence until it is sent again or let go', async () => {
  says = { state: 'refused', why: 'The class is over.' }
  render(<Floor />)
  tap('Note')
  const alert = await screen.findByRole('alert', {}, SOON)
  expect(alert.textContent).toMatch(/Not recorded: Note for Wren.*The class is over\./)
  says = { state: 'stored' }
  tap('Send it again')
  await waitFor(() => expect(screen.queryByRole('alert')).toBeNull(), SOON)
  await waitFor(() => expect(sent).toEqual([sent[0], sent[0]]), SOON)
  says = { state: 'refused', why: 'The class is over.' }
  tap('Note')
  await screen.findByRole('alert', {}, SOON)
  const before = sent.length
  tap('Let it go')
  await waitFor(() => expect(screen.queryByRole('alert')).toBeNull(), SOON)
  expect(sent).toHaveLength(before)
})

it('says nothing on a tablet that is passed round', async () => {
  path = '/pass/class'
  says = { state: 'refused', why: 'The class is over.' }
  render(<Floor />)
  tap('Note')
  await waitFor(() => expect(sent).toHaveLength(1), SOON)
  await act(() => new Promise((done) => setTimeout(done, 100)))
  expect(screen.queryByRole('alert')).toBeNull()
})

it('a tap that the browser cannot keep is said to be lost, not shown as taken', async () => {
  const broken = jest.spyOn(IDBObjectStore.prototype, 'add').mockImplementation(() => {
    throw new Error('no room')
  })
  render(<Floor />)
  tap('Note')
  expect(await screen.findByText(/could not keep the tap, so it is not recorded/)).toBeTruthy()
  broken.mockRestore()
})

describe('a stopwatch', () => {
  function Watch() {
    const { seconds, running, start, stop } = useStopwatch()
    return (
      <>
        <output>{`${running ? 'on' : 'off'} ${seconds.toFixed(1)}`}</output>
        <button onClick={start}>Start</button>
        <button onClick={() => void stop()}>Stop</button>
      </>
    )
  }
  const shows = () => screen.getByRole('status').textContent
  beforeEach(() => jest.useFakeTimers())
  afterEach(() => jest.useRealTimers())

  it('runs, stops where it stood, and begins again from nothing', () => {
    render(<Watch />)
    tap('Start')
    act(() => jest.advanceTimersByTime(3200))
    expect(shows()).toBe('on 3.2')
    tap('Stop')
    act(() => jest.advanceTimersByTime(5000))
    expect(shows()).toBe('off 3.2')
    tap('Start')
    expect(shows()).toBe('on 0.0')
  })
})
