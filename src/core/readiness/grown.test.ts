import fc from 'fast-check'
import { isWork } from '../classes/plan'
import { planClass } from '../planning/plan-class'
import { validatePlan } from '../planning/check/validate'
import { shippedPractice } from '../practice/library'
import { NO_LIMITS, type Cap } from '../screening/caps'
import { brief, person } from '@/testing/briefs'
import { must } from '@/testing/bodies'
import { did, TODAY } from '@/testing/evidence'
import type { Attempt } from './evidence'
import { grownHolds } from './grown'

const practice = shippedPractice()
const by = { today: TODAY, breathS: 5, firstMonth: false }
const held = (daysAgo: number, seconds: number | null, more: Partial<Attempt> = {}): Attempt =>
  did('HD-10', daysAgo, { seconds, help: 'alone', level: 'held', ...more })

describe('a headstand that grows', () => {
  it.each([
    ['a week later, a fifth more', [held(7, 40)], 48],
    ['within the week, what was held', [held(3, 40)], 40],
    ['a fifth, though its own rule gives 25 s', [held(8, 100)], 120],
    ['no more than where it leads', [held(9, 290)], 300],
    ['the last day counts, not the best', [held(14, 90), held(7, 40)], 48],
  ])('%s', (_, attempts, seconds) => {
    expect(grownHolds(practice, attempts, by)).toEqual({ 'HD-10': seconds })
  })
  it.each([
    ['nothing was held', []],
    ['it is a month ago', [held(29, 60)]],
    ['that day was not clean all through', [held(7, 60), held(7, 20, { outcome: 'not-yet' })]],
    ['they came out without control', [held(7, 60, { exitControlled: false })]],
    ['somebody carried', [held(7, 60, { help: 'carried' })]],
    ['nobody counted', [held(7, null)]],
    ['it is today', [held(0, 60)]],
  ])('keeps its usual dose where %s', (_, attempts) => {
    expect(grownHolds(practice, attempts, by)).toEqual({})
  })
  it('ends earlier in a first month', () => {
    expect(grownHolds(practice, [held(7, 58)], { ...by, firstMonth: true })).toEqual({ 'HD-10': 60 })
  })
  it('never grows by more than a fifth, over any weeks', () => {
    fc.assert(
      fc.property(fc.integer({ min: 26, max: 400 }), fc.integer({ min: 1, max: 28 }), (seconds, daysAgo) => {
        const grown = grownHolds(practice, [held(daysAgo, seconds)], by)['HD-10'] ?? 25
        expect(grown).toBeLessThanOrEqual(Math.min(300, Math.max(25, seconds * 1.2)))
        if (daysAgo < 7) expect(grown).toBeLessThanOrEqual(seconds)
      }),
    )
  })
})

describe('in class', () => {
  const strong = {
    family: 'HD',
    standingId: 'HD-10',
    targetId: null,
    outcome: 'held',
    limits: NO_LIMITS,
  } as const
  const classOf = (part: object) => ({
    ...brief({ people: [1, 2, 3, 4].map((i) => person(i, { ...strong, ...part })) }),
    aim: { kind: 'practice' as const, families: ['HD' as const] },
    locks: [1, 2, 3, 4].map((i) => ({
      studentId: `p${i}`,
      part: 'waves' as const,
      stageId: 'HD-10',
      reason: 'seen-it' as const,
    })),
  })
  const holds = (b: ReturnType<typeof classOf>) =>
    must(planClass(practice, b, 2000))
      .plan.blocks.filter(isWork)
      .flatMap((x) => x.people.filter((p) => p.variantId === 'HD-10').map((p) => p.holdS ?? 0))
  it('is planned as long as it has grown, within the turn, and judged by it', () => {
    expect(Math.max(...holds(classOf({})))).toBe(25)
    const grown = classOf({ grown: { 'HD-10': 48 } })
    expect(Math.max(...holds(grown))).toBe(48)
    const { plan } = must(planClass(practice, grown, 2000))
    expect(validatePlan(practice, grown, plan)).toEqual([])
    expect(validatePlan(practice, classOf({}), plan).map((v) => v.code)).toContain('too-long')
  })
  it('gives way to a limit on seconds', () => {
    const cap: Cap = {
      ...{ ruleId: 'BP2', action: 'modify', tag: 'HB', level: 1, mostSeconds: 15, instead: '', change: null },
      needsClearance: false,
    }
    const under = holds(classOf({ grown: { 'HD-10': 48 }, limits: { ...NO_LIMITS, caps: [cap] } }))
    expect(under.length).toBeGreaterThan(0)
    for (const seconds of under) expect(seconds).toBeLessThanOrEqual(15)
  })
})
