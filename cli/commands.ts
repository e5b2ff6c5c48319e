import { z } from 'zod'
import { derivedLengths } from '@/core/body/derived'
import { estimateBody } from '@/core/body/estimate'
import type { Position } from '@/core/mechanics/position'
import { POSITIONS } from '@/core/mechanics/positions/catalogue'
import { shippedPractice, SHIPPED, type Library } from '@/core/practice/library'
import { FAMILIES } from '@/core/practice/schema'
import { USUAL_STOCK, type Stock } from '@/core/props/stock'
import { solveSetup, SETUPS } from '@/core/setups/catalogue'
import { METRIC } from '@/core/words/number'
import { describeSetup } from '@/core/words/setup-refusal'
import { describeStep, describeWarning } from '@/core/words/setup'
import { FATIGUE_COMMANDS } from './fatigue-commands'
import {
  BODY_EXAMPLE,
  bodySchema,
  InputError,
  isParameterRefusal,
  parse,
  positionSchema,
  readBody,
  solveAsked,
  type Command,
} from './input'
import { PLAN_COMMANDS } from './plan-commands'
import { PRACTICE_COMMANDS } from './practice-commands'

const blockSchema = z.strictObject({
  longCm: z.number().positive(),
  wideCm: z.number().positive(),
  thickCm: z.number().positive(),
})
const stockSchema = z.strictObject({
  blocks: z.array(blockSchema).optional(),
  slabs: z.array(z.number().positive()).optional(),
  straps: z.array(z.number().positive()).optional(),
  chairs: z.number().int().min(0).optional(),
  blankets: z.number().int().min(0).optional(),
  bolsters: z.number().int().min(0).optional(),
})
const setupSchema = z.strictObject({
  setup: z.string(),
  body: bodySchema,
  options: z.record(z.string(), z.number()).optional(),
  stock: stockSchema.optional(),
})

const MECHANICS: readonly Command[] = [
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
      const solved = solveAsked(position, readBody(body, ['body']), params)
      return solved.ok ? { reachable: true, ...printPosition(solved.value) } : solved.answer
    },
  },
  {
    name: 'setup',
    about: 'Where hands and props go for a body, in the order it is done.',
    example: { setup: 'SETUP-wall-kick-forearm-block', body: BODY_EXAMPLE, options: { wallGapCm: 10 } },
    run: (input) => {
      const { setup, body, options, stock } = parse(setupSchema, input)
      if (!SETUPS.some((s) => s.id === setup))
        throw new InputError(['setup'], `Unknown setup. Known: ${SETUPS.map((s) => s.id).join(', ')}.`)
      const solved = solveSetup(setup, readBody(body, ['body']), options, stockFrom(stock))
      if (!solved.ok) {
        if (isParameterRefusal(solved.refusal))
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

/** Every command in the order of `--help`. */
export const COMMANDS: readonly Command[] = [
  ...MECHANICS,
  ...FATIGUE_COMMANDS,
  ...PRACTICE_COMMANDS,
  ...PLAN_COMMANDS,
]

const CATALOGUES = Object.keys(SHIPPED) as (keyof Library)[]

/** Catalogues that `list` prints: positions, progressions, and every list of the practice. */
export const LISTS: Record<string, () => unknown> = {
  positions: () =>
    POSITIONS.map(({ id, name, parameters }) => ({ id, name, parameters: parameters.map(printParameter) })),
  progressions: () =>
    FAMILIES.map((family) => ({
      family,
      stages: shippedPractice().stages.flatMap((s) =>
        s.family === family ? [{ id: s.id, rung: s.rung, after: s.after }] : [],
      ),
    })),
  ...Object.fromEntries(CATALOGUES.map((name) => [name, () => shippedPractice()[name]])),
  // With what can be set on each, which the practice's own list does not hold.
  setups: () => {
    const options = new Map(SETUPS.map((s) => [s.id, s.options.map(printParameter)]))
    return shippedPractice().setups.map((entry) => ({ ...entry, options: options.get(entry.id) ?? [] }))
  },
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

function printPosition({
  id,
  parameters,
  body: _body,
  skeleton,
  wallX,
  rise,
  ...rest
}: Position): Record<string, unknown> {
  const { legs, ...joints } = skeleton
  const [near, far] = legs
  const lifted =
    near === far ? {} : { leadKnee: far.knee, leadAnkle: far.ankle, leadHeel: far.heel, leadToe: far.toe }
  return {
    position: id,
    params: parameters,
    joints: { ...joints, ...near, ...lifted },
    ...rest,
    wallXCm: wallX,
    ...rise,
  }
}

/** What is not given is taken to be there. */
function stockFrom(given: z.output<typeof stockSchema> | undefined): Stock {
  const { blocks, slabs, straps, chairs, blankets, bolsters } = {
    ...USUAL_STOCK,
    ...withoutGaps(given ?? {}),
  }
  return { blocks, slabs, straps, chairs, blankets, bolsters }
}

function withoutGaps<T extends object>(given: T): { [K in keyof T]: Exclude<T[K], undefined> } {
  return Object.fromEntries(Object.entries(given).filter(([, v]) => v !== undefined)) as {
    [K in keyof T]: Exclude<T[K], undefined>
  }
}
