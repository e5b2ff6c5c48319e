import { asc, eq } from 'drizzle-orm'
import type { Day } from '@/core/day'
import type { PropItem } from '@/core/props/inventory'
import type { Db } from './open'
import { propItem } from './schema'

/** The cupboard, by shape. */
export function listProps(db: Db): PropItem[] {
  return db.select().from(propItem).orderBy(asc(propItem.shape), asc(propItem.id)).all()
}

/** Adds a line to the cupboard or changes it; its id comes from the form. */
export function saveProp(db: Db, item: PropItem): void {
  const row = { ...item, sizeCm: item.sizeCm === null ? null : [...item.sizeCm] }
  db.insert(propItem).values(row).onConflictDoUpdate({ target: propItem.id, set: row }).run()
}

/** Takes a line away. */
export function removeProp(db: Db, id: string): void {
  db.delete(propItem).where(eq(propItem.id, id)).run()
}

/** Notes that wear was looked at. */
export function markChecked(db: Db, id: string, day: Day): void {
  db.update(propItem).set({ checkedDay: day }).where(eq(propItem.id, id)).run()
}
