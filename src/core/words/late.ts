import type { Give } from '../teaching/catch-up'
import { halfMinutes } from './number'

/** What a block gives up so that the class ends in time, by its title: `Strength: back and trunk, from 7 to 4 min`. */
export function giveWords(title: string, { fromS, toS }: Give): string {
  return toS === 0 ? `${title}: left out` : `${title}: from ${halfMinutes(fromS)} to ${halfMinutes(toS)} min`
}

/** `4 min late`, once it is worth a word; empty while the class keeps its time. */
export function lateWords(lateS: number): string {
  return lateS < WORTH_S ? '' : `${Math.round(lateS / 60)} min late`
}

/** Less than this nobody hears about, s. */
const WORTH_S = 90
