'use server'

import { v7 } from 'uuid'
import { z } from 'zod'
import { PEOPLE_ROLES, reaches } from '@/core/access/roles'
import { codeHash, inFours, newCode } from '@/db/access-code'
import { addAccount, hasOwner, listAccounts, saveAccount } from '@/db/accounts'
import { addCode, endSignIn, endSignInsOf, openSignIns } from '@/db/sign-ins'
import { action } from '../action'
import { done, problem, type Answer } from '../answer'
import { idField } from '../fields'
import { refusalFor, whoHere } from '../who'
import { accountFields } from './owner'
import { hashPassword } from './passwords'
import { newSeed, recoveryCodes, stepOf } from './second-factor'
import { signIn } from './sign-in-actions'

const CODE_LENGTH = 8
/** A code to pair with is good for ten minutes, ms. */
const CODE_MS = 10 * 60_000

const newAccountFields = z.object({ ...accountFields, role: z.enum(PEOPLE_ROLES) })

const keepAccount = action(
  newAccountFields.extend({ passHash: z.string() }),
  ({ scope, clock }, { name, login, role, passHash }) => {
    if (!hasOwner(scope) && role !== 'owner')
      return problem(
        'The first account is the owner’s: somebody has to open the door for the others.',
        'role',
      )
    const made = addAccount(scope, {
      ...{ id: v7(), name, login, role, passHash, madeMs: clock.nowMs, ended: false },
      ...{ totpSeed: null, totpStep: null, recovery: null },
    })
    return made ? done(true) : problem('Somebody signs in by that name already.', 'login')
  },
  { by: 'owner', trail: { what: 'account-made' } },
)

/** Makes an account. The first one is the owner’s, and whoever made it is signed in with it. */
export async function makeAccount(raw: z.input<typeof newAccountFields>): Promise<Answer<boolean>> {
  const { actor } = await whoHere()
  if (!reaches(actor.role, 'owner')) return problem(refusalFor(actor, true))
  const typed = newAccountFields.safeParse(raw)
  if (!typed.success)
    return {
      ok: false,
      problems: typed.error.issues.map(({ path, message }) => ({ path: path.join('.'), message })),
    }
  const made = await keepAccount({ ...typed.data, passHash: await hashPassword(typed.data.password) })
  if (!made.ok || actor.accountId !== null) return made
  return signIn({ login: typed.data.login, password: typed.data.password, code: '' })
}

/** Changes what somebody may do. */
export const setRole = action(
  z.object({ id: idField, role: z.enum(PEOPLE_ROLES) }),
  ({ scope }, { id, role }) => {
    const others = listAccounts(scope).filter((a) => a.role === 'owner' && !a.ended && a.id !== id)
    if (role !== 'owner' && others.length === 0)
      return problem('One owner has to stay. Make somebody else an owner first.')
    saveAccount(scope, id, { role })
    return done(true)
  },
  { by: 'owner', trail: { what: 'role-changed' } },
)

/** Ends an account: it opens nothing from now on, on any screen. */
export const endAccount = action(
  z.object({ id: idField }),
  ({ scope }, { id }) => {
    const others = listAccounts(scope).filter((a) => a.role === 'owner' && !a.ended && a.id !== id)
    if (others.length === 0) return problem('One owner has to stay. Make somebody else an owner first.')
    saveAccount(scope, id, { ended: true, totpSeed: null, recovery: null })
    endSignInsOf(scope, id)
    return done(true)
  },
  { by: 'owner', trail: { what: 'account-ended' } },
)

/** Ends one open sign-in: of anybody for the owner, of one’s own for everybody else. */
export const endOne = action(
  z.object({ key: z.string().max(64) }),
  ({ scope, actor }, { key }) => {
    const mine = openSignIns(scope).find((s) => s.tokenHash === key)
    if (!mine || (actor.role !== 'owner' && (mine.accountId === null || mine.accountId !== actor.accountId)))
      return problem('That sign-in has ended already.')
    endSignIn(scope, key)
    return done(true)
  },
  { by: 'floor', trail: { what: 'session-ended' } },
)

/** A code by which one tablet comes in; told this once, good for ten minutes. */
export const makeTabletCode = action(
  z.object({ label: z.string().trim().min(1, 'What you call it.').max(40, 'At most 40 characters.') }),
  ({ scope, clock }, { label }) => {
    if (!hasOwner(scope))
      return problem('Make the owner’s account first: until then this machine alone comes in.')
    const code = newCode(CODE_LENGTH)
    addCode(scope, {
      codeHash: codeHash(code),
      role: 'device',
      label,
      expiresMs: clock.nowMs + CODE_MS,
    })
    return done({ code: inFours(code) })
  },
  { by: 'desk', refresh: false },
)

/** A seed for a second factor, to be read by an authenticator; it counts once a code of it was typed. */
export const offerSecondFactor = action(
  z.null(),
  ({ scope, actor }) => {
    const own = listAccounts(scope).find((a) => a.id === actor.accountId)
    return own ? done(newSeed(own.login)) : problem('A second factor belongs to an account. Make one first.')
  },
  { by: 'floor', refresh: false },
)

/** Sets the second factor, and tells the codes for the day on which it is lost. */
export const setSecondFactor = action(
  z.object({ seed: z.string().regex(/^[A-Z2-7]{32}$/), code: z.string().max(20) }),
  ({ scope, actor, clock }, { seed, code }) => {
    if (actor.accountId === null) return problem('A second factor belongs to an account. Make one first.')
    const step = stepOf(seed, code, null, clock.nowMs)
    if (step === null) return problem('That code does not fit. Is the clock of your telephone right?', 'code')
    const codes = recoveryCodes()
    saveAccount(scope, actor.accountId, { totpSeed: seed, totpStep: step, recovery: codes.map(codeHash) })
    return done({ codes })
  },
  { by: 'floor', refresh: false, trail: { what: 'second-factor-set' } },
)

/** Takes one’s own second factor away: with a code of it. */
export const dropSecondFactor = action(
  z.object({ code: z.string().max(20) }),
  ({ scope, actor, clock }, { code }) => {
    const own = listAccounts(scope).find((a) => a.id === actor.accountId)
    if (!own?.totpSeed) return problem('There is none.')
    if (stepOf(own.totpSeed, code, own.totpStep, clock.nowMs) === null)
      return problem('That code does not fit.', 'code')
    saveAccount(scope, own.id, { totpSeed: null, totpStep: null, recovery: null })
    return done(true)
  },
  { by: 'floor', trail: { what: 'second-factor-removed' } },
)
