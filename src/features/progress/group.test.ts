import type { Asker } from '@/core/access/roles'
import { demoWorld } from '@/core/simulate/demo'
import { ownData, screen, seedWorld } from '@/testing/actions'

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }))
jest.mock('next/headers', () => ({
  headers: () => Promise.resolve(new Map([['x-levitar-home', '1']])),
  cookies: () => Promise.resolve({ get: () => undefined }),
}))

const DAY = '2026-03-10'
ownData('group', DAY)
const world = demoWorld(DAY)

const load = async () => ({
  groups: await import('./group-queries'),
  review: await import('./review-queries'),
})
let app: Awaited<ReturnType<typeof load>>
beforeAll(async () => {
  app = await load()
  await seedWorld(DAY)
})

it('a group stands where its people stand, and is asked what most of them are asked', async () => {
  const ctx = await screen()
  const [choice] = app.groups.groupChoices(ctx)
  const group = app.groups.groupProgress(ctx, choice!.id)!
  const members = world.groups.find((g) => g.id === choice!.id)!.members
  expect(new Set(group.members)).toEqual(new Set(members))
  expect(group.stands.length).toBeGreaterThan(2)
  for (const { id, text } of group.stands) {
    expect(members).toContain(id)
    expect(text).toMatch(/^[A-Z][\w -]+, .+/)
  }
  const times = group.asked.map((a) => Number(/of (\d+) of/.exec(a.text)?.[1]))
  expect(times.length).toBeGreaterThan(0)
  expect(times).toEqual(times.toSorted((a, b) => b - a))
  for (const n of times) expect(n >= 2 && n <= group.stands.length).toBe(true)
  expect(app.groups.groupProgress(ctx, 'nobody')).toBeNull()
})

it('the week of a group names nobody else', async () => {
  const ctx = await screen()
  const all = app.review.studioReview(ctx)
  for (const { members } of world.groups) {
    const own = app.review.studioReview(ctx, new Set(members))
    expect(own.taught).toBe(all.taught)
    for (const part of ['moved', 'still', 'away', 'short'] as const)
      expect(own[part].map((l) => l.id)).toEqual(
        all[part].map((l) => l.id).filter((id) => members.includes(id)),
      )
  }
})

it('on Today the week is told to whoever may open its own page, and to nobody else', async () => {
  const ctx = await screen()
  const as = (role: Asker) => app.review.reviewForTeachers({ ...ctx, actor: { ...ctx.actor, role } })
  expect(as('owner')).toEqual(app.review.studioReview(ctx))
  expect(as('teacher')?.still.length).toBeGreaterThan(0)
  expect([as('assistant'), as('device'), as('nobody')]).toEqual([null, null, null])
})
