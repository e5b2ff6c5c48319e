import fc from 'fast-check'
import { demoWorld } from '@/core/simulate/demo'
import { ownData, ownDevice, screen, seedWorld, value } from '@/testing/actions'
import { runs } from '@/testing/runs'

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }))
jest.mock('next/headers', () => ({
  headers: () => Promise.resolve(new Map([['x-levitar-home', '1']])),
  cookies: () => Promise.resolve({ get: () => undefined }),
}))

const DAY = '2026-03-10'
ownData('standing', DAY)
const world = demoWorld(DAY)
const { v7, stamp } = ownDevice(17, DAY)
const ids = world.students.map((s) => s.id)

const load = async () => ({
  standing: await import('./standing'),
  judge: await import('./judge'),
  facts: await import('../facts/actions'),
  approaches: await import('../approaches/actions'),
  studio: await import('../studio/actions'),
  health: await import('@/db/health'),
  decisions: await import('@/db/decisions'),
})
let app: Awaited<ReturnType<typeof load>>
beforeAll(async () => {
  app = await load()
  await seedWorld(DAY)
})

/** What is kept beside a fresh judgement of everybody. */
async function bothWays() {
  const ctx = await screen()
  const kept = app.standing.standings(ctx, ids)
  const judge = app.judge.judgeOf(ctx)
  return { kept: ids.map((id) => kept.get(id)), fresh: ids.map((id) => app.standing.judged(ctx, judge, id)) }
}

type Change = (who: string, n: number) => unknown
const CHANGES: Readonly<Record<string, Change>> = {
  result: async (studentId, n) =>
    value(
      await app.facts.recordFact({
        ...stamp(),
        ...{ kind: 'observation', studentId, checkId: 'CK-dolphin-hold', typed: { single: String(5 + n) } },
        ...{ units: 'cm', aided: false, aid: '', help: 'alone', arms: null, observer: '', classId: null },
        ...{ valid: true, watched: true, faults: [], note: '', replaces: null },
      }),
    ),
  attempt: async (studentId) =>
    value(
      await app.facts.recordFact({
        ...stamp(),
        ...{
          kind: 'attempt',
          studentId,
          stageId: 'FS-04',
          level: 'practised',
          outcome: 'not-yet',
          lead: null,
        },
        ...{ exitControlled: true, help: 'alone', setupId: null, seconds: null, faults: ['FT-head-drop'] },
        ...{ endedBy: 'self', classId: null, replaces: null },
      }),
    ),
  placement: async (studentId, n) =>
    value(
      await app.facts.recordFact({
        ...stamp(),
        kind: 'placement',
        studentId,
        stageId: n % 2 ? 'FS-05' : 'FS-02',
      }),
    ),
  health: async (studentId, n) => {
    const { scope, health } = await screen()
    const said = { answers: [], nothingApplies: n % 2 ? DAY : null, gentle: n % 3 === 0 }
    app.health.addScreening(scope, health.key!, { id: v7(), studentId, day: DAY }, said)
  },
  'way of one person': async (scopeId, n) =>
    value(
      await app.approaches.choose({
        scope: 'student',
        scopeId,
        approach: 'A01',
        option: n % 2 ? 'wall' : null,
      }),
    ),
  'way of the teacher': async (_, n) =>
    value(
      await app.approaches.applyPreset({
        scope: 'teacher',
        scopeId: '',
        preset: n % 2 ? 'strength' : 'none',
      }),
    ),
  'the room’s own rules': async (_, n) =>
    value(await app.studio.saveFloor({ closed: n % 2 ? [{ tag: 'FR', level: 2 }] : [], mostAttempts: null })),
  'another day': (_, n) => {
    process.env.LEVITAR_NOW = `2026-0${3 + (n % 4)}-12T17:00:00Z`
  },
  forgotten: async (studentId) => {
    const { scope } = await screen()
    app.health.eraseHealth(scope, studentId)
  },
}

it('what is kept equals a fresh judgement, for everybody, whatever changed in between', async () => {
  const step = fc.record({
    change: fc.constantFrom(...Object.keys(CHANGES)),
    who: fc.constantFrom(...ids),
    n: fc.nat(7),
  })
  await fc.assert(
    fc.asyncProperty(fc.array(step, { minLength: 1, maxLength: 4 }), async (steps) => {
      for (const { change, who, n } of steps) {
        await CHANGES[change]?.(who, n)
        const { kept, fresh } = await bothWays()
        expect(kept).toEqual(JSON.parse(JSON.stringify(fresh)))
      }
    }),
    { numRuns: runs(9) },
  )
}, 120_000)

it('judges only whoever changed, and keeps nothing while the key is missing', async () => {
  const ctx = await screen()
  app.standing.standings(ctx, ids)
  const day = ctx.clock.today
  const kept = (engine: string) => app.decisions.currentRows(ctx.scope, ids, day, engine).length
  const engine = app.standing.engineOf(ctx.practice)
  expect(kept(engine)).toBe(ids.length)
  expect(kept('another release')).toBe(0)
  await CHANGES.result?.(ids[0] ?? '', 3)
  expect(kept(engine)).toBe(ids.length - 1)
  const shut = { ...ctx, health: { code: 'lost' as const, key: null } }
  const closed = app.standing.standings(shut, ids)
  expect([...closed.values()].some((now) => now.screening === 'shut')).toBe(true)
  expect(kept(engine)).toBe(ids.length - 1)
})
