import { addDays } from '@/core/day'
import { doingsOf } from '@/core/classes/plan'
import { demoWorld } from '@/core/simulate/demo'
import type { Context } from '@/features/context'
import { ownData, ownDevice, screen, seedWorld, value } from '@/testing/actions'

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }))
jest.mock('next/headers', () => ({
  headers: () => Promise.resolve(new Map([['x-levitar-home', '1']])),
  cookies: () => Promise.resolve({ get: () => undefined }),
}))

const DAY = '2026-03-10'
const NEXT_WEEK = addDays(DAY, 7)
ownData('class-file', DAY)
const world = demoWorld(DAY)
const { v7, stamp } = ownDevice(71, DAY)
const idOf = (name: string): string => world.students.find((s) => s.name === name)?.id ?? ''
const tonight = world.classes.at(-1)?.id ?? ''
const WREN = idOf('Wren Haskett')

const load = async () => ({
  facts: await import('../facts/actions'),
  health: await import('../health/actions'),
  plans: await import('../plans/actions'),
  planQueries: await import('../plans/plan-queries'),
  teach: await import('../teaching/queries'),
  desk: await import('./class-file'),
  classes: await import('@/db/classes'),
  store: await import('@/db/plans'),
})
let app: Awaited<ReturnType<typeof load>>
beforeAll(async () => {
  app = await load()
  await seedWorld(DAY)
})

async function makeClass(
  day: string,
  roster = [WREN, idOf('Ines Calder'), idOf('Greta Sommerby')],
): Promise<string> {
  const id = v7()
  const form = { id, planId: v7(), title: `On ${day}`, day, startTime: '18:30', minutes: '60', bays: 2 }
  value(
    await app.plans.createClass({
      ...form,
      aim: { kind: 'practice' as const, families: ['FS' as const] },
      groupId: null,
      roster,
    }),
  )
  return id
}

const sore = {
  pain: 6,
  regions: ['wrist' as const, 'shoulder' as const, 'neck' as const],
  energy: 2,
  arms: 7,
}
async function checkIn(studentId: string, words: object = {}): Promise<void> {
  const said = { ...sore, look: 'watch' as const, ticked: [], touch: 'no' as const, ...words }
  value(await app.facts.recordFact({ ...stamp(), kind: 'check-in', studentId, words: said }))
}

function briefOf(ctx: Context, id: string) {
  const record = app.classes.findClass(ctx.scope, id)
  if (!record) throw new Error('no class')
  return app.desk.briefFor(ctx, record, [])
}
const personIn = (ctx: Context, id: string, studentId: string) =>
  briefOf(ctx, id).people.find((p) => p.studentId === studentId)

describe('a check-in', () => {
  it('lowers the plan of its own day and of no other', async () => {
    const [today, later] = [await makeClass(DAY), await makeClass(NEXT_WEEK)]
    const before = personIn(await screen(), later, WREN)
    const open = personIn(await screen(), today, WREN)?.families.FS?.open.length ?? 0
    await checkIn(WREN)
    const ctx = await screen()
    const now = personIn(ctx, today, WREN)
    expect(now?.families.FS?.open.length).toBeLessThan(open)
    expect(now?.touch).toBe('no')
    expect(now?.limits.length).toBeGreaterThan(before?.limits.length ?? 0)
    expect(personIn(ctx, later, WREN)).toEqual(before)
  })
  it('reaches a plan that was made before it: plan, sheet and Teach place them on what is open, with the limits in words', async () => {
    const maud = idOf('Maud Ferrier')
    const id = await makeClass(DAY, [maud, idOf('Ines Calder'), idOf('Greta Sommerby')])
    const stageOf = async () => {
      const view = app.planQueries.planView(await screen(), id)
      return view?.blocks.flatMap((b) => b.doings).find((v) => v.studentId === maud)
    }
    const planned = await stageOf()
    await checkIn(maud, { pain: 8, regions: ['wrist'] })
    const held = await stageOf()
    expect(held?.variantId).not.toBe(planned?.variantId)
    expect(app.planQueries.planView(await screen(), id)?.violations).toEqual([])
    const strip = async (hidden: boolean) => {
      const data = app.teach.teachData(await screen({ hidden }), id)
      const work = data?.work.flatMap((block) => block[maud] ?? []) ?? []
      return { work, limits: data?.people.find((p) => p.id === maud)?.limits }
    }
    const shown = await strip(false)
    expect(shown.work[0]?.id).toBe(held?.variantId ?? '')
    expect(shown.limits).toContain('hands on the floor')
    const hidden = await strip(true)
    expect([hidden.limits, hidden.work.map((w) => w.change).join('')]).toEqual([[], ''])
  })
})

describe('what is closed tonight', () => {
  it('is closed on the bench and on the printed card, with what to do instead, also on a private screen', async () => {
    const { benchDetails, cardData } = await import('../setups/queries')
    const maud = idOf('Maud Ferrier')
    for (const hidden of [false, true]) {
      const ctx = await screen({ hidden })
      const details = benchDetails(ctx, maud)
      const closed = Object.entries(details?.bySetup ?? {}).filter(([, limit]) => limit.closed)
      expect(closed.length).toBeGreaterThan(0)
      for (const [setup, limit] of closed) {
        expect(limit.text).toMatch(/^Not for Maud now\. Instead: /)
        expect(details?.next).not.toContain(setup)
        expect(cardData(ctx, { setup, student: maud })?.limit).toEqual(limit)
      }
    }
  })
  it('is named in the warm-up of plan and Teach, by somebody’s name and what they do meanwhile', async () => {
    const id = await makeClass(DAY, [
      idOf('Odile Marchetti-Voss'),
      idOf('Ines Calder'),
      idOf('Greta Sommerby'),
    ])
    const ctx = await screen()
    const inPlan =
      app.planQueries.planView(ctx, id)?.blocks.flatMap((b) => b.items.flatMap((i) => i.apart)) ?? []
    expect(inPlan.join(' ')).toMatch(
      /Odile Marchetti-Voss: .* instead\.|Odile Marchetti-Voss: rest meanwhile\./,
    )
    const inTeach = Object.values(app.teach.teachData(ctx, id)?.apart ?? {}).flat()
    expect(inTeach).toEqual(expect.arrayContaining(inPlan))
  })
})

describe('limits that change how something is done', () => {
  it('reach brief, plan, sheet and Teach with their seconds, share and words', async () => {
    const ines = idOf('Ines Calder')
    const id = await makeClass(NEXT_WEEK, [ines, idOf('Greta Sommerby'), idOf('Tomas Reyle')])
    const { scope, health, practice } = await screen()
    const { addScreening, addClearance } = await import('@/db/health')
    const wrist = practice.intake.find((q) => q.options.some((o) => o.sets.includes('WRI-stiff')))
    const heart = practice.intake.find((q) => q.options.some((o) => o.sets.includes('HEART')))
    const yes = (q: typeof wrist, condition: string) => ({
      ...{ question: q?.id ?? '', choice: 'yes' as const, day: DAY, given: 'asked-aloud' as const },
      options: q?.options.filter((o) => o.sets.includes(condition)).map((o) => o.id) ?? [],
    })
    const answers = [yes(wrist, 'WRI-stiff'), yes(heart, 'HEART')]
    const said = { answers, nothingApplies: DAY, gentle: null }
    addScreening(scope, health.key!, { id: v7(), studentId: ines, day: DAY }, said)
    // Cleared by letter: what stays is half the repetitions.
    const tags = (['HBH', 'HB', 'NF', 'ST', 'FR'] as const).map((tag) => ({ tag, upTo: 3 }))
    const letter = {
      tags,
      clinician: 'Dr Moss',
      basis: 'letter-seen' as const,
      day: DAY,
      expires: '2026-12-01',
    }
    addClearance(scope, health.key!, { id: v7(), studentId: ines, day: DAY }, letter)
    const reach = personIn(await screen(), id, ines)?.families.FS
    const changes = Object.values(reach?.changed ?? {})
    expect(changes.length).toBeGreaterThan(0)
    expect(changes.some((c) => c.share === 0.5)).toBe(true)
    value(await app.plans.planAgain({ id, planId: v7() }))
    const view = app.planQueries.planView(await screen(), id)
    expect(view?.violations).toEqual([])
    const own = view?.blocks.flatMap((b) => b.doings).filter((v) => v.studentId === ines) ?? []
    expect(own.map((v) => v.changed).join(' ')).toMatch(/Half the repetitions/)
    const taught = app.teach.teachData(await screen(), id)?.work.flatMap((block) => block[ines]?.change ?? [])
    expect(taught?.join(' ')).toMatch(/Half the repetitions/)
    expect(JSON.stringify(view)).not.toMatch(/HEART|WRI-stiff|heart condition/)
  })
})

describe('a plan of an earlier day', () => {
  it('shows and validates by its own brief after everybody has changed', async () => {
    const id = await makeClass(DAY)
    const before = app.planQueries.planView(await screen(), id)
    const stored = app.store.planOf((await screen()).scope, (await screen()).health.key, id)
    expect(stored?.brief?.people).toHaveLength(3)
    process.env.LEVITAR_NOW = `${addDays(DAY, 31)}T17:00:00Z`
    for (const name of ['Wren Haskett', 'Ines Calder', 'Greta Sommerby'])
      value(
        await app.facts.recordFact({
          ...stamp(),
          kind: 'placement',
          studentId: idOf(name),
          stageId: 'FS-01',
        }),
      )
    const { addScreening } = await import('@/db/health')
    const { scope, health } = await screen()
    addScreening(
      scope,
      health.key!,
      { id: v7(), studentId: WREN, day: DAY },
      { answers: [], nothingApplies: null, gentle: true },
    )
    const after = app.planQueries.planView(await screen(), id)
    const shape = (view: typeof after) => [
      view?.violations,
      view?.blocks.map((b) => b.doings.map((v) => [v.studentId, v.variantId, v.changed])),
    ]
    expect(shape(after)).toEqual(shape(before))
    expect(after?.editable).toBe(false)
    process.env.LEVITAR_NOW = `${DAY}T17:00:00Z`
  })
})

describe('nobody is placed on what is closed', () => {
  it.each(['Odile Marchetti-Voss', 'Bertram Oake', 'Jonty Abara', 'Ravi Ellender'])('%s', async (name) => {
    const ctx = await screen()
    const id = await makeClass(NEXT_WEEK, [idOf(name), idOf('Ines Calder'), idOf('Greta Sommerby')])
    const brief = briefOf(ctx, id)
    const stored = app.store.planOf(ctx.scope, ctx.health.key, id)
    const doings = stored?.plan.blocks.flatMap(doingsOf) ?? []
    expect(doings.length).toBeGreaterThan(5)
    for (const { studentId, variantId } of doings) {
      const person = brief.people.find((p) => p.studentId === studentId)
      const what = [...ctx.practice.stages, ...ctx.practice.drills].find((s) => s.id === variantId)
      const load = what?.load ?? {}
      const closed = person?.limits.filter(
        (l) => (l.action === 'stop' || l.action === 'avoid') && (load[l.tag] ?? 0) >= l.level,
      )
      expect(closed).toEqual([])
    }
  })
  it('a Stop of tonight is no choice in the list of versions either', async () => {
    const view = app.planQueries.planView(await screen(), tonight)
    const { practice } = await screen()
    const odile = view?.choices.find((c) => c.name === 'Odile Marchetti-Voss')
    const person = personIn(await screen(), tonight, idOf('Odile Marchetti-Voss'))
    const stops = person?.limits.filter((l) => l.action === 'stop') ?? []
    expect(stops.length).toBeGreaterThan(0)
    for (const { id } of odile?.waves ?? []) {
      const load = practice.stages.find((s) => s.id === id)?.load ?? {}
      expect(stops.filter((l) => (load[l.tag] ?? 0) >= l.level)).toEqual([])
    }
  })
})
