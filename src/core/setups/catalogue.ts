import type { Body } from '../body/estimate'
import { refused, type Result } from '../result'
import { DOLPHIN_BLOCK } from './dolphin-block'
import { DOLPHIN_PLAIN } from './dolphin-plain'
import { DOLPHIN_STRAP } from './dolphin-strap'
import type { Setup, SetupOptions, SetupRefusal, SetupSolution } from './setup'
import { WALL_KICK_FOREARM_BLOCK } from './wall-kick-forearm-block'

/** Setups that can be solved for a body. */
export const SETUPS: readonly Setup[] = [DOLPHIN_STRAP, DOLPHIN_BLOCK, DOLPHIN_PLAIN, WALL_KICK_FOREARM_BLOCK]

/** Places hands and props of one setup for a body. */
export function solveSetup(
  id: string,
  body: Body,
  options: SetupOptions = {},
): Result<SetupSolution, SetupRefusal> {
  const setup = SETUPS.find((candidate) => candidate.id === id)
  return setup ? setup.solve(body, options) : refused({ code: 'unknown-setup', id })
}
