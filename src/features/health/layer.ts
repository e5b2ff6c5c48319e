import 'server-only'
import { createHmac, randomBytes, scryptSync, timingSafeEqual } from 'node:crypto'
import { cookies } from 'next/headers'
import { context, keyOfHealth } from '../context'

/** The health layer stays open this long after it was last touched, ms (cautions.md 6: 5 min). */
export const LAYER_OPEN_MS = 5 * 60_000

const LAYER = 'levitar.layer'
const PRIVATE = 'levitar.private'

/** Whether answers, clearances and reports may be sent to this screen. */
export async function layerOpen(): Promise<boolean> {
  const token = (await cookies()).get(LAYER)?.value
  const key = keyOfHealth()
  if (!token || !key) return false
  const [until = '', mark = ''] = token.split('.')
  const expected = markOf(key, until)
  return (
    Number(until) > Date.now() &&
    mark.length === expected.length &&
    timingSafeEqual(Buffer.from(mark), Buffer.from(expected))
  )
}

/** Opens the layer, or keeps it open, on this screen only. Nothing opens without the key. */
export async function openOnThisScreen(): Promise<boolean> {
  const key = keyOfHealth()
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

/** Whether even the words of limits are hidden here. */
export async function isPrivate(): Promise<boolean> {
  return (await cookies()).get(PRIVATE)?.value === '1'
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
export function passFits(word: string): boolean {
  const kept = context().studio.passHash
  if (kept === null) return true
  const [salt = '', hash = ''] = kept.split('.')
  const tried = scryptSync(word, Buffer.from(salt, 'base64'), 32)
  return timingSafeEqual(tried, Buffer.from(hash, 'base64'))
}

function markOf(key: Buffer, until: string): string {
  return createHmac('sha256', key).update(`layer ${until}`).digest('hex')
}
