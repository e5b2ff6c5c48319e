import type { Brief, BriefPerson } from '../../classes/brief'
import type { Doing, Plan, Work } from '../../classes/plan'
import type { Library } from '../../practice/library'
import type { LoadTag } from '../../practice/schema'
import type { Violation } from './violation'
import { isTry, personOf, taught, worksIn } from './walk'

/** Rungs stepped onto in a night: one in somebody's first month. */
const [MOST, MOST_FIRST_MONTH] = [2, 1]

/**
 * Where somebody climbs: rungs passed before what they do ask for nothing that it does not (`climb-unfit`); what comes after
 * it is open to them, or of low stakes, follows on it, is known to be open tonight, and is little (ruling 21).
 */
export function steppedOnto(practice: Library, brief: Brief, plan: Plan): Violation[] {
  const works = worksIn(plan)
  const doings = works.flatMap((block) => block.people.filter((p) => p.then !== null))
  const tooFar = doings.filter((doing) => {
    const person = personOf(brief, doing.studentId)
    return !person || !mayStep(practice, person, doing)
  })
  const tooMany = brief.people.filter((person) => {
    const mine = doings.filter((d) => d.studentId === person.studentId && !isOpen(person, d.then ?? ''))
    const own = new Set(mine.map((d) => d.then))
    return own.size > (person.firstMonth ? MOST_FIRST_MONTH : MOST)
  })
  return [
    ...works.flatMap((block) => block.people.flatMap((d) => climbed(practice, brief, block, d))),
    ...tooFar.map(({ studentId, then }) => ({
      code: 'stepped-too-far' as const,
      studentId,
      variantId: then ?? '',
    })),
    ...tooMany.map(({ studentId }) => ({ code: 'stepped-too-often' as const, studentId })),
  ]
}

/** Rungs passed in a block at most, and turns that are left for what they lead to at least. */
const [MOST_PASSED, LEAST_LEFT] = [2, 2]

function climbed(practice: Library, brief: Brief, block: Work, doing: Doing): Violation[] {
  const { studentId, variantId, climb, turns } = doing
  if (climb.length === 0) return []
  const person = personOf(brief, studentId)
  const top = taught(practice, variantId)
  const isMuch = climb.length > MOST_PASSED || turns - climb.length < LEAST_LEFT
  const unfit = climb.filter((rung) => {
    const what = taught(practice, rung.variantId)
    if (!person || !what?.stage || !top?.stage || !isOpen(person, rung.variantId) || isTry(what)) return true
    const isHeavier = Object.entries(what.load).some(
      ([tag, level]) => typeof level === 'number' && level > (top.load[tag as LoadTag] ?? 0),
    )
    const isLimited = person.limits.some((l) => (what.load[l.tag] ?? 0) >= l.level && l.action !== 'watch')
    const lacks = rung.props.some(
      ({ kind, count }) => !doing.props.some((p) => p.kind === kind && p.count >= count),
    )
    const seconds = (rung.holdS ?? 0) * rung.reps * (rung.sides ? 2 : 1)
    return isHeavier || isLimited || lacks || seconds > block.workS + 1 || (what.dose.perSide && !rung.sides)
  })
  const code = 'climb-unfit' as const
  if (unfit.length > 0) return unfit.map((rung) => ({ code, studentId, variantId: rung.variantId }))
  return isMuch ? [{ code, studentId, variantId: variantId ?? '' }] : []
}

/** Open to somebody tonight with no limit changing it. */
function isOpen(person: BriefPerson, stageId: string): boolean {
  return Object.values(person.families).some(
    (reach) => reach.open.includes(stageId) && reach.changed[stageId] === undefined,
  )
}

function mayStep(practice: Library, person: BriefPerson, { variantId, then }: Doing): boolean {
  const what = taught(practice, then)
  if (!what?.stage || variantId === null) return false
  const { FR = 0, HB = 0, NF = 0, HBH = 0 } = what.load
  if (!person.answered && HBH >= 3) return false
  const { all, some } = what.stage.after
  const before = [...all, ...some.flatMap((group) => group.of)]
  if (!before.some((name) => variantId === name || variantId.slice(0, 5) === name)) return false
  if (person.limits.some((l) => (what.load[l.tag] ?? 0) >= l.level && l.action !== 'watch')) return false
  if (FR > 1 || HB > 0 || NF > 1 || isTry(what)) return false
  if (isOpen(person, what.id)) return true
  return Object.values(person.families).some((reach) =>
    reach.onto.some((o) => o.stageId === then && o.from === variantId),
  )
}
