import 'server-only'
import { v7 } from 'uuid'
import type { TrailWhat } from '@/core/access/trail'
import { addTrail, wasTold } from '@/db/trail'
import type { Context } from './context'

/** What is told of a deed: what, and about whom where it is about somebody. */
export type Told = { readonly what: TrailWhat; readonly studentId?: string; readonly name?: string }

/** Reading on is told once an hour, ms. */
const READING_MS = 3_600_000

/** Writes a deed of whoever asks into the trail. */
export function tell({ scope, actor, clock }: Context, { what, studentId, name }: Told): void {
  addTrail(scope, {
    ...{ id: v7(), atMs: clock.nowMs, accountId: actor.accountId },
    name: name ?? (actor.name === '' ? 'nobody signed in' : actor.name),
    ...{ what, studentId: studentId ?? null },
  })
}

/** The same for reading: the pages of an hour are one deed. */
export function tellReading(ctx: Context, told: Told): void {
  const line = { accountId: ctx.actor.accountId, what: told.what, studentId: told.studentId ?? null }
  if (!wasTold(ctx.scope, line, ctx.clock.nowMs - READING_MS)) tell(ctx, told)
}
