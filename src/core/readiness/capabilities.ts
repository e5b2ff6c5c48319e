import type { Drill, Fault } from '../practice/schema'

export type Capability = keyof Drill['for']
export type Cause = Fault['causes'][number]

/** Which checks tell on which capability (drills-and-checks.md B.8); head clearance is read from the dolphin hold. */
const CHECKS: Partial<Readonly<Record<Capability, readonly string[]>>> = {
  WS: ['CK-heel-lift', 'CK-fingertip-lift', 'CK-crow-hold'],
  WE: ['CK-wrist-extension'],
  SP: [
    'CK-dolphin-hold',
    'CK-head-clear',
    'CK-dolphin-rock',
    'CK-short-dog',
    'CK-l-hold',
    'CK-leg-lift-forearm',
    'CK-leg-lift-hands',
  ],
  SF: ['CK-shoulder-flexion', 'CK-forearm-overhead', 'CK-strap-width'],
  SR: ['CK-prone-press', 'CK-backs-reach', 'CK-elbow-drift'],
  UB: ['CK-upper-back'],
  BT: ['CK-elbow-press', 'CK-pushup-knees', 'CK-low-pushup-hold'],
  CC: ['CK-reverse-curl', 'CK-lolasana', 'CK-tuck-hold'],
  HB: ['CK-hollow', 'CK-pelvic-set', 'CK-plank-hold', 'CK-forearm-plank'],
  HH: ['CK-walk-in', 'CK-forward-fold', 'CK-squat'],
  HX: ['CK-lolasana', 'CK-reverse-curl'],
  NK: [
    'CK-neck-range',
    'CK-neck-isometric',
    'CK-light-head-load',
    'CK-head-hover',
    'CK-neck-flexion',
    'CK-neck-rotation',
  ],
  BC: ['CK-offwall', 'CK-one-toe-crow', 'CK-wall-hold'],
  KD: ['CK-kick-height', 'CK-hips-over', 'CK-both-leads'],
  CF: ['CK-exit-rehearsed', 'CK-slow-exit'],
  HR: ['CK-lotus-hips', 'CK-lotus-curl'],
}

/** Checks that tell on a capability. */
export function checksOf(capability: Capability): readonly string[] {
  return CHECKS[capability] ?? []
}

/** A drill that trains a capability less than this hardly covers it. */
export const COVERS_FROM = 2

/**
 * What a shortage of a capability shows as: too little force, too little range, or not yet the knack of it. Confidence is
 * none of them: it is asked privately and never told beside a name (ruling 10).
 */
export const SHOWS_AS: Readonly<Partial<Record<Capability, Cause>>> = {
  WS: 'strength',
  SP: 'strength',
  BT: 'strength',
  CC: 'strength',
  HB: 'strength',
  OB: 'strength',
  HX: 'strength',
  NK: 'strength',
  WE: 'mobility',
  SF: 'mobility',
  UB: 'mobility',
  HH: 'mobility',
  HR: 'mobility',
  SR: 'technique',
  BC: 'technique',
  KD: 'technique',
}
