import { GRAVITY } from './moments'

/** What a kick or hop has still to supply. */
export type Rise = {
  /** How far the centre of mass must still rise, cm; 0 when it need not. */
  readonly riseCm: number
  readonly energyJPerKg: number
  /** Take-off speed that would carry a point that high, m/s. */
  readonly takeOffSpeedMPerS: number
}

/**
 * Energy and speed for a rise of the centre of mass, losses left out: E/m = g·h, v = √(2·g·h).
 * @param fromCm height of the centre of mass now
 * @param toCm height it must reach
 */
export function riseBetween(fromCm: number, toCm: number): Rise {
  const riseCm = Math.max(0, toCm - fromCm)
  const energyJPerKg = (GRAVITY * riseCm) / 100
  return { riseCm, energyJPerKg, takeOffSpeedMPerS: Math.sqrt(2 * energyJPerKg) }
}
