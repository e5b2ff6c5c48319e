import type { SegmentName } from '../body/anthropometry'
import { LENGTH_RATIO, SEGMENT_NAMES, TAPE_SD_CM } from '../body/anthropometry'
import { estimateBody, type BodyInput, type LengthName } from '../body/estimate'
import type { Stock } from '../props/stock'
import { solveSetup } from './catalogue'

/** How much a length would move what is laid out, if it were measured. */
export type Worth = {
  readonly length: SegmentName
  /** The placement that it moves most, and by how much for one standard deviation of the estimate, cm. */
  readonly movesCm: number
  readonly placement: string
  readonly setupId: string
}

/** A length that moves nothing by more than this is not worth a tape, cm. */
const WORTH_CM = 0.5

/**
 * Which lengths to measure, the one that moves a placement most first: each estimate is moved by its own standard
 * deviation and every setup solved again. Lengths already measured are left out, and so are those that move nothing.
 */
export function worthMeasuring(input: BodyInput, setupIds: readonly string[], stock: Stock): Worth[] {
  const body = estimateBody(input)
  if (!body.ok) return []
  const before = new Map(setupIds.map((id) => [id, placementsOf(input, id, stock)]))
  return SEGMENT_NAMES.flatMap((length): Worth[] => {
    const reading = body.value.length[length]
    if (reading.source === 'measured') return []
    const moved = { ...input, measured: { ...input.measured, [length]: reading.valueCm + reading.sdCm } }
    let best: Worth | null = null
    for (const setupId of setupIds)
      for (const [placement, valueCm] of placementsOf(moved, setupId, stock)) {
        const movesCm = Math.abs(valueCm - (before.get(setupId)?.get(placement) ?? valueCm))
        if (movesCm > (best?.movesCm ?? WORTH_CM)) best = { length, movesCm, placement, setupId }
      }
    return best ? [best] : []
  }).toSorted((a, b) => b.movesCm - a.movesCm)
}

function placementsOf(input: BodyInput, setupId: string, stock: Stock): Map<string, number> {
  const body = estimateBody(input)
  if (!body.ok) return new Map()
  const solved = solveSetup(setupId, body.value, {}, stock)
  return new Map(solved.ok ? solved.value.placements.map((p) => [p.key, p.valueCm]) : [])
}

/** Beyond this many standard deviations a measured length is asked about again, not refused. */
const DOUBT_SD = 2.5

/** A measured length that is far from what the height lets expect, with what was expected; null where it is not. */
export function doubtful(
  statureCm: number,
  length: LengthName,
  valueCm: number,
): { readonly expectedCm: number; readonly offCm: number } | null {
  if (!isSegment(length)) return null
  const expectedCm = LENGTH_RATIO[length] * statureCm
  const offCm = valueCm - expectedCm
  return Math.abs(offCm) > DOUBT_SD * Math.hypot(0.04 * expectedCm, TAPE_SD_CM) ? { expectedCm, offCm } : null
}

function isSegment(name: LengthName): name is SegmentName {
  return name in LENGTH_RATIO
}
