/** What each tier of points is about, heaviest first. */
const TIER_WORD = [
  '',
  'less waiting, closer to one purpose',
  'more at their own next step and what is short',
  'fairer turns at the wall and with helpers',
  'fewer things to fetch and build',
  'fewer versions to explain',
  'more that is new',
  'minutes better used',
] as const

/** A tier has to move so far before it is told, points. */
const TOLD_FROM = 0.5

/** What is better in a plan, and what it costs: `Better by 12 points: …; for that: …`. */
export function describeBetter(now: readonly number[], found: readonly number[]): string {
  const sum = gains(now, found).reduce((all, { gain }) => all + gain, 0)
  const worse = toldOf(now, found, -1)
  return `Better by ${Math.max(1, Math.round(sum))} points: ${describeGain(now, found)}.${worse === '' ? '' : ` For that: ${worse}.`}`
}

/**
 * How far a plan is from the best possible at most: the bound leaves out who is up in which wave, so there may be no better
 * one.
 * @param points of the plan
 * @param bound that no plan can pass
 */
export function describeGap(points: number, bound: number): string {
  const gap = Math.max(0, bound - points)
  const share = (100 * gap) / Math.max(1, Math.abs(bound))
  if (gap < 0.5) return 'No plan of this class can be better.'
  return `At most ${gap.toFixed(0)} ${gap.toFixed(0) === '1' ? 'point' : 'points'} (${share.toFixed(1)} %) below the best possible.`
}

/** Only what is better: `less waiting, closer to one purpose; fewer versions to explain`. */
export function describeGain(now: readonly number[], found: readonly number[]): string {
  return toldOf(now, found, 1) || 'a little of everything'
}

function gains(now: readonly number[], found: readonly number[]): { tier: number; gain: number }[] {
  return found.map((points, tier) => ({ tier, gain: points - (now[tier] ?? 0) }))
}

function toldOf(now: readonly number[], found: readonly number[], way: 1 | -1): string {
  return gains(now, found)
    .filter(({ gain, tier }) => tier > 0 && way * gain >= TOLD_FROM)
    .sort((a, b) => way * (b.gain - a.gain))
    .map(({ tier }) => (way === 1 ? TIER_WORD[tier] : WORSE_WORD[tier]))
    .join('; ')
}

const WORSE_WORD = [
  '',
  'somebody waits longer or works at something else',
  'somebody works a step lower',
  'turns less evenly shared',
  'more to fetch and build',
  'one more version to explain',
  'more that was done last time',
  'minutes less well used',
] as const
