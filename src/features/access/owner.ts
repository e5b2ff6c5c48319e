import 'server-only'
import { v7 } from 'uuid'
import { z } from 'zod'
import { accountByLogin, addAccount, saveAccount, type Account } from '@/db/accounts'
import { endSignInsOf } from '@/db/sign-ins'
import type { Context } from '../context'
import { tell } from '../tell'
import { LEAST_PASSWORD } from './passwords'

/** What a new account is made from. */
export const accountFields = {
  name: z.string().trim().min(1, 'A name, as the others know them.').max(60, 'At most 60 characters.'),
  login: z
    .string()
    .trim()
    .toLowerCase()
    .regex(/^[\p{L}\d._@-]{2,60}$/u, 'Two to sixty letters, digits, dots or dashes, without spaces.'),
  password: z
    .string()
    .min(LEAST_PASSWORD, `At least ${LEAST_PASSWORD} characters.`)
    .max(200, 'At most 200 characters.'),
}
export const ownerFields = z.object(accountFields)

/**
 * Makes an owner. Where the sign-in name is an owner’s already it is theirs again with the new password: their second
 * factor and every open sign-in of theirs end. Null where the name is somebody else’s.
 */
export function ownerFrom(
  ctx: Context,
  { name, login }: { name: string; login: string },
  passHash: string,
): Pick<Account, 'id' | 'name'> | null {
  const { scope, clock } = ctx
  const known = accountByLogin(scope, login)
  if (known && known.role !== 'owner') return null
  if (known) {
    saveAccount(scope, known.id, { passHash, totpSeed: null, totpStep: null, recovery: null })
    endSignInsOf(scope, known.id)
    tell(ctx, { what: 'password-set', name: known.name })
    return known
  }
  const made: Account = {
    ...{ id: v7(), name, login, role: 'owner', passHash, madeMs: clock.nowMs, ended: false },
    ...{ totpSeed: null, totpStep: null, recovery: null },
  }
  if (!addAccount(scope, made)) return null
  tell(ctx, { what: 'account-made', name })
  return made
}
