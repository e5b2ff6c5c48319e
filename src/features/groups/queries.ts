import 'server-only'
import { listGroups, type GroupRecord } from '@/db/groups'
import { listStudents } from '@/db/students'
import { context } from '../context'

export const WEEKDAYS = [
  'Monday',
  'Tuesday',
  'Wednesday',
  'Thursday',
  'Friday',
  'Saturday',
  'Sunday',
] as const

export type GroupView = GroupRecord & { readonly names: readonly string[]; readonly when: string }

/** Groups with their people by name. */
export function groupViews(): { groups: GroupView[]; people: { value: string; label: string }[] } {
  const { db } = context()
  const people = listStudents(db)
  return {
    people: people.map((p) => ({ value: p.id, label: p.name })),
    groups: listGroups(db).map((g) => ({
      ...g,
      names: people.filter((p) => g.members.includes(p.id)).map((p) => p.name),
      when: `${WEEKDAYS[g.weekday - 1] ?? ''} ${g.startTime}, ${g.minutes} min`,
    })),
  }
}
