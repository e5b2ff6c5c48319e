import type { Share } from '../units'
import type { Point } from './point'
import { centreOf, isArm, type Particle } from './skeleton'

/** Standard gravity, m/s². */
export const GRAVITY = 9.80665

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

/** A patch of floor that carries: the pressure may sit anywhere on it, `nominal` is where it is taken to sit. */
export type Patch = {
  readonly part: ContactPart
  readonly fromCm: number
  readonly toCm: number
  readonly nominalCm: number
}

const NONE: LoadRange = { value: 0, min: 0, max: 0 }

/**
 * Two patches on a level floor carry a body at rest: moments about one give the load on the other.
 * The range comes from where on each patch the pressure may sit.
 * @param centreX plumb line of the centre of mass, cm
 */
export function twoSupports(centreX: number, rear: Patch, front: Patch): [Contact, Contact] {
  const frontShare = (r: number, f: number): number => clampShare((centreX - r) / (f - r))
  const corners = [rear.fromCm, rear.toCm].flatMap((r) =>
    [front.fromCm, front.toCm].map((f) => frontShare(r, f)),
  )
  const nominal = frontShare(rear.nominalCm, front.nominalCm)
  const min = Math.min(...corners, nominal)
  const max = Math.max(...corners, nominal)
  return [
    {
      part: rear.part,
      atCm: { x: rear.nominalCm, y: 0 },
      share: { value: 1 - nominal, min: 1 - max, max: 1 - min },
      horizontalShare: NONE,
    },
    {
      part: front.part,
      atCm: { x: front.nominalCm, y: 0 },
      share: { value: nominal, min, max },
      horizontalShare: NONE,
    },
  ]
}

/** One patch carries everything. */
export function singleSupport(patch: Patch): Contact {
  return {
    part: patch.part,
    atCm: { x: patch.nominalCm, y: 0 },
    share: { value: 1, min: 1, max: 1 },
    horizontalShare: NONE,
  }
}

/**
 * A patch on the floor and a point on the wall carry a body that leans.
 * Unknown are where on the patch the pressure sits and how much the wall's friction carries, so wall push,
 * friction and floor load are ranges. With pressure p and friction f (up), moments about (p, 0) give
 * push × height = (centre − p) − f × (wall − p), and |f| ≤ friction × push.
 * @param wall where the feet meet the wall, cm
 * @param friction coefficient between feet and wall
 */
export function floorAndWall(
  centreX: number,
  patch: Patch,
  wall: Point,
  friction: number,
): [Contact, Contact] {
  const pushAt = (pressure: number, useOfFriction: number): number =>
    Math.max(0, (centreX - pressure) / (wall.y + useOfFriction * friction * (wall.x - pressure)))
  const nominal = pushAt(patch.nominalCm, 0)
  const cases = [patch.fromCm, patch.toCm].flatMap((p) =>
    [-1, 0, 1].map((use) => ({ push: pushAt(p, use), lift: use * friction * pushAt(p, use) })),
  )
  const pushes = cases.map((c) => c.push)
  const lifts = cases.map((c) => c.lift)
  const push = { value: nominal, min: Math.min(...pushes, nominal), max: Math.max(...pushes, nominal) }
  const lift = { value: 0, min: Math.min(...lifts, 0), max: Math.max(...lifts, 0) }
  return [
    {
      part: patch.part,
      atCm: { x: patch.nominalCm, y: 0 },
      share: { value: 1, min: 1 - lift.max, max: 1 - lift.min },
      horizontalShare: push,
    },
    {
      part: 'wallFeet',
      atCm: wall,
      share: lift,
      horizontalShare: { value: -push.value, min: -push.max, max: -push.min },
    },
  ]
}

/**
 * Net moment at the shoulders from the body's side: gravity on everything but the arms, and any contact beyond
 * the shoulder. Counter-clockwise (turning the trunk away from the wall) is positive, N·m per kg of body.
 */
export function shoulderMomentFromBody(
  parts: readonly Particle[],
  shoulder: Point,
  beyond: readonly Contact[],
): number {
  const body = parts.filter((part) => !isArm(part))
  const mass = body.reduce((sum, part) => sum + part.mass, 0)
  const gravity = -mass * (centreOf(body).x - shoulder.x)
  return newtonMetres(gravity + contactMoment(beyond, shoulder))
}

/** The same moment from the floor's side: arm contact and the arms' own weight. Equal and opposite by Newton. */
export function shoulderMomentFromFloor(
  parts: readonly Particle[],
  shoulder: Point,
  arms: readonly Contact[],
): number {
  const gravity = parts.filter(isArm).reduce((sum, part) => sum - part.mass * (part.at.x - shoulder.x), 0)
  return newtonMetres(gravity + contactMoment(arms, shoulder))
}

function contactMoment(contacts: readonly Contact[], about: Point): number {
  return contacts.reduce(
    (sum, { atCm, share, horizontalShare }) =>
      sum + (atCm.x - about.x) * share.value - (atCm.y - about.y) * horizontalShare.value,
    0,
  )
}

/** Body weights × cm to N·m per kg. */
function newtonMetres(shareCm: number): number {
  return (shareCm / 100) * GRAVITY
}

function clampShare(share: number): number {
  return Math.min(1, Math.max(0, share))
}
