import type { Brief, BriefPerson, ReachInFamily } from '../../classes/brief'
import type { Doing, Plan, PlanBlock, Work } from '../../classes/plan'
import type { Library } from '../../practice/library'
import type { Dose, Load, Stage } from '../../practice/schema'

/** What is taught, looked up anew: a stage or a drill with its loads and what it stands on. */
export type Taught = {
  readonly id: string
  readonly load: Load
  readonly dose: Dose
  readonly stage: Stage | null
  readonly joints: Readonly<Record<string, number>>
  readonly notJustBefore: boolean
}

/** A stage or drill by its id; undefined where the practice has none of that name. */
export function taught(practice: Library, id: string | null): Taught | undefined {
  const stage = practice.stages.find((s) => s.id === id)
  if (stage) {
    const { load, dose } = stage
    const arms = Math.max(load.FB ?? 0, load.WB ?? 0)
    return {
      ...{ id: stage.id, load, dose, stage, notJustBefore: false },
      joints: { shoulder: arms, wrist: load.WB ?? 0, neck: Math.max(load.HB ?? 0, (load.NF ?? 0) - 1) },
    }
  }
  const rest = practice.counterposes.find((c) => c.id === id)
  if (rest) {
    const dose: Dose = { perSide: false }
    return { id: rest.id, load: rest.load, dose, stage: null, joints: {}, notJustBefore: false }
  }
  const drill = practice.drills.find((d) => d.id === id)
  if (!drill) return undefined
  const { load, dose, fatigue, notJustBeforeAttempts: notJustBefore } = drill
  return { id: drill.id, load, dose, stage: null, joints: fatigue, notJustBefore }
}

/** The blocks in which everybody has a version of their own. */
export function worksIn(plan: Plan): Work[] {
  return plan.blocks.filter((b: PlanBlock): b is Work => 'people' in b)
}

/** A moment at which a wave is up. */
export type Moment = {
  readonly atS: number
  readonly endS: number
  readonly block: Work
  readonly up: readonly Doing[]
}

/** Every turn of the class, by the clock. */
export function* momentsOf(plan: Plan): Generator<Moment> {
  for (const block of worksIn(plan)) {
    let atS = block.startS + block.setupS
    for (let set = 1; set <= block.sets; set += 1)
      for (let wave = 1; wave <= block.waves; wave += 1) {
        const up = block.people
          .filter((p) => p.variantId !== null && (p.every || p.wave === wave) && p.turns >= set)
          .map((p) => {
            // Whoever climbs is on a rung below in the first turns; the hands that are theirs stay theirs.
            const rung = p.climb[set - 1]
            return rung ? { ...p, variantId: rung.variantId, props: rung.props, helper: null } : p
          })
        yield { atS, endS: atS + block.workS, block, up }
        atS += block.workS + block.gapS
      }
  }
}

/** Whether it is an attempt: both feet leave the floor, or the head takes weight. */
export function isTry({ load: { FR = 0, HB = 0, HBH = 0 } }: Pick<Taught, 'load'>): boolean {
  return FR >= 2 || HB >= 2 || HBH >= 3
}

/** A stage and all that leads to it, walked through the practice's own names; once for a practice. */
function beneath(practice: Library, top: string): ReadonlySet<string> {
  const known = walked.get(practice) ?? new Map<string, ReadonlySet<string>>()
  walked.set(practice, known)
  const before = known.get(top)
  if (before) return before
  const made = walkDown(practice, top)
  known.set(top, made)
  return made
}

const walked = new WeakMap<Library, Map<string, ReadonlySet<string>>>()

function walkDown(practice: Library, top: string): ReadonlySet<string> {
  const found = new Set<string>()
  const queue = [top]
  for (let name = queue.pop(); name !== undefined; name = queue.pop()) {
    const rung = /^[A-Z]{2}-\d\d$/.test(name)
    for (const stage of practice.stages) {
      const answers = stage.id === name || (rung && stage.id.slice(0, 5) === name && stage.id.length <= 6)
      if (!answers || found.has(stage.id)) continue
      found.add(stage.id)
      queue.push(...stage.after.all)
      for (const group of stage.after.some) queue.push(...group.of)
    }
  }
  return found
}

/** Whether a stage asks for nothing. */
export function asksNothing({ gates, after }: Stage): boolean {
  return gates.length === 0 && after.all.length + after.some.length === 0
}

/** Whether somebody stands on a stage or above it, in any family; what is stepped back to counts as held. */
export function holds(practice: Library, person: BriefPerson, stage: Stage): boolean {
  if (stage.rests) return false
  // A studio's own step is done by whoever holds what it is built on.
  const wanted = stage.like ?? stage.id
  return Object.values(person.families).some((reach) => {
    return isBehind(practice, reach, wanted)
  })
}

/** Whether a stage is behind somebody in a family: as the brief says, or where it says nothing of it, by where they stand. */
export function isBehind(practice: Library, reach: ReachInFamily, stageId: string): boolean {
  const top = reach.outcome === 'step-back' ? reach.targetId : reach.standingId
  if (reach.held === undefined) return top !== null && beneath(practice, top).has(stageId)
  // Whoever is sent back is given that step too, where it is of low stakes.
  const { FR = 0, HB = 0 } = practice.stages.find((s) => s.id === stageId)?.load ?? {}
  const back = reach.outcome === 'step-back' && reach.targetId === stageId && FR < 3 && HB < 2
  return back || reach.held.includes(stageId)
}

/** Somebody of the brief. */
export function personOf({ people }: Brief, studentId: string): BriefPerson | undefined {
  return people.find((p) => p.studentId === studentId)
}

/** Who is coming. */
export function comingTo({ people, fixed }: Brief): BriefPerson[] {
  return people.filter((p) => !fixed.out.includes(p.studentId))
}
