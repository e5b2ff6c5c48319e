/** A stream of numbers in [0, 1) that is the same for the same seed (mulberry32). */
export type Random = () => number

/** Seeded stream. */
export function seeded(seed: number): Random {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = state
    t = Math.imul(t ^ (t >>> 15), t | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

/** A draw from a bell curve (Box–Muller). */
export function normal(random: Random, mean: number, sd: number): number {
  const u = Math.max(random(), 1e-12)
  return mean + sd * Math.sqrt(-2 * Math.log(u)) * Math.cos(2 * Math.PI * random())
}

/** A UUID version 7 for a moment, from the stream: sorts by time, repeats with the seed. */
export function uuidAt(random: Random, ms: number): string {
  const hex = (digits: number): string =>
    Array.from({ length: digits }, () => Math.floor(random() * 16).toString(16)).join('')
  const time = Math.floor(ms).toString(16).padStart(12, '0').slice(-12)
  const variant = (8 + Math.floor(random() * 4)).toString(16)
  return `${time.slice(0, 8)}-${time.slice(8)}-7${hex(3)}-${variant}${hex(3)}-${hex(12)}`
}
