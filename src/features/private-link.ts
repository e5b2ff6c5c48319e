import 'server-only'
import { guessed, waitBeforeGuess } from './guesses'
import { hashOf } from './token'

const DOOR = 'private links'

/** Said for a link that opens nothing, and while too many of those were tried. */
export const LINK_SAID = {
  ended: { title: 'This link has ended', text: 'Ask whoever gave it to you for a new one.' },
  wait: {
    title: 'Not just now',
    text: 'Too many wrong links were tried in a row. Wait a few minutes, then open yours once more.',
  },
} as const
export type LinkClosed = keyof typeof LINK_SAID

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
