import type { Body } from '../body/estimate'
import type { Stock } from '../props/stock'
import { solveSetup } from './catalogue'
import { figuresOf, type FigureUnit } from './figures'
import type { SetupOption, SetupSolution } from './setup'

/** What a change of one option does to one figure, on this body. */
export type Because = {
  readonly option: string
  readonly unit: SetupOption['unit']
  /** From the value in use to the value tried. */
  readonly from: number
  readonly to: number
  readonly figure: string
  readonly figureUnit: FigureUnit
  readonly was: number
  readonly becomes: number
}

/** How far each option is moved to see what it does. */
const NUDGE: Readonly<Record<SetupOption['unit'], number>> = { cm: 5, deg: 10, share: 0.5, choice: 1 }
/** A change below this is not worth a sentence, by unit. */
const TOLD: Readonly<Record<FigureUnit, number>> = {
  cm: 1,
  deg: 2,
  share: 0.015,
  NmPerKg: 0.04,
  JPerKg: 0.1,
  s: 0.02,
}

/**
 * Why things stand where they stand: for every option, the figure that a small change moves most, measured in how
 * much is worth telling. Every number is a solved setup's; nothing is interpolated.
 */
export function whyHere(
  solution: SetupSolution,
  options: readonly SetupOption[],
  body: Body,
  stock: Stock,
): Because[] {
  return options.flatMap((option): Because[] => {
    const from = solution.options[option.key]
    if (from === undefined) return []
    const up = from + NUDGE[option.unit] <= option.max
    const to = up ? from + NUDGE[option.unit] : from - NUDGE[option.unit]
    if (to < option.min) return []
    const tried = solveSetup(solution.id, body, { ...solution.options, [option.key]: to }, stock)
    if (!tried.ok) return []
    const after = figuresOf(tried.value)
    const changes = figuresOf(solution).flatMap((f) => {
      const becomes = after.find((a) => a.key === f.key)?.value
      if (becomes === undefined) return []
      return [{ f, becomes, size: Math.abs(becomes - f.value) / TOLD[f.unit] }]
    })
    const most = changes.toSorted((a, b) => b.size - a.size)[0]
    if (!most || most.size < 1) return []
    return [
      {
        option: option.key,
        unit: option.unit,
        from,
        to,
        figure: most.f.key,
        figureUnit: most.f.unit,
        was: most.f.value,
        becomes: most.becomes,
      },
    ]
  })
}
