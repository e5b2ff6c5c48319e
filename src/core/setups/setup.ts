import type { DerivedLengths } from '../body/derived'
import type { Body } from '../body/estimate'
import type { Parameter, Parameters } from '../mechanics/parameters'
import type { Position, PositionRefusal } from '../mechanics/position'
import type { Face } from '../props/blocks'
import type { Stock } from '../props/stock'
import type { Result } from '../result'
import type { Dimension, Scene, SceneProp, TopView } from './scene'

/** Which line of the body or prop a distance is measured to: mixing them is the commonest error by hand. */
export type MeasureLine =
  | 'fingertips'
  | 'heel-of-hand'
  | 'elbow'
  | 'ball-of-foot'
  | 'heel'
  | 'knee'
  | 'foot-mark'
  | 'knuckles'
  | 'crown'
  | 'shoulder-edge'
  | 'seat'
  | 'block-face'
  | 'prop-edge'
  | 'prop-top'
  | 'between'
  | 'loop'
  | 'clear-floor'

/** Where the fingers point while a distance to the wall is taken. */
export type FingerDirection = 'towards-wall' | 'away-from-wall'

/** How to find a distance without a tape: id of the body-based measure and how far it may be off for this person. */
export type BodyWay = {
  readonly measure: string
  readonly withinCm: number
  readonly numbers: Readonly<Record<string, number>>
}

export type Placement = {
  readonly key: string
  readonly line: MeasureLine
  readonly fingers: FingerDirection | null
  readonly valueCm: number
  /** How far the number itself may be off, from the errors of the lengths behind it (two standard deviations). */
  readonly withinCm: number
  /** Stay inside these while adjusting by feel. */
  readonly fromCm: number
  readonly toCm: number
  /** How it was found, where one of several customary ways is chosen. */
  readonly method: string | null
  readonly bodyWay: BodyWay | null
}

export type SetupWarning = {
  readonly code: string
  readonly faultId: string
  readonly numbers: Readonly<Record<string, number>>
}

/** One thing to do, in order; words/setup.ts makes the sentence. */
export type SetupStep = { readonly code: string; readonly numbers: Readonly<Record<string, number>> }

/** Shorthand for a step with its numbers. */
export function step(code: string, numbers: Readonly<Record<string, number>> = {}): SetupStep {
  return { code, numbers }
}

/** What to fetch; `face` is the one on the floor, `detail` the edges, layers or lengths it comes down to (cm). */
export type SetupProp = {
  readonly kind: string
  readonly count: number
  readonly face?: Face | undefined
  readonly detail: readonly number[]
}

/**
 * What a teacher may change, with the span that is usual. Going below or above it courts a named fault.
 */
export type SetupOption = Parameter & {
  readonly usualFrom?: number
  readonly usualTo?: number
  readonly below?: string
  readonly above?: string
}

export type SetupRefusal =
  | PositionRefusal
  | { code: 'unknown-setup'; id: string }
  | { code: 'no-blocks'; needed: number; inStock: number }
  | { code: 'not-in-stock'; prop: string; needed: number; inStock: number }
  | { code: 'stack-too-low'; neededCm: number; reachedCm: number }
  | { code: 'rig-without-overlap'; overlapCm: number; leastCm: number }

/** What every setup starts from. */
export type SetupGiven = {
  readonly body: Body
  readonly lengths: DerivedLengths
  /** Options, filled and checked. */
  readonly o: Parameters
  readonly stock: Stock
}

/** A position by id with what is set on it. */
export type Pose = readonly [id: string, parameters?: Parameters]

export type Draft = {
  readonly placements: readonly Placement[]
  readonly steps: readonly SetupStep[]
  readonly warnings?: readonly SetupWarning[]
  /** Props with their faces and sizes; what the bill names beyond these is added as it stands there. */
  readonly props?: readonly SetupProp[]
  readonly outlines?: readonly SceneProp[]
  readonly dimensions?: readonly Dimension[]
  readonly top?: TopView | null
  /** The wall to draw where it is not what the position itself leans on. */
  readonly wallX?: number
}

export type SetupSolution = {
  readonly id: string
  readonly body: Body
  readonly options: Parameters
  readonly placements: readonly Placement[]
  readonly props: readonly SetupProp[]
  readonly steps: readonly SetupStep[]
  readonly warnings: readonly SetupWarning[]
  readonly start: Position
  readonly target: Position
  readonly scene: Scene
  readonly less: readonly string[]
  readonly more: readonly string[]
}

export type Setup = {
  readonly id: string
  readonly options: readonly SetupOption[]
  readonly solve: (body: Body, options: Parameters, stock: Stock) => Result<SetupSolution, SetupRefusal>
}
