import type { Body } from '../../body/estimate'
import { ok, refused, type Result } from '../../result'
import type { Parameters, Position, PositionRefusal, PositionSpec } from '../position'
import { DOLPHIN } from './dolphin'
import { FOREARM_HEELS_ON_WALL, FOREARM_KICK_START, FOREARM_STRAIGHT } from './forearm-stand'
import { HIGH_PLANK, KNEE_PLANK } from './plank'

/** Every position that can be solved, in the order of the list in docs/method/mechanics.md. */
export const POSITIONS: readonly PositionSpec[] = [
  HIGH_PLANK,
  KNEE_PLANK,
  DOLPHIN,
  FOREARM_KICK_START,
  FOREARM_STRAIGHT,
  FOREARM_HEELS_ON_WALL,
]

/**
 * Solves a position by its id: fills usual values, checks every parameter against its range, refuses what it does not know.
 * @param given parameters to set; the rest take their usual value for this body
 */
export function solvePosition(
  id: string,
  body: Body,
  given: Parameters = {},
): Result<Position, PositionRefusal> {
  const spec = POSITIONS.find((position) => position.id === id)
  if (!spec) return refused({ code: 'unknown-position', id })
  const filled = fillParameters(spec, body, given)
  return filled.ok ? spec.solve(body, filled.value) : filled
}

function fillParameters(
  spec: PositionSpec,
  body: Body,
  given: Parameters,
): Result<Parameters, PositionRefusal> {
  const known = spec.parameters.map((parameter) => parameter.key)
  const stray = Object.keys(given).find((key) => !known.includes(key))
  if (stray !== undefined) return refused({ code: 'unknown-parameter', key: stray, known })
  const filled: Record<string, number> = {}
  for (const { key, min, max, usual } of spec.parameters) {
    const fallback = typeof usual === 'function' ? usual(body) : usual
    const value = given[key] ?? fallback
    if (!(value >= min && value <= max))
      return refused({ code: 'parameter-out-of-range', key, value, min, max })
    filled[key] = value
  }
  return ok(filled)
}
