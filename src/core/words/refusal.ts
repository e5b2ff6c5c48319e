import type { BodyRefusal } from '../body/estimate'
import type { ReachRefusal } from '../mechanics/linkage'
import type { SetupRefusal } from '../setups/setup'
import { formatStature, type LengthRefusal } from '../units'
import { deg, length, METRIC, plain, type Wording } from './number'

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
    case 'option-out-of-range':
      return `${parameterName(refusal.key)} of ${plain(refusal.value)} is outside ${plain(refusal.min)} to ${plain(refusal.max)}.`
    case 'no-blocks':
      return 'This needs a block and none is in the cupboard. Add one in Studio or pick the strap.'
    case 'legs-do-not-reach':
    case 'arms-do-not-reach':
      return describeReach(refusal.code, refusal.key, refusal.reach, wording)
    case 'joint-out-of-range':
      return `This would need ${deg(refusal.neededDeg)} at the ${refusal.joint}; ${deg(refusal.availableDeg)} is what there is. Change: ${parameterName(refusal.change)}.`
    case 'wall-out-of-reach':
      return `The wall is ${length(refusal.elbowToWallCm, wording)} from the elbows and the heels reach ${length(refusal.reachCm, wording)}. Come nearer.`
  }
}

function describeReach(code: string, key: string, reach: ReachRefusal, wording: Wording): string {
  const what = code === 'legs-do-not-reach' ? 'The legs' : 'The arms'
  return reach.code === 'too-far'
    ? `${what} reach ${length(reach.reachCm, wording)} and ${length(reach.neededCm, wording)} are needed. Shorten: ${parameterName(key)}.`
    : `${what} cannot fold into ${length(reach.neededCm, wording)}; ${length(reach.leastCm, wording)} is the least. Lengthen: ${parameterName(key)}.`
}

const PARAMETER_NAMES: Record<string, string> = {
  wallGapCm: 'Block to wall',
  toeDistanceCm: 'Feet from the elbows',
  kneeBendDeg: 'Knee bend',
  shoulderLeanDeg: 'Shoulder lean',
  fingertipGapCm: 'Fingertips to wall',
  depthCm: 'Depth',
  shoulderOffsetCm: 'Shoulders ahead of the wrists',
  archShare: 'Arch',
}

function parameterName(key: string): string {
  return PARAMETER_NAMES[key] ?? key
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
}

/** A segment's name on screen. */
export function segmentName(segment: string): string {
  return SEGMENT_NAMES[segment] ?? segment
}
