import { NOTHING_FIXED } from '@/core/classes/fixed'
import { doingsOf } from '@/core/classes/plan'
import { planClass } from '@/core/planning/plan-class'
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
ownData('readiness', DAY)

const load = async () => ({
  readiness: await import('./actions'),
  board: await import('./board-queries'),
  byEye: await import('./by-eye-queries'),
  families: await import('../desk/families'),
  facts: await import('../facts/actions'),
  round: await import('./round-queries'),
  person: await import('./person-queries'),
  desk: await import('../desk/class-file'),
  context: await import('../context'),
  judge: await import('../desk/judge'),
})
let app: Awaited<ReturnType<typeof load>>
const world = demoWorld(DAY)
beforeAll(async () => {
  app = await load()
  await seedWorld(DAY)
})

const { v7, stamp } = ownDevice(37, DAY)
const idOf = (name: string): string => world.students.find((s) => s.name === name)?.id ?? ''
const here = (hidden = false) => app.context.contextFor({ hidden, notesOpen: !hidden })
const asked = { family: 'FS' as const, withTurnings: true, withAll: false }
const seen = (name: string, family: 'FS' | 'HS' = 'FS') => {
  const found = app.person.personReadiness(here(), idOf(name), { ...asked, family })
  if (!found) throw new Error(`nobody called ${name}`)
  return found
}
const classId = world.classes.at(-1)?.id ?? ''

describe('offers and rounds', () => {
  it('answers an offer with name and time, and the newest answer counts', async () => {
    const tap = (answer: 'accept' | 'hold-back') =>
      app.facts.recordFact({
        ...stamp(),
        ...{ kind: 'offer', studentId: idOf('Ines Calder'), stageId: 'FS-10a', answer, reason: null },
      })
    value(await tap('accept'))
    value(await tap('hold-back'))
    const looked = app.judge.judgeOf(here()).looked(idOf('Ines Calder'), 'FS-10a')
    expect(looked).toMatchObject({ answer: 'hold-back', by: 'Ottoline Marsh' })
    expect(looked?.atMs).toBe(Date.parse(`${DAY}T17:00:00Z`))
    const nobody = { kind: 'offer' as const, studentId: v7(), stageId: 'FS-10a', answer: 'accept' as const }
    expect((await app.facts.recordFact({ ...stamp(), ...nobody, reason: null })).ok).toBe(false)
  })
  it('a step says what limits change about it, in words and dose, and nothing of it where others can see', () => {
    const open = (name: string, step: string, at = here()) =>
      app.person.personReadiness(at, idOf(name), {
        ...{ family: 'FS' as const, withTurnings: false, withAll: false, step },
      })?.path.open
    const callum = open('Callum Strand', 'FS-03c')
    expect(callum?.limit).toMatch(/10 s at most/)
    expect(Number(/\((\d+) s\)/.exec(callum?.dose ?? '')?.[1])).toBeLessThanOrEqual(10)
    const wren = open('Wren Haskett', 'FS-03c')
    expect(wren?.limit).toBe('')
    expect(Number(/\((\d+) s\)/.exec(wren?.dose ?? '')?.[1])).toBeGreaterThan(10)
    const shut = open('Odile Marchetti-Voss', 'FS-10a')
    expect([shut?.state, shut?.do, shut?.dose, shut?.numbers, shut?.setupId]).toEqual([
      'closed',
      '',
      '',
      [],
      null,
    ])
    expect(shut?.limit).toMatch(/Instead: /)
    const covered = open('Odile Marchetti-Voss', 'FS-10a', here(true))
    expect(covered?.limit).toBe('A limit acts here; its words are hidden on this screen.')
    // At the top of a ladder the answer stands with the step that is held.
    const top = open('Sunniva Lund', '')
    expect([top?.answers, top?.state]).toEqual([true, 'standing'])
  })
  it('the board has six families for everybody, and marks what nobody has seen as neither built nor offered', () => {
    const { families, rows, whos } = app.board.board(here(), 1, 'all')
    expect(families).toHaveLength(6)
    expect(rows).toHaveLength(21)
    const ravi = rows.find((r) => r.name === 'Ravi Ellender')?.cells ?? []
    expect(new Set(ravi.map(({ mark }) => mark))).toEqual(new Set(['may-begin', 'not-seen']))
    expect(ravi.every(({ held }) => held === null)).toBe(true)
    // Nobody’s next rung lies more than one above what they hold.
    for (const { held, at } of rows.flatMap((r) => r.cells))
      if (held !== null && at !== null) expect(at - held).toBeLessThanOrEqual(3)
    // Tonight’s people first; a group and everybody on request.
    expect(whos.map(({ key }) => key)).toEqual(['next', expect.any(String), expect.any(String), 'all'])
    expect(app.board.board(here()).rows).toHaveLength(10)
    expect(app.board.board(here(), 1, 'nonsense').who).toBe('next')
    // By eye: everybody by name, and no step that limits close can be pointed at.
    const eye = app.byEye.byEye(here(), 'HD', 'all')
    expect(eye.people).toHaveLength(21)
    expect(eye.people.map(({ name }) => name)).toEqual(eye.people.map(({ name }) => name).toSorted())
    expect(eye.people.find(({ name }) => name === 'Odile Marchetti-Voss')?.closed).toContain('HD-10')
    expect(eye.people.find(({ name }) => name === 'Sunniva Lund')?.closed).toEqual([])
    expect(app.byEye.byEye(here(), 'HD', 'all', 2).people).toEqual([])
    expect(app.families.familyAsked('CR')).toBe('CR')
    expect(app.families.familyAsked('nonsense')).toBe('FS')
  })
  it('suggests a round that fits eight minutes and asks only standing checks', () => {
    const data = app.round.roundData(here(), classId)
    expect(data?.people).toHaveLength(10)
    expect(data?.suggested.length).toBeGreaterThan(0)
    const minutes = data?.checks
      .filter((c) => data.suggested.includes(c.id))
      .reduce((sum, c) => sum + c.minutes, 0)
    expect(minutes).toBeLessThanOrEqual(10)
    expect(app.round.roundData(here(), v7())).toBeNull()
    expect(app.round.nextRound(here())?.title).toBe('Tuesday upside down')
  })
})

describe('a try logged by hand', () => {
  const tried = (name: string, part: object = {}) => ({
    ...stamp(),
    kind: 'attempt' as const,
    classId: null,
    replaces: null,
    studentId: idOf(name),
    stageId: 'FS-05',
    setupId: 'SETUP-dolphin-block',
    outcome: 'clean' as const,
    level: 'practised' as const,
    seconds: '',
    lead: null,
    exitControlled: true,
    help: 'alone' as const,
    endedBy: null,
    faults: [],
    ...part,
  })
  it('stands in the list with everything that was said, once for two presses, and can be taken back', async () => {
    const input = tried('Wren Haskett', { seconds: '12,5', lead: 'left', help: 'touched' })
    value(await app.readiness.logTry(input))
    value(await app.readiness.logTry(input))
    const mine = () => seen('Wren Haskett').tries.filter((t) => t.dayLabel === '10 Mar 2026')
    expect(mine()).toMatchObject([
      {
        stage: 'Dolphin, one leg lifted',
        setup: 'Dolphin with hand block',
        result: 'Clean, 12.5 s, left leading, Touched by a helper',
      },
    ])
    const taken = { kind: 'taken-back' as const, of: 'attempt' as const, studentId: input.studentId }
    value(await app.facts.recordFact({ ...stamp(), ...taken, target: input.id }))
    expect(mine()).toEqual([])
    expect(refusedAt(await app.facts.recordFact({ ...stamp(), ...taken, target: v7() }))).toEqual([''])
  })
  it.each([
    [{ seconds: 'long' }, 'seconds'],
    [{ seconds: '9000' }, 'seconds'],
    [{ faults: ['FT-elbow-splay'] }, 'outcome'],
    [{ setupId: 'SETUP-moon' }, 'setupId'],
    [{ stageId: 'FS-99' }, 'stageId'],
    [{ studentId: v7() }, ''],
  ])('refuses %p and stores nothing', async (part, at) => {
    expect(refusedAt(await app.readiness.logTry(tried('Maud Ferrier', part)))).toEqual([at])
    expect(seen('Maud Ferrier').tries).toEqual([])
  })
  it('an own severe fault steps back, spent arms do not', async () => {
    const fault = { outcome: 'not-yet', faults: ['FT-elbow-bend'] }
    value(await app.readiness.logTry(tried('Tomas Reyle', { ...fault, endedBy: 'spent-arms' })))
    expect(seen('Tomas Reyle').decision.outcome).toBe('offer')
    value(await app.readiness.logTry(tried('Tomas Reyle', fault)))
    expect(seen('Tomas Reyle').decision).toMatchObject({ outcome: 'step-back', target: { id: 'FS-04' } })
  })
})

describe('going above what is recorded', () => {
  it('wants a reason, reaches the plan with it, and runs out after four weeks', async () => {
    const above = (reason: 'spotter-beside' | null) =>
      app.facts.recordFact({
        ...stamp(),
        ...{ kind: 'offer', studentId: idOf('Wren Haskett'), stageId: 'FS-05', answer: 'override', reason },
      })
    expect(refusedAt(await above(null))).toEqual(['reason'])
    value(await above('spotter-beside'))
    expect(seen('Wren Haskett').answer).toMatchObject({
      may: 'override',
      said: 'Above what is recorded (spotter beside), by Ottoline Marsh, 10 Mar 2026, 17:00',
    })
    const ctx = here()
    const record = {
      id: classId,
      day: DAY,
      minutes: 75,
      bays: 5,
      aim: { kind: 'practice' as const, families: ['FS' as const] },
      fixed: NOTHING_FIXED,
      roster: [idOf('Wren Haskett'), idOf('Ines Calder'), idOf('Bertram Oake')],
    }
    const plan = planClass(ctx.practice, app.desk.briefFor(ctx, record, []))
    if (!plan.ok) throw new Error('no plan')
    const mine = plan.value.plan.blocks.flatMap(doingsOf).filter((d) => d.studentId === idOf('Wren Haskett'))
    expect(mine).toContainEqual(expect.objectContaining({ variantId: 'FS-05', override: 'spotter-beside' }))
    const later = { ...ctx, clock: { ...ctx.clock, nowMs: ctx.clock.nowMs + 29 * 86_400_000 } }
    expect(app.judge.judgeOf(later).looked(idOf('Wren Haskett'), 'FS-05')).toBeNull()
  })
  it('is not asked where a limit stands in the way', () => {
    expect(seen('Odile Marchetti-Voss').answer?.may).toBe('nothing')
  })
})

describe('the page of one person', () => {
  it('tells how the answer has changed, newest first, and nothing of tonight to those who may not see', () => {
    const turnings = seen('Greta Sommerby').turnings ?? []
    expect(turnings.length).toBeGreaterThan(1)
    expect(turnings.map((t) => t.day)).toEqual(
      turnings
        .map((t) => t.day)
        .toSorted()
        .reverse(),
    )
    expect(app.person.personReadiness(here(true), idOf('Greta Sommerby'), asked)?.tonight).toBe('')
    expect(app.person.personReadiness(here(), v7(), asked)).toBeNull()
  })
  it('lists what follows the family among the advanced', () => {
    expect(seen('Sunniva Lund').tryStages.map((s) => s.id)).toContain('AD-01')
    expect(seen('Sunniva Lund', 'HS').tryStages.map((s) => s.id)).toContain('AD-03')
  })
  it('knows kicks, props, and trials from the tries', () => {
    expect(seen('Greta Sommerby').next.kicks).toHaveLength(2)
    // His elbows still drift 3 cm: the strap stays on, however clean the tries with it were.
    expect(seen('Bertram Oake').next.props).toEqual([])
    expect(seen('Odile Marchetti-Voss').next.props.join()).toMatch(/88 % sure/)
  })
})

describe('the check card', () => {
  const cell = (name: string, checkId: string, typed: string) => ({
    ...stamp(),
    studentId: idOf(name),
    checkId,
    typed,
  })
  const roster = world.classes.at(-1)?.roster ?? []
  const [first = '', second = ''] = roster.map((id) => world.students.find((s) => s.id === id)?.name ?? '')
  const send = (...cells: ReturnType<typeof cell>[]) =>
    app.readiness.recordCard({ classId, observer: 'Bram Teale', cells })
  const rows = (name: string) => seen(name).history.filter((h) => h.dayLabel === '10 Mar 2026')
  it('stores all of it or nothing, names each cell that cannot be read, and skips empty ones', async () => {
    const good = cell(first, 'CK-dolphin-hold', '41 b')
    const refused = await send(
      good,
      cell(second, 'CK-leg-lift-forearm', '6'),
      cell(second, 'CK-pelvic-set', 'q'),
    )
    expect(refusedAt(refused)).toEqual([
      `${idOf(second)} CK-leg-lift-forearm`,
      `${idOf(second)} CK-pelvic-set`,
    ])
    expect(rows(first)).toEqual([])
    expect(
      value(await send(good, cell(second, 'CK-leg-lift-forearm', '6/7'), cell(second, 'CK-pelvic-set', ' '))),
    ).toEqual({ stored: 2 })
    expect(rows(first)).toMatchObject([
      { result: '41 s', counted: 'did not count: a fault was marked that voids it' },
    ])
    expect(rows(second)).toMatchObject([{ result: 'left 6 s, right 7 s' }])
  })
  it('takes nobody who is not on the list of that class', async () => {
    const stranger = world.students.find((s) => !roster.includes(s.id))
    expect((await send(cell(stranger?.name ?? '', 'CK-dolphin-hold', '30'))).ok).toBe(false)
    expect((await app.readiness.recordCard({ classId: v7(), observer: '', cells: [] })).ok).toBe(false)
  })
  it('has the checks that are asked for, four at most, with letters for their faults', () => {
    const card = app.round.cardOf(here(), classId, 'CK-dolphin-hold,CK-nonsense,CK-leg-lift-forearm')
    expect(card?.checks.map((c) => [c.id, c.example])).toEqual([
      ['CK-dolphin-hold', '34'],
      ['CK-leg-lift-forearm', '34/3'],
    ])
    expect(card?.checks[0]?.faults.map((f) => f.letter)).toEqual(['a', 'b', 'c'])
    expect(app.round.cardOf(here(), classId, undefined)?.checks.length).toBeGreaterThan(1)
    expect(app.round.cardOf(here(), v7(), undefined)).toBeNull()
  })
  it('turns a tape’s centimetres into this person’s fists', async () => {
    value(await send(cell(first, 'CK-forearm-overhead', '27 cm/2')))
    expect(rows(first).find((h) => h.checkId === 'CK-forearm-overhead')?.result).toMatch(
      /^left (2\.[7-9]|3(\.\d)?) fists, right 2 fists$/,
    )
  })
})
