import { count, deg, length, percent, plain, type Wording } from './number'

/**
 * Fills a sentence with numbers: `{gapCm}` becomes a length in the reader's unit, `{archDeg}` degrees, `{leanShare}` a
 * percentage, `{layers#layer}` so many of them with the noun it counts, anything else a plain number. A number that is
 * missing is a mistake in the code and throws.
 */
export function fill(template: string, numbers: Readonly<Record<string, number>>, wording: Wording): string {
  return template.replace(/\{(\w+)(?:#([\w ]+))?\}/g, (_, key: string, noun?: string) => {
    const value = numbers[key]
    if (value === undefined) throw new Error(`no number ${key} for “${template}”`)
    if (key.endsWith('Cm')) return length(value, wording)
    if (key.endsWith('Deg')) return deg(value)
    if (key.endsWith('Share')) return percent(value)
    const rounded = Math.round(value * 2) / 2
    return noun === undefined ? plain(rounded) : count(rounded, noun)
  })
}
