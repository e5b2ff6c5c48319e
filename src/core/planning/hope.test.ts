import fc from 'fast-check'
import type { Brief } from '../classes/brief'
import { isWork, type Plan, type Work } from '../classes/plan'
import { shippedPractice } from '../practice/library'
import { waitsForScreening } from '../readiness/decide'
import { capsFrom, NO_LIMITS, NOT_ASKED } from '../screening/caps'
import { ifNothingApplies } from '../screening/hope'
import { SHUT_LIMITS } from '../screening/shut'
import { together } from '../screening/tonight'
import { describeHope } from '../words/hope'
import { anyBrief, brief, limited, person, unasked } from '@/testing/briefs'
import { must } from '@/testing/bodies'
import { validatePlan } from './check/validate'
import { asTold, hopedDoing, hopedPlan, onTheHope } from './hope'
import { asItHolds } from './now'
import { planClass } from './plan-class'

const practice = shippedPractice()

/** Somebody who kicks up at the wall. */
const KICKER = { standingId: 'FS-12', targetId: 'FS-13', outcome: 'held', limits: NO_LIMITS } as const
const doingsIn = (plan: Plan, studentId: string) =>
  plan.blocks.filter(isWork).map((b) => b.people.find((p) => p.studentId === studentId))
const peakOf = (plan: Plan): Work => plan.blocks.filter(isWork).find((b) => b.kind === 'peak')!
const loadOf = (id: string) =>
  [...practice.stages, ...practice.drills, ...practice.counterposes].find((x) => x.id === id)?.load ?? {}

describe('what is hoped of whoever has not answered', () => {
  it('takes the open questions for a no, and nothing that was said or seen', () => {
    const said = capsFrom(
      practice,
      { set: new Set(['UNKNOWN-core', 'EYE-P']), unknown: ['H9'] },
      [],
      '2026-03-10',
    )
    const hoped = ifNothingApplies(practice, said)!
    expect(hoped.answered).toBe(true)
    expect(hoped.caps).toEqual(limited('EYE-P').caps)
    expect(hoped.caps.length).toBeGreaterThan(0)
  })
  it('is nothing where all is answered, or where what was answered cannot be read', () => {
    expect(ifNothingApplies(practice, limited('EYE-P'))).toBeNull()
    expect(ifNothingApplies(practice, together(NOT_ASKED, SHUT_LIMITS))).toBeNull()
  })
})

describe('a class planned on the hope', () => {
  /** Some of a class before they were asked. */
  const half = (b: Brief): Brief => ({ ...b, people: b.people.map((p, i) => (i % 2 === 0 ? unasked(p) : p)) })

  it('breaks no rule if nothing applies, and closes nothing to those who are told the floor', () => {
    fc.assert(
      fc.property(anyBrief, (any) => {
        const b = half(any)
        const made = planClass(practice, b, 200)
        if (!made.ok) return
        const own = (of: Brief, plan: Plan) =>
          validatePlan(practice, of, plan).filter((v) => !(v.code === 'above-decision' && v.overridden))
        expect(own(onTheHope(b), made.value.plan)).toEqual([])
        const personal = [
          'closed',
          'above-decision',
          'change-missing',
          'no-consent',
          'left-out',
          'bay-twice',
          'stock',
        ]
        const told = asItHolds(practice, made.value.plan, { ...b, locks: [] })
        expect(own({ ...b, locks: [] }, told).filter((v) => personal.includes(v.code))).toEqual([])
        for (const { studentId } of b.people.filter((p) => !p.answered))
          for (const doing of doingsIn(told, studentId))
            if (doing?.variantId && doing.override === null)
              expect(waitsForScreening(loadOf(doing.variantId))).toBe(false)
      }),
      { numRuns: 12 },
    )
  })

  it('is settled at the door: an answer changes what that person is told, and no new plan is made', () => {
    const people = [1, 2, 3, 4].map((i) => unasked(person(i, KICKER)))
    const b = brief({ people })
    const { plan } = must(planClass(practice, b, 300))
    const told = asItHolds(practice, plan, b)
    const peak = (of: Plan) => peakOf(of).people.map((p) => p.variantId)
    expect(peak(plan)).toContain('FS-12')
    expect(peak(told)).not.toContain('FS-12')
    // p1 answers that nothing applies; p2 that something does.
    const answered = (p: Brief['people'][number]) => ({ ...p, ...p.hope!, answered: true, hope: null })
    const door = {
      ...b,
      people: people.map((p, i) =>
        i === 0
          ? answered(p)
          : i === 1
            ? { ...p, limits: limited('EYE-P').caps, answered: true, hope: null }
            : p,
      ),
    }
    const settled = asItHolds(practice, plan, door)
    expect(doingsIn(settled, 'p1')).toEqual(doingsIn(plan, 'p1'))
    expect(doingsIn(settled, 'p2').every((d) => d?.variantId !== 'FS-12')).toBe(true)
    expect(doingsIn(settled, 'p3')).toEqual(doingsIn(told, 'p3'))
  })

  it('is kept as people were told it: the hope where they had answered, the floor where they had not', () => {
    const people = [1, 2, 3].map((i) => unasked(person(i, KICKER)))
    const b = brief({ people })
    const { plan } = must(planClass(practice, b, 300))
    const [asked, , shut] = people
    const onTheDay = {
      ...b,
      people: [
        { ...asked!, ...asked!.hope!, answered: true, hope: null },
        people[1]!,
        { ...shut!, limits: limited('EYE-P').caps, answered: true, hope: null },
      ],
    }
    const told = asTold(practice, { plan, brief: b }, onTheDay)
    expect(doingsIn(told.plan, 'p1')).toEqual(doingsIn(plan, 'p1'))
    for (const id of ['p2', 'p3'])
      for (const doing of doingsIn(told.plan, id))
        expect(waitsForScreening(loadOf(doing?.variantId ?? ''))).toBe(false)
    expect(told.brief?.people[0]?.answered).toBe(true)
    const own = validatePlan(practice, told.brief!, told.plan).filter((v) =>
      ['closed', 'above-decision', 'change-missing'].includes(v.code),
    )
    expect(own).toEqual([])
    // Whoever was not planned on the hope stays as they were planned, whatever came later.
    const known = { plan, brief: onTheHope(b) }
    expect(asTold(practice, known, onTheDay)).toEqual(known)
  })

  it('says both, and only where they differ', () => {
    const b = brief({ people: [1, 2, 3].map((i) => unasked(person(i, KICKER))) })
    const { plan } = must(planClass(practice, b, 300))
    const told = peakOf(asItHolds(practice, plan, b))
    const hoped = hopedPlan(practice, plan, b)
    const mine = told.people[0]!
    const line = describeHope(practice, hopedDoing(hoped, told, mine), told, b.room)
    expect(line).toMatch(/^This until they are asked\. If nothing applies: .*bay \d.* turn/)
    const all = onTheHope(b)
    expect(hopedPlan(practice, plan, all)).toBeNull()
    expect(describeHope(practice, hopedDoing(null, told, mine), told, b.room)).toBe('')
  })

  it('gives a floor version that others do as well, and another one in the next block', () => {
    const people = [...[1, 2, 3, 4, 5].map((i) => person(i, KICKER)), unasked(person(6, KICKER))]
    const b = brief({ people, minutes: 75 })
    const { plan } = must(planClass(practice, b, 400))
    const mine = doingsIn(asItHolds(practice, plan, b), 'p6').flatMap((d) => d?.variantId ?? [])
    expect(mine.length).toBeGreaterThan(2)
    for (const [i, id] of mine.slice(1).entries()) expect(id).not.toBe(mine[i])
  })
})
