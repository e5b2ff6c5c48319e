/** @jest-environment jsdom */
import 'fake-indexeddb/auto'
import { MantineProvider } from '@mantine/core'
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react'
import { findById } from '@/core/practice/find'
import { shippedPractice } from '@/core/practice/library'
import { inBrowser } from '@/testing/in-browser'
import { CheckForm } from './components/check-form'
import type { HistoryEntry } from './history-entry'

const sent: Record<string, unknown>[] = []
jest.mock('../facts/actions', () => ({
  recordFact: (fact: Record<string, unknown>) => {
    sent.push(fact)
    return Promise.resolve({ ok: true, value: true })
  },
}))

beforeAll(inBrowser)
afterEach(() => {
  cleanup()
  sent.length = 0
})

const EXITS = [
  { id: 'EX-step-down', name: 'Step down' },
  { id: 'EX-tuck-roll', name: 'Tucked roll' },
]
function show(checkId: string, { wayOut = '', corrects = null as HistoryEntry | null } = {}) {
  const check = findById(shippedPractice().checks, checkId)
  const onSaved = jest.fn()
  const spans = { fists: 9, hands: 18, feet: 25 }
  render(<CheckForm studentId="wren" exits={EXITS} {...{ check, spans, wayOut, corrects, onSaved }} />, {
    wrapper: ({ children }) => <MantineProvider env="test">{children}</MantineProvider>,
  })
  return onSaved
}
const box = (name: string | RegExp) => screen.getByRole<HTMLInputElement>('textbox', { name })
const save = (name = 'Save result') => fireEvent.click(screen.getByRole('button', { name }))
/** What was said in the form, without who, when and by which device. */
const SAID = [
  'checkId',
  'typed',
  'aided',
  'valid',
  'watched',
  'note',
  'faults',
  'region',
  'exitId',
  'replaces',
]
const said = () => Object.fromEntries(SAID.map((key) => [key, sent[0]?.[key]]))
const PLAIN = { aided: false, valid: true, watched: true, note: '', faults: [], region: null, exitId: null }

it('sends both sides of a check that has two, and is empty again', async () => {
  const onSaved = show('CK-leg-lift-forearm')
  fireEvent.change(box(/^Left/), { target: { value: '24' } })
  fireEvent.change(box(/^Right/), { target: { value: '21' } })
  fireEvent.click(screen.getByRole('checkbox', { name: /Shape kept to the end/ }))
  save()
  await waitFor(() => expect(onSaved).toHaveBeenCalledTimes(1))
  const typed = { left: '24', right: '21' }
  expect(said()).toEqual({ ...PLAIN, checkId: 'CK-leg-lift-forearm', typed, valid: false, replaces: null })
  expect([box(/^Left/).value, box(/^Right/).value]).toEqual(['', ''])
  expect(screen.getByRole<HTMLInputElement>('checkbox', { name: /Shape kept/ }).checked).toBe(true)
})

it('a way out begins with the one that is due, and another may be named', async () => {
  show('CK-exit-rehearsed', { wayOut: 'EX-tuck-roll' })
  const which = screen.getByRole<HTMLInputElement>('combobox', { name: 'Which way out' })
  expect(which.value).toBe('Tucked roll')
  fireEvent.click(which)
  fireEvent.click(await screen.findByRole('option', { name: 'Step down' }))
  for (const side of ['Left', 'Right']) {
    fireEvent.click(screen.getByRole('combobox', { name: side }))
    const yes = await screen.findAllByRole('option', { name: 'Yes' })
    fireEvent.click(yes.at(-1) as HTMLElement)
  }
  save()
  await waitFor(() => expect(sent).toHaveLength(1))
  expect(said()).toMatchObject({ exitId: 'EX-step-down', typed: { left: '1', right: '1' } })
})

it('a correction begins from what stood there, keeps what is not touched, and names what it replaces', async () => {
  const was = {
    ...{ typed: { single: '39', left: '', right: '' }, faults: ['FT-head-drop'], region: null },
    ...{ exitId: null, aided: true, valid: false, watched: false },
  }
  const corrects = { id: 'old', note: 'late', faults: ['Head nears the floor'], was } as HistoryEntry
  const onSaved = show('CK-forearm-plank', { corrects })
  const value = box(/^Result/)
  expect([value.value, box('Note').value]).toEqual(['39', 'late'])
  fireEvent.change(value, { target: { value: '93' } })
  save('Save the correction')
  await waitFor(() => expect(onSaved).toHaveBeenCalledTimes(1))
  expect(said()).toEqual({
    ...{ checkId: 'CK-forearm-plank', typed: { single: '93' }, note: 'late', replaces: 'old' },
    ...{ faults: ['FT-head-drop'], aided: true, valid: false, watched: false, region: null, exitId: null },
  })
  // Nothing of the form's own making goes along.
  expect(Object.keys(sent[0] ?? {})).not.toContain('single')
})
