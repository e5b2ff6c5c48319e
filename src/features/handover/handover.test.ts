import { demoWorld } from '@/core/simulate/demo'
import { ownData, ownDevice, refusedAt, screen, seedWorld, value } from '@/testing/actions'

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }))
jest.mock('next/headers', () => ({
  headers: () => Promise.resolve(new Map([['x-levitar-home', '1']])),
  cookies: () => Promise.resolve({ get: () => undefined }),
}))

const DAY = '2026-03-10'
ownData('handover', DAY)
const world = demoWorld(DAY)
const { v7 } = ownDevice(97, DAY)
const tonight = world.classes.at(-1)!

const load = async () => ({
  actions: await import('./actions'),
  queries: await import('./queries'),
  plans: await import('../plans/actions'),
})
let app: Awaited<ReturnType<typeof load>>
beforeAll(async () => {
  app = await load()
  await seedWorld(DAY)
})
const open = async (token: string) =>
  app.queries.coverByToken(await screen({ hidden: true, notesOpen: false }), token)
const make = async () =>
  value(await app.actions.makeCover({ classId: tonight.id }))
    .path.split('/')
    .at(-1) ?? ''

it('a class is handed over for its own day: people, limits in words, plan and card, and never why', async () => {
  expect(refusedAt(await app.actions.makeCover({ classId: tonight.id }))).toEqual([''])
  value(await app.plans.planAgain({ id: tonight.id, planId: v7() }))
  const token = await make()
  const cover = await open(token)
  if ('closed' in cover) throw new Error(cover.closed)
  expect(cover.people.map((p) => p.name)).toHaveLength(tonight.roster.length)
  expect(cover.people.some((p) => p.limits.length > 0)).toBe(true)
  const unasked = tonight.roster.filter((id) => !world.said.some((said) => said.studentId === id)).length
  expect(unasked).toBeGreaterThan(0)
  expect(cover.people.filter((p) => p.limits.some((l) => l.includes('nobody asked')))).toHaveLength(unasked)
  expect(cover.blocks.flatMap((b) => b.doings).length).toBeGreaterThan(10)
  expect(cover.blocks.some((b) => b.together.length > 0)).toBe(true)
  expect(cover.emergency.length).toBeGreaterThan(0)
  expect(JSON.stringify(cover)).not.toMatch(/BPH|Q01|high-managed|blood pressure|clinician/i)
  // Nobody who is not in the class, and no id by which anything could be asked for.
  for (const other of world.students)
    if (!tonight.roster.includes(other.id)) expect(JSON.stringify(cover)).not.toContain(other.name)
  for (const { id } of world.students) expect(JSON.stringify(cover)).not.toContain(id)
})

it('opens on no other day, ends with the next link and at a press, and is kept as a hash', async () => {
  const first = await make()
  const second = await make()
  expect(await open(first)).toMatchObject({ closed: 'ended' })
  process.env.LEVITAR_NOW = '2026-03-09T17:00:00Z'
  expect(await open(second)).toMatchObject({ closed: 'not-today' })
  process.env.LEVITAR_NOW = '2026-03-11T07:00:00Z'
  expect(await open(second)).toMatchObject({ closed: 'not-today' })
  expect(refusedAt(await app.actions.makeCover({ classId: tonight.id }))).toEqual([''])
  process.env.LEVITAR_NOW = `${DAY}T17:00:00Z`
  expect('closed' in (await open(second))).toBe(false)
  const { sql } = await import('drizzle-orm')
  const { scope } = await screen()
  expect(JSON.stringify(scope.db.all(sql`select * from class_link`))).not.toContain(second)
  expect(value(await app.actions.endCover({ classId: tonight.id }))).toEqual({ ended: 1 })
  expect(await open(second)).toMatchObject({ closed: 'ended' })
})
