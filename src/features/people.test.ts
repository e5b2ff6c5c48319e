import { copyFileSync, existsSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { demoWorld } from '@/core/simulate/demo'
import { ownData, ownDevice, refusedAt, seedWorld, value } from '@/testing/actions'
import { CookieJar } from '@/testing/cookies'

const mockJar = new CookieJar()
jest.mock('next/cache', () => ({ revalidatePath: () => undefined }))
jest.mock('next/headers', () => ({
  headers: () => Promise.resolve(new Map([['x-levitar-home', '1']])),
  cookies: () => Promise.resolve(mockJar),
}))

const DAY = '2026-03-10'
const folder = ownData('people', DAY)

// Loaded after the data folder is set: the connection is opened once, on first use.
const load = async () => ({
  health: await import('./health/actions'),
  healthQueries: await import('./health/queries'),
  layer: await import('./layer'),
  layerActions: await import('./health/layer-actions'),
  doorQueries: await import('./door/queries'),
  incidents: await import('./incidents/actions'),
  incidentQueries: await import('./incidents/queries'),
  students: await import('./students/actions'),
  studentQueries: await import('./students/queries'),
  plans: await import('./plans/actions'),
  planQueries: await import('./plans/plan-queries'),
  board: await import('./readiness/board-queries'),
  facts: await import('./facts/actions'),
  teachingQueries: await import('./teaching/queries'),
  today: await import('./today/queries'),
  context: await import('./context'),
})
let app: Awaited<ReturnType<typeof load>>
const world = demoWorld(DAY)
beforeAll(async () => {
  app = await load()
  await seedWorld(DAY)
})

const { v7, stamp } = ownDevice(21, DAY)
/** A screen where nothing is hidden, and one that others can see. */
const shown = (notesOpen = true) => app.context.contextFor({ hidden: false, notesOpen })
const hidden = () => app.context.contextFor({ hidden: true, notesOpen: false })
const refused = refusedAt
const idOf = (name: string): string => world.students.find((s) => s.name === name)?.id ?? ''
const tonight = (): string => world.classes.at(-1)?.id ?? ''
const open = () => app.layerActions.openLayer('')
const screeningOf = (name: string) =>
  app.studentQueries
    .workedOut(
      shown(),
      world.students.filter((s) => s.name === name),
    )
    .get(idOf(name))?.screening

describe('the health layer', () => {
  const answers = [{ question: 'Q01', choice: 'yes' as const, options: ['high-managed'] }]
  const form = { way: 'answers' as const, answers, given: 'asked-aloud' as const }
  it('shut, takes nothing from a teacher’s screen and keeps nothing of it', async () => {
    const answer = await app.health.saveScreening({ ...form, entryId: v7(), studentId: idOf('Tomas Reyle') })
    expect(answer.ok).toBe(false)
    expect(app.healthQueries.limitsView(shown(), idOf('Tomas Reyle'))?.state).toMatch(/Not asked/)
  })
  it('open, turns an answer into limits at once and shows no condition among them', async () => {
    value(await open())
    value(await app.health.saveScreening({ ...form, entryId: v7(), studentId: idOf('Tomas Reyle') }))
    const view = app.healthQueries.limitsView(shown(), idOf('Tomas Reyle'))
    expect(view?.limits.map((l) => l.word)).toContain('Barred')
    expect(JSON.stringify(view)).not.toMatch(/blood|pressure|BPH|Q01/i)
    expect(view?.closed.some((c) => c.text.includes('Instead: '))).toBe(true)
  })
  it('hidden, sends not even the words of limits', async () => {
    value(await app.layerActions.hideLimits(true))
    expect(await app.layer.privacyHere()).toEqual({ hidden: true, notesOpen: false })
    expect(app.healthQueries.limitsView(hidden(), idOf('Tomas Reyle'))).toMatchObject({
      limits: [],
      closed: [],
      stages: [],
    })
    expect(
      app.doorQueries
        .doorData(hidden(), tonight())
        ?.lines.every((l) => l.limits === 'limits are hidden on this screen'),
    ).toBe(true)
    value(await app.layerActions.hideLimits(false))
  })
  it('opens only with the word once one is set, and a forged mark opens nothing', async () => {
    value(await open())
    expect(refused(await app.layerActions.setPass({ word: 'abc', again: 'abc' }))).toEqual(['word'])
    expect(refused(await app.layerActions.setPass({ word: 'slipways', again: 'slipweys' }))).toEqual([
      'again',
    ])
    value(await app.layerActions.setPass({ word: 'slipways', again: 'slipways' }))
    value(await app.layerActions.shutLayer())
    expect(refused(await app.layerActions.openLayer('harbour'))).toEqual(['word'])
    expect((await app.layer.privacyHere()).notesOpen).toBe(false)
    mockJar.set('levitar.layer', `${Date.now() + 1e6}.${'0'.repeat(64)}`)
    expect((await app.layer.privacyHere()).notesOpen).toBe(false)
    value(await app.layerActions.openLayer('slipways'))
    expect((await app.layer.privacyHere()).notesOpen).toBe(true)
    // What was shut stays shut, whoever kept its mark; another word shuts every other screen.
    const [mine, theirs] = [
      mockJar.get('levitar.layer')?.value ?? '',
      (await import('./layer-sessions')).openSession(),
    ]
    value(await app.layerActions.setPass({ word: '', again: '' }))
    mockJar.set('levitar.layer', theirs)
    expect((await app.layer.privacyHere()).notesOpen).toBe(false)
    mockJar.set('levitar.layer', mine)
    expect((await app.layer.privacyHere()).notesOpen).toBe(true)
    value(await app.layerActions.shutLayer())
    mockJar.set('levitar.layer', mine)
    expect((await app.layer.privacyHere()).notesOpen).toBe(false)
  })
  it('a tablet in other hands adds limits and lifts none: a no waits for the teacher', async () => {
    const studentId = idOf('Tomas Reyle')
    const passed = (choice: 'yes' | 'no') =>
      app.health.savePassedScreening({
        ...{ entryId: v7(), studentId, way: 'answers' as const },
        answers: [{ question: 'Q01', choice, options: choice === 'yes' ? ['high-managed'] : [] }],
      })
    const barred = () => app.healthQueries.limitsView(shown(), studentId)?.limits.map((l) => l.word)
    expect(barred()).toContain('Barred')
    process.env.LEVITAR_NOW = '2026-03-11T17:00:00Z'
    value(await passed('no'))
    expect(barred()).toContain('Barred')
    expect(app.healthQueries.limitsView(shown(), studentId)?.state).toMatch(
      /answered otherwise on the tablet/,
    )
    expect(
      app.healthQueries.healthView(shown(), studentId)?.questions.find((q) => q.id === 'Q01')?.said,
    ).toMatch(/settle it with them/)
    // The teacher's own word settles it.
    process.env.LEVITAR_NOW = '2026-03-12T17:00:00Z'
    value(await open())
    value(
      await app.health.saveScreening({
        ...{ entryId: v7(), studentId, way: 'answers' as const, given: 'asked-aloud' as const },
        answers,
      }),
    )
    expect(app.healthQueries.limitsView(shown(), studentId)?.state).not.toMatch(/tablet/)
    value(await app.layerActions.shutLayer())
    process.env.LEVITAR_NOW = `${DAY}T17:00:00Z`
  })
  it('a clearance opens its own load, and only from an open screen', async () => {
    const clearance = {
      entryId: v7(),
      studentId: idOf('Tomas Reyle'),
      tags: [{ tag: 'HBH' as const, upTo: 3 }],
      clinician: 'Dr Alder',
      basis: 'letter-seen' as const,
      day: '',
      expires: '',
    }
    value(await app.layerActions.shutLayer())
    expect((await app.health.saveClearance(clearance)).ok).toBe(false)
    value(await open())
    value(await app.health.saveClearance(clearance))
    const words = app.healthQueries
      .limitsView(shown(), idOf('Tomas Reyle'))
      ?.limits.map((l) => `${l.word} ${l.text}`)
    expect(words?.[0]).toMatch(/^Barred weight on the head/)
    expect(words?.[0]).not.toMatch(/full inversions/)
  })
  it('a student’s own answers need no open screen, and a question nobody asks is refused', async () => {
    value(await app.layerActions.shutLayer())
    const own = {
      entryId: v7(),
      studentId: idOf('Ravi Ellender'),
      way: 'nothing-applies' as const,
      answers: [],
    }
    value(await app.health.savePassedScreening(own))
    expect(screeningOf('Ravi Ellender')).toBe('answered')
    // It lifts nothing that waits for being asked: nobody knows in whose hands the tablet was.
    const { judgeOf } = await import('./desk/judge')
    const kept = judgeOf(shown()).health(own.studentId).screening
    expect([kept.nothingApplies, kept.asked]).toEqual([DAY, null])
    const odd = { ...own, way: 'answers' as const, answers: [{ ...answers[0]!, question: 'Q99' }] }
    expect((await app.health.savePassedScreening(odd)).ok).toBe(false)
    expect((await app.health.savePassedScreening({ ...own, way: 'answers' })).ok).toBe(false)
  })
})

describe('an incident', () => {
  const report = (part: object = {}) => ({
    id: v7(),
    day: DAY,
    time: '08:50',
    classId: tonight(),
    studentId: idOf('Jonty Abara'),
    kind: 'fall' as const,
    stageId: null,
    happened: 'Planted-word-plover rolled out to the left.',
    done: 'Sat out.',
    told: ['studio' as const],
    witnesses: '',
    reporter: 'Ottoline Marsh',
    ...part,
  })
  it('is kept sealed and read only from an open screen', async () => {
    const kept = value(await app.incidents.saveIncident(report()))
    expect(app.incidentQueries.incidentList(hidden())[0]?.what).toBe('A report, sealed')
    expect(
      app.incidentQueries.incidentView(shown(), kept.id)?.lines.find((l) => l.label === 'What happened')
        ?.text,
    ).toMatch(/plover/)
    // Whoever hears of it later is added; the words stay as they were written.
    const toTell = () => app.incidentQueries.incidentView(shown(), kept.id)?.toTell
    const before = toTell() ?? []
    expect(before.length).toBeGreaterThan(0)
    expect(refused(await app.incidents.saveTold({ id: kept.id, told: [] }))).toEqual(['told'])
    await open()
    value(await app.incidents.saveTold({ id: kept.id, told: [...before] }))
    expect(toTell()).toEqual([])
    expect(refused(await app.incidents.saveIncident(report({ happened: '' })))).toEqual(['happened'])
    expect(refused(await app.incidents.saveIncident(report({ time: 'noon' })))).toEqual(['time'])
  })
  it('after a fall on the head holds her out on her page, in the plan and on Today, until she was asked again', async () => {
    const { judged, standings } = await import('./desk/standing')
    const { judgeOf } = await import('./desk/judge')
    const { todayData } = await import('./today/queries')
    const { briefFor } = await import('./desk/class-file')
    const { findClass } = await import('@/db/classes')
    const id = idOf('Ines Calder')
    const open = () => {
      const record = findClass(shown().scope, tonight())!
      const person = briefFor(shown(), record, []).people.find((p) => p.studentId === id)
      return Object.values(person?.families ?? {}).flatMap((reach) => reach.open)
    }
    const stands = () => standings(shown(), [id]).get(id)
    expect(open()).toContain('FS-05')
    const before = stands()
    const kind = 'fall-head-neck' as const
    value(await app.incidents.saveIncident(report({ studentId: id, kind })))
    expect(open().filter((s) => ['FS-03c', 'FS-05', 'FS-09'].includes(s))).toEqual([])
    // What is kept of her follows at once, and equals a fresh judgement.
    expect(stands()).not.toEqual(before)
    expect(stands()).toEqual(judged(shown(), judgeOf(shown()), id))
    const today = todayData(shown())
    expect('settle' in today ? today.settle[0]?.text : '').toMatch(
      /^Ask Ines Calder.* how it is since the report/,
    )
  })
})

describe('erasing somebody', () => {
  it('removes every fact and byte of them, and leaves plans and decisions without them', async () => {
    const id = idOf('Jonty Abara')
    const classId = v7()
    const roster = [id, idOf('Ines Calder'), idOf('Greta Sommerby')]
    const record = {
      id: classId,
      title: 'Farewell',
      day: DAY,
      startTime: '20:00',
      minutes: '60',
      bays: 2,
      aim: { kind: 'practice' as const, families: ['FS' as const] },
      groupId: null,
      roster,
      planId: v7(),
    }
    value(await app.plans.createClass(record))
    const event = { kind: 'class-event' as const, classId, atMs: 1_000, blockIndex: 0 }
    value(await app.facts.recordFact({ ...stamp(), ...event, event: 'started' }))
    value(await app.facts.recordFact({ ...stamp(), ...event, event: 'ended' }))
    expect(app.studentQueries.incidentCount(shown(), id)).toBe(1)
    expect(refused(await app.students.erase({ id, typed: 'Jonty' }))).toEqual(['typed'])
    // A copy as an update leaves it: it holds everybody who is erased later.
    copyFileSync(
      path.join(folder, 'levitar.sqlite'),
      path.join(folder, 'levitar.sqlite.before-migration-2026-03-01'),
    )
    const gone = value(await app.students.erase({ id, typed: 'Jonty Abara' }))
    expect(gone).toMatchObject({ plans: 1, decisions: 1, incidents: 1 })

    const plan = app.planQueries.planView(shown(), classId)
    expect(plan?.blocks.flatMap((b) => b.doings.map((v) => v.name))).toContain('Somebody erased')
    const kept = app.teachingQueries.changesOf(shown(), classId)?.changes.find((c) => c.inputsErased)
    expect(kept).toMatchObject({ name: 'Somebody erased', inputsErased: true })
    expect(readdirSync(folder).filter((f) => f.includes('before-'))).toEqual([])
    for (const file of readdirSync(folder).filter((f) => f.startsWith('levitar.sqlite'))) {
      const bytes = readFileSync(path.join(folder, file))
      for (const word of [id, 'Jonty'])
        expect([file, word, bytes.includes(word)]).toEqual([file, word, false])
    }
  })
  it('forgetting health answers marks what was decided with them', async () => {
    value(await open())
    const ended = app.teachingQueries.endedClasses(shown(), null).classes
    const classId = ended.find((c) => c.title === 'Farewell')?.id ?? ''
    value(await app.health.forgetHealth({ studentId: idOf('Ines Calder') }))
    const marks = app.teachingQueries
      .changesOf(shown(), classId)
      ?.changes.map((c) => [c.name, c.inputsErased])
    expect(marks).toContainEqual(['Ines Calder', true])
    expect(marks).toContainEqual(['Greta Sommerby', false])
    expect(screeningOf('Ines Calder')).toBe('not-asked')
  })
})

describe('with the key lost', () => {
  const file = path.join(folder, 'keys', 'health.key')
  it('everything above gentle work is closed to whoever had answered, it is said, and all else works', async () => {
    const id = idOf('Bertram Oake')
    const closed = () => app.healthQueries.limitsView(shown(), id)?.stages.filter((s) => s.word === 'Barred')
    const before = closed()
    const code = app.healthQueries.printedCode(shown()) ?? ''
    for (const spoilt of ['lost', '', Buffer.alloc(32, 7).toString('base64')]) {
      writeFileSync(file, spoilt)
      expect(app.today.todayData(shown())).toMatchObject({
        state: 'class',
        keyLost: expect.stringMatching(/key/),
      })
      expect(app.board.board(shown(), 1, 'all').rows.length).toBeGreaterThan(12)
      expect(screeningOf('Bertram Oake')).toBe('shut')
      expect(closed()?.[0]?.names.length).toBeGreaterThan(60)
      const answer = await app.layerActions.openLayer('')
      expect(answer.ok ? '' : answer.problems[0]?.message).toMatch(/key/)
    }
    rmSync(file)
    expect(app.planQueries.planView(shown(), tonight())).not.toBeNull()
    // No new key is made where sealed notes lie.
    expect(existsSync(file)).toBe(false)
    expect(refused(await app.layerActions.putKeyBack({ code: 'ABCD' }))).toEqual(['code'])
    value(await app.layerActions.putKeyBack({ code: code.toLowerCase() }))
    expect(closed()).toEqual(before)
    expect(app.today.todayData(shown()).keyLost).toBe('')
  })
})
