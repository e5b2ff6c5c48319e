import type { Brief } from '../../classes/brief'
import type { Plan, PlanBlock } from '../../classes/plan'
import type { Library } from '../../practice/library'
import type { Violation } from './violation'
import { taught, worksIn } from './walk'

/** Where each kind may stand: what comes earlier has the lower number; work is 4. */
const ORDER: Readonly<Record<PlanBlock['kind'], number>> = {
  ...{ arrive: 0, settle: 1, 'warm-up': 2, 'way-out': 4, counterpose: 6, rest: 7, close: 8 },
  ...{ skill: 4, support: 4, peak: 4, stay: 4, train: 4, ease: 4 },
}

/** Blocks follow each other in order and end in time; the rest at the end is not cut. */
export function timing({ minutes }: Brief, plan: Plan): Violation[] {
  const found: Violation[] = []
  let end = 0
  let last = 0
  for (const block of plan.blocks) {
    if (block.startS < end) found.push({ code: 'blocks-overlap', atS: block.startS })
    const order = ORDER[block.kind]
    if (order < last) found.push({ code: 'out-of-order', kind: block.kind, atS: block.startS })
    last = Math.max(last, order)
    end = block.startS + block.seconds
  }
  if (end > minutes * 60) found.push({ code: 'over-time', plannedS: end, allowedS: minutes * 60 })
  const restS = plan.blocks.filter((b) => b.kind === 'rest').reduce((sum, b) => sum + b.seconds, 0)
  const leastS = minutes >= 60 ? 300 : 180
  if (restS < leastS) found.push({ code: 'rest-short', seconds: restS, leastS })
  return found
}

/** Turns fit their block, everybody rests between their own, and there is time to fetch what is used. */
export function turnsFit(practice: Library, plan: Plan): Violation[] {
  const works = worksIn(plan)
  return works.flatMap((block, k) => {
    const { purpose, setupS, sets, waves, workS, gapS } = block
    const found: Violation[] = []
    if (setupS + sets * waves * (workS + gapS) > block.seconds)
      found.push({
        code: 'over-time',
        plannedS: setupS + sets * waves * (workS + gapS),
        allowedS: block.seconds,
      })
    const rest = waves * (workS + gapS) - workS
    const least = block.kind === 'peak' ? 60 : 30
    if (sets > 1 && rest < least) found.push({ code: 'own-rest', purpose, seconds: rest, leastS: least })
    const before = works[k - 1]
    const rehearsed = before && plan.blocks.indexOf(block) - plan.blocks.indexOf(before) > 1
    const needed = Math.max(
      30,
      ...block.people.map((p) => fetching(practice, p.setupId, p.props)),
      before && !rehearsed && sameJoint(practice, before, block) ? 60 : 0,
    )
    if (setupS < needed) found.push({ code: 'changeover', purpose, seconds: setupS, leastS: needed })
    return found
  })
}

function fetching(
  practice: Library,
  setupId: string | null,
  props: readonly { readonly count: number }[],
): number {
  const rig = practice.setups.find((s) => s.id === setupId)?.rig ?? false
  return props.reduce((sum, p) => sum + 10 * p.count, 0) + (rig ? 60 : 0)
}

/** Whether somebody tires the same joint most in both blocks. */
function sameJoint(
  practice: Library,
  a: { readonly people: readonly { readonly studentId: string; readonly variantId: string | null }[] },
  b: typeof a,
): boolean {
  return a.people.some(({ studentId, variantId }) => {
    const then = taught(practice, variantId)
    const now = taught(practice, b.people.find((p) => p.studentId === studentId)?.variantId ?? null)
    return Object.entries(then?.joints ?? {}).some(([joint, n]) => n >= 3 && (now?.joints[joint] ?? 0) >= 3)
  })
}
