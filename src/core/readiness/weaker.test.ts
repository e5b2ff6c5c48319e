import { must } from '@/testing/bodies'
import { WORKED } from '@/testing/worked-class'
import type { Brief, BriefPerson } from '../classes/brief'
import type { Change } from '../classes/change'
import { isWork, WAITING, type Doing, type Plan } from '../classes/plan'
import { ownTurn } from '../planning/option'
import { planClass } from '../planning/plan-class'
import { turnOf, variantsOf } from '../planning/variants'
import { validatePlan } from '../planning/check/validate'
import { findById } from '../practice/find'
import { shippedPractice } from '../practice/library'
import { describeTurns } from '../words/turns'
import { weakerInDrills } from './weaker'

const practice = shippedPractice()
const turn = { breathS: 5, mostSeconds: null, grownS: 0, share: 1, workS: 540, more: true }

describe('the side that is behind', () => {
  it('is named for drills on both sides that train what the check asks, by the wider gap where two disagree', () => {
    const overhead = { checkId: 'CK-shoulder-flexion', weaker: 'right' as const }
    const behind = { checkId: 'CK-backs-reach', weaker: 'left' as const }
    expect(weakerInDrills(practice, [])).toEqual({})
    expect(weakerInDrills(practice, [behind, overhead])).toMatchObject({
      'DR-cow-face-arms': 'left',
      'DR-overhead-elbow-iso': 'right',
    })
    expect(weakerInDrills(practice, [overhead, behind])['DR-cow-face-arms']).toBe('right')
    for (const id of Object.keys(weakerInDrills(practice, [behind, overhead])))
      expect(findById(practice.drills, id).dose.perSide).toBe(true)
  })

  it('is done once more where the turn has the time, and never by cutting a hold below its least', () => {
    for (const variant of variantsOf(practice).filter((v) => v.sides && v.tries === 0))
      for (const workS of [30, 40, 60, 90, 540]) {
        const { holdS, reps, sideMore } = turnOf(variant, { ...turn, workS })
        if (!sideMore) continue
        expect((holdS ?? 4) * reps * 3).toBeLessThanOrEqual(workS)
        const usual = turnOf(variant, { ...turn, workS, more: false })
        const least = variant.dose.seconds?.min ?? (variant.dose.breaths?.min ?? 0) * 5
        expect(holdS ?? 0).toBeGreaterThanOrEqual(Math.min(usual.holdS ?? 0, least))
        expect(reps).toBeGreaterThanOrEqual(Math.min(usual.reps, variant.dose.reps?.min ?? usual.reps))
      }
    const cow = variantsOf(practice).find((v) => v.id === 'DR-cow-face-arms')
    expect(cow && turnOf(cow, turn)).toEqual({ holdS: 60, reps: 1, sideMore: true })
    expect(cow && turnOf(cow, { ...turn, workS: 100 })).toEqual({ holdS: 33, reps: 1, sideMore: true })
    expect(cow && turnOf(cow, { ...turn, workS: 80 })).toEqual({ holdS: 40, reps: 1, sideMore: false })
  })
})

it('leaves a limit of seconds to all that is repeated without a rest', () => {
  for (const variant of variantsOf(practice).filter((v) => v.tries === 0))
    for (const mostSeconds of [5, 10, 20, 45]) {
      const { holdS, reps } = turnOf(variant, { ...turn, mostSeconds, more: false })
      expect(holdS ?? 0).toBeLessThanOrEqual(mostSeconds)
      // One repetition is the least of anything.
      if (reps > 1) expect(reps * (holdS ?? 4)).toBeLessThanOrEqual(mostSeconds)
    }
})

describe('in a class', () => {
  const everySided = Object.fromEntries(
    practice.drills.filter((d) => d.dose.perSide).map((d) => [d.id, 'left' as const]),
  )
  /** Everybody is short of shoulders that open: what trains them is done on both sides. */
  const classOf = (weaker: BriefPerson['weaker']): Brief => ({
    ...WORKED,
    people: WORKED.people.map((p) => ({
      ...p,
      weaker,
      families: Object.fromEntries(
        Object.entries(p.families).map(([family, reach]) => [family, { ...reach, lacks: { SF: 1 } }]),
      ),
    })),
  })
  const sided = (plan: Plan): Doing[] =>
    plan.blocks
      .filter(isWork)
      .flatMap((b) => b.people.filter((p) => p.variantId === 'DR-cow-face-arms' && p.sides))

  it('begins in the plan, is said, and a side too many is called so', () => {
    const stiff = classOf(everySided)
    const { plan } = must(planClass(practice, stiff, 1500))
    expect(validatePlan(practice, stiff, plan)).toEqual([])
    const begun = sided(plan)
    expect(begun.length).toBeGreaterThan(0)
    for (const doing of begun) expect(describeTurns(doing, { waves: 1 })).toContain(', each side, left first')
    expect(sided(must(planClass(practice, classOf({}), 1500)).plan).every((d) => d.sideFirst === null)).toBe(
      true,
    )

    const codes = (b: Brief, doing: Partial<Doing>): string[] => {
      const blocks = plan.blocks.map((x) =>
        isWork(x) ? { ...x, people: x.people.map((p) => (begun.includes(p) ? { ...p, ...doing } : p)) } : x,
      )
      return validatePlan(practice, b, { ...plan, blocks }).map((v) => v.code)
    }
    const more = { holdS: 10, reps: 1, sideMore: true }
    expect(codes(stiff, more)).toEqual([])
    expect(codes(stiff, { ...more, holdS: 20 })).toContain('too-long')
    expect(codes(stiff, { ...more, sideFirst: 'right' })).toContain('side-more')
    expect(codes(classOf({}), more)).toContain('side-more')
  })

  it('is not done once more where a limit changes what is done', () => {
    const variant = variantsOf(practice).find((v) => v.id === 'DR-cow-face-arms')
    const someone = classOf(everySided).people[0]
    if (!variant || !someone) throw new Error('nobody')
    const half: Change = { mostSeconds: null, share: 0.5 } as Change
    expect(ownTurn(someone, variant, null, 540).sideMore).toBe(true)
    expect(ownTurn(someone, variant, half, 540).sideMore).toBe(false)
    expect(ownTurn({ ...someone, weaker: {} }, variant, null, 540).sideMore).toBe(false)
  })

  it('begins and no more where the turn is short', () => {
    const doing: Doing = {
      ...{ ...WAITING, studentId: 's1', variantId: 'DR-cow-face-arms' },
      ...{ sides: true, turns: 2, holdS: 20, sideFirst: 'right' },
    }
    expect(describeTurns(doing, { waves: 1 })).toBe('2 turns: 20 s, each side, right first.')
  })
})
