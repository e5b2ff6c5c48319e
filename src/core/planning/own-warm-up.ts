import type { BriefPerson } from '../classes/brief'
import { changeOn } from '../classes/change'
import { isWork, type Plan } from '../classes/plan'
import type { Library } from '../practice/library'
import { isOpenTo } from '../readiness/may'
import { composeWarmUp, composeWayOut, type Item } from './compose'
import { preparationOf } from './model'
import { kickMark } from './part'
import { variantsOf } from './variants'

/** Long enough that no share of a class cuts what one person owes, min. */
const NO_CUT_MIN = 24 * 60

/**
 * The shortest warm-up that lets somebody who comes while a class is under way join a block: what the loads of their own
 * version in it call for, of drills that are open to them, the way out included where the class has rehearsed it already.
 * What a later block asks besides is owed there. Nothing while the class itself has not warmed up yet.
 * @param blockIndex where the class is
 */
export function ownWarmUp(
  practice: Library,
  plan: Plan,
  person: BriefPerson,
  blockIndex: number,
): readonly Item[] {
  const warmed = plan.blocks.findIndex((b) => b.kind === 'warm-up')
  const block = plan.blocks[blockIndex]
  if (blockIndex <= warmed || !block || !isWork(block)) return []
  const own = block.people.find((p) => p.studentId === person.studentId)
  const variant = variantsOf(practice).find((v) => v.id === own?.variantId)
  const mask = variant?.warm ?? 0
  const limits = { caps: person.limits, answered: person.answered }
  const share = block.startS / (plan.minutes * 60)
  const made = preparationOf(practice, (load) => (isOpenTo(limits, load, share) ? 0 : 1))
  const pieces = Object.fromEntries(Object.entries(made.pieces).filter(([, piece]) => piece.closedTo === 0))
  const from = { ...made, pieces, settled: [], minutes: NO_CUT_MIN }
  const falls = (mask >> made.wayOut) & 1
  const items = [
    ...composeWarmUp(from, mask).items,
    ...(falls && variant ? composeWayOut(from, kickMark(variant)).items : []),
  ]
  return items.map((item) => {
    const drill = practice.drills.find((d) => d.id === item.id)
    const most = drill === undefined ? null : (changeOn(drill, limits)?.mostSeconds ?? null)
    return most === null ? item : { ...item, seconds: Math.min(item.seconds, most) }
  })
}
