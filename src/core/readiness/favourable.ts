import type { Day } from '../day'
import type { Gate } from '../practice/schema'
import type { Attempt, Observation } from './evidence'
import { resultsOf, weakerValue } from './evidence'

/** Clean, alone, and out of it under control: what counts towards a standing. */
export function isCleanWork(attempt: Attempt): boolean {
  return attempt.outcome === 'clean' && attempt.exitControlled && attempt.help === 'alone'
}

/** Days on which a result that counts passed any of some gates. */
export function passes(gates: readonly Gate[], observations: readonly Observation[]): ReadonlySet<Day> {
  const days = new Set<Day>()
  for (const gate of easiest(gates))
    for (const o of resultsOf(observations, gate.check)) {
      if (days.has(o.day) || !o.valid || !o.watched || o.help !== 'alone' || o.aided) continue
      if (satisfies(gate, weakerValue(o.values, gate.op === '<='))) days.add(o.day)
    }
  return days
}

/** Whether a value is what a gate asks for. */
export function satisfies(gate: Gate, value: number): boolean {
  if (gate.op === 'recorded') return true
  if (gate.op === 'yes') return value === 1
  if (gate.value === undefined) return false
  return gate.op === '>=' ? value >= gate.value : value <= gate.value
}

/** Of several gates on one check the one that is passed first; `recorded` shows nothing. */
function easiest(gates: readonly Gate[]): Gate[] {
  const found = new Map<string, Gate>()
  for (const gate of gates) {
    if (gate.op === 'recorded') continue
    const known = found.get(gate.check)
    if (!known || (gate.value !== undefined && satisfies(gate, known.value ?? gate.value)))
      found.set(gate.check, gate)
  }
  return [...found.values()]
}
