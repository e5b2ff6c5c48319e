import { z } from 'zod'
import { DIRECT_MEASURES, SEGMENT_NAMES } from '@/core/body/anthropometry'
import { estimateBody, type Body, type LengthName } from '@/core/body/estimate'
import type { Position } from '@/core/mechanics/position'
import { findPosition, POSITIONS, solvePosition } from '@/core/mechanics/positions/catalogue'
import { describeBody } from '@/core/words/length'
import { describeSetup } from '@/core/words/setup-refusal'

export type Command = {
  readonly name: string
  readonly about: string
  readonly example: unknown
  readonly run: (input: unknown) => unknown
}

/** Bad input of a command: where and what. */
export class InputError extends Error {
  constructor(
    readonly path: readonly PropertyKey[],
    message: string,
  ) {
    super(message)
  }
}

export const BODY_EXAMPLE = { statureCm: 168, table: 'female' }
const LENGTH_NAMES = [...SEGMENT_NAMES, ...DIRECT_MEASURES] as [LengthName, ...LengthName[]]

export const bodySchema = z.strictObject({
  statureCm: z.number(),
  table: z.enum(['female', 'male', 'blend']).optional(),
  measured: z.partialRecord(z.enum(LENGTH_NAMES), z.number()).optional(),
})

export const positionSchema = z.strictObject({
  position: z.string(),
  body: bodySchema,
  params: z.record(z.string(), z.number()).optional(),
})

/** A position, or the refusal as an answer: what a body cannot do is no error. */
export function solveAsked(
  id: string,
  body: Body,
  params: Readonly<Record<string, number>> | undefined,
  at: readonly string[] = [],
): { readonly ok: true; readonly value: Position } | { readonly ok: false; readonly answer: unknown } {
  if (!findPosition(id))
    throw new InputError(
      [...at, 'position'],
      `Unknown position. Known: ${POSITIONS.map((p) => p.id).join(', ')}.`,
    )
  const solved = solvePosition(id, body, params)
  if (solved.ok) return solved
  if (isParameterRefusal(solved.refusal))
    throw new InputError([...at, 'params', solved.refusal.key], describeSetup(solved.refusal))
  return {
    ok: false,
    answer: { reachable: false, refusal: solved.refusal, message: describeSetup(solved.refusal) },
  }
}

/** A body, or an error that says which field. */
export function readBody(input: z.output<typeof bodySchema>, at: readonly string[]): Body {
  const body = estimateBody({ statureCm: input.statureCm, table: input.table, measured: input.measured })
  if (body.ok) return body.value
  const field =
    body.refusal.code === 'stature-implausible' ? ['statureCm'] : ['measured', body.refusal.segment]
  throw new InputError([...at, ...field], describeBody(body.refusal))
}

/** Input through its schema; the first thing wrong becomes the error. */
export function parse<S extends z.ZodType>(schema: S, input: unknown): z.output<S> {
  const parsed = schema.safeParse(input)
  if (parsed.success) return parsed.data
  const [issue] = parsed.error.issues
  throw new InputError(issue?.path ?? [], issue ? sentenceOf(issue) : 'Not understood.')
}

/** What is wrong with a field, in a sentence; a schema's own sentence stands as it is. */
function sentenceOf(issue: z.core.$ZodIssue): string {
  switch (issue.code) {
    case 'invalid_type':
      return issue.input === undefined && issue.message.endsWith('undefined')
        ? 'This is missing.'
        : `This must be ${NOUN[issue.expected] ?? `a ${issue.expected}`}.`
    case 'unrecognized_keys':
      return `Unknown here: ${issue.keys.join(', ')}.`
    case 'invalid_value':
      return `One of: ${issue.values.map(String).join(', ')}.`
    case 'too_small':
      return `This must be ${issue.inclusive === false ? 'more than' : 'at least'} ${String(issue.minimum)}.`
    case 'too_big':
      return `This may be ${String(issue.maximum)} at most.`
    default:
      return /[.?]$/.test(issue.message) ? issue.message : `${issue.message}.`
  }
}

const NOUN: Readonly<Record<string, string>> = {
  number: 'a number',
  int: 'a whole number',
  string: 'a text',
  object: 'an object',
  record: 'an object',
  array: 'a list',
  boolean: 'true or false',
}

/** Whether a refusal is about what was asked for rather than what the body can do. */
export function isParameterRefusal<R extends { code: string }>(
  refusal: R,
): refusal is Extract<R, { code: 'unknown-parameter' | 'parameter-out-of-range' }> {
  return refusal.code === 'unknown-parameter' || refusal.code === 'parameter-out-of-range'
}
