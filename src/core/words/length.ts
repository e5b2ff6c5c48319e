import type { BodyRefusal } from '../body/estimate'
import { formatStature, type LengthRefusal } from '../units'
import { length, METRIC, plain, type Wording } from './number'

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
  if (refusal.code === 'lengths-contradict')
    return `${segmentName(refusal.segment)} of ${length(refusal.valueCm, wording)} does not fit the other lengths, which make ${length(refusal.otherCm, wording)} of it. Which of them is a slip?`
  return `${segmentName(refusal.segment)} of ${length(refusal.valueCm, wording)} does not fit this height (${length(refusal.minCm, wording)} to ${length(refusal.maxCm, wording)}). Which line did you use? Measure again?`
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
  armGirth: 'Round the upper arm, above the elbow',
  headWidth: 'Head width',
}

/** A segment's name on screen. */
export function segmentName(segment: string): string {
  return SEGMENT_NAMES[segment] ?? segment
}
