import type { Library } from '../practice/library'
import type { Family, LoadTag, Stage } from '../practice/schema'
import { isClosing, judgeLoad, type Limits } from './caps'
import { closesStage, judgeStage } from './stage-limits'

/** The same purpose for somebody whom limits keep from a stage. */
export type Instead = {
  readonly stageId: string
  /** Named by the stage itself, or the nearest open stage of the family, or of another. */
  readonly from: 'if-not' | 'family' | 'other-family'
}

/** Families that share a purpose, nearest first: where to look when a whole family is closed. */
const KIN: Readonly<Record<Family, readonly Family[]>> = {
  PU: ['SH', 'HS', 'FS'],
  FS: ['PU', 'SH', 'HS'],
  HD: ['FS', 'SH', 'HS', 'PU'],
  HS: ['FS', 'PU', 'SH'],
  CR: ['PU', 'FS', 'SH', 'HS'],
  SH: ['FS', 'PU', 'HS'],
  AD: ['FS', 'HS', 'SH', 'PU'],
}

/** What somebody may be given in place of something, besides that it is open to them. */
export type InsteadFor = {
  /** Stages they hold: only those may ask for more of a fall or head load than a limb free (ruling 17). */
  readonly held?: ReadonlySet<string>
  readonly also?: (stage: Stage) => boolean
}

/**
 * What this person does instead, so that they take part: first what the stage itself names, then the highest open
 * stage below it in the family, then the foot of a family with the same purpose. It never asks more fall or head load
 * than FR1 and HB0 of somebody who does not hold it, and never loads what the limit protects (ruling 17).
 * Null where nothing at all is open, or where somebody is referred for care.
 */
export function insteadOf(
  practice: Library,
  stage: Stage,
  limits: Limits,
  { held = new Set(), also = () => true }: InsteadFor = {},
): Instead | null {
  const { because } = judgeStage(practice, stage, limits)
  // Who is sent for care, or home, is not given another shape.
  if (because.some(({ refer }) => refer !== undefined)) return null
  const protects = new Set(limits.caps.filter(isClosing).map(({ tag }) => tag))
  const open = (s: Stage): boolean =>
    (isGentle(s) || held.has(s.id)) &&
    !closesStage(practice, limits, s) &&
    !touches(s, protects, limits) &&
    also(s)
  const named = stage.ifNot.flatMap((id) => practice.stages.filter((s) => s.id === id)).find(open)
  if (named) return { stageId: named.id, from: 'if-not' }
  const family = practice.stages.filter((s) => s.family === stage.family && s.like === undefined)
  const at = family.findIndex(({ id }) => id === (stage.like ?? stage.id))
  const below = family.slice(0, at).reverse().find(open)
  if (below) return { stageId: below.id, from: 'family' }
  for (const kin of KIN[stage.family]) {
    const other = practice.stages.find((s) => s.family === kin && s.like === undefined && open(s))
    if (other) return { stageId: other.id, from: 'other-family' }
  }
  return null
}

function isGentle({ load: { FR = 0, HB = 0 } }: Stage): boolean {
  return FR <= 1 && HB === 0
}

/** Whether a stage still loads, at a level that some limit acts on, what a limit that closes anything protects. */
function touches({ load }: Stage, protects: ReadonlySet<LoadTag>, limits: Limits): boolean {
  return judgeLoad(load, limits).because.some((limit) => limit.action !== 'watch' && protects.has(limit.tag))
}
