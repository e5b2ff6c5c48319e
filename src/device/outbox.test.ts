import { enqueue, flush, pending } from './outbox'

const store = new Map<string, string>()
beforeAll(() => {
  Object.defineProperty(globalThis, 'localStorage', {
    configurable: true,
    value: {
      getItem: (key: string) => store.get(key) ?? null,
      setItem: (key: string, text: string) => store.set(key, text),
    },
  })
})
beforeEach(() => store.clear())

const entry = (id: string) => ({ id, kind: 'attempt', payload: { id } })

it('keeps what was tapped, oldest first, and forgets it once the server has it', async () => {
  enqueue(entry('a'))
  enqueue(entry('b'))
  const sent: string[] = []
  expect(await flush((e) => Promise.resolve(void sent.push(e.id)))).toBe(0)
  expect(sent).toEqual(['a', 'b'])
  expect(pending()).toEqual([])
})

it('stops at the first that does not get through and keeps the rest in order', async () => {
  for (const id of ['a', 'b', 'c']) enqueue(entry(id))
  const left = await flush((e) => (e.id === 'b' ? Promise.reject(new Error('away')) : Promise.resolve()))
  expect(left).toBe(2)
  expect(pending().map((e) => e.id)).toEqual(['b', 'c'])
})

it('keeps what is tapped while it is sending', async () => {
  enqueue(entry('a'))
  await flush(() => {
    enqueue(entry('b'))
    return Promise.resolve()
  })
  expect(pending().map((e) => e.id)).toEqual(['b'])
})

it('starts afresh from a spoilt store', () => {
  store.set('levitar.outbox', '{not json')
  expect(pending()).toEqual([])
})
