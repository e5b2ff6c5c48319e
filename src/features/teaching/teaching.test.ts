import { inOrder } from '@/core/classes/run'
import { bellSchema } from '@/core/facts/heard'
import { PLAIN_TRY } from '@/core/readiness/evidence'
import { demoWorld } from '@/core/simulate/demo'
import { hearOnBoard, hearOnFloor } from './hear'
import { asked, ownData, ownDevice, refusedAt, screen, seedWorld, value } from '@/testing/actions'

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }))
jest.mock('next/headers', () => ({
  headers: () => Promise.resolve(new Map([['x-levitar-home', '1']])),
  cookies: () => Promise.resolve({ get: () => undefined }),
}))

const DAY = '2026-03-10'
const NOW_MS = Date.parse(`${DAY}T17:00:00Z`)
ownData('teaching', DAY)
const world = demoWorld(DAY)
const { v7, stamp } = ownDevice(51, DAY)
const second = ownDevice(52, DAY)
const tonight = world.classes.at(-1)?.id ?? ''
const QUIET = { exitControlled: true, endedBy: null }
const SHUT = { hidden: true, notesOpen: false }

const load = async () => ({
  plans: await import('../plans/actions'),
  sheet: await import('./sheet-actions'),
  wrap: await import('./wrap-queries'),
  teach: await import('./queries'),
  board: await import('./board-queries'),
  live: await import('../facts/live'),
  receive: (await import('../facts/receive')).receive,
})
let app: Awaited<ReturnType<typeof load>>
beforeAll(async () => {
  app = await load()
  await seedWorld(DAY)
  value(await app.plans.planAgain({ id: tonight, planId: v7() }))
})

const toEnter = async () => {
  const sheet = app.wrap.sheetToEnter(await screen(), tonight)
  if (!sheet) throw new Error('no sheet')
  return sheet
}
const ran = () => ({ from: stamp(), to: stamp() })

describe('a class taught from paper', () => {
  it('refuses an empty sheet, a stranger, and a class to come, and stores nothing of them', async () => {
    const [person] = (await toEnter()).people.filter((p) => p.stages.length > 0)
    const one = {
      ...stamp(),
      seconds: null,
      lead: null,
      studentId: person!.id,
      stageId: person!.stages[0]!.id,
      seen: 'clean' as const,
    }
    const enter = (tries: object[]) =>
      app.sheet.enterSheet({ classId: tonight, ran: ran(), tries: tries as never })
    expect(refusedAt(await enter([]))).toEqual(['tries'])
    expect(refusedAt(await enter([one, { ...one, ...stamp(), studentId: v7() }]))).toEqual([''])
    expect(refusedAt(await enter([one, { ...one, ...stamp(), stageId: 'FS-99' }]))).toEqual([''])
    expect(refusedAt(await enter([{ ...one, seconds: 0 }]))).not.toEqual([])
    const wrap = app.wrap.wrapUp(await screen(), tonight)
    expect(wrap?.ended).toBe(false)
    expect(wrap?.people.flatMap((p) => p.seen)).toEqual([])
  })
  it('is stored once under its own day, begun and ended by it, and told person by person', async () => {
    process.env.LEVITAR_NOW = '2026-03-12T07:00:00Z'
    const people = (await toEnter()).people.filter((p) => p.stages.length > 0)
    const noted = { seconds: 22, lead: 'right' as const }
    const typed = () => ({ ...stamp(), day: '2026-03-12', seconds: null, lead: null })
    const tries = people.flatMap(({ id, stages }, i) => [
      { ...typed(), studentId: id, stageId: stages[0]!.id, seen: 'clean' as const },
      {
        ...typed(),
        studentId: id,
        stageId: stages[0]!.id,
        seen: (['fell-out', 'arms-spent'] as const)[i] ?? ('not-yet' as const),
      },
    ])
    // Beside one of them stood the seconds and the leg.
    const sent = {
      classId: tonight,
      ran: ran(),
      tries: tries.map((t, i) => (i === 0 ? { ...t, ...noted } : t)),
    }
    expect(value(await app.sheet.enterSheet(sent))).toEqual({ stored: tries.length })
    expect(value(await app.sheet.enterSheet(sent))).toEqual({ stored: tries.length })
    process.env.LEVITAR_NOW = `${DAY}T17:00:00Z`
    const wrap = app.wrap.wrapUp(await screen(), tonight)
    expect(wrap?.ended).toBe(true)
    const first = wrap?.people.find((p) => p.id === people[0]!.id)
    expect(first?.seen).toEqual([
      expect.stringMatching(/: 2 tries, 1 clean, fell out 1 time, best 22 s; left led 0, right 1$/),
    ])
    // Of the hour on paper nothing was timed, and whoever stopped is called up no more.
    expect(wrap?.blocks).toEqual([])
    const spent = people[1]!.id
    const board = app.board.roomBoard(await screen(), tonight)
    const called = board?.plan.blocks.flatMap((b) => ('people' in b ? b.people.map((p) => p.studentId) : []))
    expect([called?.includes(spent), called?.includes(people[0]!.id)]).toEqual([false, true])
    const home = app.wrap.recap(await screen(), tonight)?.people.find((p) => p.id === spent)
    expect([home?.rests, home?.repeat]).toEqual([true, []])
    const { evidenceOf } = await import('@/db/evidence')
    const { scope } = await screen()
    // How far a kick went nobody wrote down: no more is claimed than that it was one.
    const all = people.flatMap((p) => evidenceOf(scope, p.id).attempts.filter((a) => a.classId === tonight))
    const bare = all.filter((a) => a.seconds === null)
    expect([all.length - bare.length, all.find((a) => a.seconds !== null)]).toEqual([
      1,
      expect.objectContaining({ ...noted, outcome: 'clean', studentId: people[0]!.id }),
    ])
    expect(bare.every((a) => a.lead === null && (a.level === 'not-said' || a.level === 'practised'))).toBe(
      true,
    )
    expect(
      evidenceOf(scope, people[0]!.id)
        .attempts.filter((a) => a.classId === tonight)
        .map((a) => a.day),
    ).toEqual([DAY, DAY])
  })
  it('the wrap-up says what may come off next time, of what was tried in this class', async () => {
    const { scope } = await screen()
    const { appendAttempt } = await import('@/db/evidence')
    const { people } = await toEnter()
    const clean = (day: string, classId: string | null): void => {
      for (const { id: studentId } of people) {
        const from = { ...stamp(), day }
        const fact = {
          ...PLAIN_TRY,
          ...from,
          studentId,
          stageId: 'FS-02',
          replaces: null,
          classId,
          seconds: 60,
        }
        appendAttempt(scope, { ...fact, setupId: 'SETUP-dolphin-block' }, from)
      }
    }
    const next = async () => app.wrap.wrapUp(await screen(), tonight)?.next ?? []
    const off = (lines: readonly string[]) =>
      lines.filter((l) => / clean with .* on .* Next with less: /.test(l)).length
    clean('2026-03-03', null)
    expect(off(await next())).toBe(0)
    clean(DAY, tonight)
    // Whoever still needs what it guards against keeps it.
    expect(off(await next())).toBeGreaterThan(0)
    expect(off(await next())).toBeLessThan(people.length)
  })
  it('gives everybody something to take home that nobody has to watch', async () => {
    const home = app.wrap.recap(await screen(), tonight)
    expect(home?.people.length).toBeGreaterThan(5)
    for (const { repeat, did } of home?.people ?? []) {
      expect(repeat.length).toBeLessThanOrEqual(2)
      expect(did.length).toBeGreaterThan(0)
    }
    expect(home?.people.some((p) => p.repeat.length > 0)).toBe(true)
  })
})

describe('the log', () => {
  it('finds tries by person, step, fault and day, page by page, without what was taken back', async () => {
    const { logbook } = await import('./log-queries')
    const ctx = await screen()
    const all = logbook(ctx, {}, 1)
    expect(all.lines).toHaveLength(60)
    expect(logbook(ctx, {}, 2).lines[0]?.id).not.toBe(all.lines[0]?.id)
    const { evidenceOf } = await import('@/db/evidence')
    const who = all.lines.find((l) => l.more.length > 0)!
    const mine = evidenceOf(ctx.scope, who.studentId).attempts
    const gone = new Set(mine.flatMap((a) => (a.replaces === null ? [] : [a.replaces])))
    const standing = mine.filter((a) => !a.withdrawn && !gone.has(a.id))
    const everyPage = (asked: Parameters<typeof logbook>[1]): string[] => {
      const ids: string[] = []
      for (let page = 1; page < 50; page += 1) {
        const { lines, more } = logbook(ctx, asked, page)
        ids.push(...lines.map((l) => l.id))
        if (!more) break
      }
      return ids.toSorted()
    }
    expect(everyPage({ studentId: who.studentId })).toEqual(standing.map((a) => a.id).toSorted())
    const fault = standing.find((a) => a.faults.length > 0)?.faults[0]
    const withFault = all.lines.find((l) => l.studentId === who.studentId) && fault !== undefined
    if (withFault)
      expect(everyPage({ studentId: who.studentId, fault })).toEqual(
        standing
          .filter((a) => a.faults.includes(fault))
          .map((a) => a.id)
          .toSorted(),
      )
    expect(everyPage({ studentId: who.studentId, from: '2026-03-01', to: DAY })).toEqual(
      standing
        .filter((a) => a.day >= '2026-03-01' && a.day <= DAY)
        .map((a) => a.id)
        .toSorted(),
    )
    expect(logbook(ctx, { stageId: "x' or 1=1" }, 1).lines).toEqual([])
  })
})

describe('what the floor screen holds', () => {
  it('four faults with what to say, for this person, and where the hands go', async () => {
    const data = app.teach.teachData(await screen(), tonight)
    const steps = data?.work.flatMap((b) => Object.values(b)).filter((s) => s.taps) ?? []
    expect(steps.length).toBeGreaterThan(3)
    for (const { faults } of steps) {
      expect(faults.length).toBeLessThanOrEqual(4)
      for (const { cue } of faults) expect(cue).toMatch(/\.$/)
    }
    expect(steps.some((s) => /cm/.test(s.numbers))).toBe(true)
  })
  it('whoever climbs is on the rung that what was seen before the turn leaves them on', async () => {
    const { doingIn } = await import('./components/whose-turn')
    const data = app.teach.teachData(await screen(), tonight)!
    const at = data.climbs.findIndex((c) =>
      Object.values(c).some(({ path, top }) => top > 0 && path.length > 1),
    )
    const [id, { path, top }] = Object.entries(data.climbs[at] ?? {}).find(([, c]) => c.top > 0)!
    const seen = (stageId: string, outcome: 'clean' | 'not-yet') =>
      ({
        id: v7(),
        hlc: '',
        studentId: id,
        stageId,
        outcome,
        level: 'practised',
        faults: [],
        ...QUIET,
      }) as const
    const on = (set: number, ...tries: ReturnType<typeof seen>[]) => doingIn(data, at, set, tries)[id]?.id
    expect(on(0)).toBe(path[0]?.id)
    expect(on(top)).toBe(path[top]?.id)
    expect(on(top)).toBe(data.work[at]?.[id]?.id)
    expect(on(top, seen(path[0]?.id ?? '', 'not-yet'))).toBe(path[0]?.id)
    expect(on(0, seen(path[0]?.id ?? '', 'clean'))).toBe(path[1]?.id)
    // What was tapped on any rung is told, and can be taken back, on every other.
    for (const rung of path) expect(rung.way).toEqual(path.map((stage) => stage.id))
    // A class from paper offers the whole way to be entered, each rung once.
    const paper = (await import('./wrap-queries')).sheetToEnter(await screen(), tonight)
    const offered = paper?.people.find((p) => p.id === id)?.stages.map((stage) => stage.id) ?? []
    expect(offered).toEqual(expect.arrayContaining(path.map((stage) => stage.id)))
    expect(new Set(offered).size).toBe(offered.length)
    // Each rung says its own dose and what comes next; only where they work are setups of the plan's choice.
    expect(path[0]).toMatchObject({ taps: true, dose: expect.stringMatching(/^1 turn: /) })
    expect(path[0]?.then).toContain('On to')
  })
  it('drills that were done, from any screen, and not what was taken back', async () => {
    const drilled = async () => app.teach.teachData(await screen(), tonight)?.drilled
    const work = app.teach.teachData(await screen(), tonight)?.work.flatMap((b) => Object.entries(b)) ?? []
    const [studentId, stage] = work.find(([, s]) => s.drill !== null) ?? []
    expect(stage?.taps).toBe(false)
    const did = {
      ...{ ...stamp(), kind: 'drill', studentId, drillId: stage?.id, classId: tonight },
      ...{ amount: stage?.drill, replaces: null },
    }
    expect(app.receive({ facts: [did] }, asked(SHUT))?.answers[0]?.state).toBe('stored')
    expect(await drilled()).toEqual([{ id: did.id, studentId, drillId: stage?.id }])
    const back = { ...stamp(), kind: 'taken-back', of: 'drill', studentId, target: did.id }
    expect(app.receive({ facts: [back] }, asked(SHUT))?.answers[0]?.state).toBe('stored')
    expect(await drilled()).toEqual([])
  })
  it('the last word kept of somebody, and none on a private screen', async () => {
    const id = world.classes.at(-1)?.roster[0] ?? ''
    const fact = { ...stamp(), kind: 'note', studentId: id, classId: tonight, text: 'wants less' }
    expect(app.receive({ facts: [fact] }, asked(SHUT))?.answers[0]?.state).toBe('stored')
    const noteOf = (data: ReturnType<typeof app.teach.teachData>) =>
      data?.people.find((p) => p.id === id)?.note
    expect(noteOf(app.teach.teachData(await screen(), tonight))).toBe('wants less')
    expect(noteOf(app.teach.teachData(await screen(SHUT), tonight))).toBe('')
  })
  it('the room’s display tells first names and places, never a version beside a name', async () => {
    const board = app.board.roomBoard(await screen(), tonight)
    expect(Object.values(board?.names ?? {}).every((n) => !/ [A-Z][a-z]/.test(n))).toBe(true)
    const people = board?.plan.blocks.flatMap((b) => ('people' in b ? b.people : [])) ?? []
    expect(people.length).toBeGreaterThan(0)
    expect(people.every((p) => p.variantId === null || p.variantId === 'up')).toBe(true)
  })
})

describe('screens of one class', () => {
  const heard = async (classId: string, work: () => void): Promise<string> => {
    const stop = new AbortController()
    const answer = await app.live.liveResponse(
      new Request('http://localhost/live', { signal: stop.signal }),
      classId,
    )
    expect(answer.headers.get('content-type')).toBe('text/event-stream')
    const reader = answer.body!.getReader()
    const read = async () => new TextDecoder().decode((await reader.read()).value)
    expect(await read()).toContain('listening')
    work()
    const told = await Promise.race([read(), new Promise<string>((done) => setTimeout(() => done(''), 300))])
    stop.abort()
    return told
  }
  const note = (from: typeof stamp, classId: string) => {
    const fact = { ...from(), kind: 'note', studentId: null, classId, text: 'late start' }
    return { fact, send: () => app.receive({ facts: [fact] }, asked(SHUT)) }
  }
  it('hear which device recorded something in it, once it is stored, and nothing of what may be private', async () => {
    const { fact, send } = note(stamp, tonight)
    const line = { deviceId: fact.deviceId, heard: { kind: 'other' } }
    expect(await heard(tonight, send)).toBe(`data: ${JSON.stringify(line)}\n\n`)
    // The same again is known already: nothing is new.
    expect(await heard(tonight, send)).toBe('')
    expect(await heard(world.classes[0]!.id, note(second.stamp, tonight).send)).toBe('')
  })
  it('fold what they hear, and stand as if the page had been read anew', async () => {
    const shown = app.teach.teachData(await screen(), tonight)!
    const board = app.board.roomBoard(await screen(), tonight)!
    const [studentId = '', other = ''] = shown.people.map((p) => p.id)
    const tried = (part: object = {}) => ({
      ...{
        ...second.stamp(),
        kind: 'attempt',
        studentId,
        stageId: 'FS-05',
        level: 'practised',
        outcome: 'not-yet',
      },
      ...{ exitControlled: true, help: 'alone', setupId: null, lead: null, seconds: null, faults: [] },
      ...{ endedBy: 'self', classId: tonight, replaces: null, ...part },
    })
    const event = { kind: 'class-event', classId: tonight, event: 'paused', atMs: NOW_MS, blockIndex: 2 }
    const drill = {
      kind: 'drill',
      studentId,
      drillId: 'DR-hollow',
      amount: null,
      classId: tonight,
      replaces: null,
    }
    const first = tried()
    const facts = [
      first,
      tried({ studentId: other, outcome: 'stopped', endedBy: 'spent-arms' }),
      { ...second.stamp(), ...event },
      { ...second.stamp(), ...drill },
      tried({ replaces: first.id, outcome: 'clean', endedBy: null }),
      { ...second.stamp(), kind: 'taken-back', of: 'attempt', studentId, target: first.id },
    ]
    let [floor, wall] = [shown, board]
    for (const fact of facts) {
      const line = await heard(tonight, () => app.receive({ facts: [fact] }, asked(SHUT)))
      const told = bellSchema.parse(JSON.parse(line.slice('data: '.length)))
      floor = hearOnFloor(floor, told.heard)!
      wall = hearOnBoard(wall, told.heard) ?? app.board.roomBoard(await screen(), tonight)!
      const anew = app.teach.teachData(await screen(), tonight)!
      const plain = (data: typeof anew) => ({
        ...data,
        recorded: data.recorded.map(({ id, outcome, studentId: who }) => [id, outcome, who]).toSorted(),
        drilled: data.drilled.map((d) => d.id).toSorted(),
        events: data.events.map((e) => e.id).toSorted(),
      })
      expect(plain(floor)).toEqual(plain(anew))
      const again = app.board.roomBoard(await screen(), tonight)!
      expect(wall.plan).toEqual(again.plan)
      const shownEvents = (events: typeof wall.events) =>
        inOrder(events).map(({ id, event, atMs, blockIndex }) => [id, event, atMs, blockIndex])
      expect(shownEvents(wall.events)).toEqual(shownEvents(again.events))
    }
    // What is heard once more changes nothing, and what nobody knows is asked for.
    const one = bellSchema.parse({ deviceId: 'x', heard: { ...first } }).heard
    expect(hearOnFloor(hearOnFloor(shown, one)!, one)!.recorded).toHaveLength(shown.recorded.length + 1)
    expect(hearOnFloor(shown, { kind: 'taken-back', target: 'nobody' })).toBe(shown)
    expect([hearOnFloor(shown, { kind: 'other' }), hearOnBoard(board, { kind: 'other' })]).toEqual([
      null,
      null,
    ])
  })
  it('of another site hear nothing', async () => {
    const other = new Request('http://localhost/live', { headers: { 'sec-fetch-site': 'cross-site' } })
    expect((await app.live.liveResponse(other, tonight)).status).toBe(403)
  })
})
