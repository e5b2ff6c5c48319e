'use client'

import { seeded, normal, type Random } from '@/core/random'

/** What a bathroom scale shows, in its own unit. Stands for the device until one is connected. */
export type Scale = {
  /** Reading while the whole person stands on it. */
  readonly standing: () => number
  /** Reading while a part rests on it that carries this share. */
  readonly under: (share: number) => number
}

/** Readings come in steps of this, as on a household scale. */
const STEP = 0.1
/** Spread of a reading from sway, as a share of what is shown. */
const SWAY = 0.004

/**
 * A scale to try the page with: somebody of an unknown weight stands on it. The weight is drawn anew with every scale
 * and leaves it only through the two readings, of which nothing but their ratio is kept.
 */
export function simulatedScale(seed: number): Scale {
  const random: Random = seeded(seed)
  const weight = 48 + 40 * random()
  const shown = (load: number): number => Math.round((load * (1 + normal(random, 0, SWAY))) / STEP) * STEP
  return { standing: () => shown(weight), under: (share) => shown(weight * share) }
}
