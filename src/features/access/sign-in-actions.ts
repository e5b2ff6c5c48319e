'use server'

import { createHmac, timingSafeEqual } from 'node:crypto'
import { revalidatePath } from 'next/cache'
import { cookies, headers } from 'next/headers'
import { z } from 'zod'
import { reaches } from '@/core/access/roles'
import { count } from '@/core/words/number'
import { codeHash } from '@/db/access-code'
import { accountByLogin, listAccounts, saveAccount, type Account } from '@/db/accounts'
import { addSignIn, dropStale, endSignIn, endSignInsOf, takeCode, touchSignIn } from '@/db/sign-ins'
import { inOneGo, logFailure } from '../action'
import { done, problem, type Answer } from '../answer'
import type { Context } from '../context'
import { beginGuess, guessed, takeBackGuess } from '../guesses'
import { shutOnThisScreen, takeTabletBack } from '../layer'
import { tell } from '../tell'
import { hashOf, newToken } from '../token'
import { SIGN_IN, whoHere, type Who } from '../who'
import { hashPassword, LEAST_PASSWORD, passwordFits } from './passwords'
import { stepOf } from './second-factor'
import { ownerFrom, ownerFields } from './owner'

const MONTH_S = 30 * 24 * 3600
/** What nobody used for so long is forgotten, ms. */
const STALE_MS = 200 * 24 * 3_600_000

const text = (most: number) => z.string().max(most)
const signInFields = z.object({ login: text(80), password: text(200), code: text(20) })

/** Signs in by name and password, with a code where a second factor is set. The same answer for every wrong thing. */
export async function signIn(raw: z.input<typeof signInFields>): Promise<Answer<boolean>> {
  const typed = signInFields.safeParse(raw)
  if (!typed.success) return problem('Name and password.')
  const { login, password, code } = typed.data
  return attempt(async (who) => {
    const found = inOneGo(({ scope }) => accountByLogin(scope, login), who)
    // A browser that this account signed in by before has a door of its own: no stranger's guesses hold it shut.
    const known = await knownBrowser(found)
    const door = `sign-in:${login.trim().toLowerCase()}${known === null ? '' : `:${known}`}`
    const wait = mustWait(door)
    if (wait) return wait
    const fits = await passwordFits(password, found?.passHash ?? null)
    if (!found || !fits) return refuseAt(who, found)
    if (found.totpSeed !== null) {
      if (code === '') {
        // No guess at all so far; and no right one either, or codes could be tried without end.
        takeBackGuess(door)
        return problem('Now the code of your second factor.', 'code')
      }
      if (!inOneGo((ctx) => takeSecond(ctx, found, code), who)) return refuseAt(who, found, 'code')
    }
    guessed(door, true)
    await letIn(who, found.id, found.name)
    await rememberBrowser(found)
    return done(true)
  })
}

/** Pairs this tablet by the code that a teacher’s screen shows. */
export async function pairTablet(raw: { code: string }): Promise<Answer<boolean>> {
  const typed = z.object({ code: text(40) }).safeParse(raw)
  if (!typed.success) return problem('The code, as the other screen shows it.', 'code')
  return attempt(async (who) => {
    // Looked up before any wait, as a private link is: whoever guesses holds nobody up who was given a code.
    const taken = inOneGo(
      ({ scope, clock }) => takeCode(scope, codeHash(typed.data.code), 'device', clock.nowMs),
      who,
    )
    if (!taken)
      return mustWait('pair') ?? problem('That code is unknown, used or too old. Ask for a new one.', 'code')
    await letIn(who, null, taken.label)
    return done(true)
  })
}

/** Makes an owner by the code that the machine itself printed: the first one, or one who lost the way in. */
export async function ownerByCode(
  raw: z.input<typeof ownerFields> & { code: string },
): Promise<Answer<boolean>> {
  const typed = ownerFields.extend({ code: text(40) }).safeParse(raw)
  if (!typed.success)
    return {
      ok: false,
      problems: typed.error.issues.map(({ path, message }) => ({ path: path.join('.'), message })),
    }
  return attempt(async (who) => {
    const passHash = await hashPassword(typed.data.password)
    const made = inOneGo((ctx) => {
      const { scope, clock } = ctx
      if (!takeCode(scope, codeHash(typed.data.code), 'owner', clock.nowMs)) return null
      return ownerFrom(ctx, typed.data, passHash)
    }, who)
    if (made === null)
      return (
        mustWait('owner') ??
        problem('That code is unknown, used or too old. “npm run owner” prints another.', 'code')
      )
    await letIn(who, made.id, made.name)
    return done(true)
  })
}

/** Signs out here: what this screen had open is shut with it. */
export async function signOut(): Promise<Answer<boolean>> {
  return attempt(async (who) => {
    const { signIn: token } = who.actor
    if (token !== null)
      inOneGo((ctx) => {
        tell(ctx, { what: 'signed-out' })
        endSignIn(ctx.scope, token)
      }, who)
    await shutOnThisScreen()
    ;(await cookies()).delete(SIGN_IN)
    revalidatePath('/', 'layout')
    return done(true)
  })
}

/** After quiet minutes: the floor's work goes on, everything else waits for the password. */
export async function lockScreen(): Promise<Answer<boolean>> {
  return attempt(async (who) => {
    const { signIn: token, accountId } = who.actor
    if (token === null || accountId === null) return done(false)
    inOneGo(({ scope }) => touchSignIn(scope, token, { locked: true }), who)
    await shutOnThisScreen()
    return done(true)
  })
}

/** The password again: the screen is as it was. */
export async function unlockScreen(raw: { password: string }): Promise<Answer<boolean>> {
  const typed = z.object({ password: text(200) }).safeParse(raw)
  if (!typed.success) return problem('Your password.', 'password')
  return attempt(async (who) => {
    const { signIn: token, accountId } = who.actor
    if (token === null || accountId === null) return problem('This sign-in has ended. Sign in again.')
    const door = `unlock:${accountId}`
    const wait = mustWait(door)
    if (wait) return wait
    const kept = inOneGo(({ scope }) => listAccounts(scope).find((a) => a.id === accountId), who)
    const fits = await passwordFits(typed.data.password, kept?.passHash ?? null)
    if (fits) guessed(door, true)
    if (!fits) return problem('That is not your password.', 'password')
    inOneGo(({ scope, clock }) => touchSignIn(scope, token, { locked: false, seenMs: clock.nowMs }), who)
    revalidatePath('/', 'layout')
    return done(true)
  })
}

const passwordFields = z.object({ old: text(200), fresh: text(200), again: text(200) })

/** Another password of one's own; every other sign-in of that account ends. */
export async function changePassword(raw: z.input<typeof passwordFields>): Promise<Answer<boolean>> {
  const typed = passwordFields.safeParse(raw)
  if (!typed.success) return problem('The password you have, and the new one twice.')
  const { old, fresh, again } = typed.data
  if (fresh.length < LEAST_PASSWORD) return problem(`At least ${LEAST_PASSWORD} characters.`, 'fresh')
  if (fresh !== again) return problem('The two differ.', 'again')
  return attempt(async (who) => {
    const { accountId, role, signIn: token } = who.actor
    if (accountId === null || !reaches(role, 'floor')) return problem('Nobody is signed in here.')
    const door = `unlock:${accountId}`
    const wait = mustWait(door)
    if (wait) return wait
    const kept = inOneGo(({ scope }) => listAccounts(scope).find((a) => a.id === accountId), who)
    const fits = await passwordFits(old, kept?.passHash ?? null)
    if (fits) guessed(door, true)
    if (!fits) return problem('That is not the password you have.', 'old')
    const passHash = await hashPassword(fresh)
    inOneGo((ctx) => {
      saveAccount(ctx.scope, accountId, { passHash })
      endSignInsOf(ctx.scope, accountId, token ?? '')
      tell(ctx, { what: 'password-set' })
    }, who)
    return done(true)
  })
}

/** Counts a guess before it is judged, or says how long it has to wait. */
function mustWait(door: string): ReturnType<typeof problem> | null {
  const waitS = Math.ceil(beginGuess(door) / 1000)
  return waitS > 0 ? problem(`Too many wrong guesses. Wait ${count(waitS, 'second')}, then try again.`) : null
}

function refuseAt(who: Who, found: Account | null, path = ''): Answer<boolean> {
  // A name nobody has is not written down: somebody may have typed their password there.
  if (found) inOneGo((ctx) => tell(ctx, { what: 'sign-in-refused', name: found.name }), who)
  return problem(path === 'code' ? 'That code does not fit.' : 'Name and password do not fit together.', path)
}

/** A code of the second factor, or a recovery code, each taken once. */
function takeSecond({ scope, clock }: Context, found: Account, code: string): boolean {
  const step = stepOf(found.totpSeed ?? '', code, found.totpStep, clock.nowMs)
  if (step !== null) {
    saveAccount(scope, found.id, { totpStep: step })
    return true
  }
  const hash = codeHash(code)
  if (!found.recovery?.includes(hash)) return false
  saveAccount(scope, found.id, { recovery: found.recovery.filter((h) => h !== hash) })
  return true
}

async function letIn(who: Who, accountId: string | null, name: string): Promise<void> {
  const token = newToken()
  const label = labelOf((await headers()).get('user-agent'))
  inOneGo((ctx) => {
    const { scope, clock } = ctx
    dropStale(scope, clock.nowMs - STALE_MS)
    addSignIn(scope, {
      ...{ tokenHash: hashOf(token), accountId, label: accountId === null ? name : label },
      ...{ madeMs: clock.nowMs, seenMs: clock.nowMs, locked: false },
    })
    tell(ctx, { what: accountId === null ? 'device-paired' : 'signed-in', name })
  }, who)
  // What the screen had open before belongs to whoever was there before.
  await shutOnThisScreen()
  await takeTabletBack()
  ;(await cookies()).set(SIGN_IN, token, {
    ...{ httpOnly: true, sameSite: 'strict', path: '/', maxAge: accountId === null ? 6 * MONTH_S : MONTH_S },
    secure: process.env.LEVITAR_TLS === '1',
  })
  revalidatePath('/', 'layout')
}

/** The cookie of a browser by which an account has signed in before. */
const KNOWN = 'levitar.known'
const YEAR_S = 365 * 24 * 3600

/** Lets this browser be known again: by a mark that only this account's password, as it is kept, can make. */
async function rememberBrowser({ id, passHash }: Account): Promise<void> {
  const mark = newToken()
  ;(await cookies()).set(KNOWN, `${mark}.${sealOf(id, passHash, mark)}`, {
    ...{ httpOnly: true, sameSite: 'strict', path: '/', maxAge: YEAR_S },
    secure: process.env.LEVITAR_TLS === '1',
  })
}

/** The mark of this browser where the account has signed in by it before; null where it has not. */
async function knownBrowser(found: Account | null): Promise<string | null> {
  const [mark = '', seal = ''] = ((await cookies()).get(KNOWN)?.value ?? '').split('.')
  if (found === null || mark === '') return null
  const right = Buffer.from(sealOf(found.id, found.passHash, mark))
  const shown = Buffer.from(seal)
  return right.length === shown.length && timingSafeEqual(right, shown) ? mark : null
}

function sealOf(accountId: string, passHash: string, mark: string): string {
  return createHmac('sha256', passHash).update(`${accountId} ${mark}`).digest('base64url')
}

/** What a sign-in runs on, in a few words: enough to know one’s own again. */
function labelOf(agent: string | null): string {
  const on = /(iPad|iPhone|Android|Windows|Mac OS X|Linux)/.exec(agent ?? '')?.[1] ?? 'a device'
  return on === 'Mac OS X' ? 'Mac' : on
}

async function attempt(work: (who: Who) => Promise<Answer<boolean>>): Promise<Answer<boolean>> {
  try {
    const who = await whoHere()
    if (who.privacy.passed && who.actor.role !== 'nobody')
      return problem('This tablet is being passed round: give it back first.')
    return await work(who)
  } catch (error) {
    logFailure('sign-in', error)
    return problem('That could not be done. Nothing was changed; try once more.')
  }
}
