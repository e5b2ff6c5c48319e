import type { Brief, BriefPerson } from '../classes/brief'
import { changeOn } from '../classes/change'
import { PARTS, type Part } from '../classes/lock'
import { versionsOf, type Plan, type PlanBlock, type Version } from '../classes/plan'
import { findById } from '../practice/find'
import type { Library } from '../practice/library'
import type { Family } from '../practice/schema'
import { isOpenStage } from '../readiness/allowed'
import { barsStage } from '../screening/stage-limits'
import { versionNow } from './versions'

/**
 * A plan as it holds on the day: whoever may not do what was planned any more, by a new limit or tonight's word, does what
 * is open to them instead, and what a limit changes is said with it. Everything else stays as it was made.
 * @param brief of today
 */
export function asItHolds(practice: Library, plan: Plan, brief: Brief, family: Family): Plan {
  const held = (version: Version, part: Part): Version => {
    const person = brief.people.find((p) => p.studentId === version.studentId)
    if (!person) return version
    if (isClosed(practice, person, version)) return versionNow(practice, brief, person, family, part)
    const stage = practice.stages.find((s) => s.id === version.stageId)
    return stage ? { ...version, change: changeOn(stage, { caps: person.limits }) } : version
  }
  // Who came after the plan was made has something to do as well: what is open to them, without a turn at the wall.
  const newcomers = (versions: readonly Version[]): Version[] =>
    brief.people
      .filter((p) => !versions.some((v) => v.studentId === p.studentId))
      .map((p) => versionNow(practice, brief, p, family, 'skill'))
  return {
    ...plan,
    blocks: plan.blocks.map((block): PlanBlock => {
      const part = PARTS.find((p) => p === block.kind)
      if (!part || !('versions' in block)) return block
      const versions = versionsOf(block).map((v) => held(v, part))
      return { ...block, versions: part === 'skill' ? [...versions, ...newcomers(versions)] : versions }
    }),
  }
}

function isClosed(practice: Library, person: BriefPerson, { stageId, override }: Version): boolean {
  if (stageId === null) return false
  const stage = findById(practice.stages, stageId)
  const limits = { caps: person.limits, answered: person.answered }
  if (barsStage(practice, limits, stage)) return true
  // A reason given by the teacher stands against everything but a Stop.
  if (override !== null) return false
  return !isOpenStage(practice, limits, stage)
}
