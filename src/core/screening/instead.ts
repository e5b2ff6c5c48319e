import type { Library } from '../practice/library'
import type { Family, Stage } from '../practice/schema'
import { closes, type Limits } from './caps'

/** The same purpose for somebody whom limits keep from a stage. */
export type Instead = {
  readonly stageId: string
  /** Named by the stage itself, or the nearest open stage of the family, or of another. */
  readonly from: 'if-not' | 'family' | 'other-family'
}

/** Families that share a purpose, nearest first: where to look when a whole family is closed. */
const KIN: Readonly<Record<Family, readonly Family[]>> = {
  PU: ['SH'],
  FS: ['HS', 'PU', 'SH'],
  HD: ['FS', 'SH', 'HS', 'PU'],
  HS: ['FS', 'PU', 'SH'],
  CR: ['PU', 'FS', 'SH'],
  SH: ['FS', 'PU'],
  AD: ['FS', 'HS', 'SH', 'PU'],
}

/**
 * What this person does instead, so that they take part: first what the stage itself names, then the highest open
 * stage below it in the family, then the foot of a family with the same purpose. Null only where nothing at all is open.
 * @param also what a stage must be besides open
 */
export function insteadOf(
  practice: Library,
  stage: Stage,
  caps: Limits,
  also: (stage: Stage) => boolean = () => true,
): Instead | null {
  const open = (s: Stage): boolean => !closes(caps, s.load) && also(s)
  const named = stage.ifNot.flatMap((id) => practice.stages.filter((s) => s.id === id)).find(open)
  if (named) return { stageId: named.id, from: 'if-not' }
  const family = practice.stages.filter((s) => s.family === stage.family)
  const below = family.slice(0, family.indexOf(stage)).reverse().find(open)
  if (below) return { stageId: below.id, from: 'family' }
  for (const kin of KIN[stage.family]) {
    const other = practice.stages.find((s) => s.family === kin && open(s))
    if (other) return { stageId: other.id, from: 'other-family' }
  }
  return null
}
