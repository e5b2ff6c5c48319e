import 'server-only'
import { createHash, randomBytes } from 'node:crypto'

/** A way in that nobody guesses: 256 random bits, as an address holds them. */
export function newToken(): string {
  return randomBytes(32).toString('base64url')
}

/** What is kept of it. */
export function hashOf(token: string): string {
  return createHash('sha256').update(token).digest('hex')
}
