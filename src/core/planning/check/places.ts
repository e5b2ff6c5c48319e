import type { Brief, BriefPerson, ReachInFamily } from '../../classes/brief'
import type { Doing, Plan } from '../../classes/plan'
import { OVERRIDE_REASONS } from '../../classes/override'
import type { Library } from '../../practice/library'
import { LOAD_TAGS, type Drill, type Load, type Stage } from '../../practice/schema'
import type { Violation } from './violation'
import { asksNothing, holds, isBehind, worksIn } from './walk'

/** Nobody is on what is closed to them, above what was decided, or past what a limit leaves. */
export function placesKept(practice: Library, brief: Brief, plan: Plan): Violation[] {
  return worksIn(plan).flatMap(({ people, startS }) =>
    people.flatMap((doing) => {
      const stage = practice.stages.find((s) => s.id === doing.variantId)
      const drill = [...practice.drills, ...practice.counterposes].find((d) => d.id === doing.variantId)
      const person = brief.people.find((p) => p.studentId === doing.studentId)
      const waiting = person ? waitingKept(practice, person, doing) : []
      if (doing.variantId === null) return waiting
      if (!person || (!stage && !drill)) return [above(doing, false)]
      const own = stage
        ? kept(practice, person, doing, stage)
        : drill
          ? drillKept(practice, person, doing, drill)
          : []
      return [...waiting, ...own, ...early(person, stage ?? drill, startS / (brief.minutes * 60))]
    }),
  )
}

/** What a limit leaves open late in the hour only is closed before. */
function early(
  { studentId, limits }: BriefPerson,
  what: Pick<Stage | Drill, 'id' | 'load'> | undefined,
  atShare: number,
): Violation[] {
  const from = Math.max(
    0,
    ...limits
      .filter((l) => l.action === 'modify' && (what?.load[l.tag] ?? 0) >= l.level)
      .map((l) => l.change?.notBefore ?? 0),
  )
  return from > atShare ? [{ code: 'closed', studentId, variantId: what?.id ?? '' }] : []
}

/** What somebody does while others are up is open to them as well. */
function waitingKept(practice: Library, person: BriefPerson, { waiting }: Doing): Violation[] {
  const drill = practice.drills.find((d) => d.id === waiting)
  const shut = person.limits.some(
    ({ tag, level, refer, action }) =>
      (action === 'stop' || action === 'avoid') &&
      ((drill?.load[tag] ?? 0) >= level || refer === 'urgent' || refer === 'home'),
  )
  return drill && shut ? [{ code: 'closed', studentId: person.studentId, variantId: drill.id }] : []
}

/** A drill asks for no load that limits close, nor for more than what somebody stands on carries. */
function drillKept(
  practice: Library,
  person: BriefPerson,
  doing: Doing,
  drill: Pick<Drill, 'id' | 'load'>,
): Violation[] {
  const acting = person.limits.filter(
    ({ tag, level, refer }) => (drill.load[tag] ?? 0) >= level || refer === 'urgent' || refer === 'home',
  )
  if (acting.some((l) => l.action === 'stop' || l.action === 'avoid' || cannotBe(l, drill.load)))
    return [{ code: 'closed', studentId: person.studentId, variantId: drill.id }]
  const { FR = 0, HBH = 0, HB = 0, NF = 0 } = drill.load
  const waits = !person.answered && (FR >= 2 || HBH >= 3 || HB >= 2 || NF >= 2)
  const shown = practice.stages.filter((s) => asksNothing(s) || holds(practice, person, s))
  const tooMuch = LOAD_TAGS.some((tag) => {
    const least = ['HB', 'NF'].includes(tag)
      ? 0
      : ['ST', 'SF', 'SE', 'KN', 'EL'].includes(tag)
        ? 2
        : ['PR', 'SU'].includes(tag)
          ? 3
          : 1
    return (drill.load[tag] ?? 0) > Math.max(least, ...shown.map((s) => s.load[tag] ?? 0))
  })
  const found: Violation[] =
    waits || (tooMuch && doing.override === null) ? [above(doing, doing.override !== null)] : []
  return [...found, ...changeTold(doing, acting)]
}

/** A change that the shape cannot take leaves nothing to do (ruling 23). */
function cannotBe({ action, change }: BriefPerson['limits'][number], { cannot = [] }: Load): boolean {
  return action === 'modify' && cannot.some((how) => how === change?.how)
}

function changeTold({ studentId, variantId, change }: Doing, acting: BriefPerson['limits']): Violation[] {
  const told = acting.every(
    (limit) =>
      (limit.change === null ||
        (change?.words.includes(limit.change.words) === true && change.share <= limit.change.share)) &&
      (limit.mostSeconds === null || (change?.mostSeconds ?? Infinity) <= limit.mostSeconds),
  )
  return told ? [] : [{ code: 'change-missing', studentId, variantId: variantId ?? '' }]
}

function kept(practice: Library, person: BriefPerson, version: Doing, stage: Stage): Violation[] {
  const actingOn = ({ load }: Stage): BriefPerson['limits'] =>
    person.limits
      .filter(({ tag, level, refer }) => (load[tag] ?? 0) >= level || refer === 'urgent' || refer === 'home')
      .map((limit) => (cannotBe(limit, load) ? { ...limit, action: 'avoid' as const } : limit))
  const acting = actingOn(stage)
  const has = (action: string): boolean =>
    shut(practice, stage, (s) => actingOn(s).some((limit) => limit.action === action))
  const { FR = 0, HB = 0 } = stage.load
  const reasoned = version.override !== null && OVERRIDE_REASONS.includes(version.override)
  // A Stop is nobody's to override: only a recorded clearance takes it out of the limits.
  if (has('stop')) return [{ code: 'closed', studentId: person.studentId, variantId: stage.id }]
  if (has('avoid') && !reasoned) return [{ code: 'closed', studentId: person.studentId, variantId: stage.id }]
  const found: Violation[] = []
  const waits = !person.answered && wantsAnswers(stage)
  const reach = person.families[familyOf(stage, person)]
  const standsIn = version.inPlace && FR <= 1 && HB === 0
  if (
    waits ||
    has('avoid') ||
    !(standsIn || holds(practice, person, stage) || (reach && within(practice, reach, stage)))
  )
    found.push(above(version, reasoned))
  return [...found, ...changeTold(version, acting)]
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

function above({ studentId, variantId }: Doing, overridden: boolean): Violation {
  return { code: 'above-decision', studentId, variantId: variantId ?? '', overridden }
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
  if (asksNothing(stage) || isBehind(practice, reach, stage.id)) return true
  const { FR = 0, HB = 0 } = stage.load
  // A first solo kick, balance or head load waits for the teacher's own look, whoever made the plan.
  const said = reach.looked?.answer ?? null
  const looked = said === 'accept' || said === 'override'
  const held = said === 'hold-back' || ((FR >= 3 || HB >= 2) && !looked)
  const offered = ['offer', 'once-more'].includes(reach.outcome)
  return reach.outcome !== 'step-back' && offered && !held && stage.id === reach.targetId
}
