import type { Brief } from '../../classes/brief'
import type { Doing, Plan } from '../../classes/plan'
import type { Library } from '../../practice/library'
import type { Load, LoadTag } from '../../practice/schema'
import type { Violation } from './violation'
import { holds, momentsOf, personOf, taught } from './walk'

/** Watch points of a teacher and of each assistant besides; what is left of the teacher's while they spot. */
const [TEACHER, ASSISTANT, SPOTTING] = [8, 4, 2]
const AT_ONCE = 3
const IN_A_BLOCK = 5
const GENTLE_IN_A_BLOCK = 2
const LIGHT = 0.3

/** What one teacher can see, say and hold at every moment of the class. */
export function watched(practice: Library, brief: Brief, plan: Plan): Violation[] {
  const found: Violation[] = []
  for (const { atS, block, up } of momentsOf(plan)) {
    const working = new Set(up.flatMap((p) => (pointsOf(practice, brief, p) > LIGHT ? [p.variantId] : [])))
    if (working.size > AT_ONCE)
      found.push({ code: 'too-many-versions', purpose: block.purpose, versions: working.size, most: AT_ONCE })
    const firsts = up.filter((p) => isFirst(practice, brief, p))
    if (firsts.length > 1) found.push({ code: 'first-tries', atS })
    found.push(...hands(practice, brief, up, atS))
    const helped = up.filter((p) => p.helper !== null)
    const teacher = helped.some((p) => p.helper === 'teacher')
    const busy = new Set(helped.map((p) => p.helper)).size - (teacher ? 1 : 0)
    const alone = up.filter((p) => p.helper === null).map((p) => pointsOf(practice, brief, p))
    const most = (teacher ? SPOTTING : TEACHER) + ASSISTANT * (brief.helpers.length - busy)
    const light = alone.filter((n) => n <= LIGHT).length + (teacher ? 0 : block.people.length - up.length)
    const work = alone.reduce((a, b) => a + (b > LIGHT ? b : 0), 0)
    // All who rest, wait or work lightly take half of the room's eyes at most.
    const sum = work + Math.min(LIGHT * light, (TEACHER + ASSISTANT * brief.helpers.length) / 2)
    if (sum > most + 1e-6 || (teacher && alone.some((n) => n > 1)))
      found.push({ code: 'unwatched', atS, points: sum, most })
  }
  for (const block of plan.blocks) {
    if (!('people' in block)) continue
    const all = new Map(
      block.people.flatMap((p) =>
        p.variantId === null ? [] : [[p.variantId, pointsOf(practice, brief, p)]],
      ),
    )
    const light = [...all].filter(([, points]) => points <= LIGHT).length
    if (all.size - light > IN_A_BLOCK || light > GENTLE_IN_A_BLOCK + (block.kind === 'stay' ? 2 : 0))
      found.push({ code: 'too-many-versions', purpose: block.purpose, versions: all.size, most: IN_A_BLOCK })
  }
  return found
}

/** Helpers: where one is needed, trained in it, welcome, and with one person at a time. */
function hands(practice: Library, brief: Brief, up: readonly Doing[], atS: number): Violation[] {
  const found: Violation[] = []
  const seen = new Set<string>()
  for (const p of up) {
    const stage = taught(practice, p.variantId)?.stage
    const needs = (stage?.helped ?? false) || isFirst(practice, brief, p)
    if (needs && p.helper === null && p.override === null)
      found.push({ code: 'no-helper', studentId: p.studentId, variantId: p.variantId ?? '' })
    if (p.helper === null) continue
    if (seen.has(p.helper)) found.push({ code: 'helper-busy', helper: p.helper, atS })
    seen.add(p.helper)
    if (personOf(brief, p.studentId)?.touch === 'no')
      found.push({ code: 'no-consent', studentId: p.studentId })
    if (p.helper === 'teacher') continue
    const trained = brief.helpers.find((h) => h.id === p.helper)?.trained ?? []
    const touching = practice.assists.filter((a) => a.touch && stage?.assists.includes(a.id))
    if (!touching.some((a) => trained.includes(a.id)))
      found.push({ code: 'helper-unfit', studentId: p.studentId, helper: p.helper })
  }
  return found
}

/** A first kick: nothing that somebody holds carries such a fall. */
function isFirst(practice: Library, brief: Brief, p: Doing): boolean {
  const found = taught(practice, p.variantId)
  const person = personOf(brief, p.studentId)
  if (!found?.stage || !person || (found.load.FR ?? 0) < 3) return false
  return !holds(practice, person, found.stage)
}

function pointsOf(practice: Library, brief: Brief, p: Doing): number {
  if (isFirst(practice, brief, p)) return 4
  return eyesFor(taught(practice, p.variantId)?.load ?? {})
}

function eyesFor(load: Load): number {
  const at = (tag: LoadTag): number => load[tag] ?? 0
  if (at('FR') === 3) return 2
  const arm = at('WB') >= 2 && at('AC') >= 2
  if (at('FR') === 2 || at('HB') >= 2 || arm) return 1.5
  const some = at('WB') >= 2 || at('FB') >= 2 || at('NF') >= 2 || at('HB') === 1 || at('HBH') >= 2
  return some ? 1 : LIGHT
}
