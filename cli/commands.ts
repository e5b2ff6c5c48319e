import { z } from 'zod'
import { SEGMENT_NAMES, type SegmentName } from '@/core/body/anthropometry'
import { derivedLengths } from '@/core/body/derived'
import { estimateBody, type Body } from '@/core/body/estimate'
import type { Position } from '@/core/mechanics/position'
import { POSITIONS, solvePosition } from '@/core/mechanics/positions/catalogue'
import { library, SHIPPED, type Library } from '@/core/practice/library'
import { FAMILIES } from '@/core/practice/schema'
import { solveSetup, SETUPS } from '@/core/setups/catalogue'
import { METRIC } from '@/core/words/number'
import { describeBody, describeSetup } from '@/core/words/refusal'
import { describeStep, describeWarning } from '@/core/words/setup'

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

const bodySchema = z.strictObject({
  statureCm: z.number(),
  table: z.enum(['female', 'male', 'blend']).optional(),
  measured: z.partialRecord(z.enum(SEGMENT_NAMES as [SegmentName, ...SegmentName[]]), z.number()).optional(),
})

const positionSchema = z.strictObject({
  position: z.string(),
  body: bodySchema,
  params: z.record(z.string(), z.number()).optional(),
})
const setupSchema = z.strictObject({
  setup: z.string(),
  body: bodySchema,
  options: z
    .strictObject({
      wallGapCm: z.number().optional(),
      toeDistanceCm: z.number().optional(),
      kneeBendDeg: z.number().optional(),
      archShare: z.number().optional(),
    })
    .optional(),
})

const BODY_EXAMPLE = { statureCm: 168, table: 'female' }

export const COMMANDS: readonly Command[] = [
  {
    name: 'body',
    about: 'Every length of a body from its stature, with source and standard deviation.',
    example: BODY_EXAMPLE,
    run: (input) => {
      const body = readBody(parse(bodySchema, input), [])
      return {
        statureCm: body.statureCm,
        table: body.table,
        lengths: body.length,
        derived: derivedLengths(body),
        mass: body.mass,
      }
    },
  },
  {
    name: 'position',
    about: 'Joints, loads, balance and moments of a position.',
    example: { position: 'dolphin', body: BODY_EXAMPLE, params: { toeDistanceCm: 90, shoulderLeanDeg: 0 } },
    run: (input) => {
      const { position, body, params } = parse(positionSchema, input)
      if (!POSITIONS.some((p) => p.id === position))
        throw new InputError(
          ['position'],
          `Unknown position. Known: ${POSITIONS.map((p) => p.id).join(', ')}.`,
        )
      const solved = solvePosition(position, readBody(body, ['body']), params)
      if (solved.ok) return { reachable: true, ...printPosition(solved.value) }
      if (solved.refusal.code === 'unknown-parameter' || solved.refusal.code === 'parameter-out-of-range')
        throw new InputError(['params', solved.refusal.key], describeSetup(solved.refusal))
      return { reachable: false, refusal: solved.refusal, message: describeSetup(solved.refusal) }
    },
  },
  {
    name: 'setup',
    about: 'Where hands and props go for a body, in the order it is done.',
    example: { setup: 'SETUP-wall-kick-forearm-block', body: BODY_EXAMPLE, options: { wallGapCm: 10 } },
    run: (input) => {
      const { setup, body, options } = parse(setupSchema, input)
      if (!SETUPS.some((s) => s.id === setup))
        throw new InputError(['setup'], `Unknown setup. Known: ${SETUPS.map((s) => s.id).join(', ')}.`)
      const solved = solveSetup(setup, readBody(body, ['body']), options)
      if (!solved.ok) {
        if (solved.refusal.code === 'option-out-of-range')
          throw new InputError(['options', solved.refusal.key], describeSetup(solved.refusal))
        return { reachable: false, refusal: solved.refusal, message: describeSetup(solved.refusal) }
      }
      const { id, placements, props, steps, warnings, less, more, scene, start, target } = solved.value
      return {
        reachable: true,
        setup: id,
        placements,
        props,
        steps: steps.map((step) => describeStep(step, METRIC)),
        warnings: warnings.map((warning) => ({ ...warning, message: describeWarning(warning, METRIC) })),
        less,
        more,
        start: printPosition(start),
        target: printPosition(target),
        scene,
      }
    },
  },
]

const CATALOGUES = Object.keys(SHIPPED) as (keyof Library)[]

/** Catalogues that `list` prints: positions, progressions, and every list of the practice. */
export const LISTS: Record<string, () => unknown> = {
  positions: () =>
    POSITIONS.map(({ id, name, parameters }) => ({ id, name, parameters: parameters.map(printParameter) })),
  progressions: () =>
    FAMILIES.map((family) => ({
      family,
      stages: library().stages.flatMap((s) =>
        s.family === family ? [{ id: s.id, rung: s.rung, after: s.after }] : [],
      ),
    })),
  ...Object.fromEntries(CATALOGUES.map((name) => [name, () => library()[name]])),
}

function printParameter({
  key,
  unit,
  min,
  max,
  usual,
  label,
}: (typeof POSITIONS)[number]['parameters'][number]): unknown {
  const example = estimateBody({ statureCm: 168 })
  const fallback = typeof usual === 'function' ? (example.ok ? usual(example.value) : null) : usual
  return { key, label, unit, default: fallback, scalesWithBody: typeof usual === 'function', min, max }
}

function printPosition(position: Position): Record<string, unknown> {
  const {
    id,
    parameters,
    skeleton,
    centreOfMassCm,
    contacts,
    base,
    margin,
    angles,
    shoulderMomentNmPerKg,
    headClearanceCm,
    wallX,
    rise,
  } = position
  const { legs, ...rest } = skeleton
  const [near, far] = legs
  const lifted =
    near === far ? {} : { leadKnee: far.knee, leadAnkle: far.ankle, leadHeel: far.heel, leadToe: far.toe }
  return {
    position: id,
    params: parameters,
    joints: { ...rest, ...near, ...lifted },
    centreOfMassCm,
    contacts,
    base,
    margin,
    angles,
    shoulderMomentNmPerKg,
    headClearanceCm,
    wallXCm: wallX,
    ...(rise
      ? { riseCm: rise.riseCm, energyJPerKg: rise.energyJPerKg, takeOffSpeedMPerS: rise.takeOffSpeedMPerS }
      : {}),
  }
}

function readBody(input: z.output<typeof bodySchema>, at: readonly string[]): Body {
  const body = estimateBody({ statureCm: input.statureCm, table: input.table, measured: input.measured })
  if (body.ok) return body.value
  const field =
    body.refusal.code === 'stature-implausible' ? ['statureCm'] : ['measured', body.refusal.segment]
  throw new InputError([...at, ...field], describeBody(body.refusal))
}

function parse<S extends z.ZodType>(schema: S, input: unknown): z.output<S> {
  const parsed = schema.safeParse(input)
  if (parsed.success) return parsed.data
  const [issue] = parsed.error.issues
  throw new InputError(issue?.path ?? [], issue?.message ?? 'Not understood.')
}
