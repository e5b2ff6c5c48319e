import { demoWorld } from '@/core/simulate/demo'
import { ownData, ownDevice, refusedAt, screen, seedWorld, value } from '@/testing/actions'

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }))
jest.mock('next/headers', () => ({
  headers: () => Promise.resolve(new Map([['x-levitar-home', '1']])),
  cookies: () => Promise.resolve({ get: () => undefined }),
}))

const DAY = '2026-03-10'
ownData('sequences', DAY)
const world = demoWorld(DAY)
const { v7, stamp } = ownDevice(72, DAY)
const idOf = (name: string): string => world.students.find((s) => s.name === name)?.id ?? ''
const wren = idOf('Wren Haskett')
const greta = idOf('Greta Sommerby')

const load = async () => ({
  actions: await import('./actions'),
  queries: await import('./queries'),
  facts: await import('../facts/actions'),
})
let app: Awaited<ReturnType<typeof load>>
beforeAll(async () => {
  app = await load()
  await seedWorld(DAY)
})
const view = async (id: string, privacy = {}) => app.queries.sequenceView(await screen(privacy), id)
const make = (people: string[], part = {}) =>
  app.actions.makeSequence({ id: v7(), name: 'Strong arms', people, minutes: 14, ...part })

it('is made for two, read in its parts, changed where it is worked at, called otherwise and taken away', async () => {
  const { id } = value(await make([wren, greta]))
  const made = (await view(id))!
  expect(made.lead).toMatch(
    /^(Greta Sommerby and Wren Haskett|Wren Haskett and Greta Sommerby), about 1\d minutes, towards /,
  )
  for (const word of ['To warm up', 'Strength', 'To unload', 'Rest'])
    expect(made.items.map((i) => i.partWord)).toContain(word)
  expect(made.items.filter((i) => i.closed !== '')).toEqual([])
  const strength = made.items.find((i) => i.part === 'strength' && i.others.length > 0)!
  const to = strength.others[0]!.value
  value(await app.actions.changeSequence({ id, edit: { kind: 'swap', at: strength.at, to } }))
  const swapped = (await view(id))!.items
  expect(swapped.some((i) => i.drillId === to)).toBe(true)
  expect(swapped.some((i) => i.drillId === strength.drillId)).toBe(false)

  const at = swapped.find((i) => i.drillId === to)!.at
  value(await app.actions.changeSequence({ id, edit: { kind: 'sets', at, sets: 3 } }))
  const thrice = (await view(id))!.items.find((i) => i.drillId === to)!
  expect(thrice.how).toMatch(/^3 sets of .*Rest \d+ s between\.$/)
  expect(thrice.parts.filter((p) => p.kind === 'rest').length).toBeGreaterThanOrEqual(2)

  // What warms and unloads follows from the rest; what is closed, or not there, cannot be put in.
  expect(refusedAt(await app.actions.changeSequence({ id, edit: { kind: 'drop', at: 0 } }))).toEqual([''])
  const { practice } = await screen()
  const kick = practice.drills.find((d) => (d.load.FR ?? 0) > 1)!.id
  for (const other of [kick, 'DR-moon'])
    expect(
      refusedAt(await app.actions.changeSequence({ id, edit: { kind: 'swap', at, to: other } })),
    ).toEqual([''])

  value(await app.actions.renameSequence({ id, name: 'Arms, Tuesdays' }))
  expect(app.queries.sequenceList(await screen()).lines.map((l) => l.name)).toEqual(['Arms, Tuesdays'])
  value(await app.actions.dropSequence({ id }))
  expect(await view(id)).toBeNull()
})

it('leaves out what is closed since, says whose limit it is, and says nothing of it on a private screen', async () => {
  const { id } = value(await make([wren, greta]))
  const words = { pain: 5, regions: ['shoulder' as const], energy: 6, arms: 3, look: 'watch' as const }
  value(
    await app.facts.recordFact({
      ...stamp(),
      kind: 'check-in',
      studentId: greta,
      words: { ...words, ticked: [], touch: 'ask' as const },
    }),
  )
  const closed = (await view(id))!.items.filter((i) => i.closed !== '')
  expect(closed.length).toBeGreaterThan(0)
  for (const item of closed) {
    expect(item.closed).toMatch(/^Left out today: closed to .*Greta Sommerby/)
    expect(item.closed).not.toContain('Wren')
    const drill = (await screen()).practice.drills.find((d) => d.id === item.drillId)
    if (drill) expect(Object.keys(drill.load).length).toBeGreaterThan(0)
  }
  const hidden = (await view(id, { hidden: true }))!.items.filter((i) => i.closed !== '')
  expect(hidden.every((i) => i.closed === 'Not today.')).toBe(true)
  // A new one for the two of them holds nothing of what is closed to one.
  const fresh = (await view(value(await make([wren, greta])).id))!
  expect(fresh.items.filter((i) => i.closed !== '')).toEqual([])
  for (const { drillId } of closed.filter((c) => c.sets !== null))
    expect(fresh.items.map((i) => i.drillId)).not.toContain(drillId)
})

it('asks for a name, for somebody who is here, and for minutes that there are', async () => {
  expect(refusedAt(await make([wren], { name: '  ' }))).toEqual(['name'])
  expect(refusedAt(await make([]))).toEqual(['people'])
  expect(refusedAt(await make([v7()]))).toEqual(['people'])
  expect(refusedAt(await make([wren], { minutes: 7 }))).toEqual(['minutes'])
  expect(refusedAt(await app.actions.renameSequence({ id: v7(), name: 'Gone' }))).toEqual([''])
})

it('stays when the last one it is for is erased, and is changed no more', async () => {
  const { addStudents } = await import('@/db/students')
  const gone = v7()
  addStudents((await screen()).scope, [{ id: gone, name: 'Orla Finch' }], DAY)
  const { id } = value(await make([gone]))
  const { eraseStudent } = await import('@/db/erase')
  const { scope, health } = await screen()
  eraseStudent(scope, health.key, gone, 'Somebody')
  const left = (await view(id))!
  expect(left.lead).toMatch(/^for nobody any more, about/)
  const at = left.items.find((i) => i.sets !== null)!.at
  expect(left.items[at]?.others).toEqual([])
  expect(refusedAt(await app.actions.changeSequence({ id, edit: { kind: 'sets', at, sets: 2 } }))).toEqual([
    '',
  ])
})
