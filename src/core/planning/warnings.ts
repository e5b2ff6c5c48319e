import type { Brief } from '../classes/brief'
import { isWork, type PlanBlock, type PlanWarning, type Work } from '../classes/plan'
import type { Composed } from './compose'
import { eyesOf } from './deal'
import type { Model } from './model'
import { LIGHT_POINTS } from './variants'

/** Minutes in hand that nobody needs to hear about, s. */
const IN_HAND_S = 120
/** A warm-up this much shorter than wanted is told, s. */
const TRIMMED_S = 30

/** What a plan lacks, the heaviest first. */
export function warningsOf(
  model: Model,
  brief: Brief,
  blocks: readonly PlanBlock[],
  warm: Composed,
  leftS: number,
): PlanWarning[] {
  const works = blocks.filter(isWork)
  return [
    ...unknown(model, brief),
    ...manyForEyes(model),
    ...works.flatMap(({ purpose, people }) =>
      people
        .filter((p) => p.variantId === null)
        .map((p): PlanWarning => ({ code: 'waits', studentId: p.studentId, purpose })),
    ),
    ...gaveWay(brief, works),
    ...(warm.seconds < warm.wantedS - TRIMMED_S
      ? [{ code: 'warm-up-trimmed' as const, wantedS: warm.wantedS, givenS: warm.seconds }]
      : []),
    ...(leftS > IN_HAND_S ? [{ code: 'minutes-left' as const, seconds: leftS }] : []),
    ...room(brief, works),
  ]
}

/** Who was never asked about health, and of whom nothing is known in any family. */
function unknown(model: Model, { people }: Brief): PlanWarning[] {
  const coming = people.filter((p) => model.people.some((m) => m.studentId === p.studentId))
  const notAsked = coming.filter((p) => !p.answered).length
  const isNew = coming.filter((p) => Object.values(p.families).every((r) => r.standingId === null)).length
  return [
    ...(notAsked > 0 ? [{ code: 'not-asked' as const, people: notAsked }] : []),
    ...(isNew > 0 ? [{ code: 'unknown' as const, people: isNew }] : []),
  ]
}

/** Above so many half the room is on floor work, whoever they are. */
function manyForEyes({ people, helpers }: Model): PlanWarning[] {
  const most = Math.floor(eyesOf(helpers) / 2 / LIGHT_POINTS)
  return people.length > most ? [{ code: 'many-for-eyes', people: people.length, most }] : []
}

/** What the teacher fixed and the plan could not keep. */
function gaveWay({ locks, fixed }: Brief, works: readonly Work[]): PlanWarning[] {
  const versions = locks.flatMap(({ studentId, part, stageId }): PlanWarning[] => {
    const kinds = part === 'skill' ? ['skill'] : ['peak', 'stay']
    const doings = works
      .filter((b) => kinds.includes(b.kind))
      .flatMap((b) => b.people.filter((p) => p.studentId === studentId))
    return doings.length > 0 && doings.every((doing) => doing.variantId !== stageId)
      ? [{ code: 'lock-gave-way', studentId, variantId: stageId }]
      : []
  })
  const lengths = Object.entries(fixed.lengths).flatMap(([purpose, { sets, waves }]): PlanWarning[] => {
    const block = works.find((b) => b.purpose === purpose)
    return block?.sets === sets && block.waves === waves ? [] : [{ code: 'fixed-gave-way', purpose }]
  })
  return [...versions, ...lengths]
}

/** What room and cupboard leave unsaid or short. */
function room({ cupboard, room: { bays, mats } }: Brief, works: readonly Work[]): PlanWarning[] {
  const without = ({ people }: Work): number =>
    people.filter((p) => p.variantId !== null && p.place === null).length
  const noMat = mats === null ? 0 : Math.max(0, ...works.map(without))
  return [
    ...(cupboard.listed ? [] : [{ code: 'cupboard-not-listed' as const }]),
    ...(bays.length === 0 ? [{ code: 'no-wall' as const }] : []),
    ...(noMat > 0 ? [{ code: 'no-mat' as const, people: noMat }] : []),
  ]
}
