import type { Brief, BriefPerson, ReachInFamily } from '../../classes/brief'
import type { Plan, Version } from '../../classes/plan'
import { OVERRIDE_REASONS } from '../../classes/override'
import type { Library } from '../../practice/library'
import type { Stage } from '../../practice/schema'
import type { Violation } from './violation'

/** Nobody is on what is closed to them, above what was decided, or past what a limit leaves. */
export function placesKept(practice: Library, brief: Brief, plan: Plan): Violation[] {
  return plan.blocks.flatMap((block) => {
    const versions = 'versions' in block ? block.versions : []
    return versions.flatMap((version) => {
      const stage = practice.stages.find((s) => s.id === version.stageId)
      const person = brief.people.find((p) => p.studentId === version.studentId)
      if (!stage) return []
      return person ? kept(practice, person, version, stage) : [above(version, stage, false)]
    })
  })
}

function kept(practice: Library, person: BriefPerson, version: Version, stage: Stage): Violation[] {
  const actingOn = ({ load }: Stage): BriefPerson['limits'] =>
    person.limits.filter(
      ({ tag, level, refer }) => (load[tag] ?? 0) >= level || refer === 'urgent' || refer === 'home',
    )
  const acting = actingOn(stage)
  const has = (action: string): boolean =>
    shut(practice, stage, (s) => actingOn(s).some((limit) => limit.action === action))
  const { FR = 0, HB = 0 } = stage.load
  const reasoned = version.override !== null && OVERRIDE_REASONS.includes(version.override)
  // A Stop is nobody's to override: only a recorded clearance takes it out of the limits.
  if (has('stop')) return [{ code: 'closed', studentId: person.studentId, stageId: stage.id }]
  if (has('avoid') && !reasoned) return [{ code: 'closed', studentId: person.studentId, stageId: stage.id }]
  const found: Violation[] = []
  const waits = !person.answered && wantsAnswers(stage)
  const reach = person.families[familyOf(stage, person)]
  const standsIn = version.inPlace && FR <= 1 && HB === 0
  if (waits || has('avoid') || !(standsIn || (reach && within(practice, reach, stage))))
    found.push(above(version, stage, reasoned))
  const seconds = acting.flatMap((limit) => (limit.mostSeconds === null ? [] : [limit.mostSeconds]))
  const words = acting.flatMap((limit) => (limit.change === null ? [] : [limit.change.words]))
  const change = version.change
  const told =
    words.every((w) => change?.words.includes(w)) &&
    seconds.every((s) => change !== null && change.mostSeconds !== null && change.mostSeconds <= s) &&
    acting.every((limit) => limit.change === null || (change?.share ?? 1) <= limit.change.share)
  if (!told) found.push({ code: 'change-missing', studentId: person.studentId, stageId: stage.id })
  return found
}

/** Nobody leaves the floor, goes fully upside down or loads head or neck before the health questions are answered. */
function wantsAnswers({ load: { FR = 0, HBH = 0, HB = 0, NF = 0 } }: Stage): boolean {
  return FR >= 2 || HBH >= 3 || HB >= 2 || NF >= 2
}

/**
 * Whether a stage, or what has to come before it, is shut: everything needed counts, and of a choice only so many as
 * leave too few others (ruling 17).
 */
function shut(practice: Library, stage: Stage, isShut: (stage: Stage) => boolean): boolean {
  if (isShut(stage)) return true
  const allShut = (name: string): boolean => {
    const ways = practice.stages.filter((s) => s.id === name || s.id.replace(/[a-f]$/, '') === name)
    return ways.length > 0 && ways.every((way) => shut(practice, way, isShut))
  }
  const { all, some } = stage.after
  return all.some(allShut) || some.some(({ least, of }) => of.filter((n) => !allShut(n)).length < least)
}

function above({ studentId }: Version, { id }: Stage, overridden: boolean): Violation {
  return { code: 'above-decision', studentId, stageId: id, overridden }
}

/** Advanced stages are judged with the family that somebody reached them from. */
function familyOf(stage: Stage, person: BriefPerson): Stage['family'] {
  if (person.families[stage.family]) return stage.family
  const from = Object.entries(person.families).find(
    ([, reach]) => reach.targetId === stage.id || reach.standingId === stage.id,
  )
  return (from?.[0] as Stage['family'] | undefined) ?? stage.family
}

/** Whether a stage lies at or beneath where somebody stands, or is the next one and may be tried. */
function within(practice: Library, reach: ReachInFamily, stage: Stage): boolean {
  const top = reach.outcome === 'step-back' ? reach.targetId : reach.standingId
  const asksNothing = stage.gates.length === 0 && stage.after.all.length + stage.after.some.length === 0
  if (asksNothing || (top !== null && beneath(practice, top).has(stage.id))) return true
  const { FR = 0, HB = 0 } = stage.load
  // A first solo kick, balance or head load waits for the teacher's own look, whoever made the plan.
  const said = reach.looked?.answer ?? null
  const looked = said === 'accept' || said === 'override'
  const held = said === 'hold-back' || ((FR >= 3 || HB >= 2) && !looked)
  const offered = ['offer', 'once-more'].includes(reach.outcome) || reach.standingId === null
  return reach.outcome !== 'step-back' && offered && !held && stage.id === reach.targetId
}

/** A stage and all that leads to it, walked through the practice's own names. */
function beneath(practice: Library, top: string): ReadonlySet<string> {
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
