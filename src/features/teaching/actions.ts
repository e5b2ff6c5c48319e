'use server'

import { z } from 'zod'
import { PLAIN_TRY, type Evidence } from '@/core/readiness/evidence'
import type { Plan } from '@/core/planning/plan'
import { foldRun } from '@/core/teaching/class-run'
import { appendClassEvent, eventsOf, findClass, keepDecisions } from '@/db/classes'
import { appendAttempt, attemptsOfClass } from '@/db/evidence'
import { action } from '../action'
import { done, problem } from '../answer'
import type { Context } from '../context'
import { faultsField, idField, stageField, stampFields } from '../fields'
import { judgeFor } from '../judge'

export const recordEvent = action(
  z.object({
    ...stampFields,
    classId: idField,
    kind: z.enum(['started', 'block', 'ended']),
    atMs: z.number().int().positive(),
    blockIndex: z.number().int().min(0).max(60),
  }),
  (ctx, { deviceId, deviceSeq, ...event }) => {
    const record = findClass(ctx.db, event.classId)
    if (!record?.plan) return problem('That class is not here any more.')
    appendClassEvent(ctx.db, { ...event, day: ctx.today }, { deviceId, deviceSeq })
    if (event.kind === 'ended')
      keepDecisions(ctx.db, event.classId, decisionsAround(ctx, event.classId, record.roster))
    return done(foldRun(eventsOf(ctx.db, event.classId)).state)
  },
)

export const recordAttempt = action(
  z.object({
    ...stampFields,
    classId: idField,
    studentId: idField,
    stageId: stageField,
    level: z.enum(['took-off', 'hop', 'touched', 'held', 'practised']),
    outcome: z.enum(['clean', 'not-yet', 'stopped']),
    exitControlled: z.boolean(),
    help: z.enum(['alone', 'touched', 'carried']),
    faults: faultsField,
    endedBy: z.enum(['self', 'spent-arms', 'helper', 'setup']).nullable(),
    replaces: idField.nullable(),
    withdrawn: z.boolean(),
  }),
  (ctx, { deviceId, deviceSeq, ...fact }) => {
    const record = findClass(ctx.db, fact.classId)
    if (!record?.roster.includes(fact.studentId))
      return problem('This person is not on the list of that class.')
    appendAttempt(
      ctx.db,
      {
        ...PLAIN_TRY,
        ...fact,
        setupId: setupInPlan(record.plan, fact.studentId, fact.stageId),
        day: ctx.today,
      },
      { deviceId, deviceSeq },
    )
    // Something that arrives after the end, from a tablet that was out of reach, still counts.
    if (foldRun(eventsOf(ctx.db, fact.classId)).state === 'ended')
      keepDecisions(ctx.db, fact.classId, decisionsAround(ctx, fact.classId, record.roster))
    return done(true)
  },
  { refresh: false },
)

/** The setup that the plan gave somebody for a stage, where it did. */
function setupInPlan(plan: Plan | null, studentId: string, stageId: string): string | null {
  const versions = (plan?.blocks ?? []).flatMap((b) =>
    b.kind === 'skill' || b.kind === 'waves' ? b.versions : [],
  )
  return versions.find((v) => v.studentId === studentId && v.stageId === stageId)?.setupId ?? null
}

/** What would have been decided without this class, and what is decided with it. */
function decisionsAround(ctx: Context, classId: string, roster: readonly string[]) {
  const ofClass = new Set(attemptsOfClass(ctx.db, classId).map((a) => a.id))
  const judge = judgeFor(ctx, classId)
  return roster.map((studentId) => {
    const evidence = judge.evidence(studentId)
    const without: Evidence = { ...evidence, attempts: evidence.attempts.filter((a) => !ofClass.has(a.id)) }
    return {
      studentId,
      before: judge.decide(studentId, { evidence: without }),
      after: judge.decide(studentId),
    }
  })
}
