import { eq } from 'drizzle-orm'
import { account } from './schema'
import { changeRows, rowOf, rowsOf } from './rows'
import { mine, type Scope } from './scope'

/** Somebody who may sign in. */
export type Account = Omit<typeof account.$inferSelect, 'studioId'>

/** Accounts, those who ended too. */
export function listAccounts(scope: Scope): Account[] {
  return rowsOf(scope, account, undefined, account.name)
}

/** Whether anybody may sign in; until then the studio is open to whoever sits at this machine. */
export function hasOwner(scope: Scope): boolean {
  return (
    scope.db
      .select({ id: account.id })
      .from(account)
      .where(mine(scope, account, eq(account.role, 'owner'), eq(account.ended, false)))
      .get() !== undefined
  )
}

/** The account that a sign-in name belongs to; null where it is none, or ended. */
export function accountByLogin(scope: Scope, login: string): Account | null {
  const row = rowOf(scope, account, eq(account.login, login.trim().toLowerCase()))
  return row && !row.ended ? row : null
}

/** Adds an account. Returns false where the sign-in name is taken. */
export function addAccount(scope: Scope, made: Account): boolean {
  return (
    scope.db
      .insert(account)
      .values({ ...made, studioId: scope.studioId, login: made.login.trim().toLowerCase() })
      .onConflictDoNothing({ target: [account.studioId, account.login] })
      .run().changes === 1
  )
}

/** Changes what is given of an account. */
export function saveAccount(scope: Scope, id: string, change: Partial<Omit<Account, 'id'>>): void {
  changeRows(scope, account, eq(account.id, id), change)
}
