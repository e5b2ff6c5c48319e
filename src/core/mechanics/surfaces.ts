import type { Body } from '../body/estimate'
import { armsOnForearms, straightArms, type Facing } from './pose'
import type { Skeleton } from './skeleton'
import type { Patch } from './contacts'

/** Finger roots, as a fraction of the hand from the wrist crease: beyond them fingers steer but hardly carry. */
const FINGER_ROOTS = 0.6
/** Pressure of a flat hand, as a fraction of the hand from the wrist crease. */
const PALM = 0.25

/**
 * Where hands carry: from the heel of the hand (x = 0) to the finger roots, pressure taken a quarter of a hand in,
 * where the heel and the root of the palm share it. Taking it at the wrist crease instead adds about 2 points to a
 * plank's arm load.
 * @param pointing 1 with the fingers towards the wall, −1 away from it
 */
export function handPatch(body: Body, pointing: Facing = 1, heightCm = 0): Patch {
  const hand = body.length.hand.valueCm
  const end = pointing * FINGER_ROOTS * hand
  return {
    part: 'hands',
    fromCm: Math.min(0, end),
    toCm: Math.max(0, end),
    nominalCm: pointing * PALM * hand,
    heightCm,
  }
}

/**
 * Where forearms carry: from the elbow (x = 0) to the finger roots. Load is taken to fall off evenly from elbow to
 * wrist, so its centre lies a third of the way along, and to follow the shoulders when they lean past the elbows.
 * Taking it at the elbow instead adds about 6 points to a dolphin's arm load.
 */
export function forearmPatch(body: Body, shoulderX: number, pointing: Facing = 1, heightCm = 0): Patch {
  const forearm = body.length.forearm.valueCm
  const reach = forearm + FINGER_ROOTS * body.length.hand.valueCm
  const nominal = Math.min(reach, Math.max(0, forearm / 3 + pointing * shoulderX))
  return {
    part: 'forearms',
    fromCm: pointing === 1 ? 0 : -reach,
    toCm: pointing === 1 ? reach : 0,
    nominalCm: pointing * nominal,
    heightCm,
  }
}

/** Base of balance on hands: heel of the hand to fingertips. */
export function handBase(body: Body, pointing: Facing = 1): { fromCm: number; toCm: number } {
  return span(body.length.hand.valueCm, pointing)
}

/** Base of balance on forearms: elbow to fingertips. */
export function forearmBase(body: Body, pointing: Facing = 1): { fromCm: number; toCm: number } {
  return span(body.length.forearm.valueCm + body.length.hand.valueCm, pointing)
}

function span(length: number, pointing: Facing): { fromCm: number; toCm: number } {
  return pointing === 1 ? { fromCm: 0, toCm: length } : { fromCm: -length, toCm: 0 }
}

export type ArmKind = 'hands' | 'forearms'

/** Arms standing on a level surface with the shoulders a lean past upright, and what they carry on. */
export function armSupport(
  body: Body,
  kind: ArmKind,
  shoulderLeanDeg: number,
  heightCm = 0,
): {
  arms: Pick<Skeleton, 'elbow' | 'wrist' | 'fingertip' | 'shoulder'>
  patch: Patch
  base: { fromCm: number; toCm: number }
} {
  const flat =
    kind === 'forearms' ? armsOnForearms(body, shoulderLeanDeg) : straightArms(body, shoulderLeanDeg)
  const up = (p: { x: number; y: number }): { x: number; y: number } => ({ x: p.x, y: p.y + heightCm })
  const arms =
    heightCm === 0
      ? flat
      : {
          elbow: up(flat.elbow),
          wrist: up(flat.wrist),
          fingertip: up(flat.fingertip),
          shoulder: up(flat.shoulder),
        }
  return kind === 'forearms'
    ? { arms, patch: forearmPatch(body, arms.shoulder.x, 1, heightCm), base: forearmBase(body) }
    : { arms, patch: handPatch(body, 1, heightCm), base: handBase(body) }
}

/** A point-like contact. */
export function pointPatch(part: Patch['part'], atCm: number, heightCm = 0): Patch {
  return { part, fromCm: atCm, toCm: atCm, nominalCm: atCm, heightCm }
}

/** A contact that may move a little to both sides of where it is taken to be. */
export function patchAround(part: Patch['part'], atCm: number, halfCm: number, heightCm = 0): Patch {
  return { part, fromCm: atCm - halfCm, toCm: atCm + halfCm, nominalCm: atCm, heightCm }
}
