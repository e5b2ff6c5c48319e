import type { Day } from '../day'
import { afterSatisfied, answersTo, namesIn } from '../practice/after'
import { findById } from '../practice/find'
import type { Library } from '../practice/library'
import type { Family, Stage } from '../practice/schema'
import type { Caps } from '../screening/caps'
import { isOpenStage } from './allowed'
import { shortOf, type Ways } from './decide'
import type { Evidence } from './evidence'
import { may as mayDo } from './may'

/** A rung that may be tried on the night on which the one before it is done clean (ruling 21). */
export type StepOnto = {
  readonly stageId: string
  /** What has to be clean tonight. */
  readonly from: string
  /** What has to be seen there: a check, and its mark where it has one. */
  readonly shows: readonly { readonly checkId: string; readonly value: number | null }[]
}

/** Rungs a night in a family; in somebody's first month one. */
const MOST = 2

/** Falls, weight on the head and work on the nape keep their days and points: nothing of them is low stakes. */
export function isLowStakes({ load: { FR = 0, HB = 0, NF = 0 } }: Pick<Stage, 'load'>): boolean {
  return FR <= 1 && HB === 0 && NF <= 1
}

/**
 * What may be stepped onto tonight in a family: rungs of low stakes that follow directly on one that is open tonight, which no
 * limit bars or changes, and of whose gates nothing is missing but what that one shows when it is done clean. The second only follows on
 * the first. It depends on nothing but what is known before the class, so order of arrival changes nothing.
 */
export function stepsOnto(
  practice: Library,
  family: Family,
  known: {
    readonly evidence: Evidence
    readonly limits: Caps
    readonly asOf: Day
    /** What they may do tonight without it. */
    readonly open: readonly string[]
    readonly firstMonth: boolean
    readonly ways?: Ways
  },
): StepOnto[] {
  const { evidence, limits, asOf, open, firstMonth, ways } = known
  const may = new Set(open)
  const stages = practice.stages.filter(
    (s) => s.family === family && s.like === undefined && !(ways?.hidden.has(s.id) ?? false),
  )
  // A rung that a limit changes is begun as it is changed, on a night of its own.
  const isUntouched = (stage: Stage): boolean => {
    const { change } = mayDo(stage.load, limits)
    return isOpenStage(practice, limits, stage) && change === null
  }
  const found: StepOnto[] = []
  const stepFrom = (from: string): StepOnto | null => {
    for (const stage of stages) {
      if (may.has(stage.id) || !isLowStakes(stage)) continue
      if (!isUntouched(stage)) continue
      if (!namesIn(stage.after).some((name) => answersTo(from, name))) continue
      if (!afterSatisfied(stage, new Set([...may, from]))) continue
      const { missing, isHeldBack } = shortOf(practice, stage, evidence, limits, asOf, ways)
      if (isHeldBack) return null
      const isSeen = (check: string): boolean => findById(practice.checks, check).seenIn.includes(from)
      if (!missing.every(({ gate }) => isSeen(gate.check))) continue
      const shows = missing.map(({ gate }) => ({ checkId: gate.check, value: gate.value ?? null }))
      return { stageId: stage.id, from, shows }
    }
    return null
  }
  // From the hardest that is open: what is easier leads nowhere new.
  const starts = stages.filter((s) => may.has(s.id)).map((s) => s.id)
  for (const start of starts.toReversed()) {
    const first = stepFrom(start)
    if (!first) continue
    found.push(first)
    may.add(first.stageId)
    if (!firstMonth && found.length < MOST) {
      const second = stepFrom(first.stageId)
      if (second) found.push(second)
    }
    break
  }
  return found
}
