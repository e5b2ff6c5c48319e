import { asc, eq } from 'drizzle-orm'
import { group, groupMember } from './schema'
import { addRow, dropRows, putRow, rowsOf } from './rows'
import type { Scope } from './scope'

export type GroupRecord = {
  readonly id: string
  readonly name: string
  /** 1 Monday to 7 Sunday. */
  readonly weekday: number
  readonly startTime: string
  readonly minutes: number
  readonly members: readonly string[]
}

/** Groups by weekday and hour. */
export function listGroups(scope: Scope): GroupRecord[] {
  const members = rowsOf(scope, groupMember)
  return rowsOf(scope, group, undefined, asc(group.weekday), asc(group.startTime)).map(
    ({ studioId: _o, ...g }) => ({
      ...g,
      members: members.filter((m) => m.groupId === g.id).map((m) => m.studentId),
    }),
  )
}

/** Adds or changes a group with its members; the id comes from the form. */
export function saveGroup(scope: Scope, { members, ...fields }: GroupRecord): void {
  putRow(scope, group, fields)
  dropRows(scope, groupMember, eq(groupMember.groupId, fields.id))
  for (const studentId of members) addRow(scope, groupMember, { groupId: fields.id, studentId })
}

/** Takes a group away; its classes stay. */
export function removeGroup(scope: Scope, id: string): void {
  dropRows(scope, group, eq(group.id, id))
}
