import { LENGTH_RATIO, SEGMENT_NAMES } from '@/core/body/anthropometry'
import { demoWorld } from '@/core/simulate/demo'
import { SHUT_LIMITS } from '@/core/screening/shut'
import { together } from '@/core/screening/tonight'
import { segmentName } from '@/core/words/length'
import { tapeFor } from '@/core/words/tape'
import { solveSetup } from '@/core/setups/catalogue'
import { bodyOf, must } from '@/testing/bodies'
import { ownData, ownDevice, seedWorld, value } from '@/testing/actions'
import { CookieJar } from '@/testing/cookies'

const mockJar = new CookieJar()
jest.mock('next/cache', () => ({ revalidatePath: () => undefined }))
jest.mock('next/headers', () => ({
  headers: () => Promise.resolve(new Map([['x-levitar-home', '1']])),
  cookies: () => Promise.resolve(mockJar),
}))

const DAY = '2026-03-10'
ownData('bench', DAY)

const load = async () => ({
  actions: await import('./setups/actions'),
  queries: await import('./setups/queries'),
  students: await import('./students/queries'),
  context: await import('./context'),
})
let app: Awaited<ReturnType<typeof load>>
const world = demoWorld(DAY)
beforeAll(async () => {
  app = await load()
  await seedWorld(DAY)
})

const { v7 } = ownDevice(31, DAY)
const idOf = (name: string): string => world.students.find((s) => s.name === name)?.id ?? ''
const here = (hidden = false) => app.context.contextFor({ hidden, notesOpen: false })
const personOf = (name: string, hidden = false) => {
  const { people, first } = app.queries.benchData(here(hidden), idOf(name))
  return { ...people.find((p) => p.name === name), ...first }
}

describe('the bench', () => {
  it('knows what the practice says of every setup, and what comes next for everybody', () => {
    const { setups, people } = app.queries.benchData(here(), undefined)
    expect(setups).toHaveLength(69)
    expect(setups.every((s) => s.faults.length <= 4)).toBe(true)
    expect(people.filter((p) => (personOf(p.name).next ?? []).length > 0).length).toBeGreaterThan(10)
    expect(personOf('Odile Marchetti-Voss', true).limits).toEqual([])
    expect(personOf('Odile Marchetti-Voss').limits?.length).toBeGreaterThan(0)
  })
  it('is left as the step that it shows is left, and opens as the step asks that led here', () => {
    const ctx = here()
    const facts = app.queries.benchData(ctx, undefined).setups
    const exit = (id: string) => facts.find((f) => f.id === id)?.exit ?? ''
    // Lying on a platform one rolls to the side; out of the stand on it one rolls down.
    for (const id of ['SETUP-platform-wall', 'SETUP-platform-open']) expect(exit(id)).toMatch(/bone by bone/)
    expect(app.queries.opensWith(ctx, 'SETUP-platform-open', 'SH-10')).toEqual({ halfWay: 1 })
    expect(app.queries.opensWith(ctx, 'SETUP-platform-open', 'SH-14')).toEqual({})
    expect(app.queries.opensWith(ctx, 'SETUP-platform-wall', 'SH-10')).toEqual({})
    const trunk = (halfWay: number) =>
      must(solveSetup('SETUP-platform-open', bodyOf(168), { halfWay })).target.angles.trunkLeanDeg
    expect(Math.abs(trunk(1) - trunk(0))).toBeGreaterThan(25)
  })
  it('keeps a setup for somebody, once for two presses, and lets it go', async () => {
    const form = {
      id: v7(),
      studentId: idOf('Ines Calder'),
      setupId: 'SETUP-wall-kick-forearm',
      options: { fingertipGapCm: 7 },
    }
    value(await app.actions.keepSetup(form))
    value(await app.actions.keepSetup(form))
    expect(personOf('Ines Calder').saved).toMatchObject([
      { setupId: form.setupId, options: { fingertipGapCm: 7 } },
    ])
    expect((await app.actions.keepSetup({ ...form, setupId: 'SETUP-none' })).ok).toBe(false)
    expect((await app.actions.keepSetup({ ...form, studentId: v7() })).ok).toBe(false)
    value(await app.actions.dropSetup({ id: form.id }))
    expect(personOf('Ines Calder').saved).toEqual([])
  })
  it('follows what was weighed, refuses what fits no body, and forgets on request', async () => {
    const weigh = (share: number, name = 'Ines Calder') =>
      app.actions.keepWeighing({ id: v7(), studentId: idOf(name), shapeId: 'plank-hands', share })
    expect(personOf('Ines Calder').body?.massToLegs).toBeUndefined()
    value(await weigh(0.66))
    expect(personOf('Ines Calder').body?.massToLegs).toBeGreaterThan(0)
    const odd = await weigh(0.2)
    expect(odd.ok ? '' : odd.problems[0]?.message).toMatch(/fits no body .* Measure again\?/)
    expect((await weigh(0.66, 'Ravi Ellender')).ok).toBe(false)
    value(await app.actions.dropWeighings({ studentId: idOf('Ines Calder') }))
    expect(personOf('Ines Calder').body?.massToLegs).toBeUndefined()
  })
  it('makes a card from a link, and none from a broken one', () => {
    const setup = 'SETUP-wall-kick-forearm'
    expect(
      app.queries.cardData(here(), { setup, student: idOf('Ines Calder'), with: '{"fingertipGapCm":8}' }),
    ).toMatchObject({
      name: 'Ines Calder',
      options: { fingertipGapCm: 8 },
    })
    expect(app.queries.cardData(here(), { setup, height: '180' })?.body.statureCm).toBe(180)
    for (const broken of [
      { setup },
      { setup: 'x', height: '180' },
      { setup, height: '180', with: '{' },
      { setup, height: '180', with: '{"a":"b"}' },
    ])
      expect(app.queries.cardData(here(), broken)).toBeNull()
  })
})

describe('what a tape would settle', () => {
  const measuring = (name: string) => {
    const student = app.students.studentLists(here()).current.find((s) => s.name === name)
    if (!student) throw new Error(name)
    return {
      ...{ student, asked: app.students.measuring(here(), student).worth },
      listed: (measured = student.measured) =>
        app.students.workedOut(here(), [{ ...student, measured }]).get(student.id)?.tape ?? '',
    }
  }

  it('is asked for setups of what comes next and for none that is closed, the greatest first, three at most', () => {
    for (const { name, statureCm } of world.students) {
      const { asked, student } = measuring(name)
      const open = (app.queries.benchDetails(here(), student.id)?.next ?? []).map(
        (id) => app.queries.benchData(here(), undefined).setups.find((s) => s.id === id)?.label,
      )
      expect(asked.length).toBeLessThanOrEqual(statureCm === null ? 0 : 3)
      for (const { setup } of asked) expect(open).toContain(setup)
      const moves = asked.map(({ movesCm }) => movesCm)
      expect(moves).toEqual(moves.toSorted((a, b) => b - a))
    }
  })
  it('asks nothing for what tonight’s check-in closes', async () => {
    const { nextSetups } = await import('./desk/next-setups')
    const { judgeOf } = await import('./desk/judge')
    const { setupTonight } = await import('./desk/limit-words')
    const student = { id: idOf('Wren Haskett'), name: 'Wren Haskett' }
    const judge = judgeOf(here())
    const unwell = { ...judge, tonight: (id: string) => together(judge.tonight(id), SHUT_LIMITS) }
    const [all, left] = [nextSetups(here(), judge, student), nextSetups(here(), unwell, student)]
    expect(all.filter((id) => !left.includes(id)).length).toBeGreaterThan(0)
    expect(left.filter((id) => setupTonight(here(), unwell, student, id).closed)).toEqual([])
  })
  it('stands in the list by its name, and another one once it is measured', () => {
    const { listed, student } = measuring('Wren Haskett')
    const first = listed()
    expect(first).not.toBe('')
    const key = SEGMENT_NAMES.find((name) => segmentName(name).toLowerCase() === first)
    if (!key) throw new Error(first)
    const own = LENGTH_RATIO[key] * (student.statureCm ?? 0)
    expect(listed({ ...student.measured, [key]: own })).not.toBe(first)
    expect(tapeFor(key)).toMatch(/: from |^From |book to book|to the floor|Across/)
  })
})
