import 'server-only'
import { USUAL_AIM, type Aim } from '@/core/classes/aim'
import { FAMILIES, type Family } from '@/core/practice/schema'
import { addDays, formatDay, nextWeekday, type Day } from '@/core/day'
import { describeAim } from '@/core/words/plan'
import { FAMILY_NAMES } from '@/core/words/family'
import { classLines, findClass } from '@/db/classes'
import { listGroups } from '@/db/groups'
import { listNames } from '@/db/students'
import type { Context } from '../context'

export type ClassSummary = {
  id: string
  title: string
  aim: string
  dayLabel: string
  startTime: string
  people: number
  planned: boolean
  past: boolean
}

/** A page of the classes, newest first, and the day from which the next page goes back. */
export function classSummaries(
  { scope, clock }: Context,
  before: Day | null,
): { classes: ClassSummary[]; earlier: Day | null } {
  const { lines, earlier } = classLines(scope, before)
  return {
    earlier,
    classes: lines.map((c) => ({
      ...{ id: c.id, title: c.title, startTime: c.startTime, people: c.people, planned: c.planned },
      aim: describeAim(c.aim),
      dayLabel: formatDay(c.day),
      past: c.day < clock.today,
    })),
  }
}

/** People to pick from and the bays there are. */
export type NewClassData = {
  people: { id: string; name: string }[]
  bays: number
  families: { value: Family; label: string }[]
  start: {
    title: string
    day: string
    startTime: string
    minutes: number
    groupId: string | null
    /** The class that it shall run as; null for one of its own. */
    fromId: string | null
    /** Which class that is; empty for none. */
    like: string
    roster: string[]
    aim: Aim
  }
}

/** A new class's beginnings: by itself, of a group, or as another class ran. */
export function newClassData(
  { scope, studio, clock: { today } }: Context,
  { group: groupId, from: fromId }: { group?: string | undefined; from?: string | undefined },
): NewClassData {
  const like = fromId === undefined ? null : findClass(scope, fromId)
  const group = listGroups(scope).find((g) => g.id === groupId)
  return {
    people: listNames(scope),
    bays: studio.bays,
    families: FAMILIES.filter((f) => f !== 'AD').map((f) => ({ value: f, label: FAMILY_NAMES[f] })),
    start: like
      ? {
          ...{ title: like.title, startTime: like.startTime, minutes: like.minutes, groupId: like.groupId },
          ...{ fromId: like.id, roster: [...like.roster], aim: like.aim },
          like: `${like.title}, ${formatDay(like.day)}`,
          day: weekLater(like.day, today),
        }
      : group
        ? {
            title: group.name,
            day: nextWeekday(today, group.weekday),
            startTime: group.startTime,
            minutes: group.minutes,
            groupId: group.id,
            fromId: null,
            like: '',
            roster: [...group.members],
            aim: USUAL_AIM,
          }
        : {
            title: 'Tonight',
            day: today,
            startTime: '18:30',
            minutes: 60,
            groupId: null,
            fromId: null,
            like: '',
            roster: [],
            aim: USUAL_AIM,
          },
  }
}

/** The same weekday, a week on or as many as it takes not to be over. */
function weekLater(day: Day, today: Day): Day {
  const next = addDays(day, 7)
  return next >= today ? next : weekLater(next, today)
}
