import { armLoad, type Position } from '../mechanics/position'
import type { SetupSolution } from './setup'

/** Figures by which two setups, two measures or two people are laid side by side. */
export type FigureUnit = 'cm' | 'deg' | 'share' | 'NmPerKg' | 'JPerKg' | 's'
export type SetupFigure = {
  readonly key: string
  readonly unit: FigureUnit
  readonly value: number
}

/** The figures that matter of a solved setup, the same keys for every setup so that they can be compared. */
export function figuresOf({ start, target }: SetupSolution): SetupFigure[] {
  const figure = (key: string, unit: FigureUnit, value: number | null | undefined): SetupFigure[] =>
    value === null || value === undefined || !Number.isFinite(value) ? [] : [{ key, unit, value }]
  const crown = target.contacts.find((c) => c.part === 'crown')
  const wall = target.contacts.find((c) => c.part === 'wallFeet')
  return [
    ...figure('arm-load', 'share', armLoad(target).value),
    ...figure('crown-most', 'share', crown ? crown.share.max : null),
    ...figure('wall-push', 'share', wall ? Math.abs(wall.horizontalShare.value) : null),
    ...figure('shoulder-moment', 'NmPerKg', knownMoment(target)),
    ...figure('trunk-lean', 'deg', target.angles.trunkLeanDeg),
    ...figure('arch', 'deg', Math.max(0, target.angles.archDeg)),
    ...figure('hip-fold', 'deg', target.angles.hipFlexionDeg),
    ...figure('plumb-room', 'cm', Math.min(target.margin.forwardCm, target.margin.backCm)),
    ...figure('head-clear', 'cm', target.headClearanceCm),
    ...figure('rise', 'cm', start.rise?.riseCm),
    ...figure('kick-energy', 'JPerKg', start.rise?.energyJPerKg),
    ...figure('fall-time', 's', target.timeConstantS),
  ]
}

/** The work of the shoulders, where pushing along floor or wall cannot turn it round; else nobody knows it. */
function knownMoment({ shoulderMomentNmPerKg, shoulderMomentWithin: { min, max } }: Position): number | null {
  return min * max > 0 ? Math.abs(shoulderMomentNmPerKg) : null
}

export type Compared = {
  readonly key: string
  readonly unit: FigureUnit
  readonly a: number | null
  readonly b: number | null
  /** b less a, where both have it. */
  readonly byHowMuch: number | null
}

/** Two solved setups side by side: every figure that either has, with the difference. */
export function compareFigures(a: SetupSolution, b: SetupSolution): Compared[] {
  const [left, right] = [figuresOf(a), figuresOf(b)]
  const keys = [...new Map([...left, ...right].map((f) => [f.key, f.unit]))]
  return keys.map(([key, unit]) => {
    const va = left.find((f) => f.key === key)?.value ?? null
    const vb = right.find((f) => f.key === key)?.value ?? null
    return { key, unit, a: va, b: vb, byHowMuch: va === null || vb === null ? null : vb - va }
  })
}
