import type { BodyRefusal } from '../body/estimate'
import type { ReachRefusal } from '../mechanics/linkage'
import type { SetupRefusal } from '../setups/setup'
import { formatStature, type LengthRefusal } from '../units'
import { PARAMETER_LABELS } from './parameter-labels'
import { count, deg, length, METRIC, plain, type Wording } from './number'

/** What a refused length says beside its field. */
export function describeLength(refusal: LengthRefusal, wording: Wording = METRIC): string {
  switch (refusal.code) {
    case 'length-empty':
      return 'Type a length, for example 168 cm or 5\'6".'
    case 'length-not-a-number':
      return `“${refusal.typed.slice(0, 24)}” is not a length. Try 168, 168.5 cm or 5'6".`
    case 'length-inches-over-foot':
      return `${plain(refusal.inches)} inches are more than a foot. Inches after feet go from 0 to 11.`
    case 'length-out-of-range':
      return `${length(refusal.cm, wording)} is outside ${length(refusal.minCm, wording)} to ${length(refusal.maxCm, wording)}. Measure again?`
  }
}

/** What a refused body says. */
export function describeBody(refusal: BodyRefusal, wording: Wording = METRIC): string {
  if (refusal.code === 'stature-implausible')
    return `A height of ${plain(refusal.statureCm)} cm is outside ${formatStature(refusal.minCm, wording.units)} to ${formatStature(refusal.maxCm, wording.units)}. Check it for a slip.`
  return `${segmentName(refusal.segment)} of ${length(refusal.valueCm, wording)} does not fit this height (${length(refusal.minCm, wording)} to ${length(refusal.maxCm, wording)}). Which line did you use? Measure again?`
}

/** What a setup or position that cannot be done says, and what to change. */
export function describeSetup(refusal: SetupRefusal, wording: Wording = METRIC): string {
  switch (refusal.code) {
    case 'unknown-setup':
    case 'unknown-position':
      return `There is nothing called “${refusal.id}” here.`
    case 'unknown-parameter':
      return `“${refusal.key}” cannot be set here. Known: ${refusal.known.join(', ')}.`
    case 'parameter-out-of-range':
      return `${parameterName(refusal.key)} of ${plain(refusal.value)} is outside ${plain(refusal.min)} to ${plain(refusal.max)}.`
    case 'no-blocks':
      return `This needs ${count(refusal.needed, 'block')}; ${refusal.inStock === 0 ? 'none is' : `${refusal.inStock} ${refusal.inStock === 1 ? 'is' : 'are'}`} in the cupboard. Add some in Studio or pick another setup.`
    case 'not-in-stock':
      return `This needs ${refusal.needed} × ${refusal.prop.replace('-', ' ')}; the cupboard has ${refusal.inStock} that will do.`
    case 'stack-too-low':
      return `The stack must reach ${length(refusal.neededCm, wording)}; what is in the cupboard reaches ${length(refusal.reachedCm, wording)} safely.`
    case 'rig-without-overlap':
      return `The upper block rests on ${length(refusal.overlapCm, wording)} of the lower one; ${length(refusal.leastCm, wording)} is the least. A tower like that is not built.`
    case 'cannot-balance':
      return `No lean brings the plumb line over the hands here. Change: ${parameterName(refusal.key)}.`
    case 'legs-do-not-reach':
    case 'arms-do-not-reach':
    case 'trunk-does-not-reach':
      return describeReach(refusal.code, refusal.key, refusal.reach, wording)
    case 'joint-out-of-range':
      return `This would need ${deg(refusal.neededDeg)} at the ${refusal.joint}; ${deg(refusal.availableDeg)} is what there is. Change: ${parameterName(refusal.change)}.`
    case 'wall-out-of-reach':
      return `The wall is ${length(refusal.elbowToWallCm, wording)} from the elbows and the heels reach ${length(refusal.reachCm, wording)}. Come nearer.`
  }
}

function describeReach(code: string, key: string, reach: ReachRefusal, wording: Wording): string {
  const what =
    code === 'legs-do-not-reach' ? 'The legs' : code === 'arms-do-not-reach' ? 'The arms' : 'The trunk'
  return reach.code === 'too-far'
    ? `${what} reach ${length(reach.reachCm, wording)} and ${length(reach.neededCm, wording)} are needed. Shorten: ${parameterName(key)}.`
    : `${what} cannot fold into ${length(reach.neededCm, wording)}; ${length(reach.leastCm, wording)} is the least. Lengthen: ${parameterName(key)}.`
}

/** A parameter's or option's name on screen. */
function parameterName(key: string): string {
  return PARAMETER_LABELS[key] ?? key
}

const SEGMENT_NAMES: Record<string, string> = {
  upperArm: 'Upper arm',
  forearm: 'Forearm',
  hand: 'Hand',
  trunk: 'Trunk',
  headNeck: 'Head and neck',
  thigh: 'Thigh',
  shank: 'Shin',
  ankleHeight: 'Ankle height',
  foot: 'Foot',
  shoulderBreadth: 'Shoulder breadth',
  hipBreadth: 'Hip breadth',
  seatedLeg: 'Seated leg length',
  armReach: 'Arm’s reach',
  elbowToFingertip: 'Elbow to fingertip',
  innerLeg: 'Inner leg',
  jointWidth: 'Shoulder joint to shoulder joint',
  thumb: 'Thumb',
  handBreadth: 'Hand breadth',
  headWidth: 'Head width',
}

/** A segment's name on screen. */
export function segmentName(segment: string): string {
  return SEGMENT_NAMES[segment] ?? segment
}
