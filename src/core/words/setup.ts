import type { Position } from '../mechanics/position'
import type { ContactPart } from '../mechanics/contacts'
import { rigOf } from '../setups/rig'
import type { Placement, SetupProp, SetupSolution, SetupStep, SetupWarning } from '../setups/setup'
import { count, length, percent, type Wording } from './number'
import { FAULT_PHRASES } from './setup-faults'
import { BODY_WAYS, PLACEMENTS } from './setup-placements'
import { STEPS } from './setup-steps'
import { fill } from './template'

/** What a placement is called. */
export function placementLabel(key: string): string {
  return PLACEMENTS[key] ?? key
}

/** A placement's number with how far it may be off for this person. */
export function placementValue(placement: Placement, wording: Wording): string {
  const within = placement.withinCm >= 1 ? ` ± ${length(placement.withinCm, wording)}` : ''
  return `${length(placement.valueCm, wording)}${within}`
}

/** How to find the same distance without a tape, and that way's error. */
export function bodyWay({ bodyWay: way }: Placement, wording: Wording): string {
  if (!way) return 'By tape.'
  const sentence = BODY_WAYS[way.measure] ?? way.measure
  return `${fill(sentence, way.numbers, wording)} (within ${length(way.withinCm, wording)}).`
}

/** Asked for before a rig carries anybody whose setup names no test of its own. */
const PRESS_TEST = 'Lean on all of it with your full weight: nothing slides, rocks or tips.'

/**
 * How a rig is built, a step a line with a press test last whatever its setup says, and how somebody then goes in.
 * @param steps of the solved setup; none where there is no body to solve it for
 */
export function describeRig(
  steps: readonly SetupStep[],
  wording: Wording,
): { builds: string[]; goesIn: string[] } {
  const { builds, tested, goesIn } = rigOf(steps)
  const say = (list: readonly SetupStep[]): string[] => list.map((s) => describeStep(s, wording))
  return { builds: [...say(builds), ...(tested ? [] : [PRESS_TEST])], goesIn: say(goesIn) }
}

/** One step of the list, in the order it is done. */
export function describeStep({ code, numbers }: SetupStep, wording: Wording): string {
  return fill(STEPS[code] ?? code, numbers, wording)
}

const WARNINGS: Readonly<Record<string, string>> = {
  'gap-too-far-to-hold':
    'At {gapCm} a stacked body must arch {archDeg} to rest its heels. Hops and taps only; hold at {holdMaxCm} or less.',
  'crown-too-low': 'The crown clears the floor by {clearCm}; {leastCm} is the least. Add a layer.',
  'head-on-floor':
    'These arms are {shortCm} too short to carry the head clear here. That is no want of strength: lay {liftCm} under both forearms.',
  'edge-low': 'The edge is {offCm} low for a level trunk: ribs will flare. Pad it, or take a higher one.',
  'heels-very-high': 'Heels would need {heelCm}: begin on a low chair instead.',
  'platform-at-cap':
    'At {heightCm} the platform is as high as it goes and the neck still folds more than asked.',
  'seat-still-touches': 'The seat is {shortCm} short of clearing. Take the taller face.',
  'spacer-too-narrow': 'These blocks are {offCm} narrower than the gap: they drop, or the hands close in.',
  'spacer-too-wide': 'These blocks are {offCm} wider than the gap: they pinch.',
  'spread-narrow': 'At {spreadCm} the elbows must bend; {leastCm} is the least for these arms.',
  'tower-tips': 'The upper piece tips at {tipDeg}: let more of it rest on the lower one.',
  'feet-too-high': 'Feet are {offCm} higher than the upside-down hips.',
  'feet-too-low': 'Feet are {offCm} lower than the upside-down hips; standing hip height misleads.',
}

/** A warning with its numbers. */
export function describeWarning({ code, faultId, numbers }: SetupWarning, wording: Wording): string {
  if (code === 'forearms-turn-in') return turnIn(numbers, wording)
  if (code === 'below-usual' || code === 'above-usual') {
    const past = code === 'below-usual' ? 'Below' : 'Above'
    const limit = 'limitDeg' in numbers ? '{limitDeg}' : '{limitCm}'
    return fill(`${past} the usual ${limit}: expect ${FAULT_PHRASES[faultId] ?? faultId}.`, numbers, wording)
  }
  return fill(WARNINGS[code] ?? code, numbers, wording)
}

function turnIn(numbers: SetupWarning['numbers'], wording: Wording): string {
  const turnInDeg = numbers.turnInDeg ?? 0
  return turnInDeg > 0
    ? fill(
        'This block turns the forearms in {turnInDeg}. A wider face or a second block keeps them parallel.',
        { turnInDeg },
        wording,
      )
    : fill(
        'This block is wider than the shoulders by {turnInDeg} of turn-out. Take a narrower face.',
        { turnInDeg: -turnInDeg },
        wording,
      )
}

const PROP_NAMES: Readonly<Record<string, readonly [one: string, many: string]>> = {
  wall: ['a clear wall', 'clear walls'],
  mat: ['mat', 'mats'],
  block: ['block', 'blocks'],
  slab: ['slab', 'slabs'],
  strap: ['strap', 'straps'],
  chair: ['chair', 'chairs'],
  bolster: ['bolster', 'bolsters'],
  blanket: ['blanket', 'blankets'],
  cushion: ['cushion', 'cushions'],
  slider: ['slider', 'sliders'],
  tape: ['floor tape', 'floor tape'],
  bench: ['bench', 'benches'],
  wedge: ['wedge or folded mat', 'wedges'],
  grips: ['pair of grips', 'pairs of grips'],
  scarf: ['scarf', 'scarves'],
  paper: ['sheet of paper', 'sheets of paper'],
}

/** One and many of a prop, in the house's own word where it has one. */
export function propNoun(kind: string, { propNames = {} }: Wording): readonly [one: string, many: string] {
  const own = propNames[kind]
  return own === undefined ? (PROP_NAMES[kind] ?? [kind, `${kind}s`]) : [own, `${own}s`]
}

/** `2 blocks, 1 strap`; empty where nothing is. */
export function describePieces(
  pieces: readonly { readonly kind: string; readonly count: number }[],
  wording: Wording,
): string {
  return pieces.map(({ kind, count: n }) => count(n, ...propNoun(kind, wording))).join(', ')
}

/** What to fetch. */
export function describeProp({ kind, count: pieces, face, detail }: SetupProp, wording: Wording): string {
  const [one, many] = propNoun(kind, wording)
  if (kind === 'wall' || kind === 'tape') return one
  if (kind === 'strap' && detail[0] !== undefined) return `${one} of at least ${length(detail[0], wording)}`
  const sizes = detail.map((edge) => length(edge, wording)).join(' + ')
  const how = face ? `, ${face} face down` : ''
  return `${count(pieces, one, many)}${sizes === '' ? '' : ` (${sizes})`}${how}`
}

/** The drawing in words, for anybody who cannot see it. */
export function describeScene(solution: SetupSolution, wording: Wording): string {
  const { target, scene } = solution
  return [
    scene.wallX === null ? 'Side view.' : 'Side view, wall on the right.',
    `Of body weight: ${describeLoads(target)}.`,
    plumbSentence(target, wording),
    crownSentence(target.headClearanceCm, wording),
  ].join(' ')
}

/** How far the crown is from the floor; below it the arms are too short, and that is said. */
export function crownSentence(clearCm: number, wording: Wording): string {
  return clearCm >= 0
    ? `Crown ${length(clearCm, wording)} above the floor.`
    : `The arms are ${length(-clearCm, wording)} too short to carry the head clear of the floor.`
}

const PARTS: Readonly<Record<ContactPart, string>> = {
  hands: 'hands',
  forearms: 'forearms',
  crown: 'crown',
  shoulders: 'shoulders',
  upperBack: 'upper back',
  elbows: 'upper arms',
  seat: 'seat',
  knees: 'knees and shins',
  shins: 'shins',
  toes: 'toes',
  feet: 'feet',
  wallFeet: 'feet on the wall',
  helper: 'helper',
  prop: 'front of the body',
}

/** What carries the body and how much, heaviest first: “Shoulders 79 %, upper arms 21 %”. */
export function describeLoads({ contacts }: Pick<Position, 'contacts'>): string {
  const parts = contacts
    .filter(({ share }) => share.value >= 0.005)
    .toSorted((a, b) => b.share.value - a.share.value)
    .map(({ part, share }) => `${PARTS[part]} ${percent(share.value)}`)
  const sentence = parts.join(', ')
  return sentence.charAt(0).toUpperCase() + sentence.slice(1)
}

/** Where the plumb line falls over the base. */
export function plumbSentence(position: Position, wording: Wording): string {
  const { forwardCm, backCm } = position.margin
  if (backCm < 0) return `The plumb line falls ${length(-backCm, wording)} behind the base.`
  if (forwardCm < 0)
    return position.wallX === null
      ? `The plumb line falls ${length(-forwardCm, wording)} past the base.`
      : `The plumb line falls ${length(-forwardCm, wording)} past the base: the wall carries the rest.`
  return `The plumb line falls ${length(backCm, wording)} inside the rear edge of the base.`
}
