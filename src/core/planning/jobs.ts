import type { Brief } from '../classes/brief'
import type { Plan } from '../classes/plan'
import type { Library } from '../practice/library'
import type { Result } from '../result'
import { rehearse } from '../teaching/rehearse'
import { validatePlan } from './check/validate'
import { onTheHope } from './hope'
import { planNear } from './near'
import {
  ifMoreCome,
  otherwise,
  settledPlan,
  type ChangeKind,
  type MoreCome,
  type Otherwise,
} from './otherwise'
import { planClass, startsFor, type PlanRefusal } from './plan-class'
import { fits, foundFrom, printOf, withoutWords } from './search'
import { writePlan } from './write'

/** Starts that a search goes on from. */
const STARTS = 8

type State = Parameters<typeof fits>[1]

/**
 * What planning is asked for, each with what it answers. Every one takes long (tenths of a second for ten people, more for
 * twenty-four), follows from the practice and what it is given alone, and is worked out beside whatever else the server does.
 */
export const JOBS = {
  /** A plan for a class: a fresh one, or near to the one before. */
  plan: (
    practice: Library,
    { brief, before }: { brief: Brief; before: Plan | null },
  ): Result<Plan, PlanRefusal> => {
    const made = before === null ? planClass(practice, brief) : planNear(practice, brief, before)
    return made.ok ? { ok: true, value: made.value.plan } : made
  },

  /** What a search for a better one begins from, with the print by which its find is known to fit. */
  start: (practice: Library, { brief }: { brief: Brief }) => {
    const started = startsFor(practice, brief)
    if (!started.ok) return started
    const { model, starts } = started.value
    const value = {
      print: printOf(model),
      model: withoutWords(model),
      starts: starts.slice(0, STARTS).map((s) => s.state),
    }
    return { ok: true as const, value }
  },

  /** What a search found, written and judged anew; a word for why it is not kept. */
  take: (
    practice: Library,
    { brief, print, state }: { brief: Brief; print: number; state: State },
  ): Result<Plan, PlanRefusal | { code: 'changed' } | { code: 'breaks-a-rule' }> => {
    const started = startsFor(practice, brief)
    if (!started.ok) return started
    const { model } = started.value
    const [found] = printOf(model) === print && fits(model, state) ? foundFrom(model, [state]) : []
    if (!found) return { ok: false, refusal: { code: 'changed' } }
    const plan = writePlan(model, brief, found)
    const broken = validatePlan(practice, onTheHope(brief), plan).filter(
      (v) => !(v.code === 'above-decision' && v.overridden),
    )
    return found.outcome.isLegal && broken.length === 0
      ? { ok: true, value: plan }
      : { ok: false, refusal: { code: 'breaks-a-rule' } }
  },

  /** What two hundred evenings make of a plan, however the hour is met. */
  rehearse: (
    _practice: Library,
    { plan, notYet }: { plan: Pick<Plan, 'minutes' | 'blocks'>; notYet: Readonly<Record<string, number>> },
  ) => rehearse(plan, notYet),

  /** What one change would make of a class, or two more people. */
  otherwise: (
    practice: Library,
    { brief, change }: { brief: Brief; change: ChangeKind | 'people' },
  ): Result<{ more: MoreCome } | { found: Otherwise | null }, PlanRefusal> => {
    const of = JSON.stringify(brief)
    const now =
      settled?.practice === practice && settled.of === of ? settled.made : settledPlan(practice, brief)
    settled = { practice, of, made: now }
    if (!now.ok) return now
    return change === 'people'
      ? { ok: true, value: { more: ifMoreCome(practice, brief, now.value) } }
      : { ok: true, value: { found: otherwise(practice, brief, now.value, change) } }
  },
} as const

/** The present class as it was searched last: several changes are asked of one after another. */
let settled: {
  readonly practice: Library
  readonly of: string
  readonly made: ReturnType<typeof settledPlan>
} | null = null

export type JobName = keyof typeof JOBS
export type JobInput<N extends JobName> = Parameters<(typeof JOBS)[N]>[1]
export type JobAnswer<N extends JobName> = ReturnType<(typeof JOBS)[N]>
