import type { Load, LoadTag } from '../practice/schema'

/** Where it may hurt, as asked with a body map. */
export const REGIONS = [
  'neck',
  'shoulder',
  'elbow',
  'wrist',
  'back',
  'hip',
  'knee',
  'foot',
  'head',
  'belly',
] as const
export type Region = (typeof REGIONS)[number]

/** Loads that a sore region should not carry (cautions.md D1; ruling 2 for the neck). */
export const REGION_LOADS: Readonly<Record<Region, readonly { tag: LoadTag; level: 1 | 2 | 3 }[]>> = {
  neck: [
    { tag: 'HB', level: 1 },
    { tag: 'NF', level: 1 },
    { tag: 'HBH', level: 3 },
    { tag: 'FR', level: 3 },
  ],
  shoulder: [
    { tag: 'SE', level: 2 },
    { tag: 'WB', level: 3 },
    { tag: 'FB', level: 3 },
  ],
  elbow: [
    { tag: 'EL', level: 2 },
    { tag: 'WB', level: 3 },
    { tag: 'FB', level: 3 },
  ],
  wrist: [{ tag: 'WB', level: 2 }],
  back: [
    { tag: 'SF', level: 2 },
    { tag: 'SX', level: 2 },
    { tag: 'FR', level: 2 },
  ],
  hip: [{ tag: 'FR', level: 3 }],
  knee: [{ tag: 'KN', level: 2 }],
  foot: [{ tag: 'FR', level: 3 }],
  head: [{ tag: 'HBH', level: 1 }],
  belly: [{ tag: 'AC', level: 1 }],
}

/** Falls and the head low reach a region only from the level that it should not carry; what presses on it, from the first. */
const FROM_THAT_LEVEL: ReadonlySet<LoadTag> = new Set(['FR', 'HBH'])

/** Whether some work may have brought on what a region reports afterwards. */
export function loadsRegion(load: Load, region: Region): boolean {
  return REGION_LOADS[region].some(
    ({ tag, level }) => (load[tag] ?? 0) >= (FROM_THAT_LEVEL.has(tag) ? level : 1),
  )
}
