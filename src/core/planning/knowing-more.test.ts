import fc from 'fast-check'
import { brief, person } from '@/testing/briefs'
import { did, evidence, placed, TODAY } from '@/testing/evidence'
import { must } from '@/testing/bodies'
import { runs } from '@/testing/runs'
import { USUAL_AIM } from '../classes/aim'
import type { BriefPerson } from '../classes/brief'
import { isWork } from '../classes/plan'
import { briefPerson, NO_CLASS_BEFORE } from '../classes/reach'
import { shippedPractice } from '../practice/library'
import { FAMILIES, type Family } from '../practice/schema'
import { decide } from '../readiness/decide'
import { NO_LIMITS, NOT_ASKED, type Caps } from '../screening/caps'
import { planClass } from './plan-class'
import { variantsOf } from './variants'

const practice = shippedPractice()
const variants = variantsOf(practice)
const stages = practice.stages.filter((s) => s.family !== 'AD').map((s) => s.id)
const taught = FAMILIES.filter((f) => f !== 'AD')

/** What somebody has done and where they were placed, in any families, over the last weeks. */
const history = fc.array(
  fc.record({ stageId: fc.constantFrom(...stages), ago: fc.nat(40), byEye: fc.boolean() }),
  { maxLength: 8 },
)
type History = readonly { stageId: string; ago: number; byEye: boolean }[]

/** Somebody with that history under limits, as a brief holds them. */
function knownAs(facts: History, limits: Caps): BriefPerson {
  const seen = evidence(
    ...facts.map(({ stageId, ago, byEye }) => (byEye ? placed(stageId, ago) : did(stageId, ago))),
  )
  const decisions = FAMILIES.map((family) => decide(practice, family, 'p1', seen, limits, TODAY))
  const { studentId, breathS, mostAttempts, heightCm, loopCm, grown, weaker, firstMonth, touch } = person(1)
  const own = { studentId, breathS, mostAttempts, heightCm, loopCm, grown, weaker, firstMonth, touch }
  return { ...briefPerson(practice, { ...own, limits, decisions, looked: () => null }), ...NO_CLASS_BEFORE }
}

describe('knowing more never makes a plan poorer', () => {
  it('for whoever answers that nothing applies: all that was open stays open, in every family', () => {
    fc.assert(
      fc.property(history, (facts) => {
        const [before, after] = [knownAs(facts, NOT_ASKED), knownAs(facts, NO_LIMITS)]
        for (const family of FAMILIES) {
          const open = new Set(after.families[family]?.open)
          expect([family, before.families[family]?.open.filter((id) => !open.has(id))]).toEqual([family, []])
        }
      }),
      { numRuns: runs(200) },
    )
  })
  it('and in the plan that is made nobody stands lower for it', () => {
    const heaviest = (one: BriefPerson, families: Family[]): number => {
      const others = [2, 3, 4].map((i) => person(i, { family: families[0] ?? 'FS', limits: NO_LIMITS }))
      const { plan } = must(
        planClass(practice, brief({ aim: { ...USUAL_AIM, families }, people: [one, ...others] }), 150),
      )
      const own = plan.blocks.filter(isWork).flatMap((x) => x.people.filter((d) => d.studentId === 'p1'))
      return Math.max(0, ...own.map((d) => variants.find((v) => v.id === d.variantId)?.points ?? 0))
    }
    fc.assert(
      fc.property(history, fc.shuffledSubarray(taught, { minLength: 1, maxLength: 2 }), (facts, families) => {
        const [before, after] = [NOT_ASKED, NO_LIMITS].map((l) => heaviest(knownAs(facts, l), families))
        expect(after).toBeGreaterThanOrEqual((before ?? 0) - 1e-9)
      }),
      { numRuns: runs(25) },
    )
  })
})
