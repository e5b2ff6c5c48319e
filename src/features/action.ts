import 'server-only'
import { revalidatePath } from 'next/cache'
import type { z } from 'zod'
import { forgetBackups } from '@/db/backup'
import { dataFolder, forgetCopies, settleSurely, sharedDb } from '@/db/open'
import { problem, type Answer } from './answer'
import { contextFor, type Context, type Privacy } from './context'
import { practiceFields, type PracticeFields } from './fields'
import { privacyHere } from './layer'

type Options = { refresh?: boolean; layer?: boolean; erases?: boolean; passed?: boolean }

/**
 * The one wrapper round every server action: who, parse, authorise, one transaction, a typed answer.
 * `refresh: false` leaves the page as it is.
 * `layer: true` asks for open health notes on the screen that sends it.
 * `erases: true` empties the store's log afterwards and removes backups and the copies set aside before updates, so that
 * no byte of what was removed stays.
 * `passed: true` may be sent from a tablet that is passed round; nothing else may.
 * Whatever arrives is treated as unknown; a parse failure comes back beside its field and stores nothing.
 * @param schema what is taken, or how to make it from fields that know the practice
 */
export function action<S extends z.ZodType, T>(
  schema: S | ((fields: PracticeFields) => S),
  run: (context: Context, input: z.output<S>) => Answer<T>,
  { refresh = true, layer = false, erases = false, passed = false }: Options = {},
): (raw: z.input<S>) => Promise<Answer<T>> {
  return async (raw) => {
    const privacy = await privacyHere()
    if (privacy.passed && !passed) return problem('This tablet is being passed round: give it back first.')
    const answer = attempt(() => transact(privacy, schema, run, raw, layer))
    if (answer.ok && erases) {
      settleSurely()
      forgetCopies()
      forgetBackups(dataFolder())
    }
    if (answer.ok && refresh) revalidatePath('/', 'layout')
    return answer
  }
}

function transact<S extends z.ZodType, T>(
  privacy: Privacy,
  schema: S | ((fields: PracticeFields) => S),
  run: (context: Context, input: z.output<S>) => Answer<T>,
  raw: unknown,
  layer: boolean,
): Answer<T> {
  return orNothing((ctx) => {
    const parsed = (typeof schema === 'function' ? schema(practiceFields(ctx)) : schema).safeParse(raw)
    if (!parsed.success)
      return {
        ok: false,
        problems: parsed.error.issues.map(({ path, message }) => ({ path: path.join('.'), message })),
      }
    if (layer && !ctx.privacy.notesOpen)
      return problem('The health notes are shut. Open them and send again; what you typed is still here.')
    return run(ctx, parsed.data)
  }, privacy)
}

/** Thrown through a transaction, so that what a refused action had written so far is taken back. */
class Refused extends Error {
  constructor(readonly answer: Extract<Answer<never>, { ok: false }>) {
    super('refused')
  }
}

/** One transaction of which nothing stays where the answer is a refusal. */
export function orNothing<T>(work: (ctx: Context) => Answer<T>, privacy: Privacy): Answer<T> {
  try {
    return inOneGo((ctx) => {
      const answer = work(ctx)
      if (!answer.ok) throw new Refused(answer)
      return answer
    }, privacy)
  } catch (error) {
    if (error instanceof Refused) return error.answer
    throw error
  }
}

/** One transaction that waits for its turn to write, so that a held lock delays and does not refuse. */
export function inOneGo<T>(work: (ctx: Context) => T, privacy: Privacy): T {
  return sharedDb().transaction((tx) => work(contextFor(privacy, tx)), { behavior: 'immediate' })
}

function attempt<T>(work: () => Answer<T>): Answer<T> {
  try {
    return work()
  } catch (error) {
    logFailure('action', error)
    return problem('That could not be stored. Nothing was changed; try once more.')
  }
}

/** Only the kind of error is logged: the message of a failed query can carry what somebody typed. */
export function logFailure(what: string, error: unknown): void {
  const code = error instanceof Error && 'code' in error ? String(error.code) : ''
  console.error(`${what} failed`, error instanceof Error ? error.name : typeof error, code)
}
