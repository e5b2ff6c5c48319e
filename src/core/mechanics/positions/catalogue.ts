import type { Body } from '../../body/estimate'
import { refused, type Result } from '../../result'
import { obstacle } from '../obstacles'
import { fillParameters, type Parameters } from '../parameters'
import type { Position, PositionRefusal, PositionSpec } from '../position'
import { ARM_BALANCES } from './arm-balance'
import { DOLPHINS } from './dolphin'
import { DOWN_DOGS } from './down-dog'
import { FLOOR } from './floor'
import { HEADSTANDS } from './headstand'
import { PLANKS } from './plank'
import { AT_THE_WALL } from './right-angle'
import { SHOULDER_STANDS } from './shoulder-stand'
import { FOREARM_STANDS, HANDSTANDS } from './stand'

/** Every position that can be solved, family by family. */
export const POSITIONS: readonly PositionSpec[] = [
  ...FLOOR,
  ...PLANKS,
  ...DOLPHINS,
  ...DOWN_DOGS,
  ...AT_THE_WALL,
  ...FOREARM_STANDS,
  ...HANDSTANDS,
  ...HEADSTANDS,
  ...ARM_BALANCES,
  ...SHOULDER_STANDS,
]

const BY_ID: ReadonlyMap<string, PositionSpec> = new Map(POSITIONS.map((spec) => [spec.id, spec]))

/** A position by its id; undefined where nothing is called so. */
export function findPosition(id: string): PositionSpec | undefined {
  return BY_ID.get(id)
}

/**
 * Solves a position by its id: fills usual values, checks every parameter against its range, refuses what it does not know.
 * Refuses also what no body can do: parts in the floor or the wall, knees bent backwards.
 * @param given parameters to set; the rest take their usual value for this body
 */
export function solvePosition(
  id: string,
  body: Body,
  given: Parameters = {},
): Result<Position, PositionRefusal> {
  const spec = BY_ID.get(id)
  if (!spec) return refused({ code: 'unknown-position', id })
  const filled = fillParameters(spec.parameters, body, given)
  const solved = filled.ok ? spec.solve(body, filled.value) : filled
  const blocked = solved.ok ? obstacle(solved.value) : null
  return blocked ? refused(blocked) : solved
}
