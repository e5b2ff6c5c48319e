/** How much deeper than usual laws are asked to look (`npm run prove`), ten times at the most. */
const DEEPER = Math.min(10, Math.max(1, Number(process.env.PROPERTY_RUNS ?? 60) / 60))

/** Cases of a law of which each takes long: a few for every change, ten times as many for `npm run prove`. */
export const runs = (few: number): number => Math.round(few * DEEPER)
