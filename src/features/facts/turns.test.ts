import { demoWorld } from '@/core/simulate/demo'
import { ownData, ownDevice, screen, seedWorld, value } from '@/testing/actions'

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }))
jest.mock('next/headers', () => ({
  headers: () => Promise.resolve(new Map([['x-levitar-home', '1']])),
  cookies: () => Promise.resolve({ get: () => undefined }),
}))

const DAY = '2026-03-10'
ownData('turns', DAY)
const world = demoWorld(DAY)
const { v7, stamp } = ownDevice(93, DAY)

it('what a class decided says that a limit acted, and the database not which one', async () => {
  const { createClass } = await import('../plans/actions')
  const { recordFact } = await import('./actions')
  const { changesOf } = await import('../teaching/queries')
  const { decisionsOf } = await import('@/db/decisions')
  await seedWorld(DAY)
  const classId = v7()
  value(
    await createClass({
      ...{ id: classId, title: 'Everybody', day: DAY, startTime: '21:00', minutes: '60', bays: 2 },
      ...{ aim: { kind: 'practice', families: ['HD'] }, groupId: null, planId: v7() },
      roster: world.students.map((s) => s.id),
    }),
  )
  const event = { kind: 'class-event' as const, classId, atMs: 1_000, blockIndex: 0 }
  for (const what of ['started', 'ended'] as const)
    value(await recordFact({ ...stamp(), ...event, event: what }))
  const ctx = await screen()
  const limited = decisionsOf(ctx.scope, classId)
    .flatMap(({ before, after }) => [...before.reasons, ...after.reasons])
    .flatMap((reason) => (reason.code === 'limited' ? [reason] : []))
  expect(limited.length).toBeGreaterThan(0)
  expect(limited.flatMap((reason) => reason.because)).toEqual([])
  expect(JSON.stringify(changesOf(ctx, classId))).toMatch(/A limit of that day (barred|left|changed|asked)/)
})
