import 'server-only'
import { listGroups, type GroupRecord } from '@/db/groups'
import { listNames } from '@/db/students'
import type { Context } from '../context'

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
export function groupViews({ scope }: Context): {
  groups: GroupView[]
  people: { value: string; label: string }[]
} {
  const people = listNames(scope)
  return {
    people: people.map((p) => ({ value: p.id, label: p.name })),
    groups: listGroups(scope).map((g) => ({
      ...g,
      names: people.filter((p) => g.members.includes(p.id)).map((p) => p.name),
      when: `${WEEKDAYS[g.weekday - 1] ?? ''} ${g.startTime}, ${g.minutes} min`,
    })),
  }
}
