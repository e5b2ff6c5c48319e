import 'server-only'
import { revalidatePath } from 'next/cache'
import type { z } from 'zod'
import { forgetCopies, settle, sharedDb } from '@/db/open'
import { problem, type Answer } from './answer'
import { context, type Context } from './context'
import { layerOpen } from './health/layer'

/**
 * The one wrapper round every server action: parse, authorise, one transaction, a typed answer.
 * `refresh: false` leaves the page as it is: on the floor a connection that breaks during a refresh would take the
 * page away, and the screen keeps its own state there.
 * `layer: true` asks for open health notes on the screen that sends it.
 * `erases: true` empties the store's log afterwards and removes the copies set aside before updates, so that no byte of
 * what was removed stays.
 * Whatever arrives is treated as unknown; a parse failure comes back beside its field and stores nothing.
 */
export function action<S extends z.ZodType, T>(
  schema: S,
  run: (context: Context, input: z.output<S>) => Answer<T>,
  {
    refresh = true,
    layer = false,
    erases = false,
  }: { refresh?: boolean; layer?: boolean; erases?: boolean } = {},
): (raw: z.input<S>) => Promise<Answer<T>> {
  return async (raw) => {
    const parsed = await schema.safeParseAsync(raw)
    if (!parsed.success)
      return {
        ok: false,
        problems: parsed.error.issues.map(({ path, message }) => ({ path: path.join('.'), message })),
      }
    if (layer && !(await layerOpen()))
      return problem('The health notes are shut. Open them and send again; what you typed is still here.')
    const answer = attempt(() => sharedDb().transaction((tx) => run(context(tx), parsed.data)))
    if (answer.ok && erases) {
      settle()
      forgetCopies()
    }
    if (answer.ok && refresh) revalidatePath('/', 'layout')
    return answer
  }
}

function attempt<T>(work: () => Answer<T>): Answer<T> {
  try {
    return work()
  } catch (error) {
    // Only the kind of error is logged: the message of a failed query can carry what somebody typed.
    console.error('action failed', error instanceof Error ? error.name : typeof error)
    return problem('That could not be stored. Nothing was changed; try once more.')
  }
}
