import 'server-only'
import { findById } from '@/core/practice/find'
import { RUNGS, type Family } from '@/core/practice/schema'
import type { Decision } from '@/core/readiness/decide'
import { markOf, type Mark } from '@/core/readiness/mark'
import type { Context } from '../context'

export type BoardCell = {
  family: Family
  mark: Mark
  /** The rung held, counted from 0; null below the foot. */
  held: number | null
  /** The rung of what comes next; null at the top. */
  at: number | null
  /** In three words, and in full. */
  next: string
  nextInFull: string
}

/** One ladder of somebody as a cell shows it. */
export function cellOf({ practice }: Context, decision: Decision): BoardCell {
  const rungOf = (id: string): number => RUNGS.indexOf(findById(practice.stages, id).rung)
  const target = decision.targetId === null ? null : findById(practice.stages, decision.targetId)
  const first = !decision.first
    ? ''
    : `; first ${findById(practice.stages, decision.first).name.toLowerCase()}`
  return {
    family: decision.family,
    mark: markOf(decision),
    held: decision.standing ? rungOf(decision.standing.stageId) : null,
    at: target ? rungOf(target.id) : null,
    next: target ? (target.short ?? target.name) : 'Top of the ladder',
    nextInFull: target ? `${target.name}${first}` : 'Top of the ladder',
  }
}
