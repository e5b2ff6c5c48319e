import { eq, type SQL } from 'drizzle-orm'
import type { SQLiteColumn, SQLiteTable } from 'drizzle-orm/sqlite-core'
import { mine, type Scope } from './scope'

/** A table whose rows have an owner. */
type Owned = SQLiteTable & { readonly studioId: SQLiteColumn }
type Row<T extends Owned> = T['$inferSelect']
type Order = SQL | SQLiteColumn

function asked(scope: Scope, table: Owned, where: SQL | undefined, order: readonly Order[]) {
  return scope.db
    .select()
    .from(table)
    .where(mine(scope, table, where))
    .orderBy(...order)
}

/** The scope's rows of a table, all or those that a condition names, in an order if there is one. */
export function rowsOf<T extends Owned>(scope: Scope, table: T, where?: SQL, ...order: Order[]): Row<T>[] {
  return asked(scope, table, where, order).all()
}

/** The first of them, or undefined. */
export function rowOf<T extends Owned>(
  scope: Scope,
  table: T,
  where?: SQL,
  ...order: Order[]
): Row<T> | undefined {
  return asked(scope, table, where, order).get()
}

type Insert<T extends Owned> = Omit<T['$inferInsert'], 'studioId'>
const ofScope = <T extends Owned>({ studioId }: Scope, row: Insert<T>): T['$inferInsert'] => ({
  ...row,
  studioId,
})

/** Adds a row. Returns false, and changes nothing, where its id is there already. */
export function addOnce<T extends Owned & { readonly id: SQLiteColumn }>(
  scope: Scope,
  table: T,
  row: Insert<T>,
): boolean {
  const added = scope.db.insert(table).values(ofScope(scope, row))
  return added.onConflictDoNothing({ target: table.id }).run().changes > 0
}

/** Adds a row. @throws where its key is there already */
export function addRow<T extends Owned>(scope: Scope, table: T, row: Insert<T>): void {
  scope.db.insert(table).values(ofScope(scope, row)).run()
}

/** Adds a row, or puts it in the place of the scope's one with its id; another studio's stays as it is. */
export function putRow<T extends Owned & { readonly id: SQLiteColumn }>(
  scope: Scope,
  table: T,
  row: Insert<T>,
): void {
  const set = ofScope(scope, row)
  const setWhere = eq(table.studioId, scope.studioId)
  scope.db.insert(table).values(set).onConflictDoUpdate({ target: table.id, set, setWhere }).run()
}

/** Changes what a condition names. Returns how many rows that were. */
export function changeRows<T extends Owned>(
  scope: Scope,
  table: T,
  where: SQL | undefined,
  to: Partial<Omit<T['$inferInsert'], 'studioId'>>,
): number {
  return scope.db
    .update(table)
    .set(to as T['$inferInsert'])
    .where(mine(scope, table, where))
    .run().changes
}

/** Takes away what a condition names. Returns how many rows that were. */
export function dropRows(scope: Scope, table: Owned, where?: SQL): number {
  return scope.db
    .delete(table)
    .where(mine(scope, table, where))
    .run().changes
}
