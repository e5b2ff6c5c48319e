import type { Inertia, MassSegment } from './anthropometry'
import type { Body } from './estimate'

/**
 * How mass may lie on the same bones. Nobody is judged by eye: figures are shown as a range over all of them, and a
 * student may narrow it for themselves.
 */
export const BUILDS = ['even', 'fuller-trunk', 'fuller-hips-and-legs'] as const
export type Build = (typeof BUILDS)[number]

/**
 * Part of the whole body's mass that a fuller build carries elsewhere. 4 % is about 3 kg of a middling adult:
 * enough to move a plank's arm load by about one point and a half each way.
 */
const BUILD_SHIFT = 0.04

/** The same bones with mass moved between the trunk and the hips and legs. */
export function withBuild(body: Body, build: Build): Body {
  if (build === 'even') return body
  const toLegs = build === 'fuller-hips-and-legs' ? BUILD_SHIFT / 2 : -BUILD_SHIFT / 2
  return { ...body, mass: shiftMass(body.mass, toLegs) }
}

/**
 * Moves a share of the whole mass from the trunk to the thighs; as much again moves within the trunk, between its
 * middle and the hip joint. Negative moves it up.
 */
export function shiftMass(
  mass: Readonly<Record<MassSegment, Inertia>>,
  toLegs: number,
): Readonly<Record<MassSegment, Inertia>> {
  const { trunk, thigh } = mass
  return {
    ...mass,
    trunk: { mass: trunk.mass - toLegs, com: trunk.com + toLegs },
    thigh: { mass: thigh.mass + toLegs / 2, com: thigh.com },
  }
}
