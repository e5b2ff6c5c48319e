import type { Craft } from '../planning/craft'
import { count, list, percent } from './number'

/** What craft misses in a plan, a sentence for each question that is not held. */
export function describeCraft(found: Craft, nameOf: (studentId: string) => string): string {
  const { question, value, threshold, who } = found
  const names = list(who.slice(0, NAMED).map(nameOf))
  const whoWords = who.length > NAMED ? `${names} and ${who.length - NAMED} more` : names
  switch (question) {
    case 'filled':
      return value > 0
        ? `${count(Math.round(value / 60), 'minute')} left over: a longer turn, or one block more.`
        : `${count(Math.round(-value / 60), 'minute')} too long.`
    case 'own-work':
      return `The one in the middle works ${percent(value)} of the blocks; ${percent(threshold)} is a full hour.`
    case 'least-served':
      return `Little work of their own: ${whoWords}.`
    case 'waits':
      return `Only waits through a block: ${whoWords}.`
    case 'warm-up':
      return `Warming up takes ${percent(value)} of the class; ${percent(threshold)} at least.`
    case 'unload':
      return `Unloading takes ${value} s after attempts; ${threshold} s at least.`
    case 'rest':
      return `Rest and close take ${percent(value)} of the class; ${percent(threshold)} at most.`
    case 'same-running':
      return `The same thing in two blocks running: ${whoWords}.`
    case 'strength-warmed':
      return `${count(value, 'drill')} of strength ${value === 1 ? 'was' : 'were'} the warm-up already.`
    case 'versions':
      return `${value} versions are said in one block; ${threshold} at most.`
    case 'alone':
      return `${percent(value)} of the versions are for one person alone.`
    case 'named-pose':
      return `Nothing of a pose that the class is named for, for two turns: ${whoWords}.`
  }
}

/** So many are named; more are counted. */
const NAMED = 4
