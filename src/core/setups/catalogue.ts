import type { Body } from '../body/estimate'
import type { Parameters } from '../mechanics/parameters'
import { USUAL_STOCK, type Stock } from '../props/stock'
import { refused, type Result } from '../result'
import { ARM_BALANCE_SETUPS } from './arm-balances'
import { FLOOR_SETUPS } from './floor'
import { FOREARM_FLOOR } from './forearm-floor'
import { FOREARM_WALL } from './forearm-wall'
import { HANDS_WALL } from './hands-wall'
import { HEADSTAND_SETUPS } from './headstand'
import { OPENERS } from './openers'
import type { Setup, SetupRefusal, SetupSolution } from './setup'
import { SUPINE_SETUPS } from './supine'

/** Every setup of the practice, family by family. */
export const SETUPS: readonly Setup[] = [
  ...FLOOR_SETUPS,
  ...FOREARM_FLOOR,
  ...FOREARM_WALL,
  ...HEADSTAND_SETUPS,
  ...HANDS_WALL,
  ...ARM_BALANCE_SETUPS,
  ...SUPINE_SETUPS,
  ...OPENERS,
]

const BY_ID: ReadonlyMap<string, Setup> = new Map(SETUPS.map((setup) => [setup.id, setup]))

/** A setup by its id; undefined where nothing is called so. */
export function findSetup(id: string): Setup | undefined {
  return BY_ID.get(id)
}

/**
 * Places hands and props of one setup for a body.
 * @param options what is set; the rest take their usual value for this body
 * @param stock what the cupboard holds; a useful cupboard unless said
 */
export function solveSetup(
  id: string,
  body: Body,
  options: Parameters = {},
  stock: Stock = USUAL_STOCK,
): Result<SetupSolution, SetupRefusal> {
  const setup = BY_ID.get(id)
  return setup ? setup.solve(body, options, stock) : refused({ code: 'unknown-setup', id })
}
