import { verdictWord } from '@/core/words/limit'
import { describeLoadFrom } from '@/core/words/load'
import { demoWorld } from '@/core/simulate/demo'
import type { Context } from './context'
import { loadReadModels, readsOf } from '@/testing/read-models'
import { ownData, ownDevice, screen, seedWorld, value } from '@/testing/actions'

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }))
jest.mock('next/headers', () => ({
  headers: () => Promise.resolve(new Map([['x-levitar-home', '1']])),
  cookies: () => Promise.resolve({ get: () => undefined }),
}))

const DAY = '2026-03-10'
ownData('privacy', DAY)
const world = demoWorld(DAY)
const { v7, stamp } = ownDevice(91, DAY)
const idOf = (name: string): string => world.students.find((s) => s.name === name)?.id ?? ''
const tonight = world.classes.at(-1)?.id ?? ''
const SERIES = v7()
const SEQUENCE = v7()
const PLANTED = 'planted-word-plover'

let app: Awaited<ReturnType<typeof loadReadModels>>
beforeAll(async () => {
  app = await loadReadModels()
  await seedWorld(DAY)
  const facts = await import('./facts/actions')
  const { beginSeries } = await import('./series/actions')
  const towards = { name: 'Six weeks', groupId: world.groups[0]!.id, family: 'FS' as const }
  value(await beginSeries({ id: SERIES, ...towards, firstDay: '2026-02-17', weeks: 6 }))
  const { makeSequence } = await import('./sequences/actions')
  const whom = { people: world.students.slice(0, 6).map((s) => s.id), minutes: 14 }
  value(await makeSequence({ id: SEQUENCE, name: 'Strong arms', ...whom }))
  const incidents = await import('./incidents/actions')
  const words = { pain: 6, regions: ['wrist' as const], energy: 2, arms: 8, look: 'watch' as const }
  const checkIn = { ...words, ticked: [], touch: 'no' as const }
  for (const { id } of world.students.slice(0, 6))
    value(await facts.recordFact({ ...stamp(), kind: 'check-in', studentId: id, words: checkIn }))
  const report = {
    ...{
      id: v7(),
      day: DAY,
      time: '08:50',
      classId: tonight,
      studentId: idOf('Jonty Abara'),
      kind: 'fall' as const,
    },
    ...{ stageId: null, happened: PLANTED, done: 'Sat out.', told: [], witnesses: '', reporter: PLANTED },
  }
  value(await incidents.saveIncident(report))
  const { addScreening } = await import('@/db/health')
  const { scope, health, practice } = await screen()
  const pressure = practice.intake.find((q) => q.options.some((o) => o.sets.includes('BPH-open')))
  const options = pressure?.options.filter((o) => o.sets.includes('BPH-open')).map((o) => o.id) ?? []
  const yes = {
    question: pressure?.id ?? '',
    choice: 'yes' as const,
    options,
    day: DAY,
    given: 'asked-aloud' as const,
  }
  const said = { answers: [yes], nothingApplies: DAY, gentle: null }
  addScreening(scope, health.key!, { id: v7(), studentId: idOf('Ines Calder'), day: DAY }, said)
  const plans = await import('./plans/actions')
  const form = {
    id: CLASS,
    planId: v7(),
    title: 'Private',
    day: DAY,
    startTime: '20:00',
    minutes: '60',
    bays: 2,
    aim: { kind: 'practice' as const, families: ['FS' as const] },
  }
  const roster = world.students.map((s) => s.id)
  value(await plans.createClass({ ...form, groupId: null, roster }))
  const run = { kind: 'class-event' as const, classId: CLASS, atMs: 1, blockIndex: 0 }
  for (const event of ['started', 'ended'] as const)
    value(await facts.recordFact({ ...stamp(), ...run, event }))
})
const CLASS = v7()

const READS = readsOf(() => app, world, { CLASS, SERIES, SEQUENCE, tonight })

/** Words by which a limit, an answer, a clearance, a check-in or a report would be known. */
function tellTales(ctx: Context): string[] {
  const strict = (['barred', 'left-out', 'changed', 'watch'] as const).map((v) => `${verdictWord(v)}: `)
  const loads = ctx.practice.cautions.flatMap((c) =>
    c.tags.map((t) => describeLoadFrom({ ...t, level: t.level })),
  )
  return [
    ...strict,
    ...new Set(loads.flatMap((words) => [`leave out ${words}`, `: ${words}`, `"${words}"`])),
    ...ctx.practice.cautions.flatMap((c) => (c.change ? [c.change.words] : [])),
    ...['Not done in this room', 'recorded clearance', 'Left out', 'Half the repetitions'],
    ...[PLANTED, 'high-managed', 'asked aloud', 'Cleared for', 'letter-seen', '"pain"', '"arms":'],
  ]
}
const found = (ctx: Context, data: unknown): string[] => {
  const text = JSON.stringify(data ?? null)
  return tellTales(ctx).filter((word) => text.includes(word))
}

it('names every read model', () => {
  const exported = Object.values(app).flatMap((module) =>
    Object.entries(module).flatMap(([name, what]) => (typeof what === 'function' ? [name] : [])),
  )
  expect(Object.keys(READS).toSorted()).toEqual([...new Set(exported)].toSorted())
})

it.each(Object.keys(READS))(
  '%s: with privacy shut no word of a limit, an answer or a report',
  async (name) => {
    const ctx = await screen({ hidden: true, notesOpen: false })
    expect(found(ctx, READS[name]?.(ctx))).toEqual([])
  },
)

/** What the owner’s screen reads, model by model, and every statement that it is read with. */
async function openReads(): Promise<{ telling: string[]; asked: Set<string> }> {
  const client = await clientOf()
  const prepare = client.prepare.bind(client)
  const asked = new Set<string>()
  const spy = jest.spyOn(client, 'prepare').mockImplementation((sql: string) => {
    asked.add(sql)
    return prepare(sql)
  })
  const ctx = await screen()
  const telling = Object.keys(READS).filter((name) => found(ctx, READS[name]?.(ctx)).length > 0)
  spy.mockRestore()
  return { telling, asked }
}
let read: ReturnType<typeof openReads> | undefined
const readOnce = () => (read ??= openReads())

it('the words looked for are there where nothing is hidden', async () => {
  const { telling } = await readOnce()
  expect(telling).toEqual(
    expect.arrayContaining([
      ...['doorData', 'limitsView', 'healthView', 'incidentView', 'planView', 'personReadiness'],
      ...['benchDetails', 'teachData', 'board'],
    ]),
  )
})

it('a screen of which nothing is known counts as shut', async () => {
  const { SHUT } = await import('./context')
  const { privacyHere } = await import('./layer')
  const { cookies } = jest.requireMock<{ cookies: () => Promise<unknown> }>('next/headers')
  expect(await cookies()).toBeDefined()
  jest
    .spyOn(jest.requireMock<{ cookies: () => Promise<unknown> }>('next/headers'), 'cookies')
    .mockRejectedValueOnce(new Error('no cookies'))
  expect(await privacyHere()).toEqual(SHUT)
  expect(SHUT).toEqual({ hidden: true, notesOpen: false })
})

it('no read model walks through everybody’s facts: each of its queries goes by an index', async () => {
  const { asked } = await readOnce()
  const client = await clientOf()
  const selects = [...asked].filter((sql) => /^\s*select/i.test(sql))
  expect(selects.length).toBeGreaterThan(25)
  const scans = selects.flatMap((sql) => {
    const values = sql
      .split('?')
      .slice(1)
      .map(() => null)
    const plan = client.prepare(`EXPLAIN QUERY PLAN ${sql}`).all(...values) as { detail: string }[]
    return plan
      .filter(({ detail }) => FACT_SCAN.test(detail))
      .map(({ detail }) => `${detail}: ${sql.slice(0, 160)}`)
  })
  expect(scans).toEqual([])
})

async function clientOf(): Promise<Client> {
  const { sharedDb } = await import('@/db/open')
  return (sharedDb() as unknown as { $client: Client }).$client
}
type Client = { prepare: (sql: string) => { all: (...values: unknown[]) => unknown[] } }
/** Tables that grow with every class; walking along an index of one's own order is no scan. */
const FACT_SCAN =
  /^SCAN (observation|attempt|drill_done|placement|note|attendance|class_event|current_decision|trail)\b(?!.*USING)/
