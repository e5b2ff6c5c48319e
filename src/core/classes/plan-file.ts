import { z } from 'zod'
import { isWork, planSchema, type Plan } from './plan'
import { readPlan } from './upgrade'

/** A plan as a file: what was planned for whom, and nothing of anybody's limits. */
const PLAN_FILE = 'levitar-class-plan'

const fileSchema = z.object({
  format: z.literal(PLAN_FILE),
  version: z.literal(1),
  title: z.string().max(80),
  day: z.iso.date(),
  startTime: z.string(),
  plan: z.unknown(),
})

/** Why a file is not taken. */
export type FileRefusal =
  | { readonly code: 'no-json' }
  | { readonly code: 'no-plan-file' }
  | { readonly code: 'unknown-ids'; readonly ids: readonly string[] }
  | { readonly code: 'not-on-the-list'; readonly people: number }

/** A plan written down; how limits change things and what stands in for what is left out and reckoned anew when it is read. */
export function writePlanFile(
  about: { readonly title: string; readonly day: string; readonly startTime: string },
  plan: Plan,
): string {
  const blocks = plan.blocks.map((block) =>
    isWork(block)
      ? { ...block, people: block.people.map((p) => ({ ...p, change: null, inPlace: false })) }
      : block,
  )
  return JSON.stringify({ format: PLAN_FILE, version: 1, ...about, plan: { ...plan, blocks } }, null, 2)
}

/**
 * Reads a plan's file for a class.
 * @param known every id of the practice
 * @param roster who is on the list of the class
 */
export function readPlanFile(
  text: string,
  known: ReadonlySet<string>,
  roster: readonly string[],
): { ok: true; plan: Plan } | { ok: false; refusal: FileRefusal } {
  let raw: unknown
  try {
    raw = JSON.parse(text)
  } catch {
    return { ok: false, refusal: { code: 'no-json' } }
  }
  const file = fileSchema.safeParse(raw)
  const plan = file.success ? readPlan(file.data.plan) : null
  if (!plan) return { ok: false, refusal: { code: 'no-plan-file' } }
  const works = plan.blocks.filter(isWork)
  const used = [
    ...works.flatMap((b) =>
      b.people.flatMap((p) => [
        ...[p.variantId, p.setupId, p.waiting, p.then],
        ...p.climb.flatMap((rung) => [rung.variantId, rung.setupId]),
      ]),
    ),
    ...plan.blocks.flatMap((b) => (isWork(b) ? [] : b.items.map((i) => i.id))),
  ]
  const strange = [...new Set(used)].filter((id): id is string => id !== null && !known.has(id))
  if (strange.length > 0) return { ok: false, refusal: { code: 'unknown-ids', ids: strange } }
  const people = new Set(works.flatMap((b) => b.people.map((p) => p.studentId)))
  const others = [...people].filter((id) => !roster.includes(id)).length
  if (others > 0) return { ok: false, refusal: { code: 'not-on-the-list', people: others } }
  return { ok: true, plan: planSchema.parse(plan) }
}
