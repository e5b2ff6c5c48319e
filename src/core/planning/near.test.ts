import fc from 'fast-check'
import { isWork, type Plan } from '../classes/plan'
import { shippedPractice } from '../practice/library'
import { must } from '@/testing/bodies'
import { anyBrief } from '@/testing/briefs'
import { WORKED } from '@/testing/worked-class'
import { validatePlan } from './check/validate'
import { planNear, stateOf } from './near'
import { bestPlan, planClass } from './plan-class'
import { runs } from '@/testing/runs'

const practice = shippedPractice()
/** Who does something else in a block that both plans have. */
const changes = (a: Plan, b: Plan, but: readonly string[] = []): number =>
  a.blocks.filter(isWork).reduce((sum, block) => {
    const other = b.blocks.filter(isWork).find((x) => x.purpose === block.purpose)
    return (
      sum +
      block.people.filter(
        (p) =>
          other !== undefined &&
          !but.includes(p.studentId) &&
          other.people.find((q) => q.studentId === p.studentId)?.variantId !== p.variantId,
      ).length
    )
  }, 0)

it('nothing that changed nothing: a plan changes only where that is worth more than it costs', () => {
  fc.assert(
    fc.property(anyBrief, (b) => {
      const made = planClass(practice, b, 400)
      if (!made.ok || !made.value.found.outcome.isLegal) return
      const again = must(planNear(practice, b, made.value.plan, 600))
      const gained = again.found.outcome.points - made.value.found.outcome.points
      expect(gained).toBeGreaterThanOrEqual(changes(made.value.plan, again.plan) - 1e-6)
    }),
    { numRuns: runs(6) },
  )
})

it('somebody less, a helper less, a bay less: the others go on as they were, but for few', () => {
  const before = must(bestPlan(practice, WORKED)).plan
  const edits = [
    { ...WORKED, fixed: { ...WORKED.fixed, out: ['p4'] } },
    { ...WORKED, helpers: [] },
    { ...WORKED, room: { ...WORKED.room, bays: WORKED.room.bays.slice(1) } },
  ]
  for (const edited of edits) {
    const { plan } = must(planNear(practice, edited, before))
    expect(validatePlan(practice, edited, plan)).toEqual([])
    const afresh = must(planClass(practice, edited)).plan
    expect(changes(before, plan, ['p4'])).toBeLessThanOrEqual(4)
    expect(changes(before, plan, ['p4'])).toBeLessThanOrEqual(changes(before, afresh, ['p4']) + 1)
  }
})

it('says a plan in its own model and back', () => {
  const { plan, model, found } = must(planClass(practice, WORKED))
  expect(stateOf(model, plan)).toEqual(found.state)
  expect(stateOf({ ...model, slots: model.slots.map((s) => ({ ...s, configs: [] })) }, plan)).toBeNull()
})
