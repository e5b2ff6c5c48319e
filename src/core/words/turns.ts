import type { Brief } from '../classes/brief'
import { allTurns, type Doing, type Work } from '../classes/plan'
import { timeWords } from './dose'
import { count, halfMinutes } from './number'

/** A hold that usually lasts so long is stayed in, whatever the turns, s. */
const STAYS_S = 120

/**
 * What somebody does in their turns: `3 turns: 2 tries of 15 s at most, each side.`
 * @param doing theirs in a block
 * @param block the block it is in: whoever is up in every wave takes as many turns a set
 * @param usualS how long it is usually held, s
 */
export function describeTurns(
  doing: Doing,
  block: Pick<Work, 'waves'> & Partial<Pick<Work, 'kind'>>,
  usualS = 0,
): string {
  const { reps, holdS, tries } = doing
  if (block.kind === 'stay' && holdS !== null)
    return `Once, ${timeWords(holdS)}; then out by its steps, and lie flat.`
  // What is passed on the way is said beside it.
  const turns = allTurns(block, doing) - doing.climb.length
  if (turns === 0) return ''
  const isLimited = (doing.change?.mostSeconds ?? null) !== null
  if (usualS >= STAYS_S && tries === 0 && !doing.sides && !isLimited)
    return 'Stay in it as long as it is good.'
  const hold = holdS === null ? '' : timeWords(holdS)
  const what = tries > 0 ? count(reps, 'try', 'tries') : holdS === null || reps > 1 ? count(reps, 'time') : ''
  const once = what !== '' && hold !== '' ? `${what} ${hold}${tries > 0 ? ' at most' : ''}` : what + hold
  return `${count(turns, 'turn')}: ${once}${sidesWords(doing)}.${beginsWords(doing)}`
}

/** Whoever kicks beside somebody begins after them. */
function beginsWords({ after }: Doing): string {
  return after > 0 ? ` Begin ${after} s after the first.` : ''
}

/** `, each side, left first and once more`. */
function sidesWords({ sides, sideFirst, sideMore }: Doing): string {
  if (!sides) return ''
  if (sideFirst === null) return ', each side'
  return `, each side, ${sideFirst} first${sideMore ? ' and once more' : ''}`
}

/** How a block runs: `3 sets in 2 waves, 60 s up, 20 s to change.` */
export function describeRun({ sets, waves, workS, gapS, kind, setupS }: Work): string {
  if (kind === 'stay') {
    const sittings =
      waves > 1 ? `${waves} groups one after the other, ${gapS} s to change` : 'everybody together'
    return `${halfMinutes(setupS)} min to build, ${halfMinutes(workS)} min at most in it, ${sittings}`
  }
  if (kind === 'ease') return `${Math.round(workS / 60)} min in it`
  const gap = waves > 1 ? `${gapS} s to change` : `${gapS} s rest`
  return `${count(sets, 'set')}${waves > 1 ? ` in ${waves} waves` : ''}, ${workS} s up, ${gap}`
}

/** Whether a place is used in turns: a bay or the open floor, not somebody's own mat. */
export function isShared(place: string | null, room: Brief['room'] | undefined): boolean {
  return place !== null && room?.mats?.some((m) => m.id === place) !== true
}

/** Where somebody is: `bay 2`, `open floor`, `mat 4`, counted as they are drawn; empty where the room is not. */
export function placeName(place: string | null, room: Brief['room'] | undefined): string {
  if (place === null) return ''
  if (place === 'open') return 'open floor'
  const bay = room?.bays.findIndex((b) => b.id === place) ?? -1
  if (bay >= 0) return `bay ${bay + 1}`
  const mat = room?.mats?.findIndex((m) => m.id === place) ?? -1
  return mat >= 0 ? `mat ${mat + 1}` : place.replace('-', ' ')
}
