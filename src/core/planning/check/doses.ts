import type { Brief, BriefPerson } from '../../classes/brief'
import type { Doing, Plan } from '../../classes/plan'
import { SPENT_SHARE, WAITING_RECOVERY, WORK_INTENSITY } from '../../fatigue/class-work'
import { RATES } from '../../fatigue/compartments'
import type { Library } from '../../practice/library'
import type { Load, Stage } from '../../practice/schema'
import type { Violation } from './violation'
import { asksNothing, comingTo, holds, isTry, personOf, taught, worksIn } from './walk'

/** How much everybody does: attempts within caps, holds within the turn, both sides, neck and arms spared. */
export function dosesKept(practice: Library, brief: Brief, plan: Plan): Violation[] {
  return comingTo(brief).flatMap((person) => [
    ...tries(practice, person, plan),
    ...turnByTurn(practice, person, plan),
    ...neck(practice, person, plan),
    ...families(practice, person, plan),
    ...stays(practice, person, plan),
    ...arms(practice, person, plan),
  ])
}

function mine(plan: Plan, { studentId }: BriefPerson) {
  return worksIn(plan).flatMap((block) =>
    block.people
      .filter((p) => p.studentId === studentId && p.variantId !== null)
      .map((doing) => ({ block, doing })),
  )
}

/**
 * What is built and stayed in is entered once: in a block of stays everybody has one of it, and where a class has such a
 * block nobody is sent up and down the same thing in sets. What stands in for something closed is stayed in where it stands.
 */
function stays(practice: Library, person: BriefPerson, plan: Plan): Violation[] {
  const has = worksIn(plan).some((b) => b.kind === 'stay')
  return mine(plan, person).flatMap(({ block, doing }): Violation[] => {
    const stage = taught(practice, doing.variantId)?.stage
    const built = practice.setups.find((s) => s.id === stage?.setups[0])?.rig === true
    const isStay = stage?.family === 'SH' && built && stage.dose.reps === undefined
    const once = doing.turns <= 1 && doing.reps === 1 && !doing.sides
    const again = block.kind === 'stay' ? !once : has && isStay && !doing.inPlace && !once
    return again && stage ? [{ code: 'stay-again', studentId: person.studentId, variantId: stage.id }] : []
  })
}

/** Attempts in the whole class, by the person's own cap, the stage's, and what a limit leaves of them. */
function tries(practice: Library, person: BriefPerson, plan: Plan): Violation[] {
  const found: Violation[] = []
  let all = 0
  let most = person.mostAttempts
  for (const { block, doing } of mine(plan, person)) {
    const what = taught(practice, doing.variantId)
    if (!what || !isTry(what)) continue
    const isStayed = block.kind === 'stay' && what.stage?.family === 'SH'
    if (block.kind !== 'peak' && !isStayed)
      found.push({ code: 'try-outside', studentId: person.studentId, variantId: what.id })
    const once = doing.reps * (doing.sides ? 2 : 1)
    all += Math.max(doing.tries, once) * doing.turns
    const share = Math.min(1, ...acting(person, what.load).map((l) => l.change?.share ?? 1))
    most = Math.floor(Math.min(most, what.dose.cap?.value ?? Infinity) * share)
  }
  return all > most
    ? [...found, { code: 'too-many-attempts', studentId: person.studentId, tries: all, most }]
    : found
}

/** Limits that act on a load and change how it is done. */
function acting(person: BriefPerson, load: Load) {
  return person.limits.filter((l) => l.action === 'modify' && (load[l.tag] ?? 0) >= l.level)
}

/** A repetition that nothing times counts so long, s (ruling 25). */
const UNTIMED_S = 4

function turnByTurn(practice: Library, person: BriefPerson, plan: Plan): Violation[] {
  const { studentId } = person
  return mine(plan, person).flatMap(({ block, doing }): Violation[] => {
    const what = taught(practice, doing.variantId)
    if (!what || doing.turns === 0) return []
    const found: Violation[] = []
    const seconds = doing.after + (doing.holdS ?? 0) * doing.reps * sidesDone(doing)
    if (seconds > block.workS + 1) found.push({ code: 'too-long', studentId, seconds, mostS: block.workS })
    const limits = person.limits.filter((l) => (what.load[l.tag] ?? 0) >= l.level && l.mostSeconds !== null)
    const mostS = Math.min(Infinity, ...limits.map((l) => l.mostSeconds ?? Infinity))
    // Tries have rest between; what is repeated is one effort. One repetition is the least of anything.
    const once = doing.holdS ?? UNTIMED_S
    const effort = doing.tries > 0 || doing.reps === 1 ? (doing.holdS ?? 0) : once * doing.reps
    if (effort > mostS) found.push({ code: 'too-long', studentId, seconds: effort, mostS })
    const grownS = grownTo(person, what)
    if ((doing.holdS ?? 0) > grownS)
      found.push({ code: 'too-long', studentId, seconds: doing.holdS ?? 0, mostS: Math.floor(grownS) })
    if (what.dose.perSide && !doing.sides) found.push({ code: 'one-sided', studentId, variantId: what.id })
    if (doing.sideMore && !mayDoMore(person, doing, what.load))
      found.push({ code: 'side-more', studentId, variantId: what.id })
    return found
  })
}

/** Left, right, and where one is behind that one again. */
function sidesDone({ sides, sideMore }: Doing): number {
  return (sides ? 2 : 1) + (sideMore ? 1 : 0)
}

/** One side more is for whoever has one behind, on no tries, and where no limit acts on what is done. */
function mayDoMore(person: BriefPerson, doing: Doing, load: Parameters<typeof acting>[1]): boolean {
  const behind = person.weaker[doing.variantId ?? '']
  return (
    doing.sides &&
    doing.tries === 0 &&
    behind !== undefined &&
    behind === doing.sideFirst &&
    acting(person, load).length === 0
  )
}

/** What grows over weeks is held as long as the usual dose, or as it has grown to; other holds end with their turn. */
function grownTo(
  { breathS, grown }: BriefPerson,
  { id, dose }: NonNullable<ReturnType<typeof taught>>,
): number {
  if (!dose.growth) return Infinity
  return Math.max(dose.seconds?.value ?? (dose.breaths?.value ?? Infinity) * breathS, grown[id] ?? 0)
}

/** Nape work never before head work; both in one class never in somebody's first month. */
function neck(practice: Library, person: BriefPerson, plan: Plan): Violation[] {
  let [nape, head] = [false, false]
  for (const { doing } of mine(plan, person)) {
    const load = taught(practice, doing.variantId)?.load ?? {}
    if ((load.HB ?? 0) >= 1 && nape) return [{ code: 'neck-order', studentId: person.studentId }]
    nape = nape || (load.NF ?? 0) >= 2
    head = head || (load.HB ?? 0) >= 1
  }
  return nape && head && person.firstMonth ? [{ code: 'neck-twice', studentId: person.studentId }] : []
}

/** Nobody goes on in two families in one class (ruling 16). */
function families(practice: Library, person: BriefPerson, plan: Plan): Violation[] {
  const onward = new Set(
    mine(plan, person).flatMap(({ doing }) => {
      if (doing.inPlace || doing.override !== null) return []
      const isOnward = (id: string | null, from: string): string[] => {
        const stage = taught(practice, id)?.stage
        if (!stage || stage.rung < from || asksNothing(stage)) return []
        return holds(practice, person, stage) ? [] : [parentOf(practice, stage)]
      }
      // Beginning on a or b in a second family, on the way or after it, is no advance (ruling 16).
      const way = [...doing.climb.map((r) => r.variantId), doing.then]
      return [...isOnward(doing.variantId, 'a'), ...way.flatMap((id) => isOnward(id, 'c'))]
    }),
  )
  return onward.size > 1 ? [{ code: 'two-families', studentId: person.studentId }] : []
}

/** The family that an advanced stage is reached from; its own for the others. */
function parentOf(practice: Library, { family, after }: Stage): string {
  if (family !== 'AD') return family
  const names = [...after.all, ...after.some.flatMap((group) => group.of)]
  const before = practice.stages.find((s) => s.family !== 'AD' && names.some((n) => s.id.startsWith(n)))
  return before?.family ?? family
}

/** The fatigued share of the shoulders before somebody's first try, second by second. */
function arms(practice: Library, person: BriefPerson, plan: Plan): Violation[] {
  const { fatigue, recovery } = RATES.shoulder
  const own = mine(plan, person)
  const first = own.find(({ doing }) => isTry(taught(practice, doing.variantId) ?? { load: {} }))
  if (!first) return []
  let share = 0
  for (let s = 0; s < first.block.startS; s += 1) {
    const now = own.find(({ block }) => s >= block.startS && s < block.startS + block.seconds)
    let intensity = 0
    if (now) {
      const { block, doing } = now
      const slot = block.workS + block.gapS
      const into = s - block.startS - block.setupS - (doing.every ? 0 : (doing.wave - 1) * slot)
      const cycle = doing.every ? slot : block.waves * slot
      const work = Math.min(block.workS, (doing.holdS ?? 4) * doing.reps * sidesDone(doing))
      const atWork =
        into >= 0 &&
        into % cycle < work &&
        Math.floor(into / cycle) < doing.turns * (doing.every ? block.waves : 1)
      const level = taught(practice, doing.variantId)?.joints.shoulder ?? 0
      intensity = atWork ? (WORK_INTENSITY[level] ?? 0) : 0
    }
    share += fatigue * intensity - recovery * WAITING_RECOVERY * share
  }
  return share > SPENT_SHARE ? [{ code: 'spent', studentId: person.studentId, share }] : []
}

/** Everyone has something to do in every block, once; what the teacher fixed is there or is said to have given way. */
export function everybodyIn(brief: Brief, plan: Plan): Violation[] {
  const found: Violation[] = []
  for (const { purpose, people } of worksIn(plan)) {
    for (const { studentId } of comingTo(brief)) {
      const times = people.filter((p) => p.studentId === studentId).length
      if (times === 0) found.push({ code: 'left-out', studentId, purpose })
      if (times > 1) found.push({ code: 'twice-at-once', studentId, purpose })
    }
    for (const { studentId } of people)
      if (!personOf(brief, studentId)) found.push({ code: 'twice-at-once', studentId, purpose })
  }
  for (const lock of brief.locks) {
    const kinds = lock.part === 'skill' ? ['skill'] : ['peak', 'stay']
    const doings = worksIn(plan)
      .filter((b) => kinds.includes(b.kind))
      .flatMap((b) => b.people.filter((p) => p.studentId === lock.studentId))
    const said = plan.warnings.some((w) => w.code === 'lock-gave-way' && w.studentId === lock.studentId)
    if (doings.length > 0 && doings.every((d) => d.variantId !== lock.stageId) && !said)
      found.push({ code: 'lock-lost', studentId: lock.studentId, variantId: lock.stageId })
  }
  return found
}
