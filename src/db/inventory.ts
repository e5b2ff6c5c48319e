import { asc, eq } from 'drizzle-orm'
import type { Day } from '@/core/day'
import type { PropItem } from '@/core/props/inventory'
import { propItem } from './schema'
import { changeRows, dropRows, putRow, rowsOf } from './rows'
import type { Scope } from './scope'

/** The cupboard, by shape. */
export function listProps(scope: Scope): PropItem[] {
  return rowsOf(scope, propItem, undefined, asc(propItem.shape), asc(propItem.id))
}

/** Adds a line to the cupboard or changes it; its id comes from the form. */
export function saveProp(scope: Scope, item: PropItem): void {
  putRow(scope, propItem, { ...item, sizeCm: item.sizeCm === null ? null : [...item.sizeCm] })
}

/** Takes a line away. */
export function removeProp(scope: Scope, id: string): void {
  dropRows(scope, propItem, eq(propItem.id, id))
}

/** Notes that wear was looked at. */
export function markChecked(scope: Scope, id: string, day: Day): void {
  changeRows(scope, propItem, eq(propItem.id, id), { checkedDay: day })
}
