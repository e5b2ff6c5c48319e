import { armLoad, type Position } from '../mechanics/position'
import type { Placement, SetupProp, SetupSolution, SetupStep, SetupWarning } from '../setups/setup'
import { count, deg, length, percent, plain, type Wording } from './number'

const PLACEMENT_LABEL: Record<string, string> = {
  'elbow-width': 'Elbow to elbow',
  'walk-in': 'Elbows to balls of the feet',
  'strap-loop': 'Strap loop, closed, all round',
  'block-from-elbow': 'Elbow to near face of the block',
  'block-gap': 'Block to wall',
  'elbow-to-wall': 'Elbow to wall',
}

/** What a placement is called. */
export function placementLabel(key: string): string {
  return PLACEMENT_LABEL[key] ?? key
}

/** A placement's number with how far it may be off for this person. */
export function placementValue(placement: Placement, wording: Wording): string {
  const within = placement.withinCm >= 1 ? ` ± ${length(placement.withinCm, wording)}` : ''
  return `${length(placement.valueCm, wording)}${within}`
}

/** How to find the same distance without a tape, and that way's error. */
export function bodyWay(placement: Placement, wording: Wording): string {
  const way = placement.bodyWay
  if (!way) return 'By tape.'
  const off = `(within ${length(way.withinCm, wording)})`
  const n = way.numbers
  switch (way.measure) {
    case 'M1':
      return `Hold opposite upper arms, then lower the forearms without letting the elbows move ${off}.`
    case 'M11':
      return `Lay the forearm down: the wall is ${length(n.pastFingertipsCm ?? 0, wording)} past the fingertips ${off}.`
    case 'M15':
      return `${plain(n.feet ?? 0)} of your own foot lengths from elbows to balls of the feet ${off}.`
    case 'arms-forward':
      return `Arms forward and parallel with the loop on: just taut, not pulling ${off}.`
    case 'thumbs-meet-block':
      return `Forearms down, slide the block in until the webs of both thumbs meet its near edge ${off}.`
    case 'block-thickness':
      return `Lay a second block flat between block and wall: its 10 cm edge is ${length(10, wording)} ${off}.`
    default:
      return `Measure ${way.measure} ${off}.`
  }
}

/** One step of the list, in the order it is done. */
export function describeStep({ code, numbers: n }: SetupStep, wording: Wording): string {
  const cm = (key: string): string => length(n[key] ?? 0, wording)
  switch (code) {
    case 'strap-close':
      return `Close the strap to a loop of ${cm('loopCm')} all round.`
    case 'strap-above-elbows':
      return 'Slip it just above the elbows, buckle off the skin.'
    case 'elbows-at-width':
      return `Elbows ${cm('widthCm')} apart, point to point. Hold opposite upper arms to check.`
    case 'forearms-parallel':
      return 'Forearms parallel, palms down, fingers wide.'
    case 'plank-then-walk':
      return `Forearm plank first, then walk in until the balls of the feet are ${cm('walkInCm')} from the elbows.`
    case 'walk-in-to':
      return `Walk in to ${cm('walkInCm')} from elbows to balls of the feet; knees may bend.`
    case 'strap-off-before-rest':
      return 'Strap off before resting.'
    case 'block-between-hands':
      return `Block between the hands, ${cm('widthCm')} across. Forearms turn in ${deg(Math.max(0, n.turnInDeg ?? 0))}.`
    case 'thumbs-near-face':
      return 'Thumbs along the near face, index fingers along the ends.'
    case 'block-from-wall':
      return `Far face of the block ${cm('gapCm')} from the wall.`
    case 'check-elbow-to-wall':
      return `Elbows then lie ${cm('elbowToWallCm')} from the wall. Mark it.`
    case 'lead-leg-up':
      return 'Lead leg up and straight, hips level.'
    case 'one-heel-then-other':
      return 'One heel to the wall, breathe, then the other. Down the same way, one foot at a time.'
    default:
      return code
  }
}

/** A warning with its numbers. */
export function describeWarning({ code, numbers: n }: SetupWarning, wording: Wording): string {
  const cm = (key: string): string => length(n[key] ?? 0, wording)
  switch (code) {
    case 'gap-too-far-to-hold':
      return `At ${cm('gapCm')} a stacked body must arch ${deg(n.archDeg ?? 0)} to rest its heels. Hops and taps only; hold at ${cm('holdMaxCm')} or less.`
    case 'gap-near':
      return `At ${cm('gapCm')} feet tend to bounce off. Kick smaller, or move out a little.`
    case 'forearms-turn-in':
      return (n.turnInDeg ?? 0) > 0
        ? `This block turns the forearms in ${deg(n.turnInDeg ?? 0)}. A wider face or a second block keeps them parallel.`
        : `This block is wider than the shoulders by ${deg(-(n.turnInDeg ?? 0))} of turn-out. Take a narrower face.`
    default:
      return code
  }
}

/** What to fetch. */
export function describeProp({ kind, count: pieces, detail }: SetupProp, wording: Wording): string {
  if (kind === 'wall') return 'A clear wall'
  if (kind === 'strap') return `Strap of at least ${length(detail[0] ?? 0, wording)}`
  return `${count(pieces, 'block')}, ${detail.map((edge) => length(edge, wording)).join(' + ')} across`
}

/** The drawing in words, for anybody who cannot see it. */
export function describeScene(solution: SetupSolution, wording: Wording): string {
  const { target } = solution
  const arms = armLoad(target)
  return [
    `Side view, head towards the wall.`,
    `Arms carry about ${percent(arms.value)} of body weight.`,
    plumbSentence(target, wording),
    `Crown ${length(target.headClearanceCm, wording)} above the floor.`,
  ].join(' ')
}

/** Where the plumb line falls over the base. */
export function plumbSentence(position: Position, wording: Wording): string {
  const { forwardCm, backCm } = position.margin
  if (backCm < 0) return `The plumb line falls ${length(-backCm, wording)} behind the base.`
  if (forwardCm < 0)
    return `The plumb line falls ${length(-forwardCm, wording)} past the fingertips: the wall carries the rest.`
  return `The plumb line falls ${length(backCm, wording)} inside the rear edge of the base.`
}
