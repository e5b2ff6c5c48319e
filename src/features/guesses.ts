import 'server-only'

/** So many wrong words are slips; from then on each makes the next one wait twice as long. */
const FREE = 3
const FIRST_WAIT_MS = 1000
const LONGEST_WAIT_MS = 5 * 60_000
/** Doors of which wrong guesses are remembered at once: whoever tries many names fills no memory. */
const MOST_DOORS = 2000

type Guesses = { readonly wrong: number; readonly at: number }
const shared = globalThis as typeof globalThis & { levitarGuesses?: Map<string, Guesses> }
// Routes may be loaded apart from each other; the process remembers once.
const guesses = (shared.levitarGuesses ??= new Map<string, Guesses>())

/** How long the next guess at one door has to wait, ms; 0 where none. */
export function waitBeforeGuess(door: string, nowMs = performance.now()): number {
  const { wrong, at } = guesses.get(door) ?? { wrong: 0, at: -Infinity }
  if (wrong < FREE) return 0
  return Math.max(0, at + Math.min(LONGEST_WAIT_MS, FIRST_WAIT_MS * 2 ** (wrong - FREE)) - nowMs)
}

/** Remembers how a guess went: a right one forgets the wrong ones. */
export function guessed(door: string, right: boolean, nowMs = performance.now()): void {
  const wrong = guesses.get(door)?.wrong ?? 0
  guesses.delete(door)
  if (right) return
  guesses.set(door, { wrong: wrong + 1, at: nowMs })
  const [oldest] = guesses.keys()
  if (guesses.size > MOST_DOORS && oldest !== undefined) guesses.delete(oldest)
}
