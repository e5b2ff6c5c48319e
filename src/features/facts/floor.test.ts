import 'fake-indexeddb/auto'
import fc from 'fast-check'
import { IDBFactory } from 'fake-indexeddb'
import { sql } from 'drizzle-orm'
import { addDays } from '@/core/day'
import { FACT_KINDS, type SentFact } from '@/core/facts/fact'
import { shippedPractice } from '@/core/practice/library'
import { demoWorld } from '@/core/simulate/demo'
import type { Draft } from '@/device/log'
import { ownData, ownDevice, screen, seedWorld } from '@/testing/actions'

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }))
jest.mock('next/headers', () => ({
  headers: () => Promise.resolve(new Map([['x-levitar-home', '1']])),
  cookies: () => Promise.resolve({ get: () => undefined }),
}))

const DAY = '2026-03-10'
ownData('floor', DAY)
const world = demoWorld(DAY)
const { v7 } = ownDevice(53, DAY)
const classId = world.classes.at(-1)?.id ?? ''
const roster = world.classes.at(-1)?.roster ?? []
const [wren = '', ash = ''] = roster
const nextClassId = v7()

beforeAll(async () => {
  await seedWorld(DAY)
  const { addClass } = await import('@/db/classes')
  const coming = {
    id: nextClassId,
    title: 'Next week',
    day: addDays(DAY, 7),
    startTime: '18:30',
    minutes: 60,
    bays: 2,
  }
  addClass((await screen()).scope, { ...coming, roster: [...roster] })
})

/** A tab: its own copy of everything that a page holds in memory, over the device's one database. */
type Tab = {
  log: typeof import('@/device/log')
  pump: () => Promise<boolean>
  says: (nowMs: number) => void
}
function openTab(): Tab {
  let tab: Tab | undefined
  jest.isolateModules(() => {
    const log = jest.requireActual<typeof import('@/device/log')>('@/device/log')
    const { pump } = jest.requireActual<typeof import('@/device/pump')>('@/device/pump')
    const { pageSays } = jest.requireActual<typeof import('@/device/clock')>('@/device/clock')
    tab = { log, pump, says: (nowMs) => pageSays(nowMs, 'Europe/London') }
  })
  if (!tab) throw new Error('no tab')
  tab.says(Date.parse(process.env.LEVITAR_NOW ?? ''))
  return tab
}

type Line = 'up' | 'away' | 'stumbles' | 'mute' | 'busy'
let line: Line = 'up'
/** The wire: the real route behind a connection that fails as connections do. */
async function wire(_url: unknown, init?: RequestInit): Promise<Response> {
  if (line === 'away') throw new Error('away')
  if (line === 'stumbles') return new Response(null, { status: 500 })
  // Heard, and nothing taken: all of it is to be sent again.
  if (line === 'busy') {
    const { facts } = JSON.parse(typeof init?.body === 'string' ? init.body : '') as {
      facts: { id: string }[]
    }
    const answers = facts.map(({ id }) => ({ id, state: 'again' }))
    return Response.json({
      answers,
      nowMs: Date.parse(process.env.LEVITAR_NOW ?? ''),
      timeZone: 'Europe/London',
    })
  }
  const { receiveRequest } = await import('./request')
  const answer = await receiveRequest(new Request('http://localhost/facts', { ...init, method: 'POST' }))
  // It arrived and was stored, and the answer never came back.
  if (line === 'mute') throw new Error('no answer')
  return answer
}

const VALID: {
  readonly [K in (typeof FACT_KINDS)[number]]: (n: number, before: readonly SentFact[]) => Draft
} = {
  observation: (n) => ({
    ...{
      kind: 'observation',
      studentId: wren,
      checkId: 'CK-dolphin-hold',
      typed: { single: String(20 + n) },
    },
    ...{ units: 'cm', aided: false, aid: '', help: 'alone', arms: null, observer: '', classId, valid: true },
    ...{ watched: true, faults: [], note: '', replaces: null },
  }),
  attempt: () => ({
    ...{ kind: 'attempt', studentId: ash, stageId: 'FS-05', level: 'practised', outcome: 'not-yet', classId },
    ...{ exitControlled: true, help: 'alone', setupId: null, lead: null, seconds: null, faults: [] },
    ...{ endedBy: 'self', replaces: null },
  }),
  drill: () => ({ kind: 'drill', studentId: wren, drillId, classId, amount: 3, replaces: null }),
  placement: () => ({ kind: 'placement', studentId: ash, stageId: 'FS-04' }),
  'class-event': (n) => ({ kind: 'class-event', classId, event: 'block', atMs: 1000 + n, blockIndex: n % 4 }),
  attended: () => ({ kind: 'attended', classId, studentId: wren, mark: 'here' }),
  'check-in': () => ({
    ...{ kind: 'check-in', studentId: ash },
    words: { pain: 1, regions: ['wrist'], energy: 6, arms: 1, look: 'half', ticked: [], touch: 'ask' },
  }),
  offer: () => ({ kind: 'offer', studentId: wren, stageId: 'FS-05', answer: 'hold-back', reason: null }),
  lock: () => ({
    ...{ kind: 'lock', classId: nextClassId, studentId: wren, part: 'skill', stageId: 'FS-02' },
    reason: 'seen-it',
  }),
  note: () => ({ kind: 'note', studentId: wren, classId, text: 'left elbow first' }),
  'taken-back': (_, before) => {
    const last = before.findLast((f) => f.kind === 'observation')
    return { kind: 'taken-back', of: 'observation', studentId: wren, target: last?.id ?? v7() }
  },
}
const drillId = shippedPractice().drills[0]?.id ?? ''

/** What the server has to refuse for good, one a kind. */
function spoilt(draft: Draft): Draft {
  switch (draft.kind) {
    case 'observation':
      return { ...draft, typed: { single: 'long' } }
    case 'attempt':
      return { ...draft, outcome: 'clean', faults: ['FT-elbow-splay'] }
    case 'drill':
      return { ...draft, drillId: 'DR-moon' }
    case 'placement':
      return { ...draft, stageId: 'FS-99' }
    case 'class-event':
      return { ...draft, classId: v7() }
    case 'attended':
      return { ...draft, studentId: world.students.at(-1)?.id ?? '' }
    case 'check-in':
      return { ...draft, words: { ...draft.words, regions: [] } }
    case 'offer':
      return { ...draft, answer: 'override' }
    case 'lock':
      return { ...draft, classId }
    case 'note':
      return { ...draft, text: '' }
    case 'taken-back':
      return { ...draft, target: v7() }
  }
}

const TABLES = [
  ...['observation', 'attempt', 'drill_done', 'placement', 'class_event', 'attendance'],
  ...['health_record', 'offer_tap', 'plan_lock', 'note'],
] as const

async function rowsOf(id: string): Promise<{ day: string | null }[]> {
  const { scope } = await screen()
  return TABLES.flatMap((table) =>
    scope.db.all<{ day: string | null }>(
      sql`select ${sql.raw(table === 'offer_tap' ? 'null' : 'day')} as day from ${sql.raw(table)} where id = ${id}`,
    ),
  )
}

type Step =
  | {
      readonly do: 'tap'
      readonly kind: (typeof FACT_KINDS)[number]
      readonly tab: 0 | 1
      readonly wrong: boolean
    }
  | { readonly do: 'line'; readonly to: Line }
  | { readonly do: 'send'; readonly both: boolean }
  | { readonly do: 'reload'; readonly tab: 0 | 1 }
  | { readonly do: 'clock-back' }
  | { readonly do: 'midnight' }

const tab01 = fc.constantFrom<0 | 1>(0, 1)
const step: fc.Arbitrary<Step> = fc.oneof(
  {
    weight: 6,
    arbitrary: fc.record({
      do: fc.constant('tap' as const),
      kind: fc.constantFrom(...FACT_KINDS),
      tab: tab01,
      wrong: fc.boolean(),
    }),
  },
  {
    weight: 3,
    arbitrary: fc.record({
      do: fc.constant('line' as const),
      to: fc.constantFrom<Line>('up', 'away', 'stumbles', 'mute', 'busy'),
    }),
  },
  { weight: 3, arbitrary: fc.record({ do: fc.constant('send' as const), both: fc.boolean() }) },
  { weight: 2, arbitrary: fc.record({ do: fc.constant('reload' as const), tab: tab01 }) },
  { weight: 1, arbitrary: fc.constant({ do: 'clock-back' as const }) },
  { weight: 1, arbitrary: fc.constant({ do: 'midnight' as const }) },
)

it('whatever interrupts, each fact ends stored once under its own day, or refused with its sentence in view', async () => {
  globalThis.fetch = wire
  await fc.assert(
    fc.asyncProperty(fc.array(step, { minLength: 4, maxLength: 24 }), async (steps) => {
      globalThis.indexedDB = new IDBFactory()
      process.env.LEVITAR_NOW = `${DAY}T17:00:00Z`
      line = 'up'
      const tabs: [Tab, Tab] = [openTab(), openTab()]
      const wall = jest.spyOn(Date, 'now')
      const good: SentFact[] = []
      const bad: SentFact[] = []
      let n = 0
      const serverDay = (): string => (process.env.LEVITAR_NOW ?? '').slice(0, 10)
      try {
        for (const s of steps) {
          if (s.do === 'line') line = s.to
          else if (s.do === 'reload') {
            tabs[s.tab] = openTab()
          } else if (s.do === 'clock-back') {
            const at = performance.timeOrigin + performance.now()
            wall.mockImplementation(() => at - 30 * 3_600_000)
          } else if (s.do === 'midnight') {
            process.env.LEVITAR_NOW = `${addDays(serverDay(), 1)}T07:00:00Z`
          } else if (s.do === 'send') {
            await Promise.all((s.both ? tabs : [tabs[0]]).map((t) => t.pump()))
          } else {
            const draft = VALID[s.kind]((n += 1), good)
            const isBad = s.wrong || (s.kind === 'taken-back' && !good.some((f) => f.kind === 'observation'))
            const fact = await tabs[s.tab].log.record(s.wrong ? spoilt(draft) : draft, `tap ${n}`)
            ;(isBad ? bad : good).push(fact)
            if (isBad && !s.wrong) expect(fact.kind).toBe('taken-back')
          }
          // Nothing is shown as stored that is not.
          for (const entry of await tabs[0].log.readLog())
            if (entry.state === 'stored') expect(await rowsOf(entry.fact.id)).toHaveLength(1)
        }
        line = 'up'
        for (let delivery = 0; delivery < 3; delivery += 1) await Promise.all(tabs.map((t) => t.pump()))
        const log = await tabs[1].log.readLog()
        for (const fact of good) {
          const rows = await rowsOf(fact.id)
          expect([fact.kind, rows.length]).toEqual([fact.kind, 1])
          // A correction speaks of the day it corrects; an offer keeps a moment and no day.
          if (fact.kind !== 'offer' && fact.kind !== 'taken-back') expect(rows[0]?.day).toBe(fact.day)
          expect(log.find((e) => e.fact.id === fact.id)?.state ?? 'stored').toBe('stored')
        }
        for (const fact of bad) {
          expect([fact.kind, (await rowsOf(fact.id)).length]).toEqual([fact.kind, 0])
          expect(log.find((e) => e.fact.id === fact.id)).toMatchObject({
            state: 'refused',
            why: expect.stringMatching(/^[A-Z“].{10,}[.]$/),
          })
        }
        // Days come from the studio's clock, whatever the device's own shows.
        for (const fact of [...good, ...bad]) expect(fact.day >= DAY && fact.day <= serverDay()).toBe(true)
        expect(new Set(log.map((e) => e.fact.deviceSeq)).size).toBe(log.length)
      } finally {
        wall.mockRestore()
      }
    }),
    { numRuns: Number(process.env.PROPERTY_RUNS ?? 40) },
  )
}, 240_000)

it('what is tapped after another device’s tap was seen is ordered after it, though this clock runs behind', async () => {
  const { hearOf, newStamp } = await import('@/device/facts')
  const before = await newStamp()
  const other = `${(Number.parseInt(before.hlc.slice(0, 9), 36) + 90_000).toString(36).padStart(9, '0')}-0003-${v7()}`
  await hearOf(other)
  const after = await newStamp()
  expect(after.hlc > other).toBe(true)
  // An older one changes nothing.
  await hearOf(before.hlc)
  expect((await newStamp()).hlc > after.hlc).toBe(true)
})
