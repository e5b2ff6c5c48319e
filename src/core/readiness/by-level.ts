import type { Library } from '../practice/library'
import { RUNGS } from '../practice/schema'
import { isLowStakes } from './step-onto'

/** What a line says of somebody over all families. */
export const LEVELS = ['new', 'some', 'practised'] as const
export type Level = (typeof LEVELS)[number]

/** How far a level reaches on the six rungs; somebody new is placed nowhere and begins with the first. */
const REACH: Readonly<Record<Level, (typeof RUNGS)[number] | null>> = { new: null, some: 'b', practised: 'c' }

/**
 * Where somebody begins of whom one line is known: in each family the furthest rung that a teacher would point at by eye,
 * up to what the level reaches, and of low stakes only: a fall, weight on the head and work on the nape are never taken
 * from a word (hour.md 1).
 * @returns one stage a family; none where the family has no such rung
 */
export function startingRungs({ byEye, stages }: Pick<Library, 'byEye' | 'stages'>, level: Level): string[] {
  const reach = REACH[level]
  if (reach === null) return []
  return byEye.flatMap(({ stages: rungs }) => {
    const low = rungs.slice(0, RUNGS.indexOf(reach) + 1).filter((id) => {
      const stage = stages.find((s) => s.id === id)
      return stage !== undefined && isLowStakes(stage)
    })
    return low.slice(-1)
  })
}

/** Words that say a level; a map, since a list may hold any word. */
const SAID: ReadonlyMap<string, Level> = new Map(
  Object.entries<Level>({
    ...{ new: 'new', beginner: 'new', beginners: 'new', 'first time': 'new', 'never before': 'new' },
    ...{ some: 'some', 'some experience': 'some', intermediate: 'some', improver: 'some', improvers: 'some' },
    ...{ practised: 'practised', practiced: 'practised', advanced: 'practised', experienced: 'practised' },
  }),
)

/**
 * The level among the words that stand beside a name. Only what stands alone between commas is one: `some neck pain` and
 * `new knee` are remarks.
 * @returns null where none is said, or two that contradict each other
 */
export function levelIn(words: readonly string[]): Level | null {
  const said = new Set(words.flatMap(parts).flatMap((part) => SAID.get(part) ?? []))
  const [level] = said
  return said.size === 1 && level !== undefined ? level : null
}

/** What stands beside a name and is no level: to be asked about. */
export function remarkIn(words: readonly string[]): string {
  const isLevel = levelIn(words) !== null
  return words
    .flatMap((word) => (isLevel && parts(word).every((part) => SAID.has(part)) ? [] : [word]))
    .join(', ')
}

function parts(words: string): string[] {
  return words.split(/[,;:/]/).map((part) => part.trim().toLowerCase())
}
