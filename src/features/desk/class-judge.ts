import 'server-only'
import type { Family } from '@/core/practice/schema'
import type { Decision } from '@/core/readiness/decide'
import { readApproaches } from '@/db/approaches'
import type { ClassRecord } from '@/db/classes'
import type { Context } from '../context'
import { judgeOf, type Judge } from './judge'
import { decisionIn, standings } from './standing'

/** A judge for a class: its day, its ways of working. */
export function judgeOfClass(ctx: Context, { id, day }: Pick<ClassRecord, 'id' | 'day'>): Judge {
  return judgeOf(ctx, { id, day })
}

/** Today's decisions of everybody on a list: those that are kept, unless the class has ways of its own. */
export function decisionsFor(
  ctx: Context,
  record: Pick<ClassRecord, 'id' | 'day' | 'roster'>,
  judge: Judge,
): (studentId: string, family: Family) => Decision {
  const ownWays = Object.keys(readApproaches(ctx.scope).of('class', record.id)).length > 0
  if (ownWays) return (id, family) => judge.decide(id, family, { asOf: ctx.clock.today })
  const kept = standings(ctx, record.roster)
  return (id, family) => {
    const now = kept.get(id)
    return now ? decisionIn(now, family) : judge.decide(id, family, { asOf: ctx.clock.today })
  }
}
