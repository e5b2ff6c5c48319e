import 'server-only'
import { findById } from '@/core/practice/find'
import type { Family } from '@/core/practice/schema'
import type { Decision } from '@/core/readiness/decide'
import { answerTo, needsLook } from '@/core/readiness/offers'
import { FAMILY_NAMES } from '@/core/words/family'
import { describeAnswer } from '@/core/words/offer'
import { stageName } from '@/core/words/reason'
import { listNames } from '@/db/students'
import { offerTapsOf } from '@/db/offers'
import type { Context } from '../context'
import { markOf, viewDecision } from '../desk/decision-view'
import { BOARD } from '../desk/families'
import { decisionIn, standings } from '../desk/standing'

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
  page: number
  pages: number
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

/** Rows before the rest is a page of its own. */
const ROWS_A_PAGE = 25

/** Everybody in all six families, nearest to a next step first. `page` counts from 1. */
export function board(ctx: Context, page = 1): BoardData {
  const { practice, scope } = ctx
  const names = listNames(scope)
  const kept = standings(
    ctx,
    names.map((p) => p.id),
  )
  const people = names.flatMap(({ id, name }) => {
    const now = kept.get(id)
    return now ? [{ id, name, decisions: BOARD.map((family) => decisionIn(now, family)) }] : []
  })
  const ranked = people
    .map((person) => ({ ...person, rank: nearness(person.decisions.map(markOf)) }))
    .sort((a, b) => a.rank - b.rank)
  // Offers go with their people: who has one stands nearest, so the first page has them first.
  const shown = ranked.slice((page - 1) * ROWS_A_PAGE, page * ROWS_A_PAGE)
  return {
    families: BOARD.map((id) => ({ id, name: FAMILY_NAMES[id] })),
    page,
    pages: Math.max(1, Math.ceil(ranked.length / ROWS_A_PAGE)),
    rows: shown.map(({ id, name, decisions }) => ({
      id,
      name,
      cells: decisions.map((decision) => ({
        family: decision.family,
        outcome: markOf(decision),
        next:
          decision.targetId === null
            ? 'Top of the ladder'
            : findById(practice.stages, decision.targetId).name,
      })),
      summary: summaryOfNearest(ctx, decisions),
    })),
    offers: offersIn(ctx, shown),
  }
}

function offersIn(
  { practice, scope, studio, clock }: Context,
  people: readonly { id: string; name: string; decisions: readonly Decision[] }[],
): Offer[] {
  const waiting = people.flatMap(({ id, name, decisions }) =>
    decisions.flatMap(({ outcome, targetId, family }) =>
      outcome === 'offer' && targetId !== null && needsLook(findById(practice.stages, targetId))
        ? [{ studentId: id, name, family, stageId: targetId }]
        : [],
    ),
  )
  const taps = offerTapsOf(scope, [...new Set(waiting.map((offer) => offer.studentId))])
  return waiting.map((offer) => {
    const tap = answerTo(taps, offer.studentId, offer.stageId, clock.nowMs)
    return {
      ...offer,
      stage: stageName(practice, offer.stageId),
      answered: tap ? describeAnswer(tap, studio.timeZone) : '',
    }
  })
}

function nearness(marks: readonly Decision['outcome'][]): number {
  // The best mark first, then how many of them.
  const ranks = marks.map((mark) => NEAREST.indexOf(mark)).sort((a, b) => a - b)
  return ranks.reduce((sum, rank, i) => sum + rank / 10 ** i, 0)
}

function summaryOfNearest(ctx: Context, decisions: readonly Decision[]): string {
  // What somebody works at comes before a ladder nobody has begun.
  const rank = (d: Decision): number => (d.standing ? 0 : NEAREST.length) + NEAREST.indexOf(markOf(d))
  const nearest = decisions.toSorted((a, b) => rank(a) - rank(b))[0]
  return nearest ? `${FAMILY_NAMES[nearest.family]}: ${viewDecision(ctx, nearest).summary}` : ''
}
