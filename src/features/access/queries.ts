import 'server-only'
import type { Asker } from '@/core/access/roles'
import { describeTrail } from '@/core/access/trail'
import { hasOwner, listAccounts } from '@/db/accounts'
import { openSignIns } from '@/db/sign-ins'
import { listNames } from '@/db/students'
import { trailLines } from '@/db/trail'
import type { Context } from '../context'

/** Who an account is, without anything that opens it. */
export type AccountLine = {
  readonly id: string
  readonly name: string
  readonly login: string
  readonly role: Exclude<Asker, 'nobody' | 'device'>
  readonly second: boolean
  readonly mine: boolean
}

/** A sign-in that is open. Its key is a hash: it opens nothing. */
export type SignInLine = {
  readonly key: string
  readonly name: string
  readonly label: string
  readonly isTablet: boolean
  readonly seen: string
  readonly here: boolean
}

/** Who may sign in, and where somebody is signed in. */
export function accessView(ctx: Context): { open: boolean; accounts: AccountLine[]; signIns: SignInLine[] } {
  const { scope, actor } = ctx
  return {
    open: !hasOwner(scope),
    accounts: listAccounts(scope)
      .filter((a) => !a.ended)
      .map(({ id, name, login, role, totpSeed }) => ({
        ...{ id, name, login, role },
        ...{ second: totpSeed !== null, mine: id === actor.accountId },
      })),
    signIns: signInsFor(ctx, () => true),
  }
}

/** One’s own account and where it is signed in; null where nobody has one. */
export function ownAccount(ctx: Context): { account: AccountLine; signIns: SignInLine[] } | null {
  const account = accessView(ctx).accounts.find((a) => a.mine)
  return account
    ? { account, signIns: signInsFor(ctx, (accountId) => accountId === ctx.actor.accountId) }
    : null
}

function signInsFor(ctx: Context, counts: (accountId: string | null) => boolean): SignInLine[] {
  return openSignIns(ctx.scope)
    .filter((s) => counts(s.accountId))
    .map(({ tokenHash, name, label, accountId, seenMs }) => ({
      ...{ key: tokenHash, name, label, isTablet: accountId === null },
      ...{ seen: momentOf(ctx, seenMs), here: tokenHash === ctx.actor.signIn },
    }))
}

/** A deed of the trail, to be read. */
export type TrailView = {
  readonly id: string
  readonly at: string
  readonly text: string
  readonly about: string
}

const MOST_LINES = 200

/** The newest deeds of everybody, for the owner. */
export function trailView(ctx: Context, most = MOST_LINES): TrailView[] {
  const names = new Map(listNames(ctx.scope).map((s) => [s.id, s.name]))
  return trailLines(ctx.scope, most).map(({ id, atMs, name, what, studentId }) => ({
    ...{ id, at: momentOf(ctx, atMs), text: `${name} ${describeTrail(what)}` },
    about: studentId === null ? '' : (names.get(studentId) ?? ''),
  }))
}

/** Who read or changed one student’s answers, for their own record: who they are is told by role’s name, not more. */
export function trailOf(ctx: Context, studentId: string): TrailView[] {
  return trailLines(ctx.scope, MOST_LINES, studentId).map(({ id, atMs, name, what }) => ({
    ...{ id, at: momentOf(ctx, atMs), text: `${name} ${describeTrail(what)}`, about: '' },
  }))
}

function momentOf({ studio }: Context, atMs: number): string {
  return new Intl.DateTimeFormat('en-GB', {
    ...{ timeZone: studio.timeZone, day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' },
  }).format(atMs)
}
