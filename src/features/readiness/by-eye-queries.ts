import 'server-only'
import type { Picture } from '@/core/figure/picture'
import { pictureFor } from '@/core/figure/picture-of'
import { findById } from '@/core/practice/find'
import type { Family } from '@/core/practice/schema'
import { closesStage } from '@/core/screening/stage-limits'
import { formatStature } from '@/core/units'
import { FAMILY_NAMES } from '@/core/words/family'
import { studentsByIds } from '@/db/students'
import { anyBody } from '../body'
import type { Context } from '../context'
import { BOARD } from '../desk/families'
import { judgeOf } from '../desk/judge'
import { decisionIn, standings } from '../desk/standing'
import type { BoardData } from './board-queries'
import { chosenPeople } from './chosen-people'
import { cellOf } from './ladder-cell'

export type EyeRung = { stageId: string; name: string; picture: Picture | null }
export type EyePerson = {
  id: string
  name: string
  /** As it is typed; empty where nobody knows it. */
  stature: string
  /** The rung they stand on, counted from 0; null below the foot. */
  held: number | null
  at: number | null
  /** Steps that limits close: nobody is placed on them from a list. */
  closed: string[]
}
export type ByEyeData = Pick<BoardData, 'whos' | 'who' | 'page' | 'pages'> & {
  family: Family
  families: { id: Family; name: string }[]
  rungs: EyeRung[]
  people: EyePerson[]
}

/** Lines before the rest is a page of its own. */
const LINES_A_PAGE = 40

/**
 * A list of people by name against the six rungs of one family, for a teacher who knows them by eye.
 * @param page counts from 1
 */
export function byEye(ctx: Context, family: Family, who: string | undefined, page = 1): ByEyeData {
  const { practice, scope, studio } = ctx
  const chosen = chosenPeople(ctx, who)
  const shown = chosen.people.slice((page - 1) * LINES_A_PAGE, page * LINES_A_PAGE)
  const ids = shown.map(({ id }) => id)
  const kept = standings(ctx, ids)
  const judge = judgeOf(ctx)
  const heights = new Map(studentsByIds(scope, ids).map(({ id, statureCm }) => [id, statureCm]))
  const steps = (practice.byEye.find((entry) => entry.family === family)?.stages ?? []).map((id) =>
    findById(practice.stages, id),
  )
  return {
    whos: chosen.whos,
    who: chosen.who,
    page,
    pages: Math.max(1, Math.ceil(chosen.people.length / LINES_A_PAGE)),
    family,
    families: BOARD.map((id) => ({ id, name: FAMILY_NAMES[id] })),
    rungs: steps.map(({ id, name, short = name }) => ({
      stageId: id,
      name: short,
      picture: pictureFor(practice, id, anyBody()),
    })),
    people: shown.map(({ id, name }) => {
      const now = kept.get(id)
      const cell = now ? cellOf(ctx, decisionIn(now, family)) : null
      const cm = heights.get(id) ?? null
      const limits = judge.limits(id)
      return {
        id,
        name,
        stature: cm === null ? '' : formatStature(cm, studio.units),
        held: cell?.held ?? null,
        at: cell?.at ?? null,
        closed: steps.filter((stage) => closesStage(practice, limits, stage)).map((stage) => stage.id),
      }
    }),
  }
}
