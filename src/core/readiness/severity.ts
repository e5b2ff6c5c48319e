import type { Fault, Stage } from '../practice/schema'
import type { Attempt } from './evidence'

/** Pain, tingling, dizziness and their kin: whoever shows it stops (ruling 7). */
export const STOP_SIGN = 'FT-stop-sign'

/** Where a fault was seen: what decides how grave it is. */
type Seen = Pick<Attempt, 'level' | 'faults'>

/**
 * How grave a fault is where it was seen (ruling 20): a head that dips in a hold limits progress, in a hop it is unsafe; a
 * kick that passes the vertical is caught by a wall and by nothing in the room; an arch counts as unsafe once it hurts.
 */
export function severityOf(
  { severity, graver }: Pick<Fault, 'severity' | 'graver'>,
  stage: Pick<Stage, 'load' | 'setups'>,
  seen: Seen,
): number {
  return graver && HOLDS[graver.when](stage, seen) ? graver.severity : severity
}

const HOLDS: Readonly<
  Record<NonNullable<Fault['graver']>['when'], (stage: Pick<Stage, 'load' | 'setups'>, seen: Seen) => boolean>
> = {
  hops: ({ load: { FR = 0 } }, { level }) => FR >= 2 || ['took-off', 'hop', 'touched'].includes(level),
  room: ({ setups }) => setups.some((id) => id === 'SETUP-open-fall-zone'),
  pain: (_, { faults }) => faults.includes(STOP_SIGN),
}
