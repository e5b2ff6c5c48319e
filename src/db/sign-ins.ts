import { and, desc, eq, gt, lt, ne } from 'drizzle-orm'
import type { Role } from '@/core/access/roles'
import { accessCode, account, signIn } from './schema'
import { addRow, changeRows, dropRows } from './rows'
import { mine, type Scope } from './scope'

/** A sign-in that is open, and whose. */
export type SignIn = Omit<typeof signIn.$inferSelect, 'studioId'>
export type OpenSignIn = SignIn & { readonly name: string; readonly role: Role }

/** Opens a sign-in. */
export function addSignIn(scope: Scope, opened: SignIn): void {
  addRow(scope, signIn, opened)
}

/** The sign-in of a token, with what its account may do now; null where it is unknown or the account ended. */
export function signInOf(scope: Scope, tokenHash: string): OpenSignIn | null {
  const row = scope.db
    .select()
    .from(signIn)
    .leftJoin(account, eq(signIn.accountId, account.id))
    .where(mine(scope, signIn, eq(signIn.tokenHash, tokenHash)))
    .get()
  return row ? whose(row) : null
}

type Joined = { sign_in: typeof signIn.$inferSelect; account: typeof account.$inferSelect | null }

function whose({ sign_in: opened, account: of }: Joined): OpenSignIn | null {
  if (of?.ended) return null
  return { ...opened, name: of?.name ?? opened.label, role: of?.role ?? 'device' }
}

/** Everything that is open, the newest first. */
export function openSignIns(scope: Scope): OpenSignIn[] {
  return scope.db
    .select()
    .from(signIn)
    .leftJoin(account, eq(signIn.accountId, account.id))
    .where(mine(scope, signIn))
    .orderBy(desc(signIn.seenMs))
    .all()
    .flatMap((row) => whose(row) ?? [])
}

/** Changes when it was seen last, or whether it waits for its password. */
export function touchSignIn(
  scope: Scope,
  tokenHash: string,
  change: { seenMs?: number; locked?: boolean },
): void {
  changeRows(scope, signIn, eq(signIn.tokenHash, tokenHash), change)
}

/** Ends one sign-in. Returns whether it was open. */
export function endSignIn(scope: Scope, tokenHash: string): boolean {
  return dropRows(scope, signIn, eq(signIn.tokenHash, tokenHash)) === 1
}

/** Ends every sign-in of an account but one. */
export function endSignInsOf(scope: Scope, accountId: string, but = ''): void {
  dropRows(scope, signIn, and(eq(signIn.accountId, accountId), ne(signIn.tokenHash, but)))
}

/** Forgets what nobody used since a moment. */
export function dropStale(scope: Scope, beforeMs: number): void {
  dropRows(scope, signIn, lt(signIn.seenMs, beforeMs))
}

/** Keeps a code that lets one in. */
export function addCode(
  scope: Scope,
  code: { codeHash: string; role: 'device' | 'owner'; label: string; expiresMs: number },
): void {
  addRow(scope, accessCode, code)
}

/** Takes a code: it is good once. Null where it is unknown, used or too old. */
export function takeCode(
  scope: Scope,
  codeHash: string,
  role: 'device' | 'owner',
  nowMs: number,
): { readonly label: string } | null {
  const [taken] = scope.db
    .delete(accessCode)
    .where(
      mine(
        scope,
        accessCode,
        and(eq(accessCode.codeHash, codeHash), eq(accessCode.role, role), gt(accessCode.expiresMs, nowMs)),
      ),
    )
    .returning()
    .all()
  return taken ? { label: taken.label } : null
}
