import 'server-only'
import { isWork, type Plan } from '@/core/classes/plan'
import { REHEARSAL, rehearsedWays } from '@/core/classes/rehearsed'
import { othersFor } from '@/core/practice/ask'
import type { Library } from '@/core/practice/library'
import type { Limits } from '@/core/screening/caps'
import { describeRehearsal } from '@/core/words/rehearsal'

/** What is done together, with what others of it prepare the same. */
export function togetherIn(practice: Library, plan: Plan, limitsOf: (studentId: string) => Limits) {
  const ids = new Set(plan.blocks.flatMap((b) => (isWork(b) ? [] : b.items.map((i) => i.id))))
  const drills = practice.drills.map((d) => ({
    ...{ id: d.id, name: d.name, drills: [d.id], load: {} },
    do: d.id === REHEARSAL ? describeRehearsal(d.do, rehearsedWays(practice, plan, limitsOf)) : d.do,
    others: othersFor(practice, d.id),
  }))
  const blocks = [...practice.warmups, ...practice.counterposes].map((b) => ({ ...b, others: [] }))
  return [...drills, ...blocks].filter((b) => ids.has(b.id))
}

/** A drill, or a shape to rest in, as the floor screen tells it. */
export function drillOf(
  practice: Library,
  id: string | null,
): { name: string; lookFor: string; usualS: number | undefined } | undefined {
  const drill = practice.drills.find((d) => d.id === id)
  if (drill) return { ...drill, usualS: drill.dose.seconds?.value }
  const rest = practice.counterposes.find((c) => c.id === id)
  return rest && { name: rest.name, lookFor: rest.do, usualS: rest.minutes * 60 }
}
