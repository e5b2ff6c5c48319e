/**
 * Load tags of the practice, levels 0–3; 0 is not written (cautions.md 0.1; KN by ruling 1). EL is an elbow that carries
 * bent, 2 from a right angle on: its depth limits by angle, whatever the weight. PR is lying on the belly, SU on the back: 1
 * up to a minute, 2 for longer (rulings 25 and 27).
 */
// prettier-ignore
export const LOAD_TAGS = [
  'HB', 'NF', 'HBH', 'WB', 'FB', 'SE', 'FR', 'AC', 'SF', 'SX', 'ST', 'KN', 'EL', 'PR', 'SU',
] as const
export type LoadTag = (typeof LOAD_TAGS)[number]
