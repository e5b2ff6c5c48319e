import { daysBetween, type Day } from '../day'
import { findById } from '../practice/find'
import { type Library } from '../practice/library'
import { LOAD_TAGS, type Load, type LoadTag } from '../practice/schema'
import type { Evidence } from './evidence'

/** Joints that a load tag works hard from level 2 on (cautions.md 0.1). */
const WORKS: Partial<Readonly<Record<LoadTag, readonly string[]>>> = {
  WB: ['wrist', 'elbow', 'shoulder'],
  FB: ['shoulder'],
  SE: ['shoulder'],
  HB: ['neck'],
  NF: ['neck'],
  AC: ['trunk'],
}
/** Work of today or yesterday still sits in a joint, days. */
const STILL_SITS_DAYS = 1

/**
 * Joints that carried hard work lately: what is drilled now had better spare them.
 * @param evidence already folded
 */
export function jointsLoaded(practice: Library, evidence: Evidence, asOf: Day): ReadonlySet<string> {
  const recent = evidence.attempts.filter((a) => daysBetween(a.day, asOf) <= STILL_SITS_DAYS)
  return new Set(recent.flatMap((a) => jointsOf(findById(practice.stages, a.stageId).load)))
}

/** Joints that a load works hard, each once. */
export function jointsOf(load: Load): string[] {
  return [...new Set(LOAD_TAGS.flatMap((tag) => ((load[tag] ?? 0) >= 2 ? (WORKS[tag] ?? []) : [])))]
}
