import type { Model } from './model'
import type { State } from './state'

/**
 * The state of one model said in another: the same blocks, lengths and versions, where the other has them. Whoever is
 * new waits, until a search finds them something.
 * @returns null where a block that is run has no counterpart
 */
export function carried(from: Model, { config, option }: State, to: Model): State | null {
  const off = to.people.map(() => -1)
  const slots = to.slots.map((slot): { config: number; option: readonly number[] } | null => {
    const i = from.slots.findIndex((s) => s.purpose.id === slot.purpose.id)
    const run = from.slots[i]?.configs[config[i] ?? -1]
    if (!run) return { config: -1, option: off }
    const at = slot.configs.findIndex(
      (c) => c.sets === run.sets && c.waves === run.waves && c.workS === run.workS,
    )
    if (at < 0) return null
    return {
      config: at,
      option: to.people.map(({ studentId }, p) => {
        const was = from.people.findIndex((x) => x.studentId === studentId)
        const chosen = from.slots[i]?.options[was]?.[option[i]?.[was] ?? -1]
        const id = chosen ? from.variants[chosen.v]?.id : undefined
        return id === undefined ? -1 : (slot.options[p] ?? []).findIndex((o) => to.variants[o.v]?.id === id)
      }),
    }
  })
  const found = slots.flatMap((s) => (s === null ? [] : [s]))
  if (found.length < slots.length) return null
  return { config: found.map((s) => s.config), option: found.map((s) => s.option) }
}
