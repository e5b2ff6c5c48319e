/** @jest-environment jsdom */
import 'fake-indexeddb/auto'
import { MantineProvider } from '@mantine/core'
import { act, cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react'
import { standingFacts } from '@/core/facts/round'
import { readLog } from '@/device/log'
import { deviceDb } from '@/device/store'
import { useKept } from '@/device/use-log'
import { CheckRound } from './components/check-round'
import type { RoundData, RoundPerson } from './round-queries'
import { inBrowser } from '@/testing/in-browser'

const person = (id: string): RoundPerson => ({
  ...{ id, name: `${id} Lund`, first: id, spans: { fists: 10, hands: 18, feet: 25 } },
  ...{ limits: [], wayOut: null, touch: 'ask', today: {} },
})
const CHECK = {
  ...{ id: 'dolphin-hold', name: 'Dolphin hold', asks: 'How long?', run: 'In pairs.', valid: 'even breath' },
  ...{ kind: 'hold', unit: 's', side: 'single', levels: [], minutes: 3, settles: '' },
  faults: ['Head nears the floor', 'Elbows slide apart', 'Hands drift together'].map((name) => ({
    id: name,
    name,
  })),
} as unknown as RoundData['checks'][number]
const DATA = {
  ...{ classId: 'tuesday', title: 'Tuesday', people: [person('Ines'), person('Wren')] },
  ...{ checks: [CHECK], suggested: [CHECK.id], bundles: [], observers: [], minutes: 3 },
} as unknown as RoundData

beforeAll(inBrowser)
afterEach(async () => {
  cleanup()
  const db = await deviceDb()
  await Promise.all([db.clear('facts'), db.clear('kept')])
  await readLog()
})

const show = (data = DATA) =>
  render(
    <MantineProvider>
      <CheckRound data={data} />
    </MantineProvider>,
  )
const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }))
/** What stands on this device: one row a person, with its faults. */
const standing = async () =>
  standingFacts(await readLog()).flatMap((f) =>
    f.kind === 'observation' ? [`${f.studentId}: ${f.faults.sort().join()}`] : [],
  )
/** Whatever is on its way has time to be kept. */
const settled = () => act(() => new Promise((done) => setTimeout(done, 200)))
const stands = async (expected: string[]): Promise<void> => {
  await waitFor(async () => expect(await standing()).toEqual(expected))
  // Nothing comes after it.
  await settled()
  expect(await standing()).toEqual(expected)
}

it('two taps on one lane, before the first is seen, are one hand', async () => {
  show()
  press('Start everybody')
  for (let i = 0; i < 3; i += 1) press('Hand up')
  await stands(['Ines: '])
})

it('two faults tapped at once are both kept, on one result; off again they are gone', async () => {
  show()
  press('Start everybody')
  press('Hand up')
  await stands(['Ines: '])
  press('End the hold')
  await screen.findByRole('checkbox', { name: 'Elbows slide apart' })
  const chip = (name: string) => fireEvent.click(screen.getByRole('checkbox', { name }))
  act(() => {
    for (const name of ['Elbows slide apart', 'Hands drift together']) chip(name)
  })
  await stands(['Ines: Elbows slide apart,Hands drift together'])
  await waitFor(() =>
    expect(screen.getByRole('checkbox', { name: 'Elbows slide apart' })).toHaveProperty('checked', true),
  )
  chip('Elbows slide apart')
  press('Undo')
  await stands([])
})

it('a way out that is shown is recorded as the one that stood in the lane, also when a fault is added', async () => {
  const [ines, wren] = DATA.people
  const roll = { id: 'EX-roll-tuck', name: 'Tucked roll' }
  show({
    ...DATA,
    people: [
      { ...person('Ines'), ...ines, wayOut: roll },
      { ...person('Wren'), ...wren },
    ],
    checks: [{ ...CHECK, id: 'way-out', kind: 'yes-no', names: 'exit' }],
    suggested: ['way-out'],
  })
  const lane = screen.getByRole('region', { name: 'Ines Lund' })
  expect(lane.textContent).toContain('Way out: tucked roll')
  fireEvent.click(within(lane).getByRole('button', { name: 'Yes' }))
  fireEvent.click(await screen.findByRole('checkbox', { name: 'Elbows slide apart' }))
  const ways = async () =>
    standingFacts(await readLog()).map((f) => (f.kind === 'observation' ? [f.exitId, f.faults.length] : f))
  await waitFor(async () => expect(await ways()).toEqual([['EX-roll-tuck', 1]]))
})

it('what is pressed before the device has told where the round stood is not undone by it', async () => {
  const db = await deviceDb()
  await db.put('kept', { half: 1, checkId: CHECK.id, side: 'right' }, 'round tuesday')
  show()
  press('Swap: watchers do')
  await waitFor(async () =>
    expect(await db.get('kept', 'round tuesday')).toMatchObject({ half: 2, checkId: CHECK.id }),
  )
  await settled()
  expect(screen.getByText('Half 2 of 2')).toBeTruthy()
})

it('keeps what it was told beside what lay there, and what it began with', async () => {
  await (await deviceDb()).put('kept', { left: 'there' }, 'three')
  function Three() {
    const [value, put] = useKept('three', { left: '', begun: 'with', said: '' })
    return <button onClick={() => put({ said: 'here' })}>{Object.values(value).join(' ')}</button>
  }
  render(<Three />)
  fireEvent.click(screen.getByRole('button'))
  await waitFor(() => expect(screen.getByRole('button').textContent).toBe('there with here'))
  await settled()
  expect(await (await deviceDb()).get('kept', 'three')).toEqual({
    left: 'there',
    begun: 'with',
    said: 'here',
  })
})
