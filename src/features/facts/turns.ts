import 'server-only'
import { foldRun } from '@/core/classes/run'
import type { Evidence } from '@/core/readiness/evidence'
import { withoutLimits } from '@/core/readiness/kept'
import { eventsOf, findClass } from '@/db/classes'
import { keepDecisions } from '@/db/decisions'
import { attemptsOfClass } from '@/db/evidence'
import type { Context } from '../context'
import { familyOf } from '../desk/class-file'
import { judgeOfClass } from '../desk/class-judge'

/**
 * Keeps what a class changed, once it is over: what would be decided without it and what is decided with it, as of its own
 * day. Something that arrives later, from a tablet that was out of reach, adds a version.
 */
export function renewTurns(ctx: Context, classId: string): void {
  const record = findClass(ctx.scope, classId)
  if (!record || foldRun(eventsOf(ctx.scope, classId)).state !== 'ended') return
  const ofClass = new Set(attemptsOfClass(ctx.scope, classId).map((a) => a.id))
  const judge = judgeOfClass(ctx, record)
  const turns = record.roster.map((studentId) => {
    const evidence = judge.evidence(studentId)
    const without: Evidence = {
      ...evidence,
      attempts: evidence.attempts.filter((a) => !ofClass.has(a.id)),
    }
    return {
      studentId,
      before: withoutLimits(judge.decide(studentId, familyOf(record), { evidence: without })),
      after: withoutLimits(judge.decide(studentId, familyOf(record))),
    }
  })
  keepDecisions(ctx.scope, classId, turns)
}
