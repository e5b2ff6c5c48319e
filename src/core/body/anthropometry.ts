/**
 * Segment lengths as a fraction of stature: Drillis & Contini (1966), as tabulated by Winter.
 * Each scatters by about 4 % of its length between people (SD_FRACTION).
 */
export const LENGTH_RATIO = {
  upperArm: 0.186,
  forearm: 0.146,
  hand: 0.108,
  /** Shoulder joint to hip joint. */
  trunk: 0.288,
  /** Shoulder height to the crown. */
  headNeck: 0.182,
  thigh: 0.245,
  shank: 0.246,
  ankleHeight: 0.039,
  foot: 0.152,
  /** Outer shoulder to outer shoulder. */
  shoulderBreadth: 0.259,
  hipBreadth: 0.191,
} as const

export type SegmentName = keyof typeof LENGTH_RATIO

export const SEGMENT_NAMES = Object.keys(LENGTH_RATIO) as readonly SegmentName[]

/**
 * Lengths that are taken directly with a body-based measure, as a fraction of stature (props.md M-list; head width
 * solved back from S01: head and 4 cm are 20–24). Where a combined length is not taken, it follows from the segments.
 */
export const DIRECT_RATIO = {
  /** Sole to hip joint, sitting tall (M3). */
  seatedLeg: 0.53,
  /** Shoulder to fingertip (M4). */
  armReach: 0.44,
  /** Elbow point to fingertip (M11). */
  elbowToFingertip: 0.254,
  /** Sole to groin (M7). */
  innerLeg: 0.47,
  /** Shoulder joint to shoulder joint (M1). */
  jointWidth: 0.2,
  /** Thumb, web to tip (M2). */
  thumb: 0.037,
  /** Across the four knuckles (M16: 8–10 cm). */
  handBreadth: 0.05,
  /** Round the upper arm above the elbow: 9 cm thick at 168 (props.md 5.2). */
  armGirth: 0.168,
  /** Head with ears, side to side. */
  headWidth: 0.1,
} as const

export type DirectMeasure = keyof typeof DIRECT_RATIO

export const DIRECT_MEASURES = Object.keys(DIRECT_RATIO) as readonly DirectMeasure[]

/** One standard deviation of a length estimated from stature, as a fraction of that length. */
export const SD_FRACTION = 0.04

/** How far two readings of one length by tape usually differ, cm (props.md M-list: ± 2 cm read as two SD). */
export const TAPE_SD_CM = 1

export type BodyTable = 'female' | 'male' | 'blend'

/** Mass as a fraction of the body and centre of mass as a fraction of the segment from its first-named end. */
export type Inertia = { readonly mass: number; readonly com: number }

export type MassSegment = 'head' | 'trunk' | 'upperArm' | 'forearm' | 'hand' | 'thigh' | 'shank' | 'foot'

/**
 * de Leva (1996), endpoints matching planar segments; carried over from memory of the paper.
 * Limb masses are for one side. Head: vertex → C7; trunk: mid-shoulder → mid-hip; foot: heel → toe.
 */
const FEMALE: Record<MassSegment, Inertia> = {
  head: { mass: 0.0668, com: 0.4841 },
  trunk: { mass: 0.4257, com: 0.3782 },
  upperArm: { mass: 0.0255, com: 0.5754 },
  forearm: { mass: 0.0138, com: 0.4559 },
  hand: { mass: 0.0056, com: 0.7474 },
  thigh: { mass: 0.1478, com: 0.3612 },
  shank: { mass: 0.0481, com: 0.4416 },
  foot: { mass: 0.0129, com: 0.4014 },
}
const MALE: Record<MassSegment, Inertia> = {
  head: { mass: 0.0694, com: 0.5002 },
  trunk: { mass: 0.4346, com: 0.431 },
  upperArm: { mass: 0.0271, com: 0.5772 },
  forearm: { mass: 0.0162, com: 0.4574 },
  hand: { mass: 0.0061, com: 0.79 },
  thigh: { mass: 0.1416, com: 0.4095 },
  shank: { mass: 0.0433, com: 0.4459 },
  foot: { mass: 0.0137, com: 0.4415 },
}

/** Head to foot, so that loops read from the top. */
export const MASS_SEGMENTS = Object.keys(FEMALE) as readonly MassSegment[]

/**
 * Masses and centres for one of the tables; `blend` is the mean of both and the default, since nobody is asked.
 * Masses are rescaled to sum to one exactly (the printed figures sum to 0.9999 and 1.0002).
 */
export function inertia(table: BodyTable): Record<MassSegment, Inertia> {
  const raw = table === 'female' ? FEMALE : table === 'male' ? MALE : mean(FEMALE, MALE)
  const total = MASS_SEGMENTS.reduce((sum, name) => sum + raw[name].mass * sides(name), 0)
  return mapSegments((name) => ({ mass: raw[name].mass / total, com: raw[name].com }))
}

/** Head and trunk are single; limbs come in pairs. */
export function sides(name: MassSegment): 1 | 2 {
  return name === 'head' || name === 'trunk' ? 1 : 2
}

function mean(
  a: Record<MassSegment, Inertia>,
  b: Record<MassSegment, Inertia>,
): Record<MassSegment, Inertia> {
  return mapSegments((name) => ({
    mass: (a[name].mass + b[name].mass) / 2,
    com: (a[name].com + b[name].com) / 2,
  }))
}

function mapSegments(of: (name: MassSegment) => Inertia): Record<MassSegment, Inertia> {
  return Object.fromEntries(MASS_SEGMENTS.map((name) => [name, of(name)])) as Record<MassSegment, Inertia>
}
