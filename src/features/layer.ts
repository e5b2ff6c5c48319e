import 'server-only'
import { randomBytes, scryptSync, timingSafeEqual } from 'node:crypto'
import { cookies } from 'next/headers'
import { PASS_COOKIE } from '../edge/passed-round'
import { SHUT, contextFor, type Privacy } from './context'
import { endSession, isOpenSession, LAYER_OPEN_MS, openSession, touchSession } from './layer-sessions'

const LAYER = 'levitar.layer'
const PRIVATE = 'levitar.private'

/** What this screen may show. Whatever cannot be read counts as shut. */
export async function privacyHere(): Promise<Privacy> {
  try {
    const store = await cookies()
    // A cookie that was just deleted still stands there, empty.
    const set = (name: string): boolean => (store.get(name)?.value ?? '') !== ''
    // On a tablet that is passed round nothing is shown, whatever was open on it before.
    if (set(PASS_COOKIE)) return { hidden: true, notesOpen: false, passed: true }
    return { hidden: set(PRIVATE), notesOpen: opens(store.get(LAYER)?.value) }
  } catch {
    return SHUT
  }
}

function opens(token: string | undefined): boolean {
  return isOpenSession(token) && contextFor(SHUT).health.key !== null
}

/** Opens the layer, or keeps it open, on this screen only. Nothing opens without the key. */
export async function openOnThisScreen(): Promise<boolean> {
  if (contextFor(SHUT).health.key === null) return false
  const store = await cookies()
  const known = store.get(LAYER)?.value
  const token = known !== undefined && touchSession(known) ? known : openSession()
  store.set(LAYER, token, { httpOnly: true, sameSite: 'strict', maxAge: LAYER_OPEN_MS / 1000 })
  return true
}

/** Shuts the layer on this screen. */
export async function shutOnThisScreen(): Promise<void> {
  const store = await cookies()
  endSession(store.get(LAYER)?.value)
  store.delete(LAYER)
}

/** The token of this screen's layer, where there is one. */
export async function tokenHere(): Promise<string | undefined> {
  return (await cookies()).get(LAYER)?.value
}

/** From here on this tablet shows one page, where it is passed round. */
export async function holdTablet(where: string): Promise<void> {
  ;(await cookies()).set(PASS_COOKIE, where, { httpOnly: true, sameSite: 'strict', path: '/' })
}

/** The class that this tablet is held at; null where it is not. */
export async function heldAt(): Promise<string | null> {
  return /^\/pass\/([0-9a-f-]{36})/.exec((await cookies()).get(PASS_COOKIE)?.value ?? '')?.[1] ?? null
}

/** The tablet is the teacher's again. */
export async function takeTabletBack(): Promise<void> {
  ;(await cookies()).delete(PASS_COOKIE)
}

/** Hides or shows the words of limits on this screen. */
export async function setPrivateHere(hidden: boolean): Promise<void> {
  const store = await cookies()
  if (hidden) store.set(PRIVATE, '1', { httpOnly: true, sameSite: 'strict' })
  else store.delete(PRIVATE)
}

/** A word as it is kept: salted, and slow to guess. */
export function hashPass(word: string): string {
  const salt = randomBytes(16)
  return `${salt.toString('base64')}.${scryptSync(word, salt, 32).toString('base64')}`
}

/** Whether a word opens the layer; without a word set, any tap does. */
export function passFits(word: string, kept: string | null): boolean {
  if (kept === null) return true
  const [salt = '', hash = ''] = kept.split('.')
  const tried = scryptSync(word, Buffer.from(salt, 'base64'), 32)
  return timingSafeEqual(tried, Buffer.from(hash, 'base64'))
}
