import 'server-only'
import type { Body } from '@/core/body/estimate'
import type { Picture } from '@/core/figure/picture'
import { pictureFor } from '@/core/figure/picture-of'
import { daysBetween } from '@/core/day'
import { partsOfDose, type DosePart } from '@/core/practice/dose-run'
import { findById } from '@/core/practice/find'
import type { Library } from '@/core/practice/library'
import type { Family } from '@/core/practice/schema'
import { firstMonthCap } from '@/core/approaches/floor'
import { allowedStages, reachOf } from '@/core/readiness/allowed'
import type { Decision } from '@/core/readiness/decide'
import { foldEvidence, type Evidence } from '@/core/readiness/evidence'
import { groundOf } from '@/core/readiness/ground'
import { helpWith } from '@/core/readiness/fault-help'
import { leavesFloor } from '@/core/readiness/gate'
import { forecastGate } from '@/core/readiness/forecast'
import { trialsOf } from '@/core/readiness/trials'
import { kickOutlook, kicksAt } from '@/core/readiness/kicks'
import { ladderOf } from '@/core/readiness/ladder'
import { jointsLoaded } from '@/core/readiness/recent-load'
import { sideGaps } from '@/core/readiness/sides'
import { prescribe, type Prescribed } from '@/core/readiness/prescribe'
import { withinOf } from '@/core/readiness/within'
import { stepsOnto } from '@/core/readiness/step-onto'
import { isTired } from '@/core/screening/tonight'
import {
  aimOf,
  describeFade,
  describeForecast,
  describeHelp,
  describeKicks,
  describeSideGap,
  describeTrial,
  weakerFirst,
} from '@/core/words/next-steps'
import { describeDose } from '@/core/words/dose'
import { describeChange } from '@/core/words/plan'
import { describeStepOnto } from '@/core/words/step-onto'
import { faultName } from '@/core/words/reason'
import { firstFactDays } from '@/db/evidence'
import type { StudentRecord } from '@/db/students'
import { anyBody, bodyOfStudent } from '../body'
import type { Context } from '../context'
import { fadesFor } from '../desk/fade-lines'
import type { Judge } from '../desk/judge'

/** A drill on one card. */
export type DrillCard = {
  id: string
  name: string
  aim: string
  dose: string
  minutes: number
  do: string
  lookFor: string
  /** How limits change it, besides the dose; empty where they do not, or on a private screen. */
  changed: string
  /** Which side begins, where one is behind. */
  side: string
  easier: string
  harder: string
  picture: Picture | null
  /** Part by part, the weaker side first and once more. */
  parts: DosePart[]
}

export type NextSteps = {
  /** Rungs that may be stepped onto tonight, with what has to be clean before. */
  tonight: string[]
  /** How the missing results have been going. */
  forecasts: string[]
  /** How kicks arrive, and what the next five may bring. */
  kicks: string[]
  /** Props that may go or should come back, and what trials showed. */
  props: string[]
  /** Sides that have been far apart for days. */
  sides: string[]
  /** Drills that cover what is missing, as they are done by this person. */
  drills: DrillCard[]
  /** What to do for results that no drill trains. */
  undrilled: string[]
  /** What to do about faults seen lately, cause first. */
  faults: { name: string; text: string }[]
}

/** Minutes for drills before anybody says otherwise. */
const DRILL_MINUTES = 12
/** Faults that are spoken of at a time. */
const MOST_FAULTS = 3
/** A fault seen longer ago than this is no news, days. */
const FAULT_DAYS = 28

/** Everything that follows from a decision, in sentences: how it goes, props, sides, drills, faults. */
export function nextSteps(
  ctx: Context,
  judge: Judge,
  decision: Decision,
  { breathS, ...student }: StudentRecord,
): NextSteps {
  const { practice, clock, studio: wording, privacy } = ctx
  const { today } = clock
  const body = bodyOfStudent(student) ?? anyBody()
  const evidence = foldEvidence(judge.evidence(decision.studentId), today)
  const caps = judge.tonight(decision.studentId)
  // Newest first: what was seen last is what to speak of.
  const seen = [...evidence.observations, ...evidence.attempts]
    .filter((f) => daysBetween(f.day, today) <= FAULT_DAYS)
    .toSorted((a, b) => (a.hlc < b.hlc ? 1 : -1))
    .flatMap((f) => f.faults)
  const faultsLately = [...new Set(seen)].slice(0, MOST_FAULTS)
  const checkIn = judge.checkIn(decision.studentId)
  // With what follows from tries, and a clear head as short arms let it be read.
  const { credited, evidence: asShown } = groundOf(practice, judge.evidence(decision.studentId), today)
  const within = withinOf(practice, credited, caps, decision.missing)
  const ownLately = faultsLately.filter((id) => findById(practice.faults, id).own)
  const gaps = sideGaps(practice, asShown.observations, today)
  const ladder = ladderOf(practice, decision.family)
  const mine = inFamily(practice, evidence, decision.family)
  const towards = decision.targetId ?? decision.standing?.stageId
  const asked = new Set(ladder.stages.flatMap((s) => s.gates.map((g) => g.check)))
  return {
    tonight: stepsOnto(practice, decision.family, {
      evidence: judge.evidence(decision.studentId),
      limits: caps,
      asOf: today,
      open: allowedStages(practice, {
        ...reachOf(decision),
        limits: caps,
        looked: decision.targetId === null ? null : judge.looked(decision.studentId, decision.targetId),
      }).map((s) => s.id),
      firstMonth: isFirstMonth(ctx, student),
      ways: judge.ways(decision.studentId),
    }).map((step) => describeStepOnto(practice, step)),
    forecasts: decision.missing.flatMap((m) => {
      if (m.gate.op !== '>=' && m.gate.op !== '<=') return []
      const check = findById(practice.checks, m.gate.check)
      return [describeForecast(check, forecastGate(m.gate, check, asShown.observations, today), wording)]
    }),
    kicks: kickLines(practice, decision, evidence, today),
    props: [
      ...fadesFor(ctx, judge, decision, mine, today).map((f) => describeFade(practice, f)),
      ...trialsOf(practice, mine).map((t) => describeTrial(practice, t)),
    ],
    sides: gaps.filter((g) => g.told).map((g) => describeSideGap(practice, g)),
    drills: prescribe(
      practice,
      { missing: decision.missing, faults: ownLately, sides: gaps.filter((g) => asked.has(g.checkId)) },
      {
        minutes: DRILL_MINUTES,
        within,
        breathS,
        tired: isTired(checkIn),
        loaded: jointsLoaded(practice, evidence, today),
      },
    ).map((d) => drillCard(practice, d, body, privacy.hidden)),
    undrilled: decision.missing.flatMap(({ gate, state }) => {
      const { name, noDrill } = findById(practice.checks, gate.check)
      return state === 'met' || noDrill === undefined ? [] : [`${name}: ${noDrill}`]
    }),
    faults: faultsLately.map((id) => ({
      name: faultName(practice, id),
      text: describeHelp(
        practice,
        helpWith(practice, id, {
          evidence: asShown,
          caps,
          within,
          stageId: evidence.attempts.findLast((a) => a.faults.includes(id))?.stageId ?? towards ?? null,
          checkIn: privacy.hidden ? null : checkIn,
          asked: towards ? ladder.gatesBeneath(towards) : [],
          asOf: today,
        }),
        wording,
      ),
    })),
  }
}

function isFirstMonth(
  { scope, clock }: Context,
  { id, createdDay }: Pick<StudentRecord, 'id' | 'createdDay'>,
): boolean {
  const begun = firstFactDays(scope, [id]).get(id) ?? []
  return firstMonthCap([createdDay, ...begun], clock.today) !== null
}

function drillCard(practice: Library, prescribed: Prescribed, body: Body, hidden: boolean): DrillCard {
  const { drillId, minutes, dose, change, covers, weaker, easier, harder } = prescribed
  const drill = findById(practice.drills, drillId)
  return {
    id: drillId,
    name: drill.name,
    aim: aimOf(practice, covers),
    dose: describeDose(dose),
    minutes,
    do: drill.do,
    lookFor: drill.lookFor,
    changed: hidden ? '' : describeChange(change),
    side: weakerFirst(weaker),
    easier: easier ?? '',
    harder: harder ?? '',
    picture: pictureFor(practice, drillId, body),
    parts: partsOfDose(dose, weaker),
  }
}

/** Tries before their outlook is worth a line. */
const LEAST_KICKS = 3

/** Kicks of this family, together and by the leg that led where both have led. */
function kickLines(practice: Library, { family }: Decision, evidence: Evidence, today: string): string[] {
  const stages = new Set(
    ladderOf(practice, family)
      .stages.filter(leavesFloor)
      .map((s) => s.id),
  )
  const outlook = (who: string, lead: 'left' | 'right' | null): string[] => {
    const arrived = kicksAt(stages, evidence, today, lead)
    return arrived.length < LEAST_KICKS ? [] : [describeKicks(kickOutlook(arrived), who)]
  }
  const sides = [...outlook('Left leg leading', 'left'), ...outlook('Right leg leading', 'right')]
  return sides.length > 1 ? sides : outlook('Kicks', null)
}

/** Tries at the stages of one family. */
function inFamily(practice: Library, evidence: Evidence, family: Family): Evidence {
  const own = new Set(ladderOf(practice, family).stages.map((s) => s.id))
  return { ...evidence, attempts: evidence.attempts.filter((a) => own.has(a.stageId)) }
}
