import { GRAVITY } from '../mechanics/moments'
import { armLoad, type Position } from '../mechanics/position'
import { BREATH_S } from '../practice/dose'
import { enduranceAt, intensityFor, LONG_HOLD_S, type Joint } from './compartments'

/**
 * How far a shoulder girdle, a hand or a trunk must steady what passes straight through it, m: muscles hold the blade,
 * the palm and the waist even where the net moment is nought. Leaving it out would make a stacked handstand free.
 */
const STEADYING_M: Readonly<Record<Joint, number>> = { shoulder: 0.03, elbow: 0.015, trunk: 0.02, grip: 0.01 }

/** What a position asks of a joint: net moment and the load to be steadied, N·m per kg of body. */
export function jointLoad(position: Position, joint: Joint): number {
  const arms = armLoad(position).value
  const steadied = STEADYING_M[joint] * GRAVITY
  switch (joint) {
    case 'shoulder':
      return Math.abs(position.shoulderMomentNmPerKg) + arms * steadied
    case 'elbow':
      return Math.abs(position.elbowMomentNmPerKg) + arms * steadied
    case 'grip':
      return Math.abs(position.wristMomentNmPerKg) + arms * steadied
    case 'trunk':
      return Math.abs(waistMoment(position)) + steadied
  }
}

/** Gravity on the legs and pelvis about the waist: what holds the middle of a plank, a boat or a pike. */
function waistMoment({ skeleton, body }: Position): number {
  const { waist, hip, legs } = skeleton
  const { thigh, shank, foot } = body.mass
  let sum = 0
  for (const leg of legs) {
    sum += thigh.mass * (hip.x + (leg.knee.x - hip.x) * thigh.com - waist.x)
    sum += shank.mass * (leg.knee.x + (leg.ankle.x - leg.knee.x) * shank.com - waist.x)
    sum += foot.mass * (leg.heel.x + (leg.toe.x - leg.heel.x) * foot.com - waist.x)
  }
  return (sum * GRAVITY) / 100
}

/**
 * Shapes between which a hold may be carried over: the same support, the same limbs, only the measures differ. Between
 * others friction on the floor, which nobody measures, moves the moment at the shoulder by more than the shapes do.
 */
const ALIKE: readonly RegExp[] = [
  /^dolphin(-leg-lifted|-wide|-raised|-at-corner)?$/,
  /^(forearm-plank|forearm-plank-.*)$/,
  /^(high-plank|knee-plank|incline-plank|plank-.*)$/,
  /^(down-dog.*|short-down-dog.*)$/,
  /^right-angle-hands.*$/,
  /^right-angle-forearms.*$/,
  /^forearm-stand-.*$/,
  /^handstand-.*$/,
  /^headstand-(?!head-free).*$/,
]

/** Whether a hold of one shape says anything of another. */
export function sameDemand(observed: string, asked: string): boolean {
  return observed === asked || ALIKE.some((alike) => alike.test(observed) && alike.test(asked))
}

/** A hold somebody made: how long, and what the shape asked of the joint. */
export type ObservedHold = { readonly loadNmPerKg: number; readonly seconds: number }

/** What those muscles can give fresh, N·m per kg of body, with its interval. */
export type Capacity = { readonly value: number; readonly low: number; readonly high: number }

/**
 * Seldom does a hold end at the muscles' last second, and days differ: the capacity read from one hold may be this
 * much more or less.
 */
const HOLD_SPREAD = 0.15

/** Capacity of a joint's muscles from an observed hold, taken as the most that could be held. */
export function capacityFrom(joint: Joint, { loadNmPerKg, seconds }: ObservedHold): Capacity {
  const value = loadNmPerKg / intensityFor(joint, seconds)
  return { value, low: value * (1 - HOLD_SPREAD), high: value * (1 + HOLD_SPREAD) }
}

export type PredictedHold = {
  readonly seconds: number
  readonly lowS: number
  readonly highS: number
  /** What the shape asks as a share of capacity. */
  readonly intensity: number
  /** Longer than the model speaks of. */
  readonly endless: boolean
}

/** How long another shape may be held, with its interval; advice only, gates decide. */
export function predictHold(joint: Joint, capacity: Capacity, loadNmPerKg: number): PredictedHold {
  const at = (strength: number): number => enduranceAt(joint, loadNmPerKg / strength)
  const seconds = at(capacity.value)
  return {
    seconds,
    lowS: at(capacity.low),
    highS: at(capacity.high),
    intensity: loadNmPerKg / capacity.value,
    endless: seconds >= LONG_HOLD_S,
  }
}

/** Breaths to seconds by the student's own breath. */
export function secondsOf(breaths: number, breathS: number = BREATH_S): number {
  return breaths * breathS
}
