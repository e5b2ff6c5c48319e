import { USUAL_AIM } from '../classes/aim'
import { inSet, isWork, turnsOf, type Plan } from '../classes/plan'
import { shippedPractice } from '../practice/library'
import type { Family } from '../practice/schema'
import { seeded } from '../random'
import { NO_LIMITS } from '../screening/caps'
import { brief, limited, person } from '@/testing/briefs'
import { must } from '@/testing/bodies'
import { validatePlan } from './check/validate'
import { pathOf } from './climb'
import { asItHolds } from './now'
import { planClass } from './plan-class'

const practice = shippedPractice()
const load = (id: string) => practice.stages.find((s) => s.id === id)?.load ?? {}

/** People spread over the lower half of a ladder. */
function classOf(family: Family, seed: number, many = 9) {
  const random = seeded(seed)
  const stages = practice.stages.filter((s) => s.family === family && s.like === undefined)
  const people = Array.from({ length: many }, (_, i) => {
    const at = Math.floor(random() * (stages.length / 2))
    const [standing, target] = [stages[at], stages[at + 1]]
    return person(i + 1, {
      ...{ family, standingId: standing?.id ?? null, targetId: target?.id ?? null },
      ...{ outcome: 'offer' as const, limits: NO_LIMITS },
    })
  })
  return brief({ people, minutes: 75, aim: { ...USUAL_AIM, kind: 'practice', families: [family] } })
}
const climbers = (plan: Plan) =>
  plan.blocks
    .filter(isWork)
    .flatMap((block) => block.people.filter((d) => d.climb.length > 0).map((doing) => ({ block, doing })))

describe('a climb', () => {
  it.each<Family>(['FS', 'HS', 'CR', 'PU'])('begins where others are and ends at one’s own: %s', (family) => {
    let found = 0
    for (const seed of [1, 2, 3]) {
      const b = classOf(family, seed)
      const { plan } = must(planClass(practice, b, 300))
      expect(validatePlan(practice, b, plan)).toEqual([])
      for (const { block, doing } of climbers(plan)) {
        found += 1
        const own = b.people.find((p) => p.studentId === doing.studentId)
        for (const rung of doing.climb) {
          // Nothing on the way asks for more than its end does, in any way a body can be loaded.
          for (const [tag, level] of Object.entries(load(rung.variantId)))
            if (typeof level === 'number')
              expect(level).toBeLessThanOrEqual(
                Number(Object.entries(load(doing.variantId ?? '')).find(([t]) => t === tag)?.[1] ?? 0),
              )
          expect(Object.values(own?.families ?? {}).flatMap((r) => r.open)).toContain(rung.variantId)
          const shared = block.people.filter(
            (d) => d.variantId === rung.variantId || d.climb.some((r) => r.variantId === rung.variantId),
          )
          expect(shared.length).toBeGreaterThan(1)
        }
        expect(doing.turns - doing.climb.length).toBeGreaterThan(doing.climb.length)
      }
    }
    expect(found).toBeGreaterThan(0)
  })
  it('is a rung a turn, then what it leads to, and says so in every turn of the block', () => {
    const { plan } = must(planClass(practice, classOf('FS', 2), 300))
    const { block, doing } = climbers(plan)[0]!
    const mine = turnsOf(block).flatMap((t) => t.up.filter((d) => d.studentId === doing.studentId))
    expect(mine.map((d) => d.variantId)).toEqual([
      ...doing.climb.map((r) => r.variantId),
      ...Array<string | null>(doing.turns - doing.climb.length).fill(doing.variantId),
    ])
    expect(inSet(doing, 0)).toMatchObject({ place: doing.place, tries: 0, climb: [] })
    expect(pathOf(practice, classOf('FS', 2), block, doing).map((d) => d.variantId)).toEqual([
      ...doing.climb.map((r) => r.variantId),
      doing.variantId,
      ...(doing.then === null ? [] : [doing.then]),
    ])
  })
  it('loses the rungs that a word at the door closes, and keeps its end', () => {
    const b = classOf('FS', 2)
    const { plan } = must(planClass(practice, b, 300))
    const sore = { ...b, people: b.people.map((p) => ({ ...p, limits: limited('WRI-sore').caps })) }
    const now = asItHolds(practice, plan, sore)
    expect(validatePlan(practice, sore, now).filter((v) => v.code === 'climb-unfit')).toEqual([])
  })
})
