import 'server-only'
import { cueFor } from '@/core/approaches/effects'
import { allTurns, type Doing, type Work } from '@/core/classes/plan'
import { addDays } from '@/core/day'
import type { Picture } from '@/core/figure/picture'
import { pictureFor } from '@/core/figure/picture-of'
import { findById } from '@/core/practice/find'
import type { Library } from '@/core/practice/library'
import { foldEvidence, type Evidence } from '@/core/readiness/evidence'
import { toldOf } from '@/core/readiness/from-tries'
import { leavesFloor } from '@/core/readiness/gate'
import { likelyFaults } from '@/core/readiness/likely-faults'
import { setupChoices } from '@/core/readiness/setup-choices'
import { waysOut } from '@/core/screening/ways-out'
import { describeChange, NOTHING_OPEN } from '@/core/words/plan'
import { faultName } from '@/core/words/reason'
import { describePieces } from '@/core/words/setup'
import { describeTurns } from '@/core/words/turns'
import type { StudentRecord } from '@/db/students'
import { anyBody, bodyOfStudent } from '../body'
import type { Context } from '../context'
import { ownNumbers, rigSteps, type Rig } from '../desk/hand-numbers'
import type { Judge } from '../desk/judge'
import { drillOf } from './together'

/** Fault chips beside a name. */
const CHIPS = 4

export type StageBrief = {
  /** Empty where nothing of the practice is open to them. */
  id: string
  /** Every step of the way on which it is a rung, itself among them: what was tapped on any of them is told beside it. */
  way: readonly string[]
  /** Whether what came of it is tapped: steps are, drills are only done. */
  taps: boolean
  /** All of a drill as it was planned, seconds where it is held, else times; null where it is no drill. */
  drill: number | null
  /** Where they are; empty where the room is not drawn. */
  place: string
  /** What they do while others are up; empty where nobody waits. */
  waiting: string
  /** Who stands beside them; empty where nobody needs to. */
  helper: string
  name: string
  cue: string
  /** Their own dose of it, by breath and limits. */
  dose: string
  /** How a limit changes it, in words; empty where none does, or on a private screen. */
  change: string
  /** What they step onto once this is clean tonight; empty where they stay. */
  then: string
  /** What they do once they have answered and nothing applies; empty where nobody waits for an answer. */
  hope: string
  /** The way out, said before anybody goes up. */
  exit: string
  leavesFloor: boolean
  /** Whether a leg leads and its level is read from it; whether held seconds are read from it. */
  leads: boolean
  timed: boolean
  /** Where hands and props go on this body; empty where nothing is built. */
  numbers: string
  /** What they use, counted; empty where nothing. */
  props: string
  /** How its rig is built and gone into, a step a line; empty where nothing stands all block long. */
  rig: Rig
  /** Ways of building it, the planned one first; empty where there is only one. */
  setups: { id: string; name: string }[]
  /** With the word for anybody; what to do about it with this person is asked for when one is tapped. */
  faults: { id: string; name: string; cue: string }[]
  /** On their own body. */
  picture: Picture | null
}
/** What somebody does, with the four faults that are likeliest for them. */
export function stageBrief(
  ctx: Context,
  judge: Judge,
  doing: Doing,
  student: StudentRecord | undefined,
  { block, ...at }: Pick<StageBrief, 'place' | 'helper' | 'waiting' | 'then' | 'hope'> & { block: Work },
): StageBrief {
  const { practice, privacy } = ctx
  const stays = block.kind === 'ease'
  const change = privacy.hidden ? '' : describeChange(doing.change)
  const drill = drillOf(practice, doing.variantId)
  const stage = practice.stages.find((s) => s.id === doing.variantId)
  const own = bodyOfStudent(student)
  const body = own ?? anyBody()
  const ways = judge.approaches(doing.studentId)
  const props = describePieces(doing.props, ctx.studio)
  if (!stage)
    return {
      ...at,
      ...{
        id: doing.variantId ?? '',
        way: [],
        taps: false,
        change,
        exit: '',
        leavesFloor: false,
        leads: false,
      },
      // A shape to rest in is no drill: nothing is counted of it.
      drill: practice.drills.some((d) => d.id === doing.variantId) ? amountOf(doing, block) : null,
      ...{
        timed: false,
        faults: [],
        rig: rigSteps(ctx, own, doing.setupId, ways),
        setups: [],
        numbers: ownNumbers(ctx, own, doing.setupId, ways),
        props,
        dose: describeTurns(doing, block, stays ? Infinity : drill?.usualS),
      },
      name: drill?.name ?? NOTHING_OPEN,
      cue: drill?.lookFor ?? '',
      picture: doing.variantId === null ? null : pictureFor(practice, doing.variantId, body),
    }
  // As of the day before: chips must not change places under the hand while a class runs.
  const seen: Evidence = foldEvidence(judge.evidence(doing.studentId), addDays(judge.day, -1))
  return {
    ...at,
    id: stage.id,
    way: [stage.id],
    taps: true,
    drill: null,
    name: stage.name,
    cue: cueFor(practice, ways, stage),
    dose: describeTurns(doing, block, stays ? Infinity : stage.dose.seconds?.value),
    change,
    exit: waysOut(practice, stage, judge.tonight(doing.studentId))[0]?.do ?? '',
    leavesFloor: leavesFloor(stage),
    ...toldOf(practice, stage.id),
    faults: likelyFaults(stage.faults, seen, judge.day)
      .slice(0, CHIPS)
      .map((id) => ({ id, name: faultName(practice, id), cue: findById(practice.faults, id).cue })),
    numbers: ownNumbers(ctx, own, doing.setupId, ways),
    props,
    rig: rigSteps(ctx, own, doing.setupId, ways),
    setups: setupsOf(practice, setupChoices(practice, stage, judge.tonight(doing.studentId)), doing.setupId),
    picture: pictureFor(practice, stage.id, body),
  }
}

/** What else it may be built with tonight, the planned way first; a choice of one is none. */
function setupsOf(
  practice: Library,
  choices: readonly string[],
  planned: string | null,
): StageBrief['setups'] {
  const ids = [...new Set([...(planned === null ? [] : [planned]), ...choices])]
  return ids.length < 2 ? [] : ids.map((id) => ({ id, name: findById(practice.setups, id).name }))
}

/** What a day's record may hold at most, in a drill's own unit. */
const MOST_AMOUNT = 900

function amountOf(doing: Doing, block: Work): number {
  const { holdS, reps, sides, sideMore } = doing
  return Math.min(
    MOST_AMOUNT,
    (holdS ?? 1) * reps * allTurns(block, doing) * ((sides ? 2 : 1) + (sideMore ? 1 : 0)),
  )
}
