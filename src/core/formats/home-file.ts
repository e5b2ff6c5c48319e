import type { Day } from '../day'
import { HOME_NEVER, HOME_STOP } from '../words/home'

/** One thing of a week at home, as it is read. */
export type HomeLine = {
  readonly name: string
  readonly dose: string
  readonly do: string
  readonly lookFor: string
  readonly side: string
  readonly numbers: string
}

/**
 * A week at home as data (`levitar-home`, docs/formats.md): what may be done, and with it when to stop and what never. What
 * is closed is not in it: another program shows what it is given.
 */
export function writeHomeFile(sheet: {
  readonly made: Day
  readonly minutes: number
  readonly days: readonly Day[]
  readonly items: readonly (HomeLine & { readonly drill: string })[]
  readonly instead: readonly string[]
}): string {
  const { made, minutes, days, items, instead } = sheet
  return `${JSON.stringify(
    {
      ...{ format: 'levitar-home', version: 1, made, minutes, days },
      items: items.map(({ drill, name, dose, do: how, lookFor, side, numbers }) => ({
        ...{ drill, name, dose, do: how, lookFor },
        ...(side === '' ? {} : { side }),
        ...(numbers === '' ? {} : { numbers }),
      })),
      ...{ instead, stop: HOME_STOP, never: HOME_NEVER },
    },
    null,
    2,
  )}\n`
}
