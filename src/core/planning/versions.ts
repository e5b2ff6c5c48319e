import type { Brief, BriefPerson, ReachInFamily } from '../classes/brief'
import type { Part } from '../classes/lock'
import type { OverrideReason } from '../classes/override'
import type { PropCount, Version } from '../classes/plan'
import { changeOn } from '../classes/change'
import { findById } from '../practice/find'
import { type Library } from '../practice/library'
import type { Family, Stage } from '../practice/schema'
import { barsStage } from '../screening/stage-limits'

const NO_PROPS: PropCount = { straps: 0, blocks: 0 }

/** Everyone's version of a block: the highest open, or what the teacher locked, with stock run down as it goes. */
export function assignVersions(
  practice: Library,
  brief: Brief,
  family: Family,
  part: Part,
): { versions: Version[]; needed: PropCount } {
  const left = { ...brief.cupboard }
  let needed = NO_PROPS
  const versions = brief.people.map((person) => {
    const { wanted, spare, lock } = choiceFor(practice, brief, person, family, part)
    if (!wanted) return versionOf(practice, person, family, null, NO_PROPS, null)
    const asked = propsOf(practice, wanted)
    needed = { straps: needed.straps + asked.straps, blocks: needed.blocks + asked.blocks }
    const stage = lock !== null || fits(asked, left) ? wanted : (spare ?? wanted)
    const props = fits(propsOf(practice, stage), left) ? propsOf(practice, stage) : NO_PROPS
    left.straps -= props.straps
    left.blocks -= props.blocks
    return versionOf(practice, person, family, stage, props, lock)
  })
  return { versions, needed }
}

/** What somebody does in a part of the class now, whatever the plan said: for what became closed since it was made. */
export function versionNow(
  practice: Library,
  brief: Brief,
  person: BriefPerson,
  family: Family,
  part: Part,
): Version {
  const { wanted, lock } = choiceFor(practice, brief, person, family, part)
  return versionOf(practice, person, family, wanted, wanted ? propsOf(practice, wanted) : NO_PROPS, lock)
}

type Choice = {
  readonly wanted: Stage | null
  /** The highest that needs no props. */
  readonly spare: Stage | null
  /** The reason given with a version that the teacher fixed. */
  readonly lock: OverrideReason | null
}

function choiceFor(practice: Library, brief: Brief, person: BriefPerson, family: Family, part: Part): Choice {
  const reach = person.families[family]
  const lock = brief.locks.find((l) => l.part === part && l.studentId === person.studentId)
  // A Stop is nobody's to override: a lock on a barred stage is not followed.
  const locked = lock && findById(practice.stages, lock.stageId)
  if (locked && !barsStage(practice, { caps: person.limits }, locked))
    return { wanted: locked, spare: null, lock: lock.reason }
  const open = (reach?.open ?? []).map((id) => findById(practice.stages, id))
  const instead = reach?.instead?.stageId ?? null
  const wanted = open.at(-1) ?? (instead === null ? null : findById(practice.stages, instead))
  const spare = open.findLast((stage) => !needsProps(practice, stage)) ?? null
  return { wanted, spare, lock: null }
}

/** The reason for which the teacher lets somebody go above what is recorded, on the stage it was given for. */
function overrideOf(reach: ReachInFamily | undefined, stageId: string): OverrideReason | null {
  return stageId === reach?.targetId && reach.looked?.answer === 'override' ? reach.looked.reason : null
}

function versionOf(
  practice: Library,
  person: BriefPerson,
  family: Family,
  stage: Stage | null,
  props: PropCount,
  lock: OverrideReason | null,
): Version {
  const override = lock ?? (stage && overrideOf(person.families[family], stage.id))
  return {
    studentId: person.studentId,
    stageId: stage?.id ?? null,
    setupId: stage && setupOf(stage),
    ...props,
    override,
    change: stage && changeOn(stage, { caps: person.limits }),
    inPlace: stage === null || (stage.family !== family && override === null),
  }
}

function needsProps(practice: Library, stage: Stage): boolean {
  const { straps, blocks } = propsOf(practice, stage)
  return straps + blocks > 0
}

function setupOf(stage: Stage): string {
  return stage.setups[0] ?? 'SETUP-floor-clear'
}

/** What one person holds in a stage's setup, from its bill of props; optional pieces are not counted. */
function propsOf(practice: Library, stage: Stage): PropCount {
  const { bill } = findById(practice.setups, setupOf(stage))
  const counted = (prop: string): number => bill.find((b) => b.prop === prop && !b.optional)?.count ?? 0
  return { straps: counted('strap'), blocks: counted('block') }
}

function fits(asked: PropCount, left: PropCount): boolean {
  return asked.straps <= left.straps && asked.blocks <= left.blocks
}
