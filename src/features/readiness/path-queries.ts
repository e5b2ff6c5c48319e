import 'server-only'
import { cueFor } from '@/core/approaches/effects'
import { hiddenStages } from '@/core/approaches/resolve'
import { pictureFor } from '@/core/figure/picture-of'
import type { Picture } from '@/core/figure/picture'
import { changeOn } from '@/core/classes/change'
import { doseOf } from '@/core/classes/dose-of'
import { findById } from '@/core/practice/find'
import type { Stage } from '@/core/practice/schema'
import type { Decision } from '@/core/readiness/decide'
import { groundOf } from '@/core/readiness/ground'
import { pathOf, type StepState } from '@/core/readiness/path'
import { insteadOf } from '@/core/screening/instead'
import { judgeStage } from '@/core/screening/stage-limits'
import { waysOut } from '@/core/screening/ways-out'
import { describeDose } from '@/core/words/dose'
import { describeLimit, LIMIT_HIDDEN } from '@/core/words/limit'
import { meterOf, type Meter } from '@/core/words/meter'
import { describeChange } from '@/core/words/plan'
import { describeAsked } from '@/core/words/reason'
import type { StudentRecord } from '@/db/students'
import { anyBody, bodyOfStudent } from '../body'
import type { Context } from '../context'
import { handNumbers } from '../desk/hand-numbers'
import type { Judge } from '../desk/judge'

export type StepView = {
  id: string
  name: string
  short: string
  state: StepState
  picture: Picture | null
}
/** One numbered step: the branch that tells most is drawn, the others are named. */
export type ForkView = { name: string; shown: StepView; others: Omit<StepView, 'picture'>[] }

/** One step with everything a teacher says and does at it; a closed one says what to do instead and nothing more. */
export type StepOpen = StepView & {
  sanskrit: string
  /** What closes or changes it tonight, and what to do instead; empty where no limit acts. */
  limit: string
  /** Whether the decision speaks of this step: what comes next, or at the top where somebody stands. */
  answers: boolean
  do: string
  lookFor: string
  say: string
  dose: string
  out: string[]
  /** Where hands and props go on this body. */
  numbers: { label: string; value: string }[]
  setupId: string | null
  setup: string
  /** What it asks, against what was seen. */
  meters: Meter[]
  /** What it asks, where nothing was weighed against it. */
  asks: string[]
}

export type PathView = { forks: ForkView[]; open: StepOpen | null }

/** A family's ladder as figures on somebody's own body, and one step of it opened. */
export function personPath(
  ctx: Context,
  judge: Judge,
  student: StudentRecord,
  decision: Decision,
  stepId: string | undefined,
): PathView {
  const { practice, clock } = ctx
  const { id } = student
  const body = bodyOfStudent(student) ?? anyBody()
  const { credited } = groundOf(practice, judge.evidence(id), clock.today)
  const hidden = hiddenStages(practice, judge.approaches(id))
  // What tonight closes is closed here too, whatever stands.
  const forks = pathOf(practice, decision, credited, judge.tonight(id), hidden)
  const view = (stage: Stage, state: StepState): Omit<StepView, 'picture'> => ({
    id: stage.id,
    name: stage.name,
    short: stage.short ?? stage.name,
    state,
  })
  const steps = forks.flatMap((fork) => fork.steps)
  const spokenOf = decision.targetId ?? decision.standing?.stageId
  const opened =
    steps.find(({ stage }) => stage.id === stepId) ?? steps.find(({ stage }) => stage.id === spokenOf)
  return {
    forks: forks.flatMap(({ name, steps: branches, first }) => {
      const shown = branches[first]
      if (!shown) return []
      return [
        {
          name,
          shown: { ...view(shown.stage, shown.state), picture: pictureFor(practice, shown.stage.id, body) },
          others: branches.filter((b) => b !== shown).map((b) => view(b.stage, b.state)),
        },
      ]
    }),
    open: opened
      ? openStep(ctx, judge, {
          student,
          decision,
          credited,
          stage: opened.stage,
          answers: opened.stage.id === spokenOf,
          ...view(opened.stage, opened.state),
        })
      : null,
  }
}

type Opening = Omit<StepView, 'picture'> & {
  readonly student: StudentRecord
  readonly decision: Decision
  readonly credited: ReadonlySet<string>
  readonly stage: Stage
  readonly answers: boolean
}

function openStep(ctx: Context, judge: Judge, opening: Opening): StepOpen {
  return opening.state === 'closed' ? shutStep(ctx, judge, opening) : taughtStep(ctx, judge, opening)
}

/** What is closed is told as what to do instead, without how it is done. */
function shutStep(
  { practice, privacy }: Context,
  judge: Judge,
  { student, decision: _decision, credited, stage, ...view }: Opening,
): StepOpen {
  const limits = judge.tonight(student.id)
  const { verdict, because } = judgeStage(practice, stage, limits)
  const instead = insteadOf(practice, stage, limits, { held: credited })
  return {
    ...view,
    ...NOTHING_SAID,
    sanskrit: stage.sanskrit ?? '',
    limit: privacy.hidden ? LIMIT_HIDDEN : describeLimit({ verdict, because, instead }, practice),
  }
}

const NOTHING_SAID = {
  picture: null,
  do: '',
  lookFor: '',
  say: '',
  dose: '',
  out: [],
  numbers: [],
  setupId: null,
  setup: '',
  meters: [],
  asks: [],
} satisfies Partial<StepOpen>

function taughtStep(
  ctx: Context,
  judge: Judge,
  { student, decision, credited: _credited, stage, ...view }: Opening,
): StepOpen {
  const { practice, studio, privacy } = ctx
  const change = changeOn(stage, judge.tonight(student.id))
  const own = bodyOfStudent(student)
  const ways = judge.approaches(student.id)
  const setupId = stage.setups[0] ?? null
  const weighed = decision.targetId === stage.id
  return {
    ...view,
    sanskrit: stage.sanskrit ?? '',
    picture: pictureFor(practice, stage.id, own ?? anyBody()),
    limit: change && privacy.hidden ? LIMIT_HIDDEN : describeChange(change),
    do: stage.do,
    lookFor: stage.lookFor,
    say: cueFor(practice, ways, stage),
    dose: describeDose(doseOf({ breathS: student.breathS, mostAttempts: null }, stage, change)),
    out: waysOut(practice, stage, judge.tonight(student.id)).map((e) => `${e.name}: ${e.do}`),
    numbers: own && setupId ? handNumbers(ctx, own, setupId, ways, stage.setupWith) : [],
    setupId,
    setup: setupId ? findById(practice.setups, setupId).name : '',
    meters: weighed ? metersOf(ctx, decision) : [],
    asks: weighed
      ? []
      : stage.gates.map((gate) => describeAsked(gate, findById(practice.checks, gate.check), studio)),
  }
}

/** What is missing first, then what is met. */
function metersOf({ practice, studio }: Context, decision: Decision): Meter[] {
  const met = decision.reasons.flatMap((r) =>
    r.code === 'gate' && r.result.state === 'met' ? [r.result] : [],
  )
  return [...decision.missing, ...met].map((result) => meterOf(result, practice, studio))
}
