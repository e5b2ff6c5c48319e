import { missingOnCard } from '../room/emergency'
import { isImpossible, roomProblems, usableBays } from '../room/room'
import { conditionsOf, type Screening } from '../screening/answers'
import { capsOf, NOT_ASKED } from '../screening/caps'
import { shippedPractice } from '../practice/library'
import { decide } from '../readiness/decide'
import { demoWorld } from './demo'
import { seeded, uuidAt } from '../random'

const AS_OF = '2026-03-10'
const world = demoWorld(AS_OF)

const screeningOf = (id: string): Screening => {
  const said = world.said.filter((e) => e.studentId === id)
  return {
    answers: said.flatMap((e) => e.answers),
    nothingApplies: said[0]?.nothingApplies ?? null,
    gentle: said[0]?.gentle ?? false,
  }
}
const clearancesOf = (id: string) =>
  world.clearances.filter((c) => c.studentId === id).map((c) => c.clearance)

describe('the demo world', () => {
  it('has every kind of cap in it, a clearance, an answer that has run out and people nobody has asked', () => {
    const all = world.students.map(({ id }) =>
      capsOf(shippedPractice(), screeningOf(id), clearancesOf(id), AS_OF),
    )
    const actions = new Set(all.flatMap((c) => c.caps.map((cap) => cap.action)))
    expect([...actions].sort()).toEqual(['avoid', 'modify', 'stop', 'watch'])
    expect(all.some((c) => c.cleared.length > 0)).toBe(true)
    const expired = world.students.filter(
      ({ id }) => conditionsOf(shippedPractice(), screeningOf(id), AS_OF).expired.length > 0,
    )
    // Hers has run out; Priya’s acts on, and its rule asks again sooner than six months.
    expect(expired.map((s) => s.name)).toEqual(['Ines Calder', 'Priya Dunmore'])
    expect(
      world.students.filter(({ id }) => !world.said.some((e) => e.studentId === id)).length,
    ).toBeGreaterThan(0)
  })
  it('draws a room with five usable bays and nothing impossible, marks who came, and stocks a cupboard', () => {
    expect(usableBays(world.studio.room)).toHaveLength(5)
    expect(roomProblems(world.studio.room).filter(isImpossible)).toEqual([])
    const past = world.classes.slice(0, -1)
    expect(past.every((c) => c.roster.every((id) => c.attended[id] !== undefined))).toBe(true)
    expect(world.cupboard.length).toBeGreaterThan(8)
    expect(missingOnCard(world.studio.emergency)).toEqual([])
  })

  it('is the same for the same seed and day, and another for another', () => {
    expect(demoWorld(AS_OF)).toEqual(world)
    expect(demoWorld(AS_OF, 8).observations).not.toEqual(world.observations)
  })
  it('has twenty-one people, eight weeks of classes and nothing in the future', () => {
    expect(world.students).toHaveLength(21)
    expect(world.classes).toHaveLength(9)
    expect(
      [...world.observations, ...world.attempts, ...world.drills].every((fact) => fact.day < AS_OF),
    ).toBe(true)
  })
  it('points only at checks and stages that exist', () => {
    const { checks, stages } = shippedPractice()
    for (const o of world.observations) expect(checks.map((c) => c.id)).toContain(o.checkId)
    const drills = shippedPractice().drills.map((d) => d.id)
    expect(world.drills.length).toBeGreaterThan(50)
    for (const d of world.drills) expect(drills).toContain(d.drillId)
    for (const a of world.attempts) expect(stages.map((s) => s.id)).toContain(a.stageId)
  })
  it('reaches every outcome', () => {
    // The one that is said first, and those of the other branches beside it.
    const outcomes = world.students.flatMap(({ id }) => {
      const mine = <T extends { studentId: string }>(facts: readonly T[]): T[] =>
        facts.filter((f) => f.studentId === id)
      const evidence = {
        observations: mine(world.observations),
        attempts: mine(world.attempts),
        placements: mine(world.placements),
      }
      const said = world.said.filter((e) => e.studentId === id)
      const limits =
        said.length === 0 ? NOT_ASKED : capsOf(shippedPractice(), screeningOf(id), clearancesOf(id), AS_OF)
      return decide(shippedPractice(), 'FS', id, evidence, limits, AS_OF).outcome
    })
    expect([...new Set(outcomes)].sort()).toEqual([
      'build',
      'held',
      'near',
      'not-now',
      'offer',
      'once-more',
      'step-back',
    ])
  })
})

it('makes version 7 ids that sort by time', () => {
  const random = seeded(1)
  const [a, b] = [uuidAt(random, 1000), uuidAt(random, 2000)]
  expect(a < b).toBe(true)
  expect(a).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/)
})

it.each(['PU', 'FS', 'HD', 'HS', 'CR', 'SH'] as const)('shows every outcome in %s', (family) => {
  // The one that is said first, and those of the other branches beside it.
  const outcomes = world.students.flatMap(({ id }) => {
    const mine = <T extends { studentId: string }>(facts: readonly T[]): T[] =>
      facts.filter((f) => f.studentId === id)
    const { outcome, branches } = decide(
      shippedPractice(),
      family,
      id,
      {
        observations: mine(world.observations),
        attempts: mine(world.attempts),
        placements: mine(world.placements),
      },
      capsOf(shippedPractice(), screeningOf(id), clearancesOf(id), AS_OF),
      AS_OF,
    )
    return [outcome, ...branches.map((b) => b.outcome)]
  })
  for (const outcome of ['offer', 'once-more', 'near', 'build', 'step-back', 'not-now'])
    expect([family, outcomes]).toEqual([family, expect.arrayContaining([outcome])])
})
