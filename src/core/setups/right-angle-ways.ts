import { derivedLengths, type DerivedLengths } from '../body/derived'
import type { Body } from '../body/estimate'
import { contactOf } from '../mechanics/position'
import { solvePosition } from '../mechanics/positions/catalogue'

/** Customary ways to find where the heels of the hands go for a right angle at the wall (props.md M-list). */
export const METHODS = ['M3', 'M9', 'M9-pointed', 'M4'] as const
export type Method = (typeof METHODS)[number]

/**
 * Heel of the hand to wall by one of the ways, cm.
 * M3 seated leg length beside the hips; M9 hands and knees with the soles at the wall, or with the feet pointed;
 * M4 standing at arm's length, hands in front of the feet.
 */
export function lineFromWall(body: Body, lengths: DerivedLengths, method: Method): number {
  const { shank, trunk, foot } = body.length
  switch (method) {
    case 'M3':
      return lengths.seatedLeg.valueCm
    case 'M9':
      return lengths.handsAndKnees.valueCm
    case 'M9-pointed':
      // The ankle height becomes the length of the pointed foot in front of the ankle.
      return shank.valueCm + trunk.valueCm + 0.9 * foot.valueCm
    case 'M4':
      return lengths.armReach.valueCm + foot.valueCm
  }
}

export type Way = {
  readonly method: Method
  readonly lineCm: number
  /** Trunk past upright, degrees: 0 puts the hips over the wrists. null where the body cannot do it. */
  readonly trunkLeanDeg: number | null
  readonly hipFlexionDeg: number | null
  readonly shoulderMomentNmPerKg: number | null
  readonly handShare: number | null
  /** Further from the wall than the recommended way. */
  readonly missCm: number
}

/**
 * The customary ways side by side on one body, feet at the height of the upside-down hip.
 * @returns every way with what it does to trunk, hips and shoulders; `recommended` has the hips nearest to over the wrists
 */
export function compareWays(body: Body): { ways: readonly Way[]; recommended: Method } {
  const lengths = derivedLengths(body)
  const solved = METHODS.map((method) => {
    const lineCm = lineFromWall(body, lengths, method)
    const position = solvePosition('right-angle-hands', body, {
      handDistanceCm: lineCm,
      hipRangeDeg: 170,
      shoulderRangeDeg: 190,
    })
    return { method, lineCm, position: position.ok ? position.value : null }
  })
  const lean = (way: (typeof solved)[number]): number =>
    Math.abs(way.position?.angles.trunkLeanDeg ?? Infinity)
  const best = solved.reduce((a, b) => (lean(b) < lean(a) - 1e-9 ? b : a))
  return {
    recommended: best.method,
    ways: solved.map(({ method, lineCm, position }) => ({
      method,
      lineCm,
      trunkLeanDeg: position?.angles.trunkLeanDeg ?? null,
      hipFlexionDeg: position?.angles.hipFlexionDeg ?? null,
      shoulderMomentNmPerKg: position?.shoulderMomentNmPerKg ?? null,
      handShare: position ? (contactOf(position, 'hands')?.share.value ?? null) : null,
      missCm: lineCm - best.lineCm,
    })),
  }
}
