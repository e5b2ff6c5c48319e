import type { Library } from '../practice/library'
import { covers } from './prescribe'
import type { SideGap } from './sides'

/**
 * Which side begins, and is done once more where there is time, in the drills that even out what differs (ruling 15).
 * Where two checks disagree about a drill the wider gap decides. Tries are left out: their sides alternate.
 * @param gaps widest first, as `sideGaps` gives them
 * @returns by drill, only those done on both sides
 */
export function weakerInDrills(
  practice: Library,
  gaps: readonly Pick<SideGap, 'checkId' | 'weaker'>[],
): Record<string, SideGap['weaker']> {
  if (gaps.length === 0) return {}
  const found: Record<string, SideGap['weaker']> = {}
  for (const drill of practice.drills) {
    if (!drill.dose.perSide) continue
    const gap = gaps.find(({ checkId }) => covers(practice, drill, checkId))
    if (gap) found[drill.id] = gap.weaker
  }
  return found
}
