import { integer, text, type AnySQLiteColumn } from 'drizzle-orm/sqlite-core'

/** Whose row it is. Repositories set it and ask for it; no row is read without it. */
export const owned = { studioId: text('studio_id').notNull() }

/** Columns of every append-only fact; rows are inserted and never updated. */
export function factColumns(self: () => AnySQLiteColumn) {
  return {
    ...owned,
    id: text('id').primaryKey(),
    deviceId: text('device_id').notNull(),
    deviceSeq: integer('device_seq').notNull(),
    hlc: text('hlc').notNull(),
    day: text('day').notNull(),
    replaces: text('replaces').references(self),
    withdrawn: integer('withdrawn', { mode: 'boolean' }).notNull().default(false),
  }
}
