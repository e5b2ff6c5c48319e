import type { Brief, BriefPerson } from '../../classes/brief'
import type { Doing, Plan } from '../../classes/plan'
import type { Library } from '../../practice/library'
import type { Violation } from './violation'
import { personOf, taught, worksIn } from './walk'

/** Rungs stepped onto in a night: one in somebody's first month. */
const [MOST, MOST_FIRST_MONTH] = [2, 1]

/** What is stepped onto tonight is of low stakes, follows on what is done, is known to be open, and is little (ruling 21). */
export function steppedOnto(practice: Library, brief: Brief, plan: Plan): Violation[] {
  const doings = worksIn(plan).flatMap((block) => block.people.filter((p) => p.then !== null))
  const tooFar = doings.filter((doing) => {
    const person = personOf(brief, doing.studentId)
    return !person || !mayStep(practice, person, doing)
  })
  const tooMany = brief.people.filter(({ studentId, firstMonth }) => {
    const own = new Set(doings.flatMap((d) => (d.studentId === studentId ? [d.then] : [])))
    return own.size > (firstMonth ? MOST_FIRST_MONTH : MOST)
  })
  return [
    ...tooFar.map(({ studentId, then }) => ({
      code: 'stepped-too-far' as const,
      studentId,
      variantId: then ?? '',
    })),
    ...tooMany.map(({ studentId }) => ({ code: 'stepped-too-often' as const, studentId })),
  ]
}

function mayStep(practice: Library, person: BriefPerson, { variantId, then }: Doing): boolean {
  const what = taught(practice, then)
  if (!what?.stage || variantId === null) return false
  const { FR = 0, HB = 0, NF = 0, HBH = 0 } = what.load
  if (FR > 1 || HB > 0 || NF > 1 || (!person.answered && HBH >= 3)) return false
  const { all, some } = what.stage.after
  const before = [...all, ...some.flatMap((group) => group.of)]
  if (!before.some((name) => variantId === name || variantId.slice(0, 5) === name)) return false
  if (person.limits.some((l) => (what.load[l.tag] ?? 0) >= l.level && l.action !== 'watch')) return false
  return Object.values(person.families).some((reach) =>
    reach.onto.some((o) => o.stageId === then && o.from === variantId),
  )
}
