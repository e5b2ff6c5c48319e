import 'server-only'
import type { Picture } from '@/core/figure/picture'
import { pictureFor } from '@/core/figure/picture-of'
import { findById } from '@/core/practice/find'
import type { Family } from '@/core/practice/schema'
import { FAMILY_NAMES } from '@/core/words/family'
import { formatStature } from '@/core/units'
import { studentsByIds } from '@/db/students'
import { anyBody } from '../body'
import type { Context } from '../context'
import { BOARD } from '../desk/families'
import { board, type BoardData } from './board-queries'

export type EyeRung = { stageId: string; name: string; picture: Picture | null }
export type EyePerson = {
  id: string
  name: string
  /** As it is typed; empty where nobody knows it. */
  stature: string
  /** The rung they stand on, counted from 0; null below the foot. */
  held: number | null
  at: number | null
}
export type ByEyeData = Pick<BoardData, 'whos' | 'who'> & {
  family: Family
  families: { id: Family; name: string }[]
  rungs: EyeRung[]
  people: EyePerson[]
}

/** A list of people against the six rungs of one family, for a teacher who knows them by eye. */
export function byEye(ctx: Context, family: Family, who: string | undefined): ByEyeData {
  const { practice, scope, studio } = ctx
  const data = board(ctx, 1, who)
  const heights = new Map(
    studentsByIds(
      scope,
      data.rows.map(({ id }) => id),
    ).map(({ id, statureCm }) => [id, statureCm]),
  )
  const steps = practice.byEye.find((entry) => entry.family === family)?.stages ?? []
  return {
    whos: data.whos,
    who: data.who,
    family,
    families: BOARD.map((id) => ({ id, name: FAMILY_NAMES[id] })),
    rungs: steps.map((id) => {
      const stage = findById(practice.stages, id)
      return { stageId: id, name: stage.short ?? stage.name, picture: pictureFor(practice, id, anyBody()) }
    }),
    people: data.rows
      .map(({ id, name, cells }) => {
        const cell = cells.find((c) => c.family === family)
        const cm = heights.get(id) ?? null
        return {
          id,
          name,
          stature: cm === null ? '' : formatStature(cm, studio.units),
          held: cell?.held ?? null,
          at: cell?.at ?? null,
        }
      })
      .toSorted((a, b) => a.name.localeCompare(b.name)),
  }
}
