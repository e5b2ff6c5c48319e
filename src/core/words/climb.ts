import type { Doing } from '../classes/plan'
import type { Library } from '../practice/library'
import { timeWords } from './dose'
import { count } from './number'
import { stageName } from './reason'

/** What somebody passes in their first turns, as it is said: `First turn: short dog (25 s); then this.`; empty without a climb. */
export function describeClimb(practice: Library, { climb }: Pick<Doing, 'climb'>): string {
  if (climb.length === 0) return ''
  const rungs = climb.map(({ variantId, holdS, reps, sides }) => {
    const times = holdS === null || reps > 1 ? count(reps, 'time') : ''
    const hold = holdS === null ? '' : timeWords(holdS)
    const each = sides ? ', each side' : ''
    return `${stageName(practice, variantId)} (${[times, hold].filter((t) => t !== '').join(' ')}${each})`
  })
  return `First ${climb.length === 1 ? 'turn' : 'two turns'}: ${rungs.join(', then ')}; then this. Where it is not yet clean: a turn more there.`
}

/** What comes after a rung of a climb, beside it. */
export function describeNextRung(practice: Library, stageId: string | null): string {
  if (stageId === null) return ''
  return `Clean? On to ${stageName(practice, stageId)}. Not yet: stay, and say the cue.`
}
