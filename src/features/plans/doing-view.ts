import 'server-only'
import { cueFor, type InForce } from '@/core/approaches/effects'
import type { Brief, BriefPerson } from '@/core/classes/brief'
import type { Doing, Plan, Work } from '@/core/classes/plan'
import type { Picture } from '@/core/figure/picture'
import { pictureFor } from '@/core/figure/picture-of'
import type { Body } from '@/core/body/estimate'
import { isTry } from '@/core/practice/ask'
import { findById } from '@/core/practice/find'
import type { Library } from '@/core/practice/library'
import type { Drill, Family, Stage } from '@/core/practice/schema'
import type { Limits } from '@/core/screening/caps'
import { hopedDoing } from '@/core/planning/hope'
import { barsStage } from '@/core/screening/stage-limits'
import { waysOut } from '@/core/screening/ways-out'
import { describeTouch } from '@/core/words/floor'
import { describeClimb } from '@/core/words/climb'
import { stageName } from '@/core/words/reason'
import { describeHope } from '@/core/words/hope'
import { describeChange, NOTHING_OPEN } from '@/core/words/plan'
import { describePieces } from '@/core/words/setup'
import { stepOf } from '@/core/classes/step-of'
import { describeThen } from '@/core/words/step-onto'
import { describeWhy } from '@/core/words/why'
import { describeTurns, isShared, placeName } from '@/core/words/turns'
import { anyBody, bodyOfStudent } from '../body'
import type { Context } from '../context'
import { ownNumbers } from '../desk/hand-numbers'
import type { People } from '../desk/people'

export type DoingView = {
  studentId: string
  variantId: string | null
  name: string
  what: string
  cue: string
  /** Their own turns, by breath and limits. */
  dose: string
  /** What they pass in their first turns on the way to it; empty where they begin with it. */
  climb: string
  /** Figures of that way: what is passed, what is worked at, what comes once it is clean; empty where it is one thing. */
  way: { name: string; picture: Picture | null }[]
  /** How a limit changes it; empty where none does, or on a private screen. */
  changed: string
  /** What places hands and props for this body; empty without a height. */
  numbers: string
  props: string
  place: string
  /** At the wall or on the open floor, which somebody else may need after them. */
  shared: boolean
  wave: number
  /** What they step onto once this is clean tonight, and what has to be seen; empty where they stay. */
  then: string
  /** What they do once they have answered and nothing applies; empty where that is what they do anyhow. */
  hope: string
  /** Up in every wave. */
  every: boolean
  /** Who stands beside them; empty where nobody needs to. */
  helper: string
  /** What they do while others are up; empty where nobody waits. */
  waiting: string
  /** The way out, said before anybody goes up. */
  exit: string
  /** Why this version for them. */
  why: string
  override: boolean
  /** On their own body. */
  picture: Picture | null
}
/** What the words of a plan are made from. */
export type View = {
  readonly ctx: Context
  readonly brief: Brief | null
  /** The plan if nothing applies to whoever has not answered; null where everybody has. */
  readonly hoped: Plan | null
  readonly people: People
  readonly families: readonly Family[]
  readonly helperName: (id: string) => string
  /** The ways in force for somebody in this class. */
  readonly waysOf: (studentId: string) => InForce
}

/** A drill, or a shape to rest in, as it is told. */
type Done = Pick<Drill, 'id' | 'name' | 'lookFor' | 'dose'>

/** A stage, a drill or a counterpose by its id. */
export function taughtBy(practice: Library, id: string | null): { stage: Stage | null; drill: Done | null } {
  const rest = practice.counterposes.find((c) => c.id === id)
  const seconds = Math.round((rest?.minutes ?? 0) * 60)
  return {
    stage: practice.stages.find((s) => s.id === id) ?? null,
    drill:
      practice.drills.find((d) => d.id === id) ??
      (rest
        ? {
            ...rest,
            lookFor: rest.do,
            dose: { seconds: { value: seconds, min: seconds, max: seconds }, perSide: false },
          }
        : null),
  }
}

/** What one person does in a block, in words, with its figure on their own body. */
export function doingView(doing: Doing, block: Work, view: View): DoingView {
  const { practice, studio } = view.ctx
  const { studentId, variantId } = doing
  const { stage, drill } = taughtBy(practice, variantId)
  const body = bodyOfStudent(view.people.students.get(studentId))
  const what = stage ?? drill
  return {
    ...{ studentId, variantId, override: doing.override !== null },
    ...{ wave: doing.wave, every: doing.every },
    then: describeThen(practice, stepOf(view.brief, doing)),
    hope: describeHope(practice, hopedDoing(view.hoped, block, doing), block, view.brief?.room),
    name: view.people.nameOf(studentId),
    what: what?.name ?? NOTHING_OPEN,
    cue: stage ? cueFor(practice, view.waysOf(studentId), stage) : (drill?.lookFor ?? ''),
    dose: describeTurns(doing, block, usualSeconds(block, what)),
    climb: describeClimb(practice, doing),
    way: wayOf(practice, doing, body ?? anyBody()),
    changed: changedWords(doing, view),
    numbers: ownNumbers(view.ctx, body, doing.setupId, view.waysOf(studentId)),
    props: describePieces(doing.props, studio),
    place: placeName(doing.place, view.brief?.room),
    shared: isShared(doing.place, view.brief?.room),
    helper: doing.helper === null ? '' : view.helperName(doing.helper),
    waiting: meanwhileWords(practice, doing, block),
    why: whyWords(doing, block, view),
    exit: (stage && waysOut(practice, stage, limitsOf(view, studentId))[0]?.name) ?? '',
    picture: variantId === null ? null : pictureFor(practice, variantId, body ?? anyBody()),
  }
}

/** What they do while others are up; empty where nobody waits. */
function meanwhileWords(practice: Library, { waiting }: Doing, { waves }: Work): string {
  return waves > 1 && waiting !== null ? findById(practice.drills, waiting).name : ''
}

function wayOf(practice: Library, { climb, variantId, then }: Doing, body: Body): DoingView['way'] {
  const ids = [...climb.map((r) => r.variantId), variantId, then].flatMap((id) => (id === null ? [] : [id]))
  if (ids.length < 2) return []
  return ids.map((id) => ({ name: stageName(practice, id), picture: pictureFor(practice, id, body) }))
}

/** What limits somebody on the day of the class, as its brief has it. */
export function limitsOf({ brief }: View, studentId: string): Limits {
  return { caps: brief?.people.find((p) => p.studentId === studentId)?.limits ?? [] }
}

/** How long it is usually held, s; in a block of ease everything is stayed in. */
function usualSeconds({ kind }: Work, what: Pick<Drill, 'dose'> | null): number | undefined {
  return kind === 'ease' ? Infinity : what?.dose.seconds?.value
}

function whyWords(doing: Doing, { purpose }: Work, { ctx: { practice, privacy }, brief }: View): string {
  const person = brief?.people.find((p) => p.studentId === doing.studentId)
  return person ? describeWhy(practice, person, doing, purpose, privacy.hidden) : ''
}

/** How limits and consent change it; limits are left out on a private screen. */
function changedWords({ studentId, change }: Doing, { ctx: { privacy }, brief }: View): string {
  const person = brief?.people.find((p) => p.studentId === studentId)
  const words = [describeTouch(person?.touch ?? 'ask'), privacy.hidden ? '' : describeChange(change)]
  return words.filter((t) => t !== '').join(' ')
}

export type VersionChoice = { id: string; label: string; allowed: boolean }

/** What a teacher may give somebody by hand: what a Stop bars is no choice at all. */
export function choicesFor(
  practice: Library,
  person: BriefPerson | undefined,
  families: readonly Family[],
  skill: boolean,
): VersionChoice[] {
  const limits = { caps: person?.limits ?? [] }
  const open = new Set(Object.values(person?.families ?? {}).flatMap((reach) => reach.open))
  return practice.stages
    .filter((s) => s.rests !== true && families.includes(s.family) && !barsStage(practice, limits, s))
    .filter(({ load }) => !skill || !isTry(load))
    .map((s) => ({
      id: s.id,
      label: `${s.name}${open.has(s.id) ? '' : ' · above what is recorded'}`,
      allowed: open.has(s.id),
    }))
}
