import 'server-only'
import type { FactOf } from '@/core/facts/fact'
import type { Plan } from '@/core/classes/plan'
import { doingsOf } from '@/core/classes/plan'
import { findById } from '@/core/practice/find'
import type { ReadinessCheck } from '@/core/practice/schema'
import type { Observation } from '@/core/readiness/evidence'
import { readValue } from '@/core/readiness/read-values'
import { describeResult } from '@/core/words/entry'
import { findClass } from '@/db/classes'
import { appendAttempt, appendDrill, appendObservation, drillsOf, evidenceOf } from '@/db/evidence'
import { planOf } from '@/db/plans'
import { findStudent } from '@/db/students'
import { done, problem, type Answer, type Problem } from '../answer'
import { spansOfStudent } from '../body'
import type { Context } from '../context'
import { put, split, type Kept } from './split'
import { renewTurns } from './turns'

const NOT_THERE = 'The entry to correct is not there any more.'

/** A result: read in the units that stood on the screen, with this person's own fists and hands. */
export function keepObservation(ctx: Context, fact: FactOf<'observation'>): Answer<Kept> {
  const { practice, scope } = ctx
  const check = practice.checks.find((c) => c.id === fact.checkId)
  if (!check) return problem('That check is not in the practice.', 'checkId')
  if (!faultsKnown(ctx, fact.faults)) return problem('That fault is not in the practice.', 'faults')
  if (fact.exitId && !practice.exits.some((e) => e.id === fact.exitId))
    return problem('That way out is not in the practice.', 'exitId')
  const earlier = fact.replaces === null ? null : entryOf(ctx, fact.studentId, fact.replaces)
  if (fact.replaces !== null && earlier?.kind !== 'observation') return problem(NOT_THERE)
  const values = readValues(ctx, check, fact)
  if (!values.ok) return values
  const {
    rest: { typed: _typed, units: _units, ...rest },
    origin,
  } = split(fact)
  return put(
    appendObservation(
      scope,
      {
        ...rest,
        kind: 'observation',
        values: values.value,
        // A correction speaks of the day it corrects: putting an old slip right must not make it fresh.
        day: earlier?.day ?? fact.day,
        withdrawn: false,
      },
      origin,
    ),
  )
}

/** A try. In a class it takes the setup that the plan gave, where nobody says another. */
export function keepAttempt(ctx: Context, fact: FactOf<'attempt'>): Answer<Kept> {
  const { scope, practice } = ctx
  if (!practice.stages.some((s) => s.id === fact.stageId))
    return problem('That stage is not in the practice.', 'stageId')
  if (fact.setupId !== null && !practice.setups.some((s) => s.id === fact.setupId))
    return problem('That setup is not in the practice.', 'setupId')
  if (!faultsKnown(ctx, fact.faults)) return problem('That fault is not in the practice.', 'faults')
  if (fact.outcome === 'clean' && fact.faults.length > 0)
    return problem('A clean try has no faults: take the chips off, or say not yet.', 'outcome')
  const record = fact.classId === null ? null : findClass(scope, fact.classId)
  if (fact.classId !== null && !record?.roster.includes(fact.studentId))
    return problem('This person is not on the list of that class.')
  const earlier = fact.replaces === null ? null : entryOf(ctx, fact.studentId, fact.replaces)
  if (fact.replaces !== null && earlier?.kind !== 'attempt') return problem(NOT_THERE)
  const planned = record ? planOf(scope, ctx.health.key, record.id)?.plan : null
  const { rest, origin } = split(fact)
  const isNew = appendAttempt(
    scope,
    {
      ...rest,
      kind: 'attempt',
      setupId: fact.setupId ?? (planned ? setupInPlan(planned, fact) : null),
      day: earlier?.day ?? fact.day,
      withdrawn: false,
    },
    origin,
  )
  if (isNew && fact.classId !== null) renewTurns(ctx, fact.classId)
  return put(isNew)
}

/** An entry taken back: the earlier one stays in the record, without effect. */
export function takeBack(ctx: Context, fact: FactOf<'taken-back'>): Answer<Kept> {
  const { id, hlc, deviceId, deviceSeq, target } = fact
  const origin = { deviceId, deviceSeq }
  const mark = { id, hlc, replaces: target, withdrawn: true }
  if (fact.of === 'drill') {
    const done_ = drillsOf(ctx.scope, fact.studentId).find((d) => d.id === target)
    return done_ ? put(appendDrill(ctx.scope, { ...done_, ...mark }, origin)) : problem(NOT_THERE)
  }
  const earlier = entryOf(ctx, fact.studentId, target)
  if (earlier?.kind !== fact.of) return problem(NOT_THERE)
  if (earlier.kind === 'observation')
    return put(appendObservation(ctx.scope, { ...earlier, ...mark }, origin))
  const isNew = appendAttempt(ctx.scope, { ...earlier, ...mark }, origin)
  if (isNew && earlier.classId !== null) renewTurns(ctx, earlier.classId)
  return put(isNew)
}

function entryOf(ctx: Context, studentId: string, id: string) {
  const { observations, attempts } = evidenceOf(ctx.scope, studentId)
  return [...observations, ...attempts].find((entry) => entry.id === id) ?? null
}

function faultsKnown({ practice }: Context, faults: readonly string[]): boolean {
  return faults.every((id) => practice.faults.some((f) => f.id === id))
}

/** The setup that the plan gave somebody for a stage, where it did. */
function setupInPlan(plan: Plan, { studentId, stageId }: FactOf<'attempt'>): string | null {
  const doings = plan.blocks.flatMap((block) => doingsOf(block))
  const own = doings.filter((d) => d.studentId === studentId)
  const planned = own.find((d) => d.variantId === stageId)
  return (planned ?? own.flatMap((d) => d.climb).find((r) => r.variantId === stageId))?.setupId ?? null
}

function readValues(
  { scope, practice }: Context,
  check: ReadinessCheck,
  { studentId, typed, units }: FactOf<'observation'>,
): Answer<Observation['values']> {
  const student = findStudent(scope, studentId)
  const spans = spansOfStudent(student)
  const { side } = findById(practice.checks, check.id)
  const keys = side === 'each' ? (['left', 'right'] as const) : (['single'] as const)
  const problems: Problem[] = []
  const values: { single?: number; left?: number; right?: number } = {}
  for (const key of keys) {
    const parsed = readValue(typed[key] ?? '', check, spans, units)
    if (parsed.ok) values[key] = parsed.value
    else problems.push({ path: `typed.${key}`, message: describeResult(parsed.refusal, check, { units }) })
  }
  return problems.length > 0 ? { ok: false, problems } : done(values)
}
