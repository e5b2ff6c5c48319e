import type { Stage } from '../practice/schema'

/** How high the fall is: codes decide, the higher of word and code (ruling 1). */
export function fallLevel(stage: Pick<Stage, 'load'>): 'low' | 'medium' | 'high' {
  const level = stage.load.FR ?? 0
  return level >= 3 ? 'high' : level === 2 ? 'medium' : 'low'
}
