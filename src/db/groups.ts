import { asc, eq } from 'drizzle-orm'
import { group, groupMember } from './schema'
import { mine, type Scope } from './scope'

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
  const members = scope.db.select().from(groupMember).where(mine(scope, groupMember)).all()
  return scope.db
    .select()
    .from(group)
    .where(mine(scope, group))
    .orderBy(asc(group.weekday), asc(group.startTime))
    .all()
    .map(({ studioId: _o, ...g }) => ({
      ...g,
      members: members.filter((m) => m.groupId === g.id).map((m) => m.studentId),
    }))
}

/** Adds or changes a group with its members; the id comes from the form. */
export function saveGroup(scope: Scope, { members, ...fields }: GroupRecord): void {
  const row = { ...fields, studioId: scope.studioId }
  scope.db.insert(group).values(row).onConflictDoUpdate({ target: group.id, set: row }).run()
  scope.db
    .delete(groupMember)
    .where(mine(scope, groupMember, eq(groupMember.groupId, row.id)))
    .run()
  for (const studentId of members)
    scope.db.insert(groupMember).values({ studioId: scope.studioId, groupId: row.id, studentId }).run()
}

/** Takes a group away; its classes stay. */
export function removeGroup(scope: Scope, id: string): void {
  scope.db
    .delete(group)
    .where(mine(scope, group, eq(group.id, id)))
    .run()
}
