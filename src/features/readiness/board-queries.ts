import 'server-only'
import { findById } from '@/core/practice/find'
import type { Family } from '@/core/practice/schema'
import type { Decision } from '@/core/readiness/decide'
import { markOf, nearness, type Mark } from '@/core/readiness/mark'
import { answerTo, needsLook } from '@/core/readiness/offers'
import { FAMILY_NAMES } from '@/core/words/family'
import { describeAnswer } from '@/core/words/offer'
import { stageName } from '@/core/words/reason'
import { offerTapsOf } from '@/db/offers'
import type { Context } from '../context'
import { viewDecision } from '../desk/decision-view'
import { BOARD } from '../desk/families'
import { decisionIn, standings } from '../desk/standing'
import { chosenPeople, type Who } from './chosen-people'
import { cellOf, type BoardCell } from './ladder-cell'

export type BoardRow = {
  id: string
  name: string
  cells: BoardCell[]
  /** What stands between here and the next step, a line for each ladder that is worked on, nearest first. */
  missing: { family: string; text: string }[]
}
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
  /** Whom the page may be asked for, and whom it shows. */
  whos: Who[]
  who: string
}

/** Rows before the rest is a page of its own. */
const ROWS_A_PAGE = 25

/**
 * Some people in all six families, nearest to a next step first.
 * @param page counts from 1 @param who `next`, a group’s id or `all`; the class to come unless it is said
 */
export function board(ctx: Context, page = 1, who?: string): BoardData {
  const chosen = chosenPeople(ctx, who)
  const kept = standings(
    ctx,
    chosen.people.map((p) => p.id),
  )
  const people = chosen.people.flatMap(({ id, name }) => {
    const now = kept.get(id)
    return now ? [{ id, name, decisions: BOARD.map((family) => decisionIn(now, family)) }] : []
  })
  const ranked = people
    .map((person) => ({ ...person, rank: nearnessOf(person.decisions.map(markOf)) }))
    .sort((a, b) => a.rank - b.rank)
  // Offers go with their people: who has one stands nearest, so the first page has them first.
  const shown = ranked.slice((page - 1) * ROWS_A_PAGE, page * ROWS_A_PAGE)
  return {
    families: BOARD.map((id) => ({ id, name: FAMILY_NAMES[id] })),
    page,
    pages: Math.max(1, Math.ceil(ranked.length / ROWS_A_PAGE)),
    whos: chosen.whos,
    who: chosen.who,
    rows: shown.map(({ id, name, decisions }) => ({
      id,
      name,
      cells: decisions.map((decision) => cellOf(ctx, decision)),
      missing: missingOf(ctx, decisions),
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

function nearnessOf(marks: readonly Mark[]): number {
  // The best mark first, then how many of them.
  const ranks = marks.map(nearness).sort((a, b) => a - b)
  return ranks.reduce((sum, rank, i) => sum + rank / 10 ** i, 0)
}

/** Ladders that nobody has begun say nothing here. */
const SILENT: ReadonlySet<Mark> = new Set(['not-seen', 'may-begin', 'held'])

function missingOf(ctx: Context, decisions: readonly Decision[]): BoardRow['missing'] {
  return decisions
    .filter((d) => !SILENT.has(markOf(d)))
    .toSorted((a, b) => nearness(markOf(a)) - nearness(markOf(b)))
    .map((d) => ({ family: FAMILY_NAMES[d.family], text: viewDecision(ctx, d).summary }))
    .filter(({ text }) => text !== '')
}
