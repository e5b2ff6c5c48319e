import { demoWorld } from '@/core/simulate/demo'
import { ownData, ownDevice, refusedAt, screen, seedWorld, value } from '@/testing/actions'

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }))
jest.mock('next/headers', () => ({
  headers: () => Promise.resolve(new Map([['x-levitar-home', '1']])),
  cookies: () => Promise.resolve({ get: () => undefined }),
}))

const DAY = '2026-03-10'
ownData('plans', DAY)
const world = demoWorld(DAY)
const { v7, stamp } = ownDevice(41, DAY)
const idOf = (name: string): string => world.students.find((s) => s.name === name)?.id ?? ''
const tonight = world.classes.at(-1)?.id ?? ''
const [INES, WREN, TOMAS] = ['Ines Calder', 'Wren Haskett', 'Tomas Reyle'].map(idOf) as [
  string,
  string,
  string,
]

const load = async () => ({
  plans: await import('./actions'),
  files: await import('./file-actions'),
  search: await import('./search-actions'),
  view: await import('./plan-queries'),
  door: await import('../door/actions'),
  doorQueries: await import('../door/queries'),
  facts: await import('../facts/actions'),
  teach: await import('../teaching/queries'),
})
let app: Awaited<ReturnType<typeof load>>
beforeAll(async () => {
  app = await load()
  await seedWorld(DAY)
})

const form = (part: object = {}) => ({
  ...{ id: v7(), planId: v7(), title: 'Evening', day: DAY, startTime: '18:30', minutes: '60', bays: 2 },
  ...{
    aim: { kind: 'practice' as const, families: ['FS' as const] },
    groupId: null,
    fromId: null as string | null,
    roster: [INES, WREN, TOMAS],
  },
  ...part,
})
const made = async (part: object = {}): Promise<string> => value(await app.plans.createClass(form(part))).id
const see = async (id: string) => {
  const view = app.view.planView(await screen(), id)
  if (!view) throw new Error('no class')
  return view
}
const edit = async (id: string, change: Parameters<typeof app.plans.editPlan>[0]['edit']) =>
  app.plans.editPlan({ id, planId: v7(), edit: change })
const step = (way: 'back' | 'on') => async (id: string) =>
  app.plans.stepPlan({ ...stamp(), classId: id, step: way })
const [back, on] = [step('back'), step('on')]
/** What everybody does, without how it is drawn. */
const shape = (view: Awaited<ReturnType<typeof see>>) =>
  view.blocks.map((b) => [b.kind, b.purpose, b.run, b.doings.map((d) => [d.studentId, d.variantId, d.wave])])

describe('a class from the form', () => {
  it.each([
    [{ title: ' ' }, 'title'],
    [{ day: 'soon' }, 'day'],
    [{ startTime: '25:00' }, 'startTime'],
    [{ minutes: '5' }, 'minutes'],
    [{ bays: -1 }, 'bays'],
    [{ aim: { kind: 'practice', families: [] } }, 'aim.families'],
    [{ roster: [] }, 'roster'],
  ])('refuses %p', async (part, at) => {
    expect(refusedAt(await app.plans.createClass(form(part)))).toEqual([at])
  })
  it.each(['practice', 'strength', 'restorative', 'workshop'] as const)(
    'of kind %s has a clean plan',
    async (kind) => {
      const view = await see(await made({ aim: { kind, families: ['HD', 'PU'] } }))
      expect(view.violations).toEqual([])
      expect(view.blocks.some((b) => b.doings.length === 3)).toBe(true)
    },
  )
})

describe('a plan changed by hand', () => {
  it('a version above what is recorded is named as the teacher’s own, and given back it is gone', async () => {
    const id = await made()
    const lock = { kind: 'lock' as const, classId: id, studentId: WREN, part: 'waves' as const }
    value(
      await app.plans.setVersion({
        ...stamp(),
        ...lock,
        planId: v7(),
        stageId: 'FS-09',
        reason: 'spotter-beside',
      }),
    )
    expect((await see(id)).violations).toContain(
      'Wren Haskett: Dolphin hops is your call, above what is recorded.',
    )
    value(await app.plans.setVersion({ ...stamp(), ...lock, planId: v7(), stageId: null, reason: null }))
    expect((await see(id)).violations).toEqual([])
  })
  it('every change is made, and taking it back brings the plan before', async () => {
    const id = await made()
    const before = await see(id)
    const peak = before.blocks.find((b) => b.kind === 'peak')!
    const drill = before.blocks.flatMap((b) => b.items).find((i) => i.swaps.length > 0)!
    expect(before.canUndo).toBe(false)
    const changes = [
      [
        { kind: 'length', purpose: peak.purpose, more: false },
        (v: typeof before) => v.blocks.find((b) => b.purpose === peak.purpose)?.sets === peak.sets - 1,
      ],
      [
        { kind: 'move', purpose: peak.purpose, to: 0 },
        (v: typeof before) => v.blocks.find((b) => b.doings.length > 0)?.kind === 'peak',
      ],
      [
        { kind: 'swap', from: drill.id, to: drill.swaps[0]!.id },
        (v: typeof before) => v.blocks.some((b) => b.items.some((i) => i.id === drill.swaps[0]!.id)),
      ],
      [
        { kind: 'train', purposes: ['BT'] },
        (v: typeof before) =>
          v.blocks.filter((b) => b.kind === 'train').every((b) => b.purpose === 'train:BT'),
      ],
    ] as const
    for (const [change, holds] of changes) {
      value(await edit(id, change as never))
      const after = await see(id)
      expect([change.kind, holds(after)]).toEqual([change.kind, true])
      value(await back(id))
      expect([change.kind, shape(await see(id))]).toEqual([change.kind, shape(before)])
      // Put in again it is the plan that was taken back.
      value(await on(id))
      expect([change.kind, shape(await see(id))]).toEqual([change.kind, shape(after)])
      value(await back(id))
    }
    expect(refusedAt(await back(id))).toEqual([''])
    expect((await see(id)).canRedo).toBe(true)
    // A new change gives up what was taken back.
    value(await edit(id, { kind: 'length', purpose: peak.purpose, more: false }))
    expect(refusedAt(await on(id))).toEqual([''])
  })
  it('taking back that somebody comes leaves them on the list and out of the plan', async () => {
    const id = await made()
    value(await edit(id, { kind: 'add', studentId: idOf('Greta Sommerby') }))
    value(await back(id))
    const view = await see(id)
    expect(view.people).toBe(3)
    expect(view.choices.find((c) => c.name === 'Greta Sommerby')?.out).toBe(true)
    expect(view.violations).toEqual([])
  })
  it('another day it runs as before: the same blocks, lengths and order, people planned anew', async () => {
    const id = await made()
    const peak = (await see(id)).blocks.find((b) => b.kind === 'peak')!
    value(await edit(id, { kind: 'move', purpose: peak.purpose, to: 0 }))
    const blocks = (v: Awaited<ReturnType<typeof see>>) =>
      v.blocks.filter((b) => b.doings.length > 0).map((b) => [b.purpose, b.sets, b.waves])
    const { newClassData } = await import('./queries')
    const { start } = newClassData(await screen(), { from: id })
    expect(start).toMatchObject({
      day: '2026-03-17',
      fromId: id,
      like: expect.stringMatching(/^Evening, .*10/) as string,
    })
    const next = await made({ day: start.day, fromId: id, roster: [INES, WREN, idOf('Callum Strand')] })
    expect(blocks(await see(next))).toEqual(blocks(await see(id)))
    expect((await see(next)).violations).toEqual([])
  })
  it('who stays away is in no block, who comes late is in each; nobody left is refused and changes nothing', async () => {
    const id = await made({ roster: [INES, WREN, TOMAS, idOf('Callum Strand')] })
    value(await edit(id, { kind: 'out', studentId: TOMAS, out: true }))
    value(await edit(id, { kind: 'add', studentId: idOf('Greta Sommerby') }))
    const view = await see(id)
    for (const b of view.blocks.filter((x) => x.doings.length > 0))
      expect(b.doings.map((d) => d.name).sort()).toEqual([
        'Callum Strand',
        'Greta Sommerby',
        'Ines Calder',
        'Wren Haskett',
      ])
    const three = await made()
    for (const id of [TOMAS, WREN]) value(await edit(three, { kind: 'out', studentId: id, out: true }))
    expect((await see(three)).people).toBe(1)
    expect(refusedAt(await edit(three, { kind: 'out', studentId: INES, out: true }))).toEqual([''])
    expect((await see(three)).people).toBe(1)
    expect(refusedAt(await edit(three, { kind: 'add', studentId: v7() }))).toEqual([''])
  })
})

describe('a plan on paper and in a calendar', () => {
  it('strips hold everybody’s own numbers, a card of a place no word of a limit', async () => {
    value(await app.plans.planAgain({ id: tonight, planId: v7() }))
    const view = await see(tonight)
    const { fetches, placeCards, stripsOf } = await import('./cards-view')
    const strips = stripsOf(view)
    expect(strips.map((s) => s.name)).toEqual(
      view.blocks.find((b) => b.doings.length > 0)?.doings.map((d) => d.name),
    )
    const changed = view.blocks.flatMap((b) => b.doings.map((d) => d.changed)).filter((c) => c !== '')
    expect(changed.length).toBeGreaterThan(0)
    expect(changed.every((c) => JSON.stringify(strips).includes(c))).toBe(true)
    const cards = placeCards(view)
    expect(cards.length).toBeGreaterThan(0)
    for (const c of changed) expect(JSON.stringify(cards)).not.toContain(c)
    expect(cards.flatMap((c) => c.rows.map((r) => r.name)).every((n) => !n.includes(' '))).toBe(true)
    const fetched = fetches(view).flatMap((f) => f.lines)
    expect(fetched.length).toBe(view.blocks.flatMap((b) => b.doings).filter((d) => d.props !== '').length)
  })
  it('a class goes into a calendar by its title and purpose, without a name', async () => {
    const id = await made()
    const { name, text } = value(await app.files.classAsCalendar({ id }))
    expect(name).toBe(`${DAY} Evening.ics`)
    expect(text).toMatch(/DTSTART:20260310T183000Z[^]*SUMMARY:Evening[^]*DESCRIPTION:Forearm stand/)
    expect(text).not.toContain('Ines')
    expect(refusedAt(await app.files.classAsCalendar({ id: v7() }))).toEqual([''])
  })
  it('one thing otherwise is asked of the class as it is', async () => {
    const { askOtherwise } = await import('./otherwise-actions')
    const id = await made()
    expect(value(await askOtherwise({ id, change: 'people' })).line).toMatch(/^2 more/)
    expect(value(await askOtherwise({ id, change: 'family' }))).toEqual({ line: '', gain: 0 })
    expect(refusedAt(await askOtherwise({ id: v7(), change: 'bay' }))).toEqual([''])
  })
})

describe('a plan from elsewhere', () => {
  it('out as a file and in again is the same plan; a broken file says so and changes nothing', async () => {
    const id = await made()
    const before = await see(id)
    const { text, name } = value(await app.files.planAsFile({ id }))
    expect(name).toBe(`${DAY} Evening.json`)
    value(await edit(id, { kind: 'train', purposes: ['BT'] }))
    const bad = await app.files.bringPlanIn({ id, planId: v7(), text: '{' })
    expect(bad.ok ? '' : bad.problems[0]?.message).toMatch(/cannot be read/)
    value(await app.files.bringPlanIn({ id, planId: v7(), text }))
    expect(shape(await see(id))).toEqual(shape(before))
  })
  it('a state of the search is written and judged anew; one of another class is refused', async () => {
    const id = await made()
    const { print, starts, model } = value(await app.search.searchStart({ id }))
    expect(JSON.stringify(model)).not.toMatch(/"change":\{/)
    const copy = ({ config, option }: (typeof starts)[number]) => ({
      config: [...config],
      option: option.map((o) => [...o]),
    })
    const take = (state: unknown, of = print) =>
      app.search.takePlan({ id, planId: v7(), print: of, state: state as never })
    expect(refusedAt(await take(copy(starts[0]!), print + 1))).toEqual([''])
    expect(refusedAt(await take({ config: [0], option: [[0]] }))).toEqual([''])
    value(await take(copy(starts[0]!)))
    expect((await see(id)).violations).toEqual([])
  })
})

describe('a plan that is made while the studio goes on', () => {
  afterEach(() => jest.restoreAllMocks())
  const meanwhile = async (change: () => Promise<unknown>, times: number) => {
    const { JOBS } = await import('@/core/planning/jobs')
    const job = JOBS.plan
    let left = times
    const seen: string[] = []
    jest.spyOn(JOBS as { plan: typeof JOBS.plan }, 'plan').mockImplementation((practice, input) => {
      seen.push(input.brief.people.map((p) => p.studentId).join())
      const made = job(practice, input)
      if (left > 0) {
        left -= 1
        void change()
      }
      return made
    })
    return seen
  }
  it('is made once more where what it came from was changed, and once where something else was', async () => {
    const id = await made()
    const { addToRoster } = await import('@/db/classes')
    const { scope } = await screen()
    const seen = await meanwhile(() => {
      addToRoster(scope, id, [idOf('Ravi Ellender')])
      return Promise.resolve()
    }, 1)
    value(await app.plans.planAgain({ id, planId: v7() }))
    expect(seen).toHaveLength(2)
    expect((await see(id)).people).toBe(4)
    jest.restoreAllMocks()
    const note = { ...stamp(), kind: 'note' as const, studentId: null, classId: null, text: 'warm room' }
    const calm = await meanwhile(() => app.facts.recordFact(note), 1)
    value(await app.plans.planAgain({ id, planId: v7() }))
    expect(calm).toHaveLength(1)
  })
  it('is kept where people are tapped all the while and it still holds of them', async () => {
    const id = await made()
    const { saveProfile } = await import('@/db/students')
    const { scope, clock } = await screen()
    let breathS = 4
    const seen = await meanwhile(() => {
      breathS += 0.1
      saveProfile(scope, WREN, { name: 'Wren', statureCm: null, breathS, measured: {} }, clock.today)
      return Promise.resolve()
    }, 99)
    value(await app.plans.planAgain({ id, planId: v7() }))
    expect(seen).toHaveLength(3)
    expect((await see(id)).violations).toEqual([])
  })
  it('is refused where that goes on, and nothing of the change stays', async () => {
    const id = await made({ roster: [INES, WREN, TOMAS, idOf('Ravi Ellender')] })
    const { saveFixed, findClass } = await import('@/db/classes')
    const { scope } = await screen()
    let n = 0
    const fixed = () => findClass(scope, id)!.fixed
    await meanwhile(() => {
      n += 1
      saveFixed(scope, id, { ...fixed(), swaps: { ...fixed().swaps, [`x${n}`]: 'y' } })
      return Promise.resolve()
    }, 99)
    const answer = await edit(id, { kind: 'out', studentId: TOMAS, out: true })
    expect(answer.ok ? '' : answer.problems[0]?.message).toMatch(/again and again/)
    expect(fixed().out).toEqual([])
  })
})

describe('the door', () => {
  it('marks who came, takes people nobody expected, and they have something to do in every block', async () => {
    value(await app.plans.planAgain({ id: tonight, planId: v7() }))
    const lines = async () => app.doorQueries.doorData(await screen(), tonight)?.lines ?? []
    const [first] = await lines()
    const mark = (studentId: string) =>
      app.facts.recordFact({ ...stamp(), kind: 'attended', classId: tonight, studentId, mark: 'absent' })
    value(await mark(first?.id ?? ''))
    expect((await mark(v7())).ok).toBe(false)
    value(
      await app.door.newDropIn({ classId: tonight, studentId: v7(), name: 'Lettie Marrow', here: stamp() }),
    )
    value(await app.door.dropIn({ classId: tonight, studentId: idOf('Ravi Ellender'), here: stamp() }))
    const now = await lines()
    expect(now.find((l) => l.name === 'Lettie Marrow')).toMatchObject({
      ...{ dropIn: true, attended: 'here', ask: 'not screened yet' },
    })
    expect(now).toHaveLength(12)
    const taught = app.teach.teachData(await screen(), tonight)
    const lettie = taught?.people.find((p) => p.name === 'Lettie Marrow')?.id ?? ''
    for (const block of taught?.work.filter((w) => Object.keys(w).length > 0) ?? [])
      expect(block[lettie]).toMatchObject({ helper: '', leavesFloor: false })
  })
})
