import fc from 'fast-check'
import { isWork, turnsOf, type Plan } from '../classes/plan'
import { shippedPractice } from '../practice/library'
import { NO_LIMITS } from '../screening/caps'
import { describeTurns } from '../words/turns'
import { anyBrief, brief, person } from '@/testing/briefs'
import { must } from '@/testing/bodies'
import { runs } from '@/testing/runs'
import { planClass } from './plan-class'

const practice = shippedPractice()
const kicks = (id: string | null): boolean => (practice.stages.find((s) => s.id === id)?.load.FR ?? 0) >= 3
const turnsWithKicks = (plan: Plan) =>
  plan.blocks
    .filter(isWork)
    .flatMap((block) =>
      turnsOf(block).map((t) => ({ block, kickers: t.up.filter((d) => kicks(d.variantId)) })),
    )
    .filter(({ kickers }) => kickers.length > 1)

describe('starts one after the other', () => {
  it('twenty seconds apart for whoever kicks in one wave, a first time in front, and the turn long enough for all', () => {
    const held = [1, 2, 3].map((i) =>
      person(i, { standingId: 'FS-12', targetId: 'FS-13', outcome: 'held', limits: NO_LIMITS }),
    )
    const floor = [4, 5].map((i) => person(i, { limits: NO_LIMITS }))
    const { plan } = must(planClass(practice, brief({ people: [...held, ...floor], minutes: 90 }), 400))
    const found = turnsWithKicks(plan)
    expect(found.length).toBeGreaterThan(0)
    for (const { block, kickers } of found) {
      const starts = kickers.map((d) => d.after).toSorted((a, b) => a - b)
      expect(starts).toEqual(kickers.map((_, i) => i * 20))
      for (const d of kickers)
        expect(d.after + (d.holdS ?? 0) * d.reps * (d.sides ? 2 : 1)).toBeLessThanOrEqual(block.workS)
      const last = kickers.find((d) => d.after > 0)!
      expect(describeTurns(last, block)).toContain(`Begin ${last.after} s after the first.`)
    }
  })
  it('never beyond the turn or the class, and only where two kick at once', () => {
    fc.assert(
      fc.property(anyBrief, (b) => {
        const made = planClass(practice, b, 100)
        if (!made.ok) return
        const { plan } = made.value
        for (const block of plan.blocks.filter(isWork))
          for (const { up } of turnsOf(block)) {
            const own = up.filter((d) => d.after > 0)
            expect(own.every((d) => kicks(d.variantId))).toBe(true)
            if (own.length > 0) expect(up.filter((d) => kicks(d.variantId)).length).toBeGreaterThan(1)
            for (const d of own) expect(d.after).toBeLessThanOrEqual(40)
          }
        expect(Math.max(...plan.blocks.map((x) => x.startS + x.seconds))).toBeLessThanOrEqual(b.minutes * 60)
      }),
      { numRuns: runs(8) },
    )
  })
})
