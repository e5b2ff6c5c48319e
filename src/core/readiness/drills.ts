import type { DrillDone } from './evidence'

/** Drills that count: without what was corrected or taken back since. */
export function standing(done: readonly DrillDone[]): DrillDone[] {
  const gone = new Set(done.flatMap(({ replaces }) => replaces ?? []))
  return done.filter((d) => !d.withdrawn && !gone.has(d.id))
}
