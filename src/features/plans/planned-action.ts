import 'server-only'
import { revalidatePath } from 'next/cache'
import type { z } from 'zod'
import { reaches } from '@/core/access/roles'
import type { Brief } from '@/core/classes/brief'
import type { Lock } from '@/core/classes/lock'
import type { Plan } from '@/core/classes/plan'
import { validatePlan } from '@/core/planning/check/validate'
import type { JobAnswer, JobInput } from '@/core/planning/jobs'
import { describePlanRefusal } from '@/core/words/plan'
import { findClass, locksOf, type ClassRecord } from '@/db/classes'
import { sharedDb } from '@/db/open'
import { inOneGo, logFailure, orNothing } from '../action'
import { problem, type Answer } from '../answer'
import { contextFor, type Context } from '../context'
import { briefFor } from '../desk/class-file'
import { refusalFor, whoHere, type Who } from '../who'
import { beside } from './beside'
import { keepPlan } from './replan'

/** What a plan is wanted for, once something about a class was changed. */
export type Wanted<T> = {
  readonly record: Pick<ClassRecord, 'id' | 'day' | 'minutes' | 'bays' | 'roster' | 'aim' | 'fixed'>
  readonly locks: readonly Lock[]
  /** The plan that the new one shall be near to; null where it is made afresh. */
  readonly before: Plan | null
  readonly planId: string
  /** What a search found, where that shall be kept and not made anew. */
  readonly found?: Pick<JobInput<'take'>, 'print' | 'state'>
  /** Whether it is kept: the same press twice keeps one. */
  readonly keep: boolean
  readonly answer: T
  /** The field that an empty list is said beside; the whole form where there is none. */
  readonly listField?: string
}

/** So often something about a class may be changed by others while its plan is being made. */
const TRIES = 3
const CHANGED = 'Something about the class changed meanwhile, again and again: try once more.'
const GONE = 'That class is not here any more.'

/**
 * An action that ends with a plan. Working one out takes far longer than anything else here, so it is done beside, outside
 * any transaction: the change is tried and taken back, the plan is made of what it would leave, and both are kept in one go
 * if what the plan was made from is still so; else it is made once more.
 * @param change does what was asked and says what to plan; it is done twice, and must do the same both times
 */
export function planned<S extends z.ZodType, T>(
  schema: S,
  change: (ctx: Context, input: z.output<S>) => Answer<Wanted<T>>,
): (raw: z.input<S>) => Promise<Answer<T>> {
  return guarded(schema, async (who, input) => {
    const answer = await planAndKeep(who, (ctx) => change(ctx, input))
    if (answer.ok) revalidatePath('/', 'layout')
    return answer
  })
}

/** An action that asks something about the plan of a class and changes nothing; worked out beside. */
export function askedBeside<S extends z.ZodType<{ id: string }>, T>(
  schema: S,
  work: (ctx: Context, brief: Brief, input: z.output<S>) => Promise<Answer<T>>,
): (raw: z.input<S>) => Promise<Answer<T>> {
  return guarded(schema, async (who, input) => {
    const ctx = contextFor(who.privacy, sharedDb(), who.actor)
    const record = findClass(ctx.scope, input.id)
    if (!record) return problem(GONE)
    return work(ctx, briefFor(ctx, record, locksOf(ctx.scope, record.id)), input)
  })
}

/** Who asks and what they sent, looked at as every action does; whatever fails is noted and said. */
function guarded<S extends z.ZodType, T>(
  schema: S,
  work: (who: Who, input: z.output<S>) => Promise<Answer<T>>,
): (raw: z.input<S>) => Promise<Answer<T>> {
  return async (raw) => {
    try {
      const who = await whoHere()
      if (who.privacy.passed) return problem('This tablet is being passed round: give it back first.')
      if (!reaches(who.actor.role, 'desk')) return problem(refusalFor(who.actor, false))
      const parsed = schema.safeParse(raw)
      if (!parsed.success)
        return {
          ok: false,
          problems: parsed.error.issues.map(({ path, message }) => ({ path: path.join('.'), message })),
        }
      return await work(who, parsed.data)
    } catch (error) {
      const number = logFailure('planning', error)
      return problem(
        `That could not be done. Nothing was changed; try once more. It is noted under ${number}.`,
      )
    }
  }
}

async function planAndKeep<T>(who: Who, change: (ctx: Context) => Answer<Wanted<T>>): Promise<Answer<T>> {
  for (let tries = 0; tries < TRIES; tries += 1) {
    const wanted = tryOut(who, change)
    if (!wanted.ok) return wanted
    const { record, locks, before } = wanted.value
    const reading = (): { ctx: Context; brief: Brief } => {
      const ctx = contextFor(who.privacy, sharedDb(), who.actor)
      return { ctx, brief: briefFor(ctx, record, locks) }
    }
    const { ctx, brief } = reading()
    const { found } = wanted.value
    const made = found
      ? await beside(ctx.practice, 'take', { brief, ...found })
      : await beside(ctx.practice, 'plan', { brief, before })
    if (!made.ok) return refused(made.refusal, wanted.value.listField)
    // From here on nothing is waited for, so nobody comes between the second look and the keeping.
    const again = reading()
    const isSame =
      again.ctx.practice === ctx.practice && JSON.stringify(again.brief) === JSON.stringify(brief)
    // In a class that runs the same people are tapped every few seconds: what holds under the newest of it is kept.
    const isLast = tries === TRIES - 1
    if (!isSame && !(isLast && stillHolds(again.ctx, brief, again.brief, made.value))) continue
    const kept = keptTogether(who, change, wanted.value, { plan: made.value, brief: again.brief })
    if (kept !== null) return kept
  }
  return problem(CHANGED)
}

/** Whether only what is known of people has moved, and the plan breaks no rule by it. */
function stillHolds({ practice }: Context, was: Brief, now: Brief, plan: Plan): boolean {
  const apartFromPeople = ({ people, ...rest }: Brief): string =>
    JSON.stringify({ ...rest, people: people.map((p) => p.studentId) })
  return apartFromPeople(was) === apartFromPeople(now) && validatePlan(practice, now, plan).length === 0
}

/** Does the change and keeps the plan with it, in one go; null where the change is no longer what the plan was made for. */
function keptTogether<T>(
  who: Who,
  change: (ctx: Context) => Answer<Wanted<T>>,
  planned: Wanted<T>,
  file: { plan: Plan; brief: Brief },
): Answer<T> | null {
  try {
    return orNothing((ctx) => {
      const now = change(ctx)
      if (!now.ok) return now
      if (madeFrom(now.value) !== madeFrom(planned)) throw new TakenBack(null)
      if (now.value.keep) keepPlan(ctx, planned.record.id, planned.planId, file)
      return { ok: true, value: now.value.answer }
    }, who)
  } catch (error) {
    if (error instanceof TakenBack) return null
    throw error
  }
}

function madeFrom({ record, locks, before }: Wanted<unknown>): string {
  return JSON.stringify([record, locks, before])
}

type Refused = Extract<JobAnswer<'take'>, { ok: false }>['refusal']

function refused(refusal: Refused, listField = ''): ReturnType<typeof problem> {
  if (refusal.code === 'changed') return problem('Something about the class changed meanwhile: look again.')
  if (refusal.code === 'breaks-a-rule') return problem('That plan breaks a rule and is not kept.')
  return problem(describePlanRefusal(refusal), refusal.code === 'nobody' ? listField : '')
}

/** Thrown through a transaction, so that nothing of it stays. */
class TakenBack extends Error {
  constructor(readonly answer: unknown) {
    super('taken back')
  }
}

/** What a change would leave to be planned; nothing of it stays. */
function tryOut<T>(who: Who, change: (ctx: Context) => Answer<Wanted<T>>): Answer<Wanted<T>> {
  try {
    return inOneGo((ctx) => {
      throw new TakenBack(change(ctx))
    }, who)
  } catch (error) {
    if (error instanceof TakenBack) return error.answer as Answer<Wanted<T>>
    throw error
  }
}
