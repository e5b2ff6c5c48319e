import { z } from 'zod'
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
import { parse, type Command } from './input'

export const day = z.string().regex(/^\d{4}-\d\d-\d\d$/, 'A day such as 2026-03-05.')
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
      const decision = decideFor(asked.student, asked.family, asked.screening, asked.asOf)
      return {
        ...decision,
        sentences: decision.reasons.map((reason) => describeReason(reason, shippedPractice())),
      }
    },
  },
]

type Student = z.output<typeof studentSchema>

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
