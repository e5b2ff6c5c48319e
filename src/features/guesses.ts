import 'server-only'

/** So many wrong words are slips; from then on each makes the next one wait twice as long. */
const FREE = 3
const FIRST_WAIT_MS = 1000
const LONGEST_WAIT_MS = 5 * 60_000

const shared = globalThis as typeof globalThis & { levitarGuesses?: { wrong: number; at: number } }
const guesses = (shared.levitarGuesses ??= { wrong: 0, at: -Infinity })

/** How long the next guess at the word has to wait, ms; 0 where none. */
export function waitBeforeGuess(nowMs = performance.now()): number {
  if (guesses.wrong < FREE) return 0
  const wait = Math.min(LONGEST_WAIT_MS, FIRST_WAIT_MS * 2 ** (guesses.wrong - FREE))
  return Math.max(0, guesses.at + wait - nowMs)
}

/** Remembers how a guess went: a right one forgets the wrong ones. */
export function guessed(right: boolean, nowMs = performance.now()): void {
  guesses.wrong = right ? 0 : guesses.wrong + 1
  guesses.at = nowMs
}
