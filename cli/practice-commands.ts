import { z } from 'zod'
import { findById } from '@/core/practice/find'
import { shippedPractice } from '@/core/practice/library'
import { FAMILIES } from '@/core/practice/schema'
import { decide, type Decision } from '@/core/readiness/decide'
import {
  PLAIN_RESULT,
  PLAIN_TRY,
  type Attempt,
  type Evidence,
  type Observation,
  type Placement,
} from '@/core/readiness/evidence'
import { NO_LIMITS, NOT_ASKED } from '@/core/screening/caps'
import { describeReason } from '@/core/words/reason'
import { InputError, parse, type Command } from './input'

export const day = z.iso.date('A day such as 2026-03-05.')
const values = z.strictObject({
  single: z.number().optional(),
  left: z.number().optional(),
  right: z.number().optional(),
})
const resultSchema = z.strictObject({
  check: z.string(),
  day,
  values,
  aided: z.boolean().default(false),
  valid: z.boolean().default(true),
  watched: z.boolean().default(true),
  faults: z.array(z.string()).default([]),
})
const attemptSchema = z.strictObject({
  stage: z.string(),
  day,
  level: z.enum(['took-off', 'hop', 'touched', 'held', 'practised']).default('practised'),
  outcome: z.enum(['clean', 'not-yet', 'stopped']).default('clean'),
  exitControlled: z.boolean().default(true),
  help: z.enum(['alone', 'touched', 'carried']).default('alone'),
  faults: z.array(z.string()).default([]),
  endedBy: z.enum(['self', 'spent-arms', 'helper', 'setup']).nullable().default(null),
})
export const studentSchema = z.strictObject({
  id: z.string().default('student'),
  results: z.array(resultSchema).default([]),
  attempts: z.array(attemptSchema).default([]),
  placed: z.strictObject({ stage: z.string(), day }).optional(),
})
export const screening = z.enum(['recorded', 'not-recorded']).default('not-recorded')
const readinessSchema = z.strictObject({
  family: z.enum(FAMILIES),
  asOf: day,
  screening,
  student: studentSchema,
})
export const STUDENT_EXAMPLE = {
  id: 'wren',
  results: [{ check: 'CK-dolphin-hold', day: '2026-03-03', values: { single: 8 } }],
  attempts: [{ stage: 'FS-03a', day: '2026-03-03' }],
}

export const PRACTICE_COMMANDS: readonly Command[] = [
  {
    name: 'readiness',
    about: 'Where somebody stands in a family and what comes next, with reasons.',
    example: { family: 'FS', asOf: '2026-03-05', student: STUDENT_EXAMPLE },
    run: (input) => {
      const asked = parse(readinessSchema, input)
      checkStudent(asked.student, asked.asOf, ['student'])
      const decision = decideFor(asked.student, asked.family, asked.screening, asked.asOf)
      return {
        ...decision,
        sentences: decision.reasons.map((reason) => describeReason(reason, shippedPractice())),
      }
    },
  },
]

type Student = z.output<typeof studentSchema>

/** Refuses what the practice does not know and what cannot have been seen: a slip in an id would read as a beginner. */
export function checkStudent(student: Student, asOf: string, at: readonly PropertyKey[]): void {
  const practice = shippedPractice()
  const known = (
    list: readonly { id: string }[],
    id: string,
    path: readonly PropertyKey[],
    what: string,
  ): void => {
    if (!list.some((entry) => entry.id === id))
      throw new InputError([...at, ...path], `Unknown ${what}: ${id}.`)
  }
  const past = (on: string, path: readonly PropertyKey[]): void => {
    if (on > asOf) throw new InputError([...at, ...path], `${on} is after ${asOf}.`)
  }
  student.results.forEach(({ check: id, day: on, values: seen, faults }, i) => {
    known(practice.checks, id, ['results', i, 'check'], 'check')
    past(on, ['results', i, 'day'])
    const { min, max, unit, side } = findById(practice.checks, id)
    for (const [key, value] of Object.entries(present(seen)))
      if (value < min || value > max)
        throw new InputError(
          [...at, 'results', i, 'values', key],
          `${value} is outside ${min} to ${max} ${unit}.`,
        )
    const sides = seen.left !== undefined && seen.right !== undefined
    if (side === 'each' ? !sides : seen.single === undefined && !sides)
      throw new InputError(
        [...at, 'results', i, 'values'],
        side === 'each' ? 'This check wants left and right.' : 'This check wants a single value.',
      )
    faults.forEach((fault, n) => known(practice.faults, fault, ['results', i, 'faults', n], 'fault'))
  })
  student.attempts.forEach(({ stage, day: on, faults }, i) => {
    known(practice.stages, stage, ['attempts', i, 'stage'], 'stage')
    past(on, ['attempts', i, 'day'])
    faults.forEach((fault, n) => known(practice.faults, fault, ['attempts', i, 'faults', n], 'fault'))
  })
  if (!student.placed) return
  known(practice.stages, student.placed.stage, ['placed', 'stage'], 'stage')
  past(student.placed.day, ['placed', 'day'])
}

/** The decision for somebody whose results are typed in. */
export function decideFor(
  student: Student,
  family: (typeof FAMILIES)[number],
  screened: z.output<typeof screening>,
  asOf: string,
): Decision {
  const limits = screened === 'recorded' ? NO_LIMITS : NOT_ASKED
  return decide(shippedPractice(), family, student.id, evidenceOf(student), limits, asOf)
}

/** Facts as the engine wants them; on the command line their order is the order in which they happened. */
function evidenceOf({ id, results, attempts, placed }: Student): Evidence {
  const fact = (kind: string, i: number, on: string) => ({
    id: `${kind}-${i}`,
    studentId: id,
    day: on,
    hlc: `${on}-${String(i).padStart(6, '0')}`,
    replaces: null,
  })
  return {
    observations: results.map(({ check, day: on, values: found, ...rest }, i): Observation => ({
      ...fact('result', i, on),
      ...PLAIN_RESULT,
      ...rest,
      checkId: check,
      values: present(found),
    })),
    attempts: attempts.map(({ stage, day: on, ...rest }, i): Attempt => ({
      ...fact('attempt', i, on),
      ...PLAIN_TRY,
      ...rest,
      stageId: stage,
    })),
    placements: placed
      ? [
          {
            ...fact('placement', 0, placed.day),
            kind: 'placement',
            stageId: placed.stage,
          } satisfies Placement,
        ]
      : [],
  }
}

function present(found: z.output<typeof values>): Observation['values'] {
  return {
    ...(found.single === undefined ? {} : { single: found.single }),
    ...(found.left === undefined ? {} : { left: found.left }),
    ...(found.right === undefined ? {} : { right: found.right }),
  }
}
