import 'server-only'
import { doingsOf, type Plan } from '@/core/classes/plan'
import { armsThrough, bestMinute } from '@/core/planning/reserve'
import type { Library } from '@/core/practice/library'
import { describeBestMinute } from '@/core/words/plan'

export type ArmsView = {
  /** By person: how fresh their arms are when each working block begins, in percent. */
  readonly freshness: Record<string, { purpose: string; percent: number }[]>
  /** When arms are best for first tries; empty where nothing is tried. */
  readonly bestMinute: string
}

/** Everybody's arms through the hour. */
export function armsView(practice: Library, plan: Plan): ArmsView {
  const people = [...new Set(plan.blocks.flatMap(doingsOf).map((d) => d.studentId))]
  return {
    freshness: Object.fromEntries(
      people.map((student) => [
        student,
        armsThrough(practice, plan, student).map(({ purpose, fresh }) => ({
          purpose,
          percent: Math.round(100 * fresh),
        })),
      ]),
    ),
    bestMinute: describeBestMinute(bestMinute(practice, plan)),
  }
}
