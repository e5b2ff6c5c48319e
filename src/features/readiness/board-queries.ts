import 'server-only'
import { findById, library } from '@/core/practice/library'
import type { Family } from '@/core/practice/schema'
import type { Decision } from '@/core/readiness/decide'
import { needsLook } from '@/core/readiness/offers'
import { FAMILY_NAMES } from '@/core/words/family'
import type { Wording } from '@/core/words/number'
import { describeAnswer } from '@/core/words/offer'
import { stageName } from '@/core/words/reason'
import { listStudents } from '@/db/students'
import { context } from '../context'
import { judgeFor } from '../judge'
import { BOARD } from './families'
import { markOf, viewDecision } from './decision-view'

export type BoardCell = { family: Family; outcome: Decision['outcome']; next: string }
export type BoardRow = { id: string; name: string; cells: BoardCell[]; summary: string }
export type Offer = {
  studentId: string
  name: string
  family: Family
  stageId: string
  stage: string
  /** What was answered, by whom and when; empty while it waits. */
  answered: string
}
export type BoardData = {
  families: { id: Family; name: string }[]
  rows: BoardRow[]
  /** First solo tries of a kick, a free balance or a head load: each waits for the teacher’s look. */
  offers: Offer[]
}

/** Nearest to the next step first. */
const NEAREST: readonly Decision['outcome'][] = [
  'offer',
  'once-more',
  'near',
  'step-back',
  'not-now',
  'build',
  'held',
]

/** Everybody in all six families, nearest to a next step first. */
export function board(hidden = false): BoardData {
  const ctx = context()
  const judge = judgeFor(ctx)
  const practice = library()
  const people = listStudents(ctx.db).map(({ id, name }) => ({
    id,
    name,
    decisions: BOARD.map((family) => judge.decide(id, { family })),
  }))
  return {
    families: BOARD.map((id) => ({ id, name: FAMILY_NAMES[id] })),
    rows: people
      .map(({ id, name, decisions }) => ({
        id,
        name,
        cells: decisions.map(({ family, outcome, targetId, ...rest }) => ({
          family,
          outcome: markOf({ outcome, ...rest }),
          next: targetId === null ? 'Top of the ladder' : stageName(practice, targetId),
        })),
        summary: summaryOfNearest(decisions, ctx.studio, hidden),
      }))
      .sort((a, b) => nearness(a.cells) - nearness(b.cells)),
    offers: people.flatMap(({ id, name, decisions }) =>
      decisions.flatMap(({ outcome, targetId, family }) => {
        if (outcome !== 'offer' || targetId === null) return []
        if (!needsLook(findById(practice.stages, targetId))) return []
        const tap = judge.looked(id, targetId)
        return [
          {
            studentId: id,
            name,
            family,
            stageId: targetId,
            stage: stageName(practice, targetId),
            answered: tap ? describeAnswer(tap, ctx.studio.timeZone) : '',
          },
        ]
      }),
    ),
  }
}

function nearness(cells: readonly BoardCell[]): number {
  // The best mark first, then how many of them.
  const ranks = cells.map((c) => NEAREST.indexOf(c.outcome)).sort((a, b) => a - b)
  return ranks.reduce((sum, rank, i) => sum + rank / 10 ** i, 0)
}

function summaryOfNearest(decisions: readonly Decision[], wording: Wording, hidden: boolean): string {
  // What somebody works at comes before a ladder nobody has begun.
  const rank = (d: Decision): number => (d.standing ? 0 : NEAREST.length) + NEAREST.indexOf(markOf(d))
  const nearest = decisions.toSorted((a, b) => rank(a) - rank(b))[0]
  return nearest ? `${FAMILY_NAMES[nearest.family]}: ${viewDecision(nearest, wording, hidden).summary}` : ''
}
