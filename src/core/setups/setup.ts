import type { Body } from '../body/estimate'
import type { PositionRefusal, Position } from '../mechanics/position'
import type { BlockSize } from '../props/blocks'
import type { Result } from '../result'
import type { Scene } from './scene'

/** Which line of the body a distance is measured to: mixing them is the commonest error by hand. */
export type MeasureLine = 'fingertips' | 'heel-of-hand' | 'elbow' | 'ball-of-foot' | 'block-face' | 'loop'

/** How to find a distance without a tape: id of the body-based measure and how far it may be off for this person. */
export type BodyWay = {
  readonly measure: string
  readonly withinCm: number
  readonly numbers: Readonly<Record<string, number>>
}

export type Placement = {
  readonly key: string
  readonly line: MeasureLine
  readonly valueCm: number
  /** How far the number itself may be off, from the errors of the lengths behind it (two standard deviations). */
  readonly withinCm: number
  /** Stay inside these while adjusting by feel. */
  readonly fromCm: number
  readonly toCm: number
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

export type SetupProp = {
  readonly kind: 'strap' | 'block' | 'wall'
  readonly count: number
  readonly detail: readonly number[]
}

export type SetupOptions = {
  /** Far face of the block to the wall, cm. */
  readonly wallGapCm?: number | undefined
  readonly toeDistanceCm?: number | undefined
  readonly kneeBendDeg?: number | undefined
  readonly archShare?: number | undefined
  readonly blocks?: readonly BlockSize[] | undefined
}

export type SetupRefusal =
  | PositionRefusal
  | { code: 'unknown-setup'; id: string }
  | { code: 'option-out-of-range'; key: string; value: number; min: number; max: number }
  | { code: 'no-blocks'; needed: number }

export type SetupSolution = {
  readonly id: string
  readonly body: Body
  readonly placements: readonly Placement[]
  readonly props: readonly SetupProp[]
  readonly steps: readonly SetupStep[]
  readonly warnings: readonly SetupWarning[]
  readonly start: Position
  readonly target: Position
  readonly scene: Scene
  readonly less: string | null
  readonly more: string | null
}

export type Setup = {
  readonly id: string
  readonly solve: (body: Body, options: SetupOptions) => Result<SetupSolution, SetupRefusal>
}
