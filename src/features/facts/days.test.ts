import type { SentFact } from '@/core/facts/fact'
import { addDays } from '@/core/day'
import { demoWorld } from '@/core/simulate/demo'
import { asked, ownData, ownDevice, screen, seedWorld } from '@/testing/actions'

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }))
jest.mock('next/headers', () => ({
  headers: () => Promise.resolve(new Map([['x-levitar-home', '1']])),
  cookies: () => Promise.resolve({ get: () => undefined }),
}))

const DAY = '2026-03-10'
ownData('days', DAY)
const world = demoWorld(DAY)
const { v7, stamp } = ownDevice(61, DAY)
const studentId = world.students[0]?.id ?? ''
const classId = world.classes.at(-1)?.id ?? ''
const SHUT = { hidden: true, notesOpen: false }

const load = async () => ({
  receive: (await import('./receive')).receive,
  request: (await import('./request')).receiveRequest,
  evidence: await import('@/db/evidence'),
  open: await import('@/db/open'),
})
let app: Awaited<ReturnType<typeof load>>
beforeAll(async () => {
  app = await load()
  await seedWorld(DAY)
})

const hold = (part: Partial<SentFact> = {}): SentFact =>
  ({
    ...stamp(),
    ...{ kind: 'observation', studentId, checkId: 'CK-dolphin-hold', typed: { single: '31' }, units: 'cm' },
    ...{ aided: false, aid: '', help: 'alone', arms: null, observer: '', classId: null, valid: true },
    ...{ watched: true, faults: [], note: '', replaces: null },
    ...part,
  }) as SentFact
const noted = (): SentFact => ({ ...stamp(), kind: 'note', studentId, classId: null, text: 'calm' })
const drilled = (): SentFact => ({
  ...stamp(),
  ...{ kind: 'drill', studentId, drillId: 'DR-hollow', classId: null, amount: null, replaces: null },
})
const tried = (part: Partial<SentFact> = {}): SentFact =>
  ({
    ...stamp(),
    ...{
      kind: 'attempt',
      studentId,
      stageId: 'FS-02',
      level: 'practised',
      outcome: 'clean',
      exitControlled: true,
    },
    ...{
      help: 'alone',
      setupId: null,
      lead: null,
      seconds: null,
      faults: [],
      endedBy: null,
      classId,
      replaces: null,
    },
    ...part,
  }) as SentFact
const send = (...facts: unknown[]) => app.receive({ facts }, asked(SHUT))?.answers.map((a) => a.state)
const stored = async () => app.evidence.evidenceOf((await screen()).scope, studentId)
const byId = async (id: string) =>
  [...(await stored()).observations, ...(await stored()).attempts].find((f) => f.id === id)

describe('the day of a fact', () => {
  it('is the day it was tapped, though it arrives two days later', async () => {
    const [late, alsoLate] = [hold(), tried()]
    process.env.LEVITAR_NOW = `${addDays(DAY, 2)}T07:00:00Z`
    expect(send(late, alsoLate)).toEqual(['stored', 'stored'])
    expect([(await byId(late.id))?.day, (await byId(alsoLate.id))?.day]).toEqual([DAY, DAY])
    process.env.LEVITAR_NOW = `${DAY}T17:00:00Z`
  })
  it('of a correction is the day of what it corrects', async () => {
    const first = hold({ day: addDays(DAY, -5) })
    const right = hold({ replaces: first.id })
    expect(send(first, right)).toEqual(['stored', 'stored'])
    expect((await byId(right.id))?.day).toBe(addDays(DAY, -5))
  })
  it('that is still to come is refused, with what to do', () => {
    const answer = app.receive({ facts: [hold({ day: addDays(DAY, 3) })] }, asked(SHUT))?.answers[0]
    expect(answer).toMatchObject({ state: 'refused', why: expect.stringMatching(/clock right/) })
  })
})

describe('a fact of a class that is not there', () => {
  it('ends with a sentence, whatever it is, and never waits for ever', () => {
    const gone = v7()
    const facts = [hold({ classId: gone }), tried({ classId: gone }), { ...noted(), classId: gone }]
    for (const fact of [...facts, { ...drilled(), classId: gone }, { ...drilled(), replaces: v7() }]) {
      const answer = app.receive({ facts: [fact] }, asked(SHUT))?.answers[0]
      expect([fact.kind, answer]).toEqual([
        fact.kind,
        { id: fact.id, state: 'refused', why: expect.stringMatching(/is not t?here any more/) },
      ])
    }
  })
  it('and whatever cannot be stored at any try is refused, with the number it is noted under', () => {
    const quiet = jest.spyOn(console, 'error').mockImplementation(() => undefined)
    const broken = jest.spyOn(app.open.sharedDb(), 'transaction').mockImplementation(() => {
      throw Object.assign(new Error('x'), { code: 'SQLITE_CONSTRAINT_FOREIGNKEY' })
    })
    const answer = app.receive({ facts: [hold()] }, asked(SHUT))?.answers[0]
    expect(answer).toMatchObject({ state: 'refused', why: expect.stringMatching(/noted under [0-9a-f]{8}/) })
    broken.mockRestore()
    quiet.mockRestore()
  })
})

describe('a tablet that is passed round', () => {
  it('stores tonight’s words and nothing else; the rest waits until it is given back', async () => {
    const passed = asked({ ...SHUT, passed: true })
    const words = { pain: 0, regions: [], energy: 6, arms: 1, look: 'half', ticked: [], touch: 'ask' }
    const checkIn = { ...stamp(), kind: 'check-in', studentId, words }
    const placed = { ...stamp(), kind: 'placement', studentId, stageId: 'FS-10b' }
    const facts = [tried(), hold(), placed, { ...noted() }, checkIn]
    expect(app.receive({ facts }, passed)?.answers.map((a) => a.state)).toEqual([
      ...['again', 'again', 'again', 'again', 'stored'],
    ])
    expect(await byId(facts[0]!.id)).toBeUndefined()
    expect(send(facts[0])).toEqual(['stored'])
  })
})

describe('a batch', () => {
  it('answers each for itself, and the same again is known', () => {
    const [good, bad] = [hold(), hold({ studentId: v7() })]
    expect(send(good, bad, { id: 'no id' }, good)).toEqual(['stored', 'refused', 'known'])
    expect(send(good, bad)).toEqual(['known', 'refused'])
  })
  it('with one id for two people keeps the first and tells the second, whatever it is', () => {
    const other = world.students[1]?.id ?? ''
    for (const fact of [hold(), tried({ classId: null }), noted(), drilled()]) {
      const answers = send(fact, { ...fact, studentId: other }, fact) ?? []
      expect([fact.kind, ...answers]).toEqual([fact.kind, 'stored', 'refused', 'known'])
    }
  })
  it('with a device counter used twice stores both', async () => {
    const one = hold()
    const two = hold({ deviceId: one.deviceId, deviceSeq: one.deviceSeq })
    expect(send(one, two)).toEqual(['stored', 'stored'])
    expect([await byId(one.id), await byId(two.id)].every(Boolean)).toBe(true)
  })
  it('that meets a store which fails for now is to be sent again, and nothing of it is lost', () => {
    const fact = hold()
    const quiet = jest.spyOn(console, 'error').mockImplementation(() => undefined)
    const broken = jest.spyOn(app.open.sharedDb(), 'transaction').mockImplementation(() => {
      throw Object.assign(new Error('disk full'), { code: 'SQLITE_FULL' })
    })
    expect(send(fact)).toEqual(['again'])
    expect(quiet.mock.calls.flat().join(' ')).toMatch(/"what":"fact","kind":"Error","code":"SQLITE_FULL"/)
    broken.mockRestore()
    quiet.mockRestore()
    expect(send(fact)).toEqual(['stored'])
  })
  it('waits for its turn where another process holds the store', async () => {
    const { default: Database } = await import('better-sqlite3')
    const other = new Database(app.open.databaseFile(app.open.dataFolder()))
    other.exec('BEGIN IMMEDIATE')
    const fact = hold()
    // The other lets go from a process of its own, while this one waits in the driver.
    const { spawn } = await import('node:child_process')
    other.exec('COMMIT')
    const script = `const D=require('better-sqlite3');const d=new D(process.argv[1]);d.exec('BEGIN IMMEDIATE');console.log('held');setTimeout(()=>{d.exec('COMMIT')},700)`
    const child = spawn(process.execPath, ['-e', script, app.open.databaseFile(app.open.dataFolder())])
    await new Promise((resolve) => child.stdout.once('data', resolve))
    const began = Date.now()
    expect(send(fact)).toEqual(['stored'])
    expect(Date.now() - began).toBeGreaterThan(300)
    other.close()
  })
  it('from another site, in another shape or too large is not read', async () => {
    const ask = (headers: Record<string, string>, body = '{"facts":[]}') =>
      app.request(new Request('http://localhost/facts', { method: 'POST', body, headers }))
    const json = { 'content-type': 'application/json' }
    expect((await ask({ ...json, 'sec-fetch-site': 'cross-site' })).status).toBe(403)
    expect((await ask({ 'content-type': 'text/plain' })).status).toBe(403)
    expect((await ask(json, '{"facts":7}')).status).toBe(400)
    expect((await ask(json, 'no json')).status).toBe(400)
    expect((await ask(json, `{"facts":["${'x'.repeat(300_000)}"]}`)).status).toBe(413)
    const told = (await (await ask(json)).json()) as { nowMs: number }
    expect(told).toMatchObject({
      answers: [],
      nowMs: Date.parse(`${DAY}T17:00:00Z`),
      timeZone: 'Europe/London',
    })
  })
})
