import { asc, eq } from 'drizzle-orm'
import type { Db } from './open'
import { group, groupMember } from './schema'

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
export function listGroups(db: Db): GroupRecord[] {
  const members = db.select().from(groupMember).all()
  return db
    .select()
    .from(group)
    .orderBy(asc(group.weekday), asc(group.startTime))
    .all()
    .map((g) => ({ ...g, members: members.filter((m) => m.groupId === g.id).map((m) => m.studentId) }))
}

/** Adds or changes a group with its members; the id comes from the form. */
export function saveGroup(db: Db, { members, ...row }: GroupRecord): void {
  db.insert(group).values(row).onConflictDoUpdate({ target: group.id, set: row }).run()
  db.delete(groupMember).where(eq(groupMember.groupId, row.id)).run()
  for (const studentId of members) db.insert(groupMember).values({ groupId: row.id, studentId }).run()
}

/** Takes a group away; its classes stay. */
export function removeGroup(db: Db, id: string): void {
  db.delete(group).where(eq(group.id, id)).run()
}
