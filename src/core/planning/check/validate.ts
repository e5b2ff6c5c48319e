import type { Brief } from '../../classes/brief'
import type { Plan } from '../../classes/plan'
import type { Library } from '../../practice/library'
import { dosesKept, everybodyIn } from './doses'
import { watched } from './eyes'
import { timing, turnsFit } from './hour'
import { placesKept } from './places'
import { preparation } from './prepare'
import { roomKept, stockKept } from './room'
import { steppedOnto } from './stepping'
import type { Violation } from './violation'

/**
 * Re-checks every hard rule on any plan, whoever made it, by the brief it was made from: it walks through the class by
 * the clock. Shares no code with the planners on purpose: it knows only the documents and the practice.
 * An overridden version is still listed, marked as the teacher's own call.
 */
export function validatePlan(practice: Library, brief: Brief, plan: Plan): Violation[] {
  return [
    ...timing(brief, plan),
    ...turnsFit(practice, plan),
    ...placesKept(practice, brief, plan),
    ...dosesKept(practice, brief, plan),
    ...everybodyIn(brief, plan),
    ...roomKept(practice, brief, plan),
    ...stockKept(practice, brief, plan),
    ...steppedOnto(practice, brief, plan),
    ...watched(practice, brief, plan),
    ...preparation(practice, brief, plan),
  ]
}
