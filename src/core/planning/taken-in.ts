import type { Brief } from '../classes/brief'
import { isWork, type Doing, type Plan } from '../classes/plan'
import type { Library } from '../practice/library'
import { validatePlan } from './check/validate'
import { onTheHope } from './hope'
import { asItHolds } from './now'

/**
 * A plan that came from elsewhere, as it may stand here: reasons of the teacher's count only where they are given here as
 * well, and whoever would do what is closed to them or above what is decided does what is open instead.
 */
export function takenIn(practice: Library, plan: Plan, given: Brief): Plan {
  const brief = onTheHope(given)
  const reasoned = ({ studentId, variantId }: Doing): boolean =>
    brief.locks.some((l) => l.studentId === studentId && l.stageId === variantId)
  const bare = {
    ...plan,
    blocks: plan.blocks.map((block) =>
      isWork(block)
        ? { ...block, people: block.people.map((d) => (reasoned(d) ? d : { ...d, override: null })) }
        : block,
    ),
  }
  const held = withoutWay(practice, asItHolds(practice, bare, brief), brief)
  const out = new Set(
    validatePlan(practice, brief, held).flatMap((v) =>
      v.code === 'closed' || (v.code === 'above-decision' && !v.overridden)
        ? [`${v.studentId} ${v.variantId}`]
        : [],
    ),
  )
  return asItHolds(practice, held, brief, (d) => out.has(`${d.studentId} ${d.variantId ?? ''}`))
}

/** Without the climbs that break a rule of theirs here: what is done stays, and the way to it and beyond it goes. */
function withoutWay(practice: Library, plan: Plan, brief: Brief): Plan {
  const wrong = new Set(
    validatePlan(practice, brief, plan).flatMap((v) =>
      v.code === 'climb-unfit' || v.code === 'stepped-too-far' || v.code === 'stepped-too-often'
        ? [v.studentId]
        : [],
    ),
  )
  if (wrong.size === 0) return plan
  return {
    ...plan,
    blocks: plan.blocks.map((block) =>
      isWork(block)
        ? {
            ...block,
            people: block.people.map((d) => (wrong.has(d.studentId) ? { ...d, climb: [], then: null } : d)),
          }
        : block,
    ),
  }
}
