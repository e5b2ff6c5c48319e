import type { Brief } from '../../classes/brief'
import type { Plan, Together } from '../../classes/plan'
import type { Library } from '../../practice/library'
import type { PracticeBlock } from '../../practice/schema'
import type { Violation } from './violation'
import { isTry, taught, worksIn, type Taught } from './walk'

/** What was warmed stays warm so long, s. */
const STAYS_S = 1800

/** Every load is prepared, still warm when it comes, and countered afterwards. */
export function preparation(practice: Library, brief: Brief, plan: Plan): Violation[] {
  const found: Violation[] = []
  const togethers = plan.blocks.filter((b): b is Together => 'items' in b)
  const warmS = togethers.filter((b) => b.kind === 'warm-up').reduce((sum, b) => sum + b.seconds, 0)
  const mostS = Math.round((brief.minutes * 60) / 3)
  if (warmS > mostS + 30) found.push({ code: 'warm-long', seconds: warmS, mostS })
  const countered = new Set(
    togethers.flatMap((b) => (b.kind === 'counterpose' ? b.items.map((i) => i.id) : [])),
  )
  const warmedAt = new Map<string, number>()
  for (const warmup of practice.warmups) {
    const [before, at] = drillsBefore(togethers, warmup)
    // Small hops are owed for what is kicked into alone, below.
    const owed = warmup.must.filter((m) => m.kicksFrom === undefined)
    if (owed.every(({ n, from }) => from.filter((id) => before.has(id)).length >= n))
      warmedAt.set(warmup.id, at)
  }
  const told = new Set<string>()
  for (const block of worksIn(plan)) {
    const begins = block.startS + block.setupS
    // Shapes to rest in call for nothing.
    const here = [...new Set(block.people.map((p) => p.variantId))]
      .filter((id) => !practice.counterposes.some((c) => c.id === id))
      .flatMap((id) => taught(practice, id) ?? [])
    for (const what of here) {
      for (const warmup of practice.warmups.filter((w) => asks(w, what))) {
        const at = warmedAt.get(warmup.id)
        if ((at === undefined || at > block.startS) && !told.has(warmup.id + what.id))
          found.push({ code: 'load-without-warm-up', variantId: what.id, warmupId: warmup.id })
        else if (at !== undefined && begins - at > STAYS_S)
          found.push({
            code: 'stale-warm',
            variantId: what.id,
            warmupId: warmup.id,
            minutes: Math.round((begins - at) / 60),
          })
        told.add(warmup.id + what.id)
      }
      for (const cp of practice.counterposes.filter((c) => asks(c, what)))
        if (
          !countered.has(cp.id) &&
          !practice.counterposes.some((c) => c.instead === cp.id && countered.has(c.id))
        )
          found.push({ code: 'load-without-counterpose', variantId: what.id, counterposeId: cp.id })
    }
    for (const what of here)
      for (const warmup of practice.warmups.filter((w) => asks(w, what) && warmedAt.has(w.id)))
        warmedAt.set(warmup.id, Math.max(warmedAt.get(warmup.id) ?? 0, block.startS + block.seconds))
  }
  return [...found, ...withoutHops(practice, plan, togethers), ...justBefore(practice, plan)]
}

/** Small hops stand before whatever is kicked into, from its own base. */
function withoutHops(practice: Library, plan: Plan, togethers: readonly Together[]): Violation[] {
  const ids = new Set(worksIn(plan).flatMap((b) => b.people.map((p) => p.variantId)))
  return [...ids].flatMap((id): Violation[] => {
    const what = taught(practice, id)
    const from = what ? kickedFrom(what) : null
    if (!what || from === null) return []
    return practice.warmups
      .filter((w) => asks(w, what))
      .filter((w) => {
        const [before] = drillsBefore(togethers, w)
        const hops = w.must.find((m) => m.kicksFrom === from)
        return hops !== undefined && !hops.from.some((drill) => before.has(drill))
      })
      .map((w) => ({ code: 'load-without-warm-up', variantId: what.id, warmupId: w.id }))
  })
}

/** Drills done together that open a load, and when the last part with one of them ended. */
function drillsBefore(togethers: readonly Together[], warmup: PracticeBlock): [ReadonlySet<string>, number] {
  const parts = togethers.filter((b) => ['settle', 'warm-up', 'way-out'].includes(b.kind))
  const done = new Set(parts.flatMap((b) => b.items.map((i) => i.id)))
  const last = parts.filter((b) => b.items.some((i) => warmup.drills.includes(i.id))).at(-1)
  return [done, last ? last.startS + last.seconds : 0]
}

/** What tires or numbs never stands directly before tries. */
function justBefore(practice: Library, plan: Plan): Violation[] {
  return plan.blocks.flatMap((block, k): Violation[] => {
    const before = plan.blocks[k - 1]
    if (!before || !('people' in block) || !('people' in before)) return []
    if (!block.people.some((p) => isTry(taught(practice, p.variantId) ?? { load: {} }))) return []
    const found = before.people
      .flatMap((p) => taught(practice, p.variantId) ?? [])
      .find((t) => t.notJustBefore)
    return found ? [{ code: 'just-before', variantId: found.id }] : []
  })
}

/** Stands that are kicked or hopped into take off from forearms or hands; the other families are rolled or slid out of. */
function kickedFrom({ stage, load: { FR = 0, FB = 0, WB = 0 } }: Taught): 'FB' | 'WB' | null {
  if (FR < 2 || (stage && ['CR', 'SH', 'PU'].includes(stage.family))) return null
  return WB > FB ? 'WB' : 'FB'
}

/** A block is asked for by a load at its level or above, by a stage's id, or by the rung that the id belongs to. */
function asks(block: PracticeBlock, what: Taught): boolean {
  const byLoad = block.for.some((need) => {
    const level = what.load[need.tag]
    return level !== undefined && level >= need.level
  })
  return byLoad || block.stages.includes(what.id) || block.stages.includes(what.id.slice(0, 5))
}
