import { BUILDS, withBuild } from '../body/build'
import type { Body } from '../body/estimate'
import type { Parameters } from './parameters'
import type { Position, PositionRefusal } from './position'
import { solvePosition } from './positions/catalogue'
import { ok, type Result } from '../result'

/** A figure on an even build, and the least and most over builds. */
export type OverBuilds = { readonly value: number; readonly min: number; readonly max: number }

/**
 * One figure of a position over every build of the same bones. Whoever narrows it for themselves uses `withBuild`.
 * @param figure what to read off each solved position
 */
export function acrossBuilds(
  id: string,
  body: Body,
  parameters: Parameters,
  figure: (position: Position) => number,
): Result<OverBuilds, PositionRefusal> {
  const values: number[] = []
  for (const build of BUILDS) {
    const solved = solvePosition(id, withBuild(body, build), parameters)
    if (!solved.ok) return solved
    values.push(figure(solved.value))
  }
  return ok({ value: values[0] ?? 0, min: Math.min(...values), max: Math.max(...values) })
}
