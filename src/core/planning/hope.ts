import type { Brief } from '../classes/brief'
import { isWork, type Doing, type Plan, type Work } from '../classes/plan'
import type { Library } from '../practice/library'
import { asItHolds } from './now'

/**
 * The class as if nothing applied to whoever has not answered yet: what a plan is made of and what it is judged by. What
 * people are told until they answer is `asItHolds`, by what is known.
 */
export function onTheHope(brief: Brief): Brief {
  if (brief.people.every((p) => p.hope === null)) return brief
  return {
    ...brief,
    people: brief.people.map((p) => (p.hope === null ? p : { ...p, ...p.hope, answered: true, hope: null })),
  }
}

/** A plan as it holds if nothing applies to whoever has not answered; null where everybody has. */
export function hopedPlan(practice: Library, plan: Plan, brief: Brief): Plan | null {
  const hope = onTheHope(brief)
  return hope === brief ? null : asItHolds(practice, plan, hope)
}

/** What somebody would do in a block then; null where it is what they are told already. */
export function hopedDoing(hoped: Plan | null, block: Work, told: Doing): Doing | null {
  const same = hoped?.blocks.find((b) => b.startS === block.startS && b.kind === block.kind)
  const doing = same && isWork(same) ? same.people.find((d) => d.studentId === told.studentId) : undefined
  return doing && doing.variantId !== null && doing.variantId !== told.variantId ? doing : null
}

/**
 * A class that is over as people were told it. Whoever was planned on the hope did what held for them on that day, asked or
 * not; everybody else's plan stays as it was.
 * @param onTheDay the class by what is known of its day
 */
export function asTold(
  practice: Library,
  { plan, brief }: { readonly plan: Plan; readonly brief: Brief | null },
  onTheDay: Brief,
): { plan: Plan; brief: Brief | null } {
  const day = new Map(onTheDay.people.map((p) => [p.studentId, p]))
  const unasked = (brief ?? onTheDay).people.filter((p) => p.hope !== null && day.has(p.studentId))
  const hoped = new Set(unasked.map((p) => p.studentId))
  if (hoped.size === 0) return { plan, brief }
  const held = asItHolds(practice, plan, onTheDay).blocks
  const blocks = plan.blocks.map((block, i) => {
    const now = held[i]
    if (!isWork(block) || !now || !isWork(now)) return block
    const told = new Map(now.people.map((d) => [d.studentId, d]))
    return {
      ...block,
      people: block.people.map((d) => (hoped.has(d.studentId) ? (told.get(d.studentId) ?? d) : d)),
    }
  })
  const people = brief?.people.map((p) => (hoped.has(p.studentId) ? (day.get(p.studentId) ?? p) : p))
  return { plan: { ...plan, blocks }, brief: brief && people ? { ...brief, people } : brief }
}
