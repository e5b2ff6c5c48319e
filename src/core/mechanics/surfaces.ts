import type { Body } from '../body/estimate'
import type { Patch } from './statics'

/**
 * Where hands carry: from the heel of the hand (x = 0) to the finger roots, pressure taken a quarter of a hand in,
 * where the heel and the root of the palm share it. Taking it at the wrist crease instead adds about 2 points to a
 * plank's arm load.
 */
export function handPatch(body: Body): Patch {
  const hand = body.length.hand.valueCm
  return { part: 'hands', fromCm: 0, toCm: 0.6 * hand, nominalCm: 0.25 * hand }
}

/**
 * Where forearms carry: from the elbow (x = 0) to the finger roots. Load is taken to fall off evenly from elbow to
 * wrist, so its centre lies a third of the way along, and to follow the shoulders when they lean past the elbows.
 * Taking it at the elbow instead adds about 6 points to a dolphin's arm load.
 */
export function forearmPatch(body: Body, shoulderX: number): Patch {
  const forearm = body.length.forearm.valueCm
  const toCm = forearm + 0.6 * body.length.hand.valueCm
  return {
    part: 'forearms',
    fromCm: 0,
    toCm,
    nominalCm: Math.min(toCm, Math.max(0, forearm / 3 + shoulderX)),
  }
}

/** Base of balance on hands: heel of the hand to fingertips. */
export function handBase(body: Body): { fromCm: number; toCm: number } {
  return { fromCm: 0, toCm: body.length.hand.valueCm }
}

/** Base of balance on forearms: elbow to fingertips. */
export function forearmBase(body: Body): { fromCm: number; toCm: number } {
  return { fromCm: 0, toCm: body.length.forearm.valueCm + body.length.hand.valueCm }
}

/** A point-like contact. */
export function pointPatch(part: Patch['part'], atCm: number): Patch {
  return { part, fromCm: atCm, toCm: atCm, nominalCm: atCm }
}
