import 'server-only'
import { ofProcess } from '@/db/process'

/** So many wrong words are slips; from then on each makes the next one wait twice as long. */
const FREE = 3
const FIRST_WAIT_MS = 1000
const LONGEST_WAIT_MS = 5 * 60_000
/** Doors of which wrong guesses are remembered at once: whoever tries many names fills no memory. */
const MOST_DOORS = 2000

type Guesses = { readonly wrong: number; readonly at: number }
const guesses = ofProcess('guesses', () => new Map<string, Guesses>())

/** How long the next guess at one door has to wait, ms; 0 where none. */
export function waitBeforeGuess(door: string, nowMs = performance.now()): number {
  const { wrong, at } = guesses.get(door) ?? { wrong: 0, at: -Infinity }
  if (wrong < FREE) return 0
  return Math.max(0, at + Math.min(LONGEST_WAIT_MS, FIRST_WAIT_MS * 2 ** (wrong - FREE)) - nowMs)
}

/**
 * Lets a guess begin where none has to wait, and counts it as wrong until it is known to be right: sixty that come at once
 * are not all judged before the first is counted. A right one is told by `guessed`.
 * @returns how long it has to wait, ms; 0 where it may begin, and is counted
 */
export function beginGuess(door: string, nowMs = performance.now()): number {
  const wait = waitBeforeGuess(door, nowMs)
  if (wait === 0) guessed(door, false, nowMs)
  return wait
}

/** Takes back one that was counted and was no guess in the end; what was wrong before it stays. */
export function takeBackGuess(door: string): void {
  const known = guesses.get(door)
  if (known) guesses.set(door, { ...known, wrong: Math.max(0, known.wrong - 1) })
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
