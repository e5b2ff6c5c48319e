import 'server-only'
import { randomBytes } from 'node:crypto'
import { revalidatePath } from 'next/cache'
import type { z } from 'zod'
import { reaches, type Level } from '@/core/access/roles'
import { forgetBackups } from '@/db/backup'
import { dataFolder, forgetCopies, settleSurely, sharedDb } from '@/db/open'
import { problem, type Answer } from './answer'
import { contextFor, type Context } from './context'
import { forgetAnswers } from './desk/remember'
import { practiceFields, type PracticeFields } from './fields'
import { tell, type Told } from './tell'
import { refusalFor, whoHere, type Who } from './who'

type Options<I> = {
  by?: Level
  refresh?: boolean
  layer?: boolean
  erases?: boolean
  passed?: boolean
  reads?: boolean
  trail?: Told | ((input: I) => Told)
}

/**
 * The one wrapper round every server action: who, authorise, parse, one transaction, a typed answer.
 * `by`: what it asks of whoever sends it; a teacher’s work unless told otherwise.
 * `refresh: false` leaves the page as it is.
 * `layer: true` asks for open health notes on the screen that sends it.
 * `erases: true` empties the store's log afterwards and removes backups and the copies set aside before updates, so that
 * no byte of what was removed stays; answers that were kept go as well.
 * `passed: true` may be sent from a tablet that is passed round; nothing else may.
 * `reads: true` only reads: no transaction, so that it waits for no writer and what is kept may answer it.
 * `trail`: what is written down of it, in the same transaction.
 * Whatever arrives is treated as unknown; a parse failure comes back beside its field and stores nothing.
 * @param schema what is taken, or how to make it from fields that know the practice
 */
export function action<S extends z.ZodType, T>(
  schema: S | ((fields: PracticeFields) => S),
  run: (context: Context, input: z.output<S>) => Answer<T>,
  options: Options<z.output<S>> = {},
): (raw: z.input<S>) => Promise<Answer<T>> {
  const { by = 'desk', reads = false, refresh = !reads, erases = false, passed = false } = options
  return async (raw) => {
    const who = await whoOrNot()
    if (!who) return problem(UNSTORED)
    if (who.privacy.passed && !passed)
      return problem('This tablet is being passed round: give it back first.')
    if (!reaches(who.actor.role, by)) return problem(refusalFor(who.actor, by === 'owner'))
    const answer = attempt(() => transact(who, schema, run, raw, options))
    if (answer.ok && erases) {
      settleSurely()
      forgetCopies()
      forgetBackups(dataFolder())
      forgetAnswers()
    }
    if (answer.ok && refresh) revalidatePath('/', 'layout')
    return answer
  }
}

function transact<S extends z.ZodType, T>(
  who: Who,
  schema: S | ((fields: PracticeFields) => S),
  run: (context: Context, input: z.output<S>) => Answer<T>,
  raw: unknown,
  { layer = false, reads = false, trail }: Options<z.output<S>>,
): Answer<T> {
  const work = (ctx: Context): Answer<T> => {
    const parsed = (typeof schema === 'function' ? schema(practiceFields(ctx)) : schema).safeParse(raw)
    if (!parsed.success)
      return {
        ok: false,
        problems: parsed.error.issues.map(({ path, message }) => ({ path: path.join('.'), message })),
      }
    if (layer && !ctx.privacy.notesOpen)
      return problem('The health notes are shut. Open them and send again; what you typed is still here.')
    const answer = run(ctx, parsed.data)
    if (answer.ok && trail) tell(ctx, typeof trail === 'function' ? trail(parsed.data) : trail)
    return answer
  }
  return reads ? work(contextFor(who.privacy, sharedDb(), who.actor)) : orNothing(work, who)
}

/** Thrown through a transaction, so that what a refused action had written so far is taken back. */
class Refused extends Error {
  constructor(readonly answer: Extract<Answer<never>, { ok: false }>) {
    super('refused')
  }
}

/** One transaction of which nothing stays where the answer is a refusal. */
export function orNothing<T>(work: (ctx: Context) => Answer<T>, who: Who): Answer<T> {
  try {
    return inOneGo((ctx) => {
      const answer = work(ctx)
      if (!answer.ok) throw new Refused(answer)
      return answer
    }, who)
  } catch (error) {
    if (error instanceof Refused) return error.answer
    throw error
  }
}

/** One transaction that waits for its turn to write, so that a held lock delays and does not refuse. */
export function inOneGo<T>(work: (ctx: Context) => T, { privacy, actor }: Who): T {
  return sharedDb().transaction((tx) => work(contextFor(privacy, tx, actor)), { behavior: 'immediate' })
}

const UNSTORED = 'That could not be stored. Nothing was changed; try once more.'

/** Who asks; null where the store does not open. */
async function whoOrNot(): Promise<Who | null> {
  try {
    return await whoHere()
  } catch (error) {
    logFailure('who', error)
    return null
  }
}

function attempt<T>(work: () => Answer<T>): Answer<T> {
  try {
    return work()
  } catch (error) {
    return problem(`${UNSTORED} It is noted under ${logFailure('action', error)}.`)
  }
}

/**
 * One line of JSON. Only the kind of error is logged: the message of a failed query can carry what somebody typed.
 * @returns the number by which whoever saw the sentence finds the line
 */
export function logFailure(what: string, error: unknown): string {
  const code = error instanceof Error && 'code' in error ? String(error.code) : ''
  const id = randomBytes(4).toString('hex')
  const kind = error instanceof Error ? error.name : typeof error
  console.error(JSON.stringify({ at: new Date().toISOString(), level: 'error', id, what, kind, code }))
  return id
}
