import 'server-only'
import { doingsOf, isWork, WAITING } from '@/core/classes/plan'
import type { ClassEvent } from '@/core/classes/run'
import type { Picture } from '@/core/figure/picture'
import { pictureFor } from '@/core/figure/picture-of'
import type { TimedPlan } from '@/core/teaching/class-run'
import { firstNames } from '@/core/words/first-names'
import { blockTitle } from '@/core/words/plan'
import { isShared, placeName } from '@/core/words/turns'
import { absentFrom } from '@/db/attendance'
import { eventsOf, findClass } from '@/db/classes'
import { anyBody } from '../body'
import type { Context } from '../context'
import { classFile } from '../desk/class-file'
import { peopleOf } from '../desk/people'
import { stoppedIn } from './tries'

/** What hangs on the wall of the room: time, block, figures, places and turns by first name; no version beside a name. */
export type RoomBoard = {
  classId: string
  title: string
  plan: TimedPlan
  titles: string[]
  events: ClassEvent[]
  names: Record<string, string>
  /** By block: where somebody is who goes to the wall or the open floor. */
  places: Record<string, string>[]
  /** By block: figures of what is done, without names. */
  pictures: { name: string; picture: Picture | null }[][]
}

/** Figures that can be told apart across a room. */
const MOST_FIGURES = 5

export function roomBoard(ctx: Context, classId: string): RoomBoard | null {
  const { scope, practice } = ctx
  const record = findClass(scope, classId)
  const file = record ? classFile(ctx, record) : null
  if (!record || !file) return null
  const { blocks, minutes } = file.plan
  // Whoever is not there or has stopped for tonight is not called up on the wall either.
  const { nameOf } = peopleOf(ctx, record.roster)
  const called = firstNames(record.roster.map(nameOf))
  const away = new Set([...absentFrom(scope, classId), ...stoppedIn(scope, classId)])
  const drawn = (id: string): { name: string; picture: Picture | null } => {
    const named = [...practice.stages, ...practice.drills, ...practice.counterposes, ...practice.warmups]
    return { name: named.find((x) => x.id === id)?.name ?? '', picture: pictureFor(practice, id, anyBody()) }
  }
  return {
    classId,
    title: record.title,
    titles: blocks.map((b) => blockTitle(practice, b.kind, isWork(b) ? b.purpose : '')),
    events: eventsOf(scope, classId),
    names: Object.fromEntries(record.roster.map((id) => [id, called(nameOf(id))])),
    plan: {
      minutes,
      // Who is up when, and nothing of what they do.
      blocks: blocks.map((block) =>
        isWork(block)
          ? {
              ...block,
              people: block.people
                .filter((d) => !away.has(d.studentId))
                .map(({ studentId, variantId, wave, turns, every, holdS }) => ({
                  ...{ ...WAITING, studentId, wave, turns, every },
                  // When whoever stays in something comes out.
                  holdS: block.kind === 'stay' ? holdS : null,
                  variantId: variantId === null ? null : 'up',
                })),
            }
          : block,
      ),
    },
    places: blocks.map((block) =>
      Object.fromEntries(
        doingsOf(block)
          .filter((d) => isShared(d.place, file.brief?.room))
          .map((d) => [d.studentId, placeName(d.place, file.brief?.room)]),
      ),
    ),
    pictures: blocks.map((block) => {
      const ids = isWork(block)
        ? block.people.flatMap((d) =>
            d.variantId === null ? [] : [...d.climb.map((r) => r.variantId), d.variantId],
          )
        : block.items.map((i) => i.id)
      return [...new Set(ids)].slice(0, MOST_FIGURES).map(drawn)
    }),
  }
}
