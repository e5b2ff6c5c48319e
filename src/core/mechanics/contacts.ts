import type { Share } from '../units'
import type { Point } from './point'

/** What may touch something. */
export type ContactPart =
  | 'hands'
  | 'forearms'
  | 'crown'
  | 'shoulders'
  | 'upperBack'
  | 'elbows'
  | 'seat'
  | 'knees'
  | 'shins'
  | 'toes'
  | 'feet'
  | 'wallFeet'
  | 'helper'
  | 'prop'

/** A force that may lie anywhere between two limits; `value` is the working figure. Fractions of body weight. */
export type LoadRange = { readonly value: Share; readonly min: Share; readonly max: Share }

export type Contact = {
  readonly part: ContactPart
  readonly atCm: Point
  /** Vertical force, up is positive. */
  readonly share: LoadRange
  /** Horizontal force on the body, towards the wall is positive. */
  readonly horizontalShare: LoadRange
}

/** A level patch that carries: the pressure may sit anywhere on it, `nominalCm` is where it is taken to sit. */
export type Patch = {
  readonly part: ContactPart
  readonly fromCm: number
  readonly toCm: number
  readonly nominalCm: number
  /** Height of a prop that carries; 0 is the floor. */
  readonly heightCm?: number
}

/** Feet or hands against the wall: it pushes, and rubs with up to `friction` times the push. */
export type WallSupport = {
  readonly part: ContactPart
  readonly at: Point
  readonly friction: number
  /** How much of the friction the working figure uses, −1…1; positive carries weight. */
  readonly frictionUse: number
  /** The working push where more than one patch stands on the floor and it is free to choose. */
  readonly push?: number
}

/** A helper's or a prop's steady force. */
export type GivenForce = {
  readonly part: ContactPart
  readonly at: Point
  readonly share: Share
  readonly horizontalShare: Share
}

/**
 * What holds a body up. One or two groups stand on level patches; a group of two patches shares the load that comes
 * down at `throughCm` (shoulders between forearms and crown).
 */
export type Supports = {
  readonly groups: readonly [PatchGroup] | readonly [PatchGroup, PatchGroup]
  readonly wall?: WallSupport | undefined
  readonly given?: GivenForce | undefined
  /** How the second group presses along the floor, which the first takes up; as far as both grip unless said. */
  readonly pressed?: LoadRange | undefined
  /** Which patch, counted from the first, takes the floor's horizontal force; the first one unless said. */
  readonly anchor?: number
}

/** Two patches, the one further from the wall first, and where their common load is taken to come down. */
export type PatchPair = { readonly patches: readonly [Patch, Patch]; readonly throughCm: number }

export type PatchGroup = { readonly patches: readonly [Patch] } | PatchPair

/** Group of a single patch. */
export function on(patch: Patch): PatchGroup {
  return { patches: [patch] }
}
