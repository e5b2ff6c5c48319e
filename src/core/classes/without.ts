import type { Brief } from './brief'
import { doingsOf, type Doing, type Plan } from './plan'

/** Who had no turn at the wall, and who had nobody beside them, in a class in which others had. */
export function wentWithout(
  plan: Plan,
  brief: Brief | null,
): { readonly wall: string[]; readonly help: string[] } {
  const all = plan.blocks.flatMap(doingsOf)
  const ids = [...new Set(all.map((d) => d.studentId))]
  const without = (had: (doing: Doing) => boolean): string[] => {
    const lucky = new Set(all.filter(had).map((d) => d.studentId))
    return lucky.size === 0 ? [] : ids.filter((id) => !lucky.has(id))
  }
  const bays = new Set(brief?.room.bays.map((b) => b.id))
  return {
    wall: without((d) => d.place !== null && bays.has(d.place)),
    help: without((d) => d.helper !== null),
  }
}
