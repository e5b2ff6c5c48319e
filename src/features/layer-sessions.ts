import 'server-only'
import { randomBytes } from 'node:crypto'
import { ofProcess } from '@/db/process'

/** The health layer stays open this long after it was last touched, ms (cautions.md 6: 5 min). */
export const LAYER_OPEN_MS = 5 * 60_000

// It ends when the process ends.
const opened = ofProcess('layers', () => new Map<string, number>())

/** Opens the layer for one screen, and says by which token it is known. */
export function openSession(): string {
  const token = randomBytes(32).toString('base64url')
  opened.set(token, performance.now())
  for (const [old, at] of opened) if (performance.now() - at > LAYER_OPEN_MS) opened.delete(old)
  return token
}

/** Whether a token's layer is open still: by the clock that nobody sets. */
export function isOpenSession(token: string | undefined): boolean {
  const at = token === undefined ? undefined : opened.get(token)
  return at !== undefined && performance.now() - at <= LAYER_OPEN_MS
}

/** Keeps an open layer open for as long again. Returns whether it was. */
export function touchSession(token: string | undefined): boolean {
  if (token === undefined || !isOpenSession(token)) return false
  opened.set(token, performance.now())
  return true
}

/** Shuts one screen's layer: the token opens nothing any more, whoever kept it. */
export function endSession(token: string | undefined): void {
  if (token !== undefined) opened.delete(token)
}

/** Shuts the layer on every screen but one: another word was set. */
export function endOtherSessions(but: string | undefined): void {
  for (const token of opened.keys()) if (token !== but) opened.delete(token)
}
