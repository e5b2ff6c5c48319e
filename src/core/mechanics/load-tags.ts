import type { LoadTag } from '../practice/schema'
import { degrees } from './point'
import type { Position } from './position'

export type LoadTags = Readonly<Partial<Record<LoadTag, 1 | 2 | 3>>>

/** Arm load up to a third is level 1, up to about two thirds level 2 (cautions.md 0.1 and the working bands). */
const LIGHT = 1 / 3
const MIDDLE = 0.7
/** "The student can take it off at will, roughly up to 10 % of body weight." */
const CROWN_AT_WILL = 0.1
/** Upper arm this near to overhead counts as end range. */
const OVERHEAD_DEG = 150
const DEEP_KNEE_DEG = 120
const DEEP_HIP_DEG = 110
const BENT_ELBOW_DEG = 60

type Measured = Pick<Position, 'contacts' | 'skeleton' | 'angles'>

/**
 * Load tags that follow from the computed loads and joint angles alone: HB, HBH, WB, FB, SE, NF, SX, AC and KN.
 * What depends on movement, time or surroundings (FR, ST, SF) stands in the stage's own data.
 */
export function loadTags({ contacts, skeleton, angles }: Measured): LoadTags {
  let [hands, forearms, crown, shoulders, ground] = [0, 0, 0, 0, 0]
  for (const { part, share } of contacts) {
    if (part === 'hands') hands += share.value
    else if (part === 'forearms' || part === 'elbows') forearms += share.value
    else if (part === 'crown') crown = Math.max(share.value, crown)
    else if (part === 'shoulders') shoulders += share.value
    else if (part !== 'wallFeet' && part !== 'helper') ground += share.value
  }
  const tags: Partial<Record<LoadTag, 1 | 2 | 3>> = {}
  if (hands > 0.02 && (angles.wristExtensionDeg ?? 0) > 30) tags.WB = band(hands)
  if (forearms > 0.02 && shoulders === 0) tags.FB = band(forearms)
  if (crown > 0) tags.HB = crown <= CROWN_AT_WILL ? 1 : ground > 0.02 ? 2 : 3
  const headDown = headBelowHeart(
    skeleton,
    ground > 0.02,
    contacts.some((c) => c.part === 'wallFeet'),
  )
  if (headDown) tags.HBH = headDown
  if (angles.shoulderFlexionDeg > OVERHEAD_DEG && hands + forearms > LIGHT)
    tags.SE = angles.elbowBendDeg > BENT_ELBOW_DEG && forearms > MIDDLE ? 3 : 2
  if (shoulders > 0.15) tags.NF = neckLevel(skeleton)
  if (angles.archDeg > 30) tags.SX = 2
  else if (angles.archDeg > 10) tags.SX = 1
  if (angles.hipFlexionDeg > DEEP_HIP_DEG) tags.AC = 1
  if (angles.kneeBendDeg > DEEP_KNEE_DEG) tags.KN = 2
  return tags
}

function band(share: number): 1 | 2 | 3 {
  return share <= LIGHT ? 1 : share <= MIDDLE ? 2 : 3
}

/** Trunk slopes over the head: gentle 1, steep 2 or, with both legs up and nothing on the floor but the base, 3. */
const GENTLE_DEG = 35
const STEEP_DEG = 46

function headBelowHeart(
  { crown, waist, shoulder, hip, legs }: Position['skeleton'],
  feetDown: boolean,
  feetOnWall: boolean,
): 0 | 1 | 2 | 3 {
  if (crown.y >= (waist.y + shoulder.y) / 2 || hip.y <= shoulder.y) return 0
  const slope = degrees(Math.atan2(hip.y - shoulder.y, Math.abs(hip.x - shoulder.x)))
  const low = Math.min(legs[0].ankle.y, legs[1].ankle.y)
  if (slope < GENTLE_DEG || (feetDown && low < hip.y)) return 1
  const folded = hip.y - low < 0.5 * (hip.y - crown.y)
  const tucked = !feetDown && !feetOnWall && folded && low < hip.y - 5
  return slope > STEEP_DEG && (low > hip.y + 20 || tucked) ? 3 : 2
}

/** Weight on the shoulders: head hanging free or a low trunk 1, steeper 2, stacked above a flat neck 3. */
function neckLevel({ shoulder, hip, crown }: Position['skeleton']): 1 | 2 | 3 {
  const hangsFree =
    crown.x === shoulder.x ||
    shoulder.y - crown.y > 0.8 * Math.hypot(crown.x - shoulder.x, shoulder.y - crown.y)
  const slope = degrees(Math.atan2(hip.y - shoulder.y, Math.abs(hip.x - shoulder.x)))
  if (hangsFree || slope < GENTLE_DEG) return 1
  return slope > 60 && shoulder.y - crown.y < 2 ? 3 : 2
}
