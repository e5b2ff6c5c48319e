import { judgeLoad } from '@/core/screening/caps'
import { ownData, ownDevice, refusedAt, value } from '@/testing/actions'

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }))
jest.mock('next/headers', () => ({
  headers: () => Promise.resolve(new Map([['x-levitar-home', '1']])),
  cookies: () => Promise.resolve({ get: () => undefined }),
}))

const DAY = '2026-03-10'
ownData('actions', DAY)

// Loaded after the data folder is set: the connection is opened once, on first use.
const load = async () => ({
  students: await import('./students/actions'),
  studentQueries: await import('./students/queries'),
  readiness: await import('./readiness/actions'),
  readinessQueries: await import('./readiness/person-queries'),
  plans: await import('./plans/actions'),
  planQueries: await import('./plans/plan-queries'),
  facts: await import('./facts/actions'),
  context: await import('./context'),
  teachingQueries: await import('./teaching/queries'),
  today: await import('./today/actions'),
  todayQueries: await import('./today/queries'),
  studio: await import('./studio/actions'),
  evidence: await import('@/db/evidence'),
})
let app: Awaited<ReturnType<typeof load>>
beforeAll(async () => {
  app = await load()
})

const { v7, stamp } = ownDevice(11, DAY)
const ids = Array.from({ length: 60 }, () => v7())
const two = [v7(), v7()]
const here = () => app.context.contextFor({ hidden: false, notesOpen: true })
const personOf = (id: string) =>
  app.readinessQueries.personReadiness(here(), id, { family: 'FS', withTurnings: false, withAll: false })
const byName = (name: string) => {
  const found = app.studentQueries.studentLists(here()).current.find((s) => s.name === name)
  if (!found) throw new Error(`nobody called ${name}`)
  return found
}
const result = (studentId: string, part: object = {}) => ({
  ...stamp(),
  kind: 'observation' as const,
  studentId,
  checkId: 'CK-dolphin-hold',
  typed: { single: '34' },
  units: 'cm' as const,
  ...{ aid: '', help: 'alone' as const, arms: null, observer: '', classId: null },
  aided: false,
  valid: true,
  watched: true,
  faults: [],
  note: '',
  replaces: null,
  ...part,
})

describe('from nothing', () => {
  it('starts empty and asks for names, then for the room', async () => {
    expect(app.todayQueries.todayData(here())).toEqual({
      state: 'empty',
      people: 0,
      wallSet: false,
      keyLost: '',
    })
    const added = value(
      await app.students.addPastedNames({ text: 'Ines Calder\nTomas Reyle\nWren Haskett\nOdile Voss', ids }),
    )
    expect(added).toEqual({ added: 4, known: 0, aside: '' })
    expect(refusedAt(await app.today.startRoom({ wall: '1 m', blocks: '', straps: '', ids: two }))).toEqual([
      'wall',
    ])
    expect(
      refusedAt(await app.today.startRoom({ wall: '7.2 m', blocks: 'some', straps: '', ids: two })),
    ).toEqual(['blocks'])
    value(await app.today.startRoom({ wall: '7.2 m', blocks: '6', straps: '2', ids: two }))
    expect(app.todayQueries.todayData(here())).toEqual({ state: 'no-class', people: 4, bays: 6, keyLost: '' })
  })
  it('adds the same paste once, and known names not at all', async () => {
    expect(
      value(
        await app.students.addPastedNames({ text: 'Ines Calder\nPriya Dunmore', ids: ids.map(() => v7()) }),
      ),
    ).toEqual({ added: 1, known: 1, aside: '' })
    expect(app.studentQueries.studentLists(here()).current).toHaveLength(5)
  })
  it('takes in the words beside new names once: a level by eye, a remark to be asked about', async () => {
    const sent = {
      text: 'Bea Holm, advanced, neck hurts\nIda Rook\nInes Calder, advanced',
      ids: ids.map(() => v7()),
    }
    const told = value(await app.students.addPastedNames(sent))
    expect(told).toMatchObject({ added: 2, known: 1 })
    expect(told.aside).toBe(
      '1 person is placed by eye, for 28 days unless it is shown. 1 remark stands on the person’s page and on Teach: ask about it. Of 1 person who was here already nothing is taken in: tell it on their page.',
    )
    const { id } = byName('Bea Holm')
    const placed = () => app.evidence.evidenceOf(here().scope, id).placements.map((p) => p.stageId)
    expect(placed()).toContain('FS-03c')
    const before = placed().length
    const shut = app.context.contextFor({ hidden: true, notesOpen: false })
    const said = [here(), shut].map((ctx) => app.studentQueries.lastWord(ctx, id))
    expect(said).toEqual(['From the list, to ask about: neck hurts', ''])
    value(await app.students.addPastedNames(sent))
    expect(placed()).toHaveLength(before)
    for (const name of ['Bea Holm', 'Ida Rook'])
      value(await app.students.archive({ id: byName(name).id, back: false }))
  })
  it.each([
    ['', 'text'],
    ['Ines\n🤸', 'text'],
    [
      Array.from({ length: 61 }, (_, i) => `Person ${'abcdefghijklmnopqrstuvwxyz'[i % 26] ?? ''}${i}`).join(
        '\n',
      ),
      'text',
    ],
  ])('refuses a list that is empty, wrong or endless', async (text, at) => {
    expect(refusedAt(await app.students.addPastedNames({ text, ids }))).toEqual([at])
  })
})

describe('one person', () => {
  const profile = (part: object = {}) => ({
    id: byName('Ines Calder').id,
    name: 'Ines Calder',
    stature: '168',
    breath: '4.5',
    measured: {},
    ...part,
  })

  it('stores a profile and shows it as it was typed', async () => {
    value(await app.students.saveStudent(profile({ measured: { upperArm: '30.5' } })))
    const stored = byName('Ines Calder')
    expect(stored).toMatchObject({ statureCm: 168, breathS: 4.5, measured: { upperArm: 30.5 } })
    expect(app.studentQueries.profileValues(here(), stored)).toMatchObject({
      stature: '168 cm',
      breath: '4.5',
      measured: { upperArm: '30.5 cm' },
    })
  })
  it('keeps the exact number when a rounded one is sent back untouched', async () => {
    value(await app.studio.setUnits('in'))
    const shown = app.studentQueries.profileValues(here(), byName('Ines Calder'))
    expect(shown.stature).toBe('5 ft 6 in')
    value(await app.students.saveStudent(profile({ stature: shown.stature, measured: shown.measured })))
    expect(byName('Ines Calder')).toMatchObject({ statureCm: 168, measured: { upperArm: 30.5 } })
    value(await app.studio.setUnits('cm'))
  })
  it.each([
    [{ name: '' }, 'name'],
    [{ stature: '1680' }, 'stature'],
    [{ stature: `5'13"` }, 'stature'],
    [{ breath: '-1' }, 'breath'],
    [{ measured: { hand: 'long' } }, 'measured.hand'],
    [{ measured: { hand: '60' } }, 'measured.hand'],
    [{ stature: '', measured: { hand: '18' } }, 'stature'],
    [{ ageBand: 'under-18', guardianDay: '2999-01-01' }, 'guardianDay'],
    [{ id: 'nonsense' }, 'id'],
  ])('refuses %p beside its field and stores nothing', async (part, at) => {
    const before = byName('Ines Calder')
    expect(refusedAt(await app.students.saveStudent(profile(part)))).toEqual([at])
    expect(byName('Ines Calder')).toEqual(before)
  })
  it('under 18 keeps from head, nape and hands until a guardian has agreed, and forgets the guardian of the grown', async () => {
    const { judgeOf } = await import('./desk/judge')
    const { id } = byName('Ines Calder')
    const judged = () => {
      const judge = judgeOf(here())
      return [judgeLoad({ HB: 2 }, judge.limits(id)).verdict, judge.touch(id)]
    }
    const before = judged()
    value(
      await app.students.saveStudent(
        profile({ ageBand: 'under-18', guardian: 'Per Calder', guardianDay: '' }),
      ),
    )
    expect(judged()).toEqual(['barred', 'no'])
    value(
      await app.students.saveStudent(
        profile({ ageBand: 'under-18', guardian: 'Per Calder', guardianDay: here().clock.today }),
      ),
    )
    expect(judged()).toEqual([before[0] === 'barred' ? 'barred' : 'changed', before[1]])
    // A height typed down the list changes nothing of it.
    value(await app.students.saveHeight({ id, stature: '168' }))
    expect(byName('Ines Calder')).toMatchObject({ ageBand: 'under-18', guardian: 'Per Calder' })
    value(
      await app.students.saveStudent(
        profile({ ageBand: '18-64', guardian: 'Per Calder', guardianDay: '2020-01-01' }),
      ),
    )
    expect(byName('Ines Calder')).toMatchObject({ ageBand: '18-64', guardian: '', guardianDay: null })
    expect(judged()).toEqual(before)
  })
  it('archives and brings back', async () => {
    const { id } = byName('Priya Dunmore')
    value(await app.students.archive({ id, back: false }))
    const archived = () => app.studentQueries.studentLists(here()).archived.map((s) => s.name)
    expect(archived()).toContain('Priya Dunmore')
    value(await app.students.archive({ id, back: true }))
    expect(archived()).not.toContain('Priya Dunmore')
    expect(refusedAt(await app.students.archive({ id: v7(), back: true }))).toEqual([''])
  })
  it('adds one, once', async () => {
    const one = { id: v7(), name: 'Maud Ferrier', stature: `5'1"` }
    value(await app.students.addOne(one))
    value(await app.students.addOne(one))
    expect(
      app.studentQueries.studentLists(here()).current.filter((s) => s.name === 'Maud Ferrier'),
    ).toHaveLength(1)
    expect(refusedAt(await app.students.addOne({ ...one, id: v7(), stature: 'tall' }))).toEqual(['stature'])
  })
})

describe('results and decisions', () => {
  it('stores a result once however often it is sent', async () => {
    const input = result(byName('Wren Haskett').id)
    value(await app.facts.recordFact(input))
    value(await app.facts.recordFact(input))
    expect(personOf(input.studentId)?.history).toHaveLength(1)
  })
  it('a correction stands in for the earlier entry; a withdrawal leaves nothing', async () => {
    const { id } = byName('Wren Haskett')
    const [first] = personOf(id)!.history
    value(await app.facts.recordFact(result(id, { typed: { single: '20' }, replaces: first!.id })))
    const [corrected] = personOf(id)!.history
    expect(corrected).toMatchObject({ result: '20 s', corrects: true })
    value(
      await app.facts.recordFact({
        ...stamp(),
        kind: 'taken-back',
        of: 'observation',
        studentId: id,
        target: corrected!.id,
      }),
    )
    expect(personOf(id)!.history).toEqual([])
  })
  it.each([
    [{ typed: { single: '' } }, 'typed.single'],
    [{ typed: { single: '-3' } }, 'typed.single'],
    [{ typed: { single: '4000' } }, 'typed.single'],
    [{ typed: { single: 'long' } }, 'typed.single'],
    [{ checkId: 'CK-trapeze' }, 'checkId'],
    [{ note: 'n'.repeat(281) }, 'note'],
    [{ faults: ['FT-trapeze'] }, 'faults'],
    [{ studentId: v7() }, ''],
    [{ replaces: v7() }, ''],
    [{ checkId: 'CK-leg-lift-forearm', typed: { left: '5', right: '' } }, 'typed.right'],
  ])('refuses %p', async (part, at) => {
    expect(refusedAt(await app.facts.recordFact(result(byName('Wren Haskett').id, part)))).toEqual([at])
    expect(personOf(byName('Wren Haskett').id)!.history).toEqual([])
  })
  it('places by eye, shows it on the board with its reasons, and takes it back', async () => {
    const { id } = byName('Tomas Reyle')
    value(await app.facts.recordFact({ ...stamp(), kind: 'placement', studentId: id, stageId: 'FS-05' }))
    expect(personOf(id)?.decision.reasons[0]).toBe('Placed by eye at Dolphin, one leg lifted on 10 Mar 2026.')
    value(await app.facts.recordFact({ ...stamp(), kind: 'placement', studentId: id, stageId: null }))
    expect(personOf(id)?.placed).toBe(false)
    expect(
      refusedAt(
        await app.facts.recordFact({ ...stamp(), kind: 'placement', studentId: id, stageId: 'FS-99' }),
      ),
    ).toEqual(['stageId'])
  })
})

describe('a class', () => {
  const classId = v7()
  const record = () => ({
    id: classId,
    planId: v7(),
    title: 'First evening',
    day: '2026-03-10',
    startTime: '18:30',
    minutes: '60',
    bays: 2,
    aim: { kind: 'practice' as const, families: ['FS' as const] },
    groupId: null,
    roster: ['Ines Calder', 'Tomas Reyle', 'Wren Haskett'].map((n) => byName(n).id),
  })
  it('is planned, taught, ended, and says what changed', async () => {
    const { id: ines } = byName('Ines Calder')
    value(await app.plans.createClass(record()))
    expect(app.planQueries.planView(here(), classId)).toMatchObject({
      planned: true,
      people: 3,
      violations: [],
    })
    expect(app.todayQueries.todayData(here())).toMatchObject({
      state: 'class',
      id: classId,
      isToday: true,
      planned: true,
    })

    const event = (what: 'started' | 'block' | 'ended', blockIndex = 0) => {
      const made = stamp()
      const atMs = 1_000_000 + made.deviceSeq
      return { ...made, kind: 'class-event' as const, classId, event: what, atMs, blockIndex }
    }
    value(await app.facts.recordFact(event('started')))
    expect(refusedAt(await app.plans.planAgain({ id: classId, planId: v7() }))).toEqual([''])
    const attempt = {
      ...stamp(),
      kind: 'attempt' as const,
      ...{ setupId: null, lead: null, seconds: null },
      classId,
      studentId: ines,
      stageId: 'FS-01',
      level: 'practised' as const,
      outcome: 'clean' as const,
      exitControlled: true,
      help: 'alone' as const,
      faults: [],
      endedBy: null,
      replaces: null,
    }
    value(await app.facts.recordFact(attempt))
    value(await app.facts.recordFact(attempt))
    expect(
      refusedAt(await app.facts.recordFact({ ...attempt, ...stamp(), studentId: byName('Odile Voss').id })),
    ).toEqual([''])
    expect(app.teachingQueries.teachData(here(), classId)?.recorded).toHaveLength(1)
    expect(value(await app.facts.recordFact(event('ended')))).toBe('stored')

    const changes = app.teachingQueries.changesOf(here(), classId)
    expect(changes?.changes[0]).toMatchObject({ name: 'Ines Calder', changed: true })
    expect(changes?.changes[0]?.after.standing).toBe('Forearm table')
    expect(app.teachingQueries.endedClasses(here(), null).classes).toMatchObject([
      { title: 'First evening', changed: 1, people: 3 },
    ])

    // A tap that arrives after the end still counts.
    value(await app.facts.recordFact({ ...attempt, ...stamp(), studentId: byName('Tomas Reyle').id }))
    expect(app.teachingQueries.endedClasses(here(), null).classes[0]?.changed).toBe(2)
  })
})
