import { derivedLengths } from '../body/derived'
import type { Reading } from '../body/estimate'
import { CLEAR_MARGIN_CM, forearmLift } from '../body/head-room'
import { fillParameters } from '../mechanics/parameters'
import type { Position } from '../mechanics/position'
import { solvePosition } from '../mechanics/positions/catalogue'
import { ok, type Result } from '../result'
import { entryOf } from './entries'
import { sceneFrom, type Figure } from './scene'
import type {
  BodyWay,
  Draft,
  FingerDirection,
  MeasureLine,
  Placement,
  Pose,
  Setup,
  SetupGiven,
  SetupOption,
  SetupProp,
  SetupRefusal,
  SetupWarning,
} from './setup'

type Plan<T> = {
  id: string
  options?: readonly SetupOption[]
  /** What has to be found in the cupboard first, such as a stack; may refuse. */
  choose?: (given: SetupGiven) => Result<T, SetupRefusal>
  /** How it starts and what it aims at. */
  poses: (given: SetupGiven, chosen: T) => { readonly start?: Pose; readonly target: Pose }
  place: (
    given: SetupGiven & { readonly start: Position; readonly target: Position; readonly chosen: T },
  ) => Draft
}

/**
 * A setup from its plan: fills and checks the options, searches the cupboard, solves both positions on this body, and
 * adds what every setup has: neighbours and bill from the practice, warnings for options past their usual span, the scene.
 */
export function defineSetup<T = undefined>({ id, options = [], choose, poses, place }: Plan<T>): Setup {
  return {
    id,
    options,
    solve: (body, asked, stock) => {
      const filled = fillParameters(options, body, asked)
      if (!filled.ok) return filled
      const given: SetupGiven = { body, lengths: derivedLengths(body), o: filled.value, stock }
      const chosen = choose ? choose(given) : ok(undefined as T)
      if (!chosen.ok) return chosen
      const wanted = poses(given, chosen.value)
      const target = solvePosition(wanted.target[0], body, wanted.target[1])
      if (!target.ok) return target
      const start = wanted.start ? solvePosition(wanted.start[0], body, wanted.start[1]) : target
      if (!start.ok) return start
      const draft = place({ ...given, start: start.value, target: target.value, chosen: chosen.value })
      const entry = entryOf(id)
      const figures =
        start === target
          ? [figureOf(target.value)]
          : [
              {
                role: 'start' as const,
                position: start.value,
                asideCm: wallShift(start.value, target.value),
              },
              figureOf(target.value),
            ]
      return ok({
        id,
        body,
        options: filled.value,
        start: start.value,
        target: target.value,
        placements: draft.placements,
        props: withBill(draft.props ?? [], entry.bill),
        steps: draft.steps,
        warnings: [
          ...(draft.warnings ?? []),
          ...headWarning([start.value, target.value]),
          ...unusual(options, filled.value),
        ],
        less: entry.less,
        more: entry.more,
        scene: sceneFrom(target.value, {
          figures,
          props: draft.outlines ?? [],
          dimensions: draft.dimensions ?? [],
          top: draft.top ?? null,
          wallX: draft.wallX ?? target.value.wallX,
        }),
      })
    },
  }
}

function figureOf(target: Position): Figure {
  return { role: 'target', position: target, asideCm: 0 }
}

/** How far a start that leans on its own wall is moved so that both figures stand before one wall, cm. */
function wallShift(start: Position, target: Position): number {
  return start.wallX === null || target.wallX === null ? 0 : target.wallX - start.wallX
}

function withBill(
  known: readonly SetupProp[],
  bill: readonly { prop: string; count: number; optional: boolean }[],
): SetupProp[] {
  const named = new Set(known.map(({ kind }) => kind))
  const rest = bill.filter(({ prop, optional }) => !optional && !named.has(prop))
  return [...known, ...rest.map(({ prop, count }) => ({ kind: prop, count, detail: [] }))]
}

/**
 * Arms too short to carry the head in this shape: how far it is short, and what the proportions ask under the forearms
 * (M14), never less than the shortfall.
 */
function headWarning(shapes: readonly Position[]): SetupWarning[] {
  const onForearms = shapes.filter(({ contacts }) => contacts.some(({ part }) => part === 'forearms'))
  const shortCm = -Math.min(0, ...onForearms.map((shape) => shape.headClearanceCm))
  const [shape] = onForearms
  if (!shape || shortCm < SAME_CM) return []
  const liftCm = Math.max(shortCm + CLEAR_MARGIN_CM, forearmLift(shape.body).valueCm)
  return [{ code: 'head-on-floor', faultId: 'FT-head-drop', numbers: { shortCm, liftCm } }]
}

/** A difference that no tape shows. */
const SAME_CM = 0.1

/** A fault that the practice names for a measure past its usual span. */
function unusual(options: readonly SetupOption[], values: Readonly<Record<string, number>>): SetupWarning[] {
  return options.flatMap(({ key, unit, usualFrom, usualTo, below, above }) => {
    const value = values[key]
    if (value === undefined) return []
    const numbers = (limit: number): SetupWarning['numbers'] =>
      unit === 'deg' ? { valueDeg: value, limitDeg: limit } : { valueCm: value, limitCm: limit }
    if (below !== undefined && usualFrom !== undefined && value < usualFrom)
      return [{ code: 'below-usual', faultId: below, numbers: numbers(usualFrom) }]
    if (above !== undefined && usualTo !== undefined && value > usualTo)
      return [{ code: 'above-usual', faultId: above, numbers: numbers(usualTo) }]
    return []
  })
}

type PlaceOptions = {
  /** Error of the lengths behind the number, one standard deviation, cm. */
  sdCm?: number
  /** Span for adjusting by feel, either absolute or ± around the value. */
  from?: number
  to?: number
  give?: number
  fingers?: FingerDirection
  method?: string
  way?: readonly [measure: string, withinCm: number, numbers?: BodyWay['numbers']] | undefined
}

/** By feel, distances on the floor may move this far (props.md 5.3). */
const BY_FEEL_CM = 3

/** One placement; a reading brings its own error, a fixed number has none. */
export function placement(
  key: string,
  line: MeasureLine,
  value: number | Reading,
  { sdCm, from, to, give = BY_FEEL_CM, fingers, method, way }: PlaceOptions = {},
): Placement {
  const valueCm = typeof value === 'number' ? value : value.valueCm
  const sd = sdCm ?? (typeof value === 'number' ? 0 : value.sdCm)
  return {
    key,
    line,
    fingers: fingers ?? null,
    valueCm,
    withinCm: 2 * sd,
    fromCm: Math.min(valueCm, from ?? Math.max(0, valueCm - give)),
    toCm: Math.max(valueCm, to ?? valueCm + give),
    method: method ?? null,
    bodyWay: way ? { measure: way[0], withinCm: way[1], numbers: way[2] ?? {} } : null,
  }
}
