import 'server-only'
import type { BodyInput } from '@/core/body/estimate'
import type { Stock } from '@/core/props/stock'
import { worthMeasuring, type Worth } from '@/core/setups/measure-sheet'

/** Bodies whose answer is kept: a studio's list several times over. */
const MOST = 2000
const kept = new Map<string, Worth[]>()

/** The same as `worthMeasuring`, which follows from what it is given alone: a list of fifty asks it at every look. */
export function worthKept(input: BodyInput, setupIds: readonly string[], stock: Stock): Worth[] {
  const key = JSON.stringify([input, setupIds, stock])
  const known = kept.get(key)
  if (known) return known
  const worth = worthMeasuring(input, setupIds, stock)
  kept.set(key, worth)
  const [oldest] = kept.keys()
  if (kept.size > MOST && oldest !== undefined) kept.delete(oldest)
  return worth
}
