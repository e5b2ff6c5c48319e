import { isWork, type Plan } from '../classes/plan'
import type { Brief } from '../classes/brief'
import { shippedPractice } from '../practice/library'
import { NO_LIMITS } from '../screening/caps'
import { bays, brief, person, stock } from '@/testing/briefs'
import { must } from '@/testing/bodies'
import { planClass } from './plan-class'

const practice = shippedPractice()
const NINE = [1, 2, 3, 4, 5, 6, 7, 8, 9]

/** Nine people on the first step of a family, in a room with a mat each. */
function beginners(family: 'PU' | 'HS' | 'CR', standingId: string | null): Brief {
  return {
    ...brief({ bays: 5, people: NINE.map((i) => person(i, { family, standingId, limits: NO_LIMITS })) }),
    aim: { kind: 'practice', families: [family] },
    room: { bays: bays(5), mats: NINE.map((i) => ({ id: `mat-${i}`, inFall: [] })), open: 2 },
  }
}

/** What somebody does in each working block, in order. */
function done(plan: Plan, studentId: string): (string | null)[] {
  return plan.blocks
    .filter(isWork)
    .map((b) => b.people.find((p) => p.studentId === studentId)?.variantId ?? null)
}

it.each([
  ['PU', 'PU-01'],
  ['HS', 'HS-01'],
  ['CR', 'CR-01'],
] as const)(
  '%s, everybody on its first step: prepared by something else, then done, not twice',
  (family, id) => {
    const { plan } = must(planClass(practice, beginners(family, id), 4000))
    const work = plan.blocks.filter(isWork)
    const peak = work.find((b) => b.kind === 'peak')
    expect(peak?.people.filter((p) => p.variantId?.startsWith(family)).length).toBeGreaterThanOrEqual(8)
    for (const i of NINE) {
      const mine = done(plan, `p${i}`)
      expect(new Set(mine).size).toBe(mine.length)
    }
  },
)

it('a class of rest goes on from shape to shape, though wall, chairs and bolsters are few', () => {
  const b: Brief = {
    ...beginners('PU', null),
    aim: { kind: 'restorative', families: ['FS'] },
    minutes: 60,
    cupboard: stock({ chair: 3, bolster: 2 }),
  }
  const { plan } = must(planClass(practice, b))
  for (const i of NINE) {
    const mine = done(plan, `p${i}`)
    expect(mine.length).toBeGreaterThanOrEqual(3)
    for (const [at, shape] of mine.slice(1).entries()) expect(shape).not.toBe(mine[at])
    for (const shape of new Set(mine)) expect(mine.filter((m) => m === shape).length).toBeLessThanOrEqual(2)
  }
})

it('everybody keeps one mat through the hour; only out of a fall somebody moves, and comes back', () => {
  const people = [
    ...NINE.slice(0, 4).map((i) =>
      person(i, { standingId: 'FS-11', targetId: null, outcome: 'held', limits: NO_LIMITS }),
    ),
    ...NINE.slice(4).map((i) => person(i, { standingId: 'FS-04', limits: NO_LIMITS })),
  ]
  const mats = NINE.map((i) => ({ id: `mat-${i}`, inFall: i >= 7 ? ['bay-1', 'bay-2', 'bay-3'] : [] }))
  const b: Brief = { ...brief({ people, minutes: 75 }), room: { bays: bays(3), mats, open: 2 } }
  const { plan } = must(planClass(practice, b, 4000))
  const placed = plan.blocks.filter(isWork).map((block) => {
    const kicks = new Set(
      block.people
        .filter((p) => practice.stages.some((s) => s.id === p.variantId && (s.load.FR ?? 0) >= 3))
        .map((p) => p.place),
    )
    for (const { studentId, place } of block.people) {
      if (!place?.startsWith('mat')) continue
      const own = `mat-${studentId.slice(1)}`
      const inFall = (id: string): boolean =>
        mats.some((m) => m.id === id && m.inFall.some((bay) => kicks.has(bay)))
      expect([studentId, inFall(place)]).toEqual([studentId, false])
      if (!inFall(own)) expect([studentId, place]).toEqual([studentId, own])
    }
    const given = block.people.flatMap((p) => (p.place?.startsWith('mat') ? [p.place] : []))
    expect(new Set(given).size).toBe(given.length)
    return kicks.size
  })
  expect(placed.some((kicks) => kicks > 0)).toBe(true)
})
