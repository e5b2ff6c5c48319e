import { POSITIONS } from '../mechanics/positions/catalogue'
import { SETUPS } from '../setups/catalogue'

/** Labels stand with the parameters and options themselves; this gathers them by key, the first that was given. */
export const PARAMETER_LABELS: Readonly<Record<string, string>> = Object.fromEntries(
  [...POSITIONS.flatMap((p) => p.parameters), ...SETUPS.flatMap((s) => s.options)]
    .map(({ key, label }) => [key, label] as const)
    .reverse(),
)
