import type { Brief } from '../classes/brief'
import { CLASS_MINUTES } from '../classes/craft'
import { isWork, type Plan } from '../classes/plan'
import type { Library } from '../practice/library'
import { ok, refused, type Result } from '../result'
import { firstPlans, type Found } from './first-plan'
import { improve, searchCount } from './improve'
import { buildModel, type Model } from './model'
import { writePlan } from './write'

export type PlanRefusal =
  | { readonly code: 'nobody' }
  | {
      readonly code: 'minutes-out-of-range'
      readonly minutes: number
      readonly min: number
      readonly max: number
    }
  | { readonly code: 'no-minutes-left'; readonly shortS: number }
  | {
      readonly code: 'does-not-fit'
      readonly waiting: number
      readonly people: number
      readonly purpose: string
    }

/** A plan with what it was searched in, so that the search can go on from it. */
export type Planned = { readonly plan: Plan; readonly model: Model; readonly found: Found }

/** The model of a class and its first plans; refused where no plan can be made at all. */
export function startsFor(
  practice: Library,
  brief: Brief,
): Result<{ model: Model; starts: readonly Found[] }, PlanRefusal> {
  // One alone is taught too; where everybody stays away there is nobody to plan for.
  if (brief.people.every((p) => brief.fixed.out.includes(p.studentId))) return refused({ code: 'nobody' })
  const { minutes } = brief
  if (!(minutes >= CLASS_MINUTES.min && minutes <= CLASS_MINUTES.max))
    return refused({ code: 'minutes-out-of-range', minutes, ...CLASS_MINUTES })
  const model = buildModel(practice, brief)
  const starts = firstPlans(model)
  return ok({ model, starts })
}

/** How far the first plan is bettered at once: short enough that nobody waits for it. */
const AT_ONCE = 1000

/** A first plan at once. */
export function planClass(practice: Library, brief: Brief, count = AT_ONCE): Result<Planned, PlanRefusal> {
  const started = startsFor(practice, brief)
  if (!started.ok) return started
  const { model, starts } = started.value
  return planFrom(model, brief, improve(model, starts, count))
}

/** What was found, written out; refused where the minutes do not suffice. */
export function planFrom(model: Model, brief: Brief, found: Found | null): Result<Planned, PlanRefusal> {
  if (!found) return refused({ code: 'no-minutes-left', shortS: 0 })
  if (!found.outcome.isLegal && found.outcome.leftS < 0)
    return refused({ code: 'no-minutes-left', shortS: -found.outcome.leftS })
  const plan = writePlan(model, brief, found)
  const waits = mostWaits(model, plan)
  return waits ? refused({ code: 'does-not-fit', ...waits }) : ok({ plan, model, found })
}

/** The first block in which more people wait than work, of those who may do anything of it; null where none is so. */
function mostWaits(
  { people, slots }: Model,
  plan: Plan,
): { readonly waiting: number; readonly people: number; readonly purpose: string } | null {
  for (const block of plan.blocks.filter(isWork)) {
    const slot = slots.find((s) => s.purpose.id === block.purpose)
    const could = block.people.filter((p) => {
      const at = people.findIndex((one) => one.studentId === p.studentId)
      return (slot?.options[at] ?? []).length > 0
    })
    const waiting = could.filter((p) => p.variantId === null).length
    if (waiting * 2 > could.length) return { waiting, people: could.length, purpose: block.purpose }
  }
  return null
}

/** The best that the whole search finds. */
export function bestPlan(practice: Library, brief: Brief): Result<Planned, PlanRefusal> {
  return planClass(practice, brief, searchCount(brief.people.length))
}
