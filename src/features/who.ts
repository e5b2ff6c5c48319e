import 'server-only'
import { cookies, headers } from 'next/headers'
import { mayKnow, type Asker } from '@/core/access/roles'
import { hasOwner } from '@/db/accounts'
import { sharedDb, writeIfItCan } from '@/db/open'
import { HOME } from '@/db/scope'
import { signInOf, touchSignIn } from '@/db/sign-ins'
import { now } from './clock'
import { NOBODY, type Actor, type Privacy } from './context'
import { privacyHere } from './layer'
import { HOME_HEADER, PATH_HEADER } from '../edge/told'
import { hashOf } from './token'

/** The cookie of a sign-in. */
export const SIGN_IN = 'levitar.sign-in'

const HOUR_MS = 3_600_000
/** A sign-in ends after so long without use, and after so long in any case; a tablet of the studio lasts longer. */
const PERSON_MS = { idle: 12 * HOUR_MS, longest: 30 * 24 * HOUR_MS }
const DEVICE_MS = { idle: 30 * 24 * HOUR_MS, longest: 180 * 24 * HOUR_MS }
/** How finely “seen last” is kept: a page view is no write, ms. */
const SEEN_MS = 10 * 60_000

/** Whoever asks, and what the screen they ask from may show. */
export type Who = { readonly actor: Actor; readonly privacy: Privacy }

/** Who asks, from the cookie of their sign-in; without accounts whoever sits at this machine is the owner. */
export async function whoHere(): Promise<Who> {
  const [actor, privacy] = [await actorHere(), await privacyHere()]
  return { actor, privacy: mayKnow(actor.role) ? privacy : { ...privacy, notesOpen: false } }
}

async function actorHere(): Promise<Actor> {
  const token = (await cookies()).get(SIGN_IN)?.value ?? ''
  const scope = { db: sharedDb(), studioId: HOME }
  const signedIn = token === '' ? NOBODY : actorOf(hashOf(token))
  if (signedIn.role !== 'nobody') return signedIn
  if ((await headers()).get(HOME_HEADER) !== '1' || hasOwner(scope)) return NOBODY
  return { ...NOBODY, role: 'owner', name: 'This machine' }
}

function actorOf(tokenHash: string): Actor {
  const scope = { db: sharedDb(), studioId: HOME }
  const open = signInOf(scope, tokenHash)
  const nowMs = now().getTime()
  if (!open || isOver(open, nowMs)) return NOBODY
  if (nowMs - open.seenMs > SEEN_MS) writeIfItCan(() => touchSignIn(scope, tokenHash, { seenMs: nowMs }))
  const { accountId, name, locked } = open
  // Locked, it goes on with the floor's work, so that a class is not held up; the rest waits for the password.
  return { role: locked ? 'device' : open.role, accountId, name, signIn: tokenHash, locked }
}

function isOver(open: { accountId: string | null; madeMs: number; seenMs: number }, nowMs: number): boolean {
  const { idle, longest } = open.accountId === null ? DEVICE_MS : PERSON_MS
  return nowMs - open.seenMs > idle || nowMs - open.madeMs > longest
}

/** The path that was asked for; empty where no proxy stood before it, which opens nothing. */
export async function pathHere(): Promise<string> {
  return (await headers()).get(PATH_HEADER) ?? ''
}

/** How the asker is refused, in a sentence; what they typed stays where it is. */
export function refusalFor({ role, locked }: { role: Asker; locked: boolean }, owner: boolean): string {
  if (locked)
    return 'This screen is locked. Put in your password and send it again; what you typed is still here.'
  if (role === 'nobody')
    return 'Nobody is signed in here. Sign in and send it again; what you typed is still here.'
  return owner ? 'That is for the owner of this studio to do.' : 'That is for a teacher of this studio to do.'
}
