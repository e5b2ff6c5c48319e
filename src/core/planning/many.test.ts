import fc from 'fast-check'
import { USUAL_AIM } from '../classes/aim'
import { isWork } from '../classes/plan'
import { shippedPractice } from '../practice/library'
import type { Family } from '../practice/schema'
import { NO_LIMITS } from '../screening/caps'
import { describePlanWarning } from '../words/plan'
import { brief, person } from '@/testing/briefs'
import { must } from '@/testing/bodies'
import { validatePlan } from './check/validate'
import { composeWarmUp, withoutStrength } from './compose'
import { eyesOf, lightPoints } from './deal'
import { descended } from './descend'
import { evaluator } from './evaluate'
import { buildModel } from './model'
import { planClass } from './plan-class'

const practice = shippedPractice()

/** So many people, spread over the lower rungs of a ladder, with one teacher. */
function roomOf(many: number, family: Family, minutes: number) {
  const stages = practice.stages.filter((s) => s.family === family && s.like === undefined)
  const people = Array.from({ length: many }, (_, i) => {
    const at = (i * 7) % Math.min(stages.length - 1, 14)
    const ids = { standingId: stages[at]?.id ?? null, targetId: stages[at + 1]?.id ?? null }
    return person(i + 1, { family, ...ids, outcome: 'offer', limits: NO_LIMITS })
  })
  return brief({
    ...{ people, minutes, bays: 5, helpers: [] },
    aim: { ...USUAL_AIM, kind: 'practice', families: [family] },
  })
}

describe('a large room', () => {
  it.each<[number, Family, number]>([
    [24, 'FS', 75],
    [30, 'HS', 45],
    [45, 'FS', 75],
    [60, 'CR', 60],
  ])(
    'of %i for %s in %i minutes: everybody has something in every block, and no rule is broken',
    (many, family, minutes) => {
      const b = roomOf(many, family, minutes)
      const { plan } = must(planClass(practice, b, 200))
      expect(validatePlan(practice, b, plan)).toEqual([])
      for (const block of plan.blocks.filter(isWork))
        expect(block.people.filter((p) => p.variantId === null)).toEqual([])
      const said = plan.warnings.find((w) => w.code === 'many-for-eyes')
      expect(said).toEqual({ code: 'many-for-eyes', people: many, most: 13 })
      expect(describePlanWarning(said!, practice, () => '')).toContain(
        `${many} people are many to watch: above 13`,
      )
    },
  )
  it('says nothing of a dozen', () => {
    const { plan } = must(planClass(practice, roomOf(12, 'FS', 60), 100))
    expect(plan.warnings.map((w) => w.code)).not.toContain('many-for-eyes')
  })
  it('light work takes of the eyes what it takes of a dozen, and never more than half of them', () => {
    fc.assert(
      fc.property(fc.nat(60), fc.nat(3), (people, helpers) => {
        const most = eyesOf(Array(helpers).fill(null))
        expect(most).toBe(8 + 4 * helpers)
        const taken = lightPoints(people, most)
        expect(taken).toBeLessThanOrEqual(most / 2)
        expect(taken).toBeLessThanOrEqual(lightPoints(people + 1, most))
        if (people * 0.3 <= most / 2) expect(taken).toBeCloseTo(people * 0.3)
      }),
    )
  })
})

describe('a plan that is shown', () => {
  it('is bettered by no one version of anybody’s, tried out one by one', () => {
    const model = buildModel(practice, roomOf(5, 'FS', 45))
    const { found } = must(planClass(practice, roomOf(5, 'FS', 45), 300))
    const { evaluate } = evaluator(model)
    const settled = descended(model, found, evaluate, 50_000)
    expect(settled.outcome.points).toBeGreaterThanOrEqual(found.outcome.points)
    for (const [s, slot] of model.slots.entries()) {
      if ((settled.state.config[s] ?? -1) < 0) continue
      slot.options.forEach((options, p) =>
        options.forEach((_, o) => {
          const option = settled.state.option.map((all, i) => (i === s ? all.with(p, o) : all))
          const other = evaluate({ ...settled.state, option })
          const isDealt = other.blocks.every(({ value }) => value.deal() !== null)
          if (other.isLegal && isDealt)
            expect(other.points).toBeLessThanOrEqual(settled.outcome.points + 1e-6)
        }),
      )
    }
  })
})

describe('warming up without what comes as strength', () => {
  it('prepares the same in the same time, whatever comes', () => {
    const model = buildModel(practice, roomOf(8, 'HS', 75))
    let changed = 0
    fc.assert(
      fc.property(fc.nat(2 ** model.warmups.length - 1), fc.nat(20), (mask, pick) => {
        const { items, seconds } = composeWarmUp(model, mask)
        const strength = items[pick % Math.max(1, items.length)]?.id ?? ''
        const now = withoutStrength(model, mask, items, new Set([strength]))
        expect(now.reduce((sum, i) => sum + i.seconds, 0)).toBe(seconds)
        expect(new Set(now.map((i) => i.id)).size).toBe(now.length)
        const ids = [...now.map((i) => i.id), ...model.settled]
        model.warmups.forEach((block, i) => {
          if (!((mask >> i) & 1) || i === model.wayOut) return
          // As much of each must as before: what stood for another in two blocks still does.
          const has = (list: readonly string[], from: readonly string[]) =>
            from.filter((d) => list.includes(d)).length
          for (const { n, from } of block.must)
            expect(has(ids, from)).toBeGreaterThanOrEqual(
              Math.min(n, has([...items.map((x) => x.id), ...model.settled], from)),
            )
        })
        if (items.some((i) => i.id === strength) && !now.some((i) => i.id === strength)) changed += 1
      }),
    )
    expect(changed).toBeGreaterThan(0)
  })
})
