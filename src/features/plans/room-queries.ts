import 'server-only'
import { doingsOf, isWork, turnsOf, type Plan } from '@/core/classes/plan'
import type { Room } from '@/core/room/room'
import { formatClock } from '@/core/units'
import { firstNames } from '@/core/words/first-names'
import { blockTitle } from '@/core/words/plan'
import { findClass } from '@/db/classes'
import type { Context } from '../context'
import { classFile } from '../desk/class-file'
import { peopleOf } from '../desk/people'

/** Who is where from one moment of a class on. */
export type Moment = {
  /** Seconds from the start. */
  atS: number
  at: string
  title: string
  occupants: { at: string; name: string; mark: string }[]
  /** Up without a place that is drawn. */
  also: string[]
  waiting: string[]
}
export type RoomThrough = { room: Room; moments: Moment[] }

/** A class seen from above, moment by moment; null where no room is drawn or nothing planned. */
export function roomThrough(ctx: Context, id: string): RoomThrough | null {
  const { scope, practice, studio } = ctx
  const record = findClass(scope, id)
  const file = record ? classFile(ctx, record) : null
  if (!record || !file || !studio.room) return null
  const { room } = studio
  const drawn = new Set([...room.bays, ...room.mats].map((place) => place.id))
  const ids = [...new Set(file.plan.blocks.flatMap(doingsOf).map((d) => d.studentId))]
  const people = peopleOf(ctx, ids)
  const called = firstNames(ids.map(people.nameOf))
  const nameOf = (studentId: string): string => called(people.nameOf(studentId))
  return { room, moments: file.plan.blocks.flatMap((block) => momentsOf(block)) }

  function momentsOf(block: Plan['blocks'][number]): Moment[] {
    const title = blockTitle(practice, block.kind, isWork(block) ? block.purpose : '')
    const base = { title, occupants: [], also: [], waiting: [] }
    if (!isWork(block)) return [{ ...base, atS: block.startS, at: formatClock(block.startS) }]
    return turnsOf(block).map(({ startS, set, wave, up }) => {
      const at = up.filter((d) => d.place !== null && drawn.has(d.place))
      const ids = new Set(up.map((d) => d.studentId))
      return {
        ...{ atS: startS, at: formatClock(startS) },
        title: `${title}: set ${set}${block.waves > 1 ? `, wave ${wave}` : ''}`,
        occupants: at.map((d) => ({ at: d.place ?? '', name: nameOf(d.studentId), mark: '' })),
        also: up.filter((d) => !at.includes(d)).map((d) => nameOf(d.studentId)),
        waiting: block.people.filter((d) => !ids.has(d.studentId)).map((d) => nameOf(d.studentId)),
      }
    })
  }
}
