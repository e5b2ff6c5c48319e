import type { Point } from './point'
import { centreOf, isArm, type Particle } from './skeleton'
import type { Contact, ContactPart } from './contacts'

/** Standard gravity, m/s². */
export const GRAVITY = 9.80665

const ARM_PARTS: ReadonlySet<ContactPart> = new Set(['hands', 'forearms', 'elbows'])

/** Whether a contact meets the floor on the arm's side of the shoulder. */
export function isArmContact({ part }: Pick<Contact, 'part'>): boolean {
  return ARM_PARTS.has(part)
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

/**
 * The moment that the floor and the weight of the arm put on a joint of the arm, over everything on the floor's side of
 * it. Taken at the shoulder it is equal and opposite to the body's side, by Newton.
 * @param hanging the segments between the joint and the floor
 */
export function jointMomentFromFloor(
  hanging: readonly Particle[],
  joint: Point,
  contacts: readonly Contact[],
): number {
  let gravity = 0
  for (const { at, mass } of hanging) gravity -= mass * (at.x - joint.x)
  return newtonMetres(gravity + contactMoment(contacts, joint))
}

/**
 * Least and most of the moment at a joint of the arm, as far as horizontal forces that statics leave open move it.
 * @param value the working figure, N·m per kg
 */
export function momentRange(
  value: number,
  joint: Point,
  contacts: readonly Contact[],
): { readonly min: number; readonly max: number } {
  let [min, max] = [value, value]
  for (const { atCm, horizontalShare } of contacts) {
    const lever = joint.y - atCm.y
    const ends = [horizontalShare.min, horizontalShare.max].map((end) =>
      newtonMetres(lever * (end - horizontalShare.value)),
    )
    min += Math.min(...ends)
    max += Math.max(...ends)
  }
  return { min, max }
}

function contactMoment(contacts: readonly Contact[], about: Point): number {
  let sum = 0
  for (const { atCm, share, horizontalShare } of contacts)
    sum += (atCm.x - about.x) * share.value - (atCm.y - about.y) * horizontalShare.value
  return sum
}

/** Body weights × cm to N·m per kg. */
function newtonMetres(shareCm: number): number {
  return (shareCm / 100) * GRAVITY
}
