'use server'

import { z } from 'zod'
import { SERIES_WEEKS } from '@/core/progress/series'
import { FAMILIES } from '@/core/practice/schema'
import { listGroups } from '@/db/groups'
import { findSeries, removeSeries, saveSeries } from '@/db/series'
import { action } from '../action'
import { done, problem } from '../answer'
import { idField } from '../fields'
import { proposedFocus } from './queries'

const GONE = 'That series is not here any more.'
const { min, max } = SERIES_WEEKS

/** Begins a series: what each week is about is proposed from what holds the group back today. */
export const beginSeries = action(
  z.object({
    id: idField,
    name: z.string().trim().min(1, 'Give it a name.').max(80, 'At most 80 characters.'),
    groupId: idField,
    family: z.enum(FAMILIES),
    firstDay: z.iso.date('The first day, from the calendar.'),
    weeks: z
      .number({ error: 'How many weeks?' })
      .int('Whole weeks.')
      .min(min, `At least ${min} weeks.`)
      .max(max, `At most ${max} weeks.`),
  }),
  (ctx, { id, name, groupId, family, firstDay, weeks }) => {
    const group = listGroups(ctx.scope).find((g) => g.id === groupId)
    if (!group) return problem('Pick a group. Groups are made under Students.', 'groupId')
    if (group.members.length === 0) return problem('Nobody is in that group yet.', 'groupId')
    const focus = proposedFocus(ctx, group.members, family, weeks)
    saveSeries(ctx.scope, { id, name, groupId, family, firstDay, focus })
    return done({ id })
  },
)

/** Makes a week about another check, or about the step itself. */
export const setFocus = action(
  z.object({ id: idField, week: z.number().int().min(0).max(max), check: z.string().max(60).nullable() }),
  ({ scope, practice }, { id, week, check }) => {
    const found = findSeries(scope, id)
    if (!found || week >= found.focus.length) return problem(GONE)
    if (check !== null && !practice.checks.some((c) => c.id === check))
      return problem('That check is not in the practice.')
    saveSeries(scope, { ...found, focus: found.focus.map((f, i) => (i === week ? check : f)) })
    return done(true)
  },
)

/** Takes a series away; classes and results stay. */
export const dropSeries = action(z.object({ id: idField }), ({ scope }, { id }) => {
  removeSeries(scope, id)
  return done(true)
})
