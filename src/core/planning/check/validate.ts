import type { Brief } from '../../classes/brief'
import type { Plan } from '../../classes/plan'
import type { Library } from '../../practice/library'
import { bayUse, everybodyIn, timing, turnsKept } from './hour'
import { placesKept } from './places'
import { preparation, stockKept, watched } from './resources'
import type { Violation } from './violation'

/**
 * Re-checks every hard rule on any plan, whoever made it, by the brief it was made from. Shares no code with the planners
 * on purpose: it knows only the documents and the practice.
 * An overridden version is still listed, marked as the teacher's own call.
 */
export function validatePlan(practice: Library, brief: Brief, plan: Plan): Violation[] {
  return [
    ...timing(plan, brief.minutes * 60),
    ...bayUse(plan, brief.room.bays),
    ...placesKept(practice, brief, plan),
    ...stockKept(practice, brief, plan),
    ...watched(plan),
    ...preparation(practice, plan),
    ...everybodyIn(brief, plan),
    ...turnsKept(brief, plan),
  ]
}
