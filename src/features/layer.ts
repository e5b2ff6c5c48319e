import 'server-only'
import { createHmac, randomBytes, scryptSync, timingSafeEqual } from 'node:crypto'
import { cookies } from 'next/headers'
import { SHUT, contextFor, type Privacy } from './context'

/** The health layer stays open this long after it was last touched, ms (cautions.md 6: 5 min). */
export const LAYER_OPEN_MS = 5 * 60_000

const LAYER = 'levitar.layer'
const PRIVATE = 'levitar.private'

/** What this screen may show. Whatever cannot be read counts as shut. */
export async function privacyHere(): Promise<Privacy> {
  try {
    const store = await cookies()
    // A cookie that was just deleted still stands there, empty.
    const hidden = (store.get(PRIVATE)?.value ?? '') !== ''
    return { hidden, notesOpen: opens(store.get(LAYER)?.value) }
  } catch {
    return SHUT
  }
}

function opens(token: string | undefined): boolean {
  if (!token) return false
  const { key } = contextFor(SHUT).health
  if (!key) return false
  const [until = '', mark = ''] = token.split('.')
  const [given, expected] = [Buffer.from(mark), Buffer.from(markOf(key, until))]
  return Number(until) > Date.now() && given.length === expected.length && timingSafeEqual(given, expected)
}

/** Opens the layer, or keeps it open, on this screen only. Nothing opens without the key. */
export async function openOnThisScreen(): Promise<boolean> {
  const { key } = contextFor(SHUT).health
  if (!key) return false
  const until = String(Date.now() + LAYER_OPEN_MS)
  const store = await cookies()
  store.set(LAYER, `${until}.${markOf(key, until)}`, {
    httpOnly: true,
    sameSite: 'strict',
    maxAge: LAYER_OPEN_MS / 1000,
  })
  return true
}

/** Shuts the layer on this screen. */
export async function shutOnThisScreen(): Promise<void> {
  ;(await cookies()).delete(LAYER)
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

function markOf(key: Buffer, until: string): string {
  return createHmac('sha256', key).update(`layer ${until}`).digest('hex')
}
