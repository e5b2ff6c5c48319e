import 'server-only'
import type { LinkClosed } from '@/core/words/private-link'
import { guessed, waitBeforeGuess } from './guesses'
import { hashOf } from './token'

const DOOR = 'private links'

/**
 * What a private link opens. It is looked up before any wait, so that whoever guesses holds up nobody; a wrong one makes
 * the next wrong one wait.
 * @param find what a token's hash leads to; null where it leads nowhere
 */
export function openLink<T>(
  token: string,
  find: (tokenHash: string) => T | null,
): T | { closed: LinkClosed } {
  const found = find(hashOf(token))
  if (found !== null) {
    guessed(DOOR, true)
    return found
  }
  if (waitBeforeGuess(DOOR) > 0) return { closed: 'wait' }
  guessed(DOOR, false)
  return { closed: 'ended' }
}
