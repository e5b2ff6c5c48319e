/** @jest-environment jsdom */
import { Checkbox, MantineProvider, NumberInput, Select, TextInput } from '@mantine/core'
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react'
import { FormEnd, FormShell } from '@/ui/form-shell'
import { done, problem, type Answer } from './answer'
import { useForm } from './use-form'
import { inBrowser } from '@/testing/in-browser'

type Typed = { name: string; minutes: number | string; day: string | null; willing: boolean }
const EMPTY: Typed = { name: '', minutes: 60, day: null, willing: true }

beforeAll(inBrowser)
afterEach(cleanup)

/** A form over an action that answers as it is told, and everything that was sent. */
function shown(answers: (() => Answer<true> | Promise<Answer<true>>)[]) {
  const sent: Typed[] = []
  const action = (input: Typed): Promise<Answer<true>> => {
    sent.push(input)
    return Promise.resolve((answers.shift() ?? (() => done(true as const)))())
  }
  function Form() {
    const { values, change, renew, field, tick, busy, problemOf, keep, send, said } = useForm(EMPTY, action)
    const next = (): void => void send(values).then((stored) => stored && renew(values, EMPTY))
    return (
      <FormShell title="A group" problem={problemOf('')} onSubmit={() => keep(values)}>
        <TextInput label="Name" {...field('name')} />
        <NumberInput label="Minutes" {...field('minutes')} />
        <Select label="Day" data={['Monday', 'Tuesday']} {...field('day')} />
        <Checkbox label="Willing" {...tick('willing')} />
        <FormEnd label="Save" {...{ busy, said }}>
          <button type="button" onClick={() => change({ name: 'Herons', minutes: 75 })}>
            Usual
          </button>
          <button type="button" onClick={next}>
            And the next
          </button>
        </FormEnd>
      </FormShell>
    )
  }
  render(<Form />, { wrapper: ({ children }) => <MantineProvider env="test">{children}</MantineProvider> })
  return sent
}
const nameField = () => screen.getByLabelText<HTMLInputElement>('Name')
const save = () => fireEvent.click(screen.getByRole('button', { name: 'Save' }))

it('sends what was typed, chosen and ticked, each as its control hands it over', async () => {
  const sent = shown([])
  fireEvent.change(nameField(), { target: { value: 'Plovers' } })
  fireEvent.change(screen.getByLabelText('Minutes'), { target: { value: '45' } })
  fireEvent.click(screen.getByRole('checkbox', { name: 'Willing' }))
  fireEvent.click(screen.getByRole('combobox', { name: 'Day' }))
  fireEvent.click(await screen.findByRole('option', { name: 'Tuesday' }))
  save()
  await waitFor(() =>
    expect(sent).toEqual([{ name: 'Plovers', minutes: 45, day: 'Tuesday', willing: false }]),
  )
})

it('a refusal stands beside its field, one of the whole form over it, and what was typed stays', async () => {
  const sent = shown([
    () => problem('A name needs a letter.', 'name'),
    () => problem('Somebody else changed it.'),
    () => Promise.reject(new Error('no server')),
  ])
  fireEvent.change(nameField(), { target: { value: '7' } })
  save()
  await screen.findByText('A name needs a letter.')
  expect([nameField().value, nameField().getAttribute('aria-invalid')]).toEqual(['7', 'true'])
  save()
  expect((await screen.findByRole('alert')).textContent).toContain('Somebody else changed it.')
  expect(nameField().getAttribute('aria-invalid')).not.toBe('true')
  save()
  await screen.findByText(/The server did not answer\. Nothing was stored/)
  expect([nameField().value, sent.length]).toEqual(['7', 3])
})

it('says that it is saved until something is changed, by hand or by a button', async () => {
  shown([])
  const said = () => screen.getByRole('status').textContent
  expect(said()).toBe('')
  save()
  await waitFor(() => expect(said()).toBe('Saved.'))
  fireEvent.click(screen.getByRole('button', { name: 'Usual' }))
  expect([said(), nameField().value]).toEqual(['', 'Herons'])
  save()
  await waitFor(() => expect(said()).toBe('Saved.'))
  fireEvent.change(nameField(), { target: { value: 'Herons too' } })
  expect(said()).toBe('')
})

it('a second press while one is under way sends nothing twice, and the form has its name', async () => {
  let answer: (a: Answer<true>) => void = () => undefined
  const sent = shown([() => new Promise((resolve) => (answer = resolve))])
  const form = screen.getByRole('form', { name: 'A group' })
  fireEvent.submit(form)
  fireEvent.submit(form)
  expect(sent).toHaveLength(1)
  answer(done(true))
  await waitFor(() => expect(screen.getByRole('status').textContent).toBe('Saved.'))
  expect(sent).toHaveLength(1)
})

it('is emptied of what was sent, and keeps what was put in while it was being stored', async () => {
  let store = (): void => undefined
  shown([() => new Promise((stored) => (store = () => stored(done(true as const))))])
  fireEvent.change(nameField(), { target: { value: 'Plovers' } })
  fireEvent.change(screen.getByLabelText('Minutes'), { target: { value: '45' } })
  fireEvent.click(screen.getByRole('button', { name: 'And the next' }))
  fireEvent.click(screen.getByRole('checkbox', { name: 'Willing' }))
  fireEvent.change(screen.getByLabelText('Minutes'), { target: { value: '30' } })
  store()
  await waitFor(() => expect(nameField().value).toBe(''))
  expect(screen.getByLabelText<HTMLInputElement>('Minutes').value).toBe('30')
  expect(screen.getByRole<HTMLInputElement>('checkbox', { name: 'Willing' }).checked).toBe(false)
})
