import fc from 'fast-check'
import { evidence, placed, TODAY } from '@/testing/evidence'
import { shippedPractice } from '../practice/library'
import { capsFrom, NO_LIMITS } from '../screening/caps'
import { describeReason } from '../words/reason'
import { decide, type Outcome } from './decide'

const practice = shippedPractice()

describe('limits', () => {
  const limitsOf = (...conditions: string[]) =>
    capsFrom(practice, { set: new Set(conditions), unknown: [] }, [], TODAY)
  it('close what they bar whatever has been shown, say what would lift it and what to do instead', () => {
    const decision = decide(practice, 'FS', 's', evidence(placed('FS-09')), limitsOf('VASC'), TODAY)
    expect(decision.outcome).toBe('not-now')
    expect(decision.missing).toEqual([])
    const sentence = decision.reasons
      .map((r) => describeReason(r, practice))
      .find((t) => t.startsWith('Barred'))
    expect(sentence).toMatch(/Only a recorded clearance for that lifts it\. Instead: /)
    expect(sentence).not.toMatch(/VASC|stroke/i)
  })
  it('change or watch without closing', () => {
    const plain = decide(practice, 'FS', 's', evidence(placed('FS-03a')), NO_LIMITS, TODAY)
    const changed = decide(practice, 'FS', 's', evidence(placed('FS-03a')), limitsOf('BPH-managed'), TODAY)
    expect(changed.outcome).toBe(plain.outcome)
  })
  it('never leave a person further along than without them', () => {
    const rank: Outcome[] = ['not-now', 'build', 'near', 'once-more', 'offer']
    fc.assert(
      fc.property(
        fc.constantFrom(...practice.cautions.flatMap((c) => c.conditions)),
        fc.constantFrom('FS-01', 'FS-03a', 'FS-05', 'FS-09'),
        (condition, stage) => {
          const free = decide(practice, 'FS', 's', evidence(placed(stage)), NO_LIMITS, TODAY)
          const held = decide(practice, 'FS', 's', evidence(placed(stage)), limitsOf(condition), TODAY)
          if (free.targetId === held.targetId)
            expect(rank.indexOf(held.outcome)).toBeLessThanOrEqual(rank.indexOf(free.outcome))
        },
      ),
    )
  })
})
