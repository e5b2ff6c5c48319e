import { NOT_ASKED } from '../screening/caps'
import { library } from '../practice/library'
import { decide } from '../readiness/decide'
import { demoWorld } from './demo'
import { seeded, uuidAt } from './random'

const AS_OF = '2026-03-10'
const world = demoWorld(AS_OF)

describe('the demo world', () => {
  it('is the same for the same seed and day, and another for another', () => {
    expect(demoWorld(AS_OF)).toEqual(world)
    expect(demoWorld(AS_OF, 8).observations).not.toEqual(world.observations)
  })
  it('has fourteen people, eight weeks of classes and nothing in the future', () => {
    expect(world.students).toHaveLength(14)
    expect(world.classes).toHaveLength(9)
    expect([...world.observations, ...world.attempts].every((fact) => fact.day < AS_OF)).toBe(true)
  })
  it('points only at checks and stages that exist', () => {
    const { checks, stages } = library()
    for (const o of world.observations) expect(checks.map((c) => c.id)).toContain(o.checkId)
    for (const a of world.attempts) expect(stages.map((s) => s.id)).toContain(a.stageId)
  })
  it('reaches every outcome that this release can give', () => {
    const outcomes = world.students.map(({ id }) => {
      const mine = <T extends { studentId: string }>(facts: readonly T[]): T[] =>
        facts.filter((f) => f.studentId === id)
      const evidence = {
        observations: mine(world.observations),
        attempts: mine(world.attempts),
        placements: mine(world.placements),
      }
      return decide(library(), 'FS', id, evidence, NOT_ASKED, AS_OF).outcome
    })
    expect([...new Set(outcomes)].sort()).toEqual([
      'build',
      'held',
      'near',
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
