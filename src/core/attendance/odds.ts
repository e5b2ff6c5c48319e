/**
 * How likely somebody comes, from whether they came before. A Beta prior of three comings and one staying away, and
 * older classes counting for less, so that one missed evening is not a habit.
 */
const PRIOR = { came: 3, stayed: 1 } as const
/** Weight of a class against the one after it: half after about five. */
const FADE = 0.87

export type Attended = 'here' | 'late' | 'absent'

/**
 * Chance that somebody booked comes.
 * @param history oldest first; only classes they were booked for
 * @returns between 0 and 1
 */
export function comingOdds(history: readonly Attended[]): number {
  let came: number = PRIOR.came
  let all: number = PRIOR.came + PRIOR.stayed
  history.forEach((state, i) => {
    const weight = FADE ** (history.length - 1 - i)
    all += weight
    if (state !== 'absent') came += weight
  })
  return came / all
}

export type Headcount = { readonly expected: number; readonly from: number; readonly to: number }

/** How many will be there: the mean, and the middle 80 % of the exact distribution of so many separate people. */
export function headcount(odds: readonly number[]): Headcount {
  let chance = [1]
  for (const p of odds) {
    const next = new Array<number>(chance.length + 1).fill(0)
    chance.forEach((c, k) => {
      next[k] = (next[k] ?? 0) + c * (1 - p)
      next[k + 1] = (next[k + 1] ?? 0) + c * p
    })
    chance = next
  }
  return {
    expected: odds.reduce((sum, p) => sum + p, 0),
    from: quantile(chance, 0.1),
    to: quantile(chance, 0.9),
  }
}

function quantile(chance: readonly number[], share: number): number {
  let sum = 0
  const found = chance.findIndex((c) => (sum += c) >= share - 1e-12)
  return found === -1 ? chance.length - 1 : found
}
