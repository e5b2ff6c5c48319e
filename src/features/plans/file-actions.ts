'use server'

import { z } from 'zod'
import { sheetSvg } from '@/core/formats/sheet-svg'
import { writeCalendar } from '@/core/formats/calendar'
import { readPlanFile, writePlanFile } from '@/core/classes/plan-file'
import { takenIn } from '@/core/planning/taken-in'
import { describeAim, describeFileRefusal } from '@/core/words/plan'
import { findClass, locksOf } from '@/db/classes'
import { planOf } from '@/db/plans'
import { action } from '../action'
import { done, problem } from '../answer'
import { briefFor } from '../desk/class-file'
import { idField } from '../fields'
import { planView } from './plan-queries'
import { planSheet } from './sheet-drawing'
import { hasBegun, keepPlan } from './replan'

/** No plan of sixty people comes near it. */
const MOST_CHARACTERS = 2_000_000

/** The plan that counts as a file's text: nothing in it of anybody's limits. */
export const planAsFile = action(
  z.object({ id: idField }),
  (ctx, { id }) => {
    const record = findClass(ctx.scope, id)
    const stored = planOf(ctx.scope, ctx.health.key, id)
    if (!record || !stored) return problem('There is no plan yet.')
    const { title, day, startTime } = record
    return done({ name: `${day} ${title}.json`, text: writePlanFile({ title, day, startTime }, stored.plan) })
  },
  { refresh: false },
)

/** The class's sheet as a drawing, with what this screen shows of it. */
export const sheetAsDrawing = action(
  z.object({ id: idField }),
  (ctx, { id }) => {
    const plan = planView(ctx, id)
    return plan?.planned ? done({ text: sheetSvg(planSheet(plan)) }) : problem('There is no plan yet.')
  },
  { refresh: false },
)

/** A class as a calendar keeps it: when and what it is for, nobody's name. */
export const classAsCalendar = action(
  z.object({ id: idField }),
  ({ scope, studio, clock }, { id }) => {
    const record = findClass(scope, id)
    if (!record) return problem('That class is not here any more.')
    const note = describeAim(record.aim)
    return done({
      name: `${record.day} ${record.title}.ics`,
      text: writeCalendar(studio.name, [{ ...record, note }], studio.timeZone, clock.nowMs),
    })
  },
  { refresh: false },
)

/** Takes a plan's file in as the plan of a class; what of it is closed to somebody now is replaced as it is read. */
export const bringPlanIn = action(
  z.object({
    id: idField,
    planId: idField,
    text: z.string().max(MOST_CHARACTERS, 'That file is too long to be a plan.'),
  }),
  (ctx, { id, planId, text }) => {
    const record = findClass(ctx.scope, id)
    if (!record) return problem('That class is not here any more.')
    if (hasBegun(ctx, id)) return problem('This class has begun; its plan stays as it was taught.')
    const { practice } = ctx
    const { stages, drills, setups, warmups, counterposes } = practice
    const known = new Set([...stages, ...drills, ...setups, ...warmups, ...counterposes].map((x) => x.id))
    const read = readPlanFile(text, known, record.roster)
    if (!read.ok) return problem(describeFileRefusal(read.refusal))
    const brief = briefFor(ctx, record, locksOf(ctx.scope, id))
    keepPlan(ctx, id, planId, { plan: takenIn(practice, read.plan, brief), brief })
    return done(true)
  },
)
