import type { AtHome, HomeItem, Tick } from '../home/home'
import { describeDose } from './dose'

/** Things of a home, as they are asked after. */
export const AT_HOME_WORD: Readonly<Record<AtHome, string>> = {
  wall: 'A bare wall',
  strap: 'Strap or scarf',
  block: 'Block or thick book',
  blanket: 'Blanket or towels',
  bolster: 'Bolster or rolled duvet',
  chair: 'Steady chair',
  slider: 'Socks on smooth floor',
}

export const TICK_WORD: Readonly<Record<Tick, string>> = {
  done: 'Done',
  part: 'A part',
  'too-much': 'Too much',
}

/** When to stop, on every sheet that goes home (cautions.md, stop signs). */
export const HOME_STOP =
  'Stop for the day: sharp or new pain, tingling or numbness, dizziness, pressure in eyes or ears, breath that will not come quietly. Tell your teacher; tell a doctor what does not go by itself.'

/** What never goes home (class-craft.md 17). */
export const HOME_NEVER =
  'Not at home: kicking up, weight on head or neck, anything you have not done in class. Children, pets and glass out of the room.'

/** A week's dose of one thing, by its owner's breath. */
export function describeHomeDose(item: HomeItem, breathS: number): string {
  const { sets, reps, holdS, perSide, restS } = item
  const breaths = holdS === null ? null : Math.floor(holdS / breathS)
  return describeDose({
    ...{ sets, reps, holdS, perSide, restS, cap: null, note: '' },
    breaths: breaths === null || breaths < 1 ? null : breaths,
  })
}

/** Said in place of what is closed since the sheet was made. */
export const HOME_LEFT_OUT = 'Leave this out until you have talked with your teacher.'
export const HOME_NEW = 'New: have it shown in class first.'

/** How long, and on which days. */
export function homeLead(minutes: number, days: readonly string[]): string {
  return `${minutes} minutes on ${days.join(', ')}: a day of rest between.`
}
