import { asc, eq } from 'drizzle-orm'
import type { Day } from '@/core/day'
import type { PropItem } from '@/core/props/inventory'
import { propItem } from './schema'
import { mine, type Scope } from './scope'

/** The cupboard, by shape. */
export function listProps(scope: Scope): PropItem[] {
  return scope.db
    .select()
    .from(propItem)
    .where(mine(scope, propItem))
    .orderBy(asc(propItem.shape), asc(propItem.id))
    .all()
}

/** Adds a line to the cupboard or changes it; its id comes from the form. */
export function saveProp(scope: Scope, item: PropItem): void {
  const row = { ...item, studioId: scope.studioId, sizeCm: item.sizeCm === null ? null : [...item.sizeCm] }
  scope.db.insert(propItem).values(row).onConflictDoUpdate({ target: propItem.id, set: row }).run()
}

/** Takes a line away. */
export function removeProp(scope: Scope, id: string): void {
  scope.db
    .delete(propItem)
    .where(mine(scope, propItem, eq(propItem.id, id)))
    .run()
}

/** Notes that wear was looked at. */
export function markChecked(scope: Scope, id: string, day: Day): void {
  scope.db
    .update(propItem)
    .set({ checkedDay: day })
    .where(mine(scope, propItem, eq(propItem.id, id)))
    .run()
}
