import type { Brief, BriefPerson } from '../classes/brief'
import { changeOn, isTooEarly } from '../classes/change'
import { stepOf } from '../classes/step-of'
import { isWork, WAITING, type Doing, type Plan, type PlanBlock, type Work } from '../classes/plan'
import type { Library } from '../practice/library'
import { isOpenStage } from '../readiness/allowed'
import { isOpenTo } from '../readiness/may'
import { barsStage } from '../screening/stage-limits'
import { knownFor } from './known'
import { ownTurn, turnsLeft, type Option } from './option'
import { needsNothing, optionsFor } from './options'
import { stillClimbed } from './passable'
import { purposesOf } from './purposes'
import { variantsOf } from './variants'

/**
 * A plan as it holds on the day: whoever may not do what was planned any more, by a new limit or tonight's word, does what
 * is open to them instead, without wall or helper; what a limit changes is said with it; who is not coming is left out
 * and who came after the plan was made has something to do. Everything else stays as it was made.
 * @param brief of today
 * @param isOut what is replaced besides
 */
export function asItHolds(
  practice: Library,
  plan: Plan,
  brief: Brief,
  isOut: (doing: Doing) => boolean = () => false,
): Plan {
  const done: Done = new Map()
  return {
    ...plan,
    blocks: plan.blocks.map((block): PlanBlock => {
      if (!isWork(block)) return block
      const now = workNow(practice, block, { brief, isOut, done })
      for (const { studentId, variantId } of now.people)
        if (variantId !== null) done.set(studentId, [...(done.get(studentId) ?? []), variantId])
      return now
    }),
  }
}

/** What everybody has done in the blocks before. */
type Done = Map<string, readonly string[]>
type Today = { readonly brief: Brief; readonly isOut: (doing: Doing) => boolean; readonly done: Done }

function workNow(practice: Library, block: Work, today: Today): Work {
  const { brief, isOut } = today
  const coming = brief.people.filter((p) => !brief.fixed.out.includes(p.studentId))
  const planned = new Set(block.people.map((p) => p.studentId))
  const at = block.startS / (brief.minutes * 60)
  const held = block.people.flatMap((doing): Doing[] => {
    if (brief.fixed.out.includes(doing.studentId)) return []
    const person = brief.people.find((p) => p.studentId === doing.studentId)
    if (!person) return [doing]
    const meanwhile = {
      ...doing,
      waiting: stillWaiting(practice, person, doing, at),
      then: stepOf(brief, doing)?.stageId ?? null,
    }
    if (doing.variantId === null) return [meanwhile]
    const now =
      isOut(doing) || isClosed(practice, person, doing, at)
        ? null
        : changed(practice, person, block, meanwhile)
    return [
      now ?? { ...replaced(practice, today, person, block), wave: doing.wave, waiting: meanwhile.waiting },
    ]
  })
  const newcomers = coming
    .filter((p) => !planned.has(p.studentId))
    .map((p) => replaced(practice, today, p, block))
  return { ...block, people: [...held, ...newcomers] }
}

function isClosed(
  practice: Library,
  person: BriefPerson,
  { variantId, override, helper }: Doing,
  atShare: number,
): boolean {
  const stage = practice.stages.find((s) => s.id === variantId)
  const drill = [...practice.drills, ...practice.counterposes].find((d) => d.id === variantId)
  const limits = { caps: person.limits, answered: person.answered }
  if (helper !== null && person.touch === 'no') return true
  const what = stage ?? drill
  if (what && isTooEarly(what, limits, atShare)) return true
  if (drill) return !isOpenTo(limits, drill.load, atShare)
  if (!stage) return true
  if (barsStage(practice, limits, stage)) return true
  // A reason given by the teacher stands against everything but a Stop.
  return override === null && !isOpenStage(practice, limits, stage)
}

/** The task for waiting, while it is open to them; null for rest. */
function stillWaiting(
  practice: Library,
  { limits, answered }: BriefPerson,
  { waiting }: Doing,
  atShare: number,
): string | null {
  const drill = practice.drills.find((d) => d.id === waiting)
  return drill && isOpenTo({ caps: limits, answered }, drill.load, atShare) ? drill.id : null
}

/** The same version with what limits leave of it today; null where they leave no turn. */
function changed(practice: Library, person: BriefPerson, { workS }: Work, doing: Doing): Doing | null {
  const variant = variantsOf(practice).find((v) => v.id === doing.variantId)
  if (!variant) return null
  const change = changeOn(variant, { caps: person.limits })
  const turns = Math.min(doing.turns, turnsLeft(person, variant, change))
  if (turns < 1) return null
  const turn = ownTurn(person, variant, change, workS - doing.after)
  const standsIn = Object.values(person.families).some((r) => r.instead?.stageId === variant.id)
  // What a limit changes is done in one's own wave (`goesOn` asks the same of a plan being made).
  const every = doing.every && change === null
  const climb = [...stillClimbed(practice, person, { ...doing, turns })]
  return { ...doing, ...turn, change, turns, every, climb, inPlace: doing.inPlace || standsIn }
}

/** Price of a version that nobody else does in the block: gentle, and at work. */
const NEW_HERE = { gentle: 0.1, work: 0.3 } as const
/** Price of what they did in an earlier block already. */
const DONE_BEFORE = 0.4

/** What is open to somebody in a block without wall, props or helper, rather what others do there; nothing where nothing is. */
function replaced(practice: Library, { brief, done }: Today, person: BriefPerson, block: Work): Doing {
  const variants = variantsOf(practice)
  const purpose = purposesOf(practice, withStrength(brief, block), variants).find(
    (p) => p.id === block.purpose,
  )
  const asked = purpose && {
    brief: { ...brief, locks: [] },
    known: knownFor(practice, brief, person),
    purpose,
  }
  const plain = (asked ? optionsFor(practice, asked, variants) : []).filter((o) =>
    needsNothing(variants[o.v], o),
  )
  const before = done.get(person.studentId) ?? []
  const worth = ({ v, fit, outside }: Option): number => {
    const { id = '', gentle = true } = variants[v] ?? {}
    const here = block.people.some((p) => p.variantId === id)
    return (
      fit -
      outside -
      (here ? 0 : NEW_HERE[gentle ? 'gentle' : 'work']) -
      (before.includes(id) ? DONE_BEFORE : 0)
    )
  }
  const best = plain.reduce<Option | null>((a, b) => (a === null || worth(b) > worth(a) ? b : a), null)
  const variant = best && variants[best.v]
  if (!best || !variant) return { ...WAITING, studentId: person.studentId }
  const { change, inPlace } = best
  // As long as the block's own turn lasts: the option was made for the usual one.
  const { holdS, reps, sideMore } = ownTurn(person, variant, change, block.workS)
  return {
    ...WAITING,
    ...{ studentId: person.studentId, variantId: variant.id, setupId: variant.setupId, turns: block.sets },
    ...{ sides: variant.sides, holdS, reps, sideMore, change, inPlace },
    sideFirst: person.weaker[variant.id] ?? null,
  }
}

/** The class with a block of strength that the plan has, whatever it is shortest of today. */
function withStrength(brief: Brief, { kind, purpose }: Work): Brief {
  const capability = kind === 'train' ? purpose.split(':')[1] : undefined
  return capability === undefined ? brief : { ...brief, fixed: { ...brief.fixed, train: [capability] } }
}
