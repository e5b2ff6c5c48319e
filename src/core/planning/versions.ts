import type { Library } from '../practice/library'
import { findById } from '../practice/library'
import type { Stage } from '../practice/schema'
import { allowedStages } from '../readiness/allowed'
import type { OverrideReason } from '../readiness/override'
import { judgeLoad, NOT_ASKED } from '../screening/caps'
import type { ClassBrief, Lock, Participant, Stock, Version } from './plan'

/** A Stop is nobody's to override: a lock on a barred stage is not followed. */
function barred(practice: Library, { limits = NOT_ASKED }: Participant, stageId: string): boolean {
  return judgeLoad(findById(practice.stages, stageId).load, limits).verdict === 'barred'
}

/** Everyone's version of a block: the highest allowed, or what the teacher locked, with stock run down as it goes. */
export function assignVersions(
  practice: Library,
  brief: ClassBrief,
  part: Lock['part'],
): { versions: Version[]; needed: Stock } {
  const left = { ...brief.stock }
  let needed: Stock = { straps: 0, blocks: 0 }
  const versions = brief.participants.map((participant) => {
    const lock = brief.locks.find(
      (l) =>
        l.part === part && l.studentId === participant.studentId && !barred(practice, participant, l.stageId),
    )
    const wanted = lock ? findById(practice.stages, lock.stageId) : highest(practice, participant)
    const asked = propsOf(practice, wanted)
    needed = { straps: needed.straps + asked.straps, blocks: needed.blocks + asked.blocks }
    const stage = lock || fits(asked, left) ? wanted : (withoutProps(practice, participant) ?? wanted)
    const props = fits(propsOf(practice, stage), left) ? propsOf(practice, stage) : { straps: 0, blocks: 0 }
    left.straps -= props.straps
    left.blocks -= props.blocks
    return {
      studentId: participant.studentId,
      stageId: stage.id,
      setupId: setupOf(stage),
      ...props,
      override: lock?.reason ?? overrideOf(participant, stage.id),
    }
  })
  return { versions, needed }
}

/** The reason for which the teacher lets somebody go above what is recorded, on the stage it was given for. */
function overrideOf({ targetId, looked }: Participant, stageId: string): OverrideReason | null {
  return stageId === targetId && looked?.answer === 'override' ? looked.reason : null
}

function highest(practice: Library, participant: Participant): Stage {
  const allowed = allowedStages(practice, participant)
  const [foot] = practice.stages.filter((s) => s.family === 'FS')
  const best = allowed.at(-1) ?? foot
  if (!best) throw new Error('the practice has no forearm stages')
  return best
}

function withoutProps(practice: Library, participant: Participant): Stage | undefined {
  return allowedStages(practice, participant)
    .filter((stage) => propsOf(practice, stage).straps + propsOf(practice, stage).blocks === 0)
    .at(-1)
}

function setupOf(stage: Stage): string {
  return stage.setups[0] ?? 'SETUP-floor-clear'
}

/** What one person holds in a stage's setup, from its bill of props; optional pieces are not counted. */
function propsOf(practice: Library, stage: Stage): Stock {
  const { bill } = findById(practice.setups, setupOf(stage))
  const counted = (prop: string): number => bill.find((b) => b.prop === prop && !b.optional)?.count ?? 0
  return { straps: counted('strap'), blocks: counted('block') }
}

function fits(asked: Stock, left: Stock): boolean {
  return asked.straps <= left.straps && asked.blocks <= left.blocks
}
