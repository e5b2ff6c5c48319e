import { changeOn, type Change } from '../classes/change'
import type { Library } from '../practice/library'
import { dosed, leastOf, type SequenceAsked } from './compose'
import { mayCheck, mayRest, mayStand, mayWarm, type ForWhom } from './may'
import type { SequenceItem } from './sequence'

/** A kept thing as limits leave it today. */
export type HeldToday = {
  /** With the dose that everybody may do today: never more than what was kept. */
  readonly item: SequenceItem
  /** To whom it is closed, by their place; with anybody in it, it is left out for all. */
  readonly shutTo: readonly number[]
  /** How a limit changes it, by their place. */
  readonly changes: readonly { readonly at: number; readonly change: Change }[]
}

/** One thing of a kept sequence on the day it is looked at: limits may have come since it was composed. */
export function heldToday(
  practice: Library,
  asked: Pick<SequenceAsked, 'people'>,
  item: SequenceItem,
): HeldToday {
  const drill = practice.drills.find((d) => d.id === item.id)
  const rest = practice.counterposes.find((c) => c.id === item.id)
  const isOpen = (one: ForWhom): boolean => {
    const alone = { people: [one], has: () => true }
    if (item.part === 'check') return mayCheck(practice, item.id, [one])
    if (drill) return item.dose === null ? mayWarm(drill, alone) : mayStand(drill, alone)
    return rest !== undefined && mayRest(practice, rest, [one])
  }
  const shutTo = asked.people.flatMap((one, at) => (isOpen(one) ? [] : [at]))
  const changes = asked.people.flatMap((one, at) => {
    const change = drill && changeOn(drill, one.within)
    return change ? [{ at, change }] : []
  })
  const lowered = drill && item.dose !== null && changes.length > 0
  return { item: lowered ? leastOf(item, dosed(item.part, drill, asked)) : item, shutTo, changes }
}
