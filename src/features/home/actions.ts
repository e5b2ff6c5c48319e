'use server'

import { z } from 'zod'
import { AT_HOME, TICKS, type HomeSheet } from '@/core/home/home'
import { addDays } from '@/core/day'
import { writeCalendar } from '@/core/formats/calendar'
import { writeHomeFile } from '@/core/formats/home-file'
import { homeSheet } from '@/core/formats/home-sheet'
import { sheetSvg } from '@/core/formats/sheet-svg'
import { describeHomeDose, homeLead } from '@/core/words/home'
import { LINK_SAID } from '@/core/words/private-link'
import { findById } from '@/core/practice/find'
import { addHomeLink, addHomePlan, addHomeTick, homePlansOf, revokeHomeLinks, studentOfLink } from '@/db/home'
import { findStudent } from '@/db/students'
import { action } from '../action'
import { done, problem, type Answer } from '../answer'
import type { Context } from '../context'
import { idField } from '../fields'
import { homeView } from './queries'
import { openLink } from '../private-link'
import { freshSheet, nextSheet, openItems } from './sheet'
import { hashOf, newToken } from '../token'

const GONE = 'That person is not here any more.'
const NOTHING_LEFT = 'Nothing of this sheet is open any more: talk with them first.'
/** A private link ends by itself after four weeks. */
const LINK_DAYS = 28

const formFields = {
  id: idField,
  studentId: idField,
  minutes: z.number().int().min(8, 'At least 8 minutes.').max(25, 'At most 25 minutes.'),
  times: z
    .number()
    .int()
    .min(1, 'At least once a week.')
    .max(3, 'At most three times: arms want two days between.'),
  has: z.array(z.enum(AT_HOME)).max(AT_HOME.length),
}

/** A week's sheet made anew, or the week after the last one. */
export const makeHome = action(
  z.object({ ...formFields, how: z.enum(['fresh', 'next']) }),
  (ctx, { id, studentId, how, ...form }): Answer<null> => {
    const student = findStudent(ctx.scope, studentId)
    if (!student) return problem(GONE)
    const [last] = homePlansOf(ctx.scope, studentId)
    if (how === 'next' && !last) return problem('There is no week yet that another could follow.')
    const made: Answer<HomeSheet> =
      how === 'next' && last ? nextSheet(ctx, student, last, form) : freshSheet(ctx, student, form)
    if (!made.ok) return made
    const { today, nowMs } = ctx.clock
    addHomePlan(ctx.scope, { id, studentId, day: today, madeMs: nowMs, sheet: made.value })
    return done(null)
  },
)

const tickFields = {
  id: idField,
  drillId: z.string().max(60),
  day: z.iso.date(),
  tick: z.enum(TICKS).nullable(),
}
type Ticked = z.output<z.ZodObject<typeof tickFields>>

/** What came back on paper, typed by the teacher. */
export const tickFromPaper = action(
  z.object({ ...tickFields, studentId: idField }),
  (ctx, { studentId, ...ticked }) => keepTick(ctx, studentId, ticked, 'paper'),
)

/** What somebody says of their own week, by the link they have: it informs and proves nothing. */
export const tickByLink = action(
  z.object({ ...tickFields, token: z.string().min(20).max(80) }),
  (ctx, { token, ...ticked }) => {
    const link = openLink(token, (tokenHash) => {
      const studentId = studentOfLink(ctx.scope, tokenHash, ctx.clock.today)
      return studentId === null ? null : { studentId }
    })
    if ('closed' in link) return problem(`${LINK_SAID[link.closed].title}. ${LINK_SAID[link.closed].text}`)
    return keepTick(ctx, link.studentId, ticked, 'link')
  },
  { by: 'anyone' },
)

function keepTick(ctx: Context, studentId: string, ticked: Ticked, via: 'paper' | 'link'): Answer<true> {
  const { scope, clock } = ctx
  const [last] = homePlansOf(scope, studentId)
  const onSheet = last?.sheet.items.some((i) => i.drillId === ticked.drillId)
  if (!last || !onSheet || !last.sheet.days.includes(ticked.day))
    return problem('That is not on this week’s sheet.')
  if (ticked.day > clock.today) return problem('That day is still to come.')
  addHomeTick(scope, { ...ticked, planId: last.id, via, atMs: clock.nowMs })
  return done(true)
}

/** A private link to somebody's sheet; an earlier one ends. The token is told this once and never again. */
export const makeHomeLink = action(
  z.object({ studentId: idField }),
  (ctx, { studentId }) => {
    const { scope, clock } = ctx
    if (!findStudent(scope, studentId)) return problem(GONE)
    if (homePlansOf(scope, studentId).length === 0)
      return problem('Make a sheet first: the link leads to it.')
    const token = newToken()
    const expires = addDays(clock.today, LINK_DAYS)
    addHomeLink(scope, { tokenHash: hashOf(token), studentId, made: clock.today, expires })
    return done({ path: `/h/${token}` })
  },
  { trail: ({ studentId }) => ({ what: 'link-made', studentId }) },
)

/** Ends every private link to somebody's sheet. */
export const endHomeLink = action(z.object({ studentId: idField }), (ctx, { studentId }) =>
  done({ ended: revokeHomeLinks(ctx.scope, studentId) }),
)

/** The week at home as a calendar keeps it: one event a session, what to do in its note, no word of why. */
export const homeAsCalendar = action(
  z.object({ studentId: idField }),
  (ctx, { studentId }) => {
    const { scope, practice, studio, clock } = ctx
    const student = findStudent(scope, studentId)
    const [last] = homePlansOf(scope, studentId)
    if (!student || !last) return problem('There is no sheet yet.')
    const { sheet, id } = last
    const open = openItems(ctx, student, sheet)
    if (open.length === 0) return problem(NOTHING_LEFT)
    const note = open
      .map((i) => `${findById(practice.drills, i.drillId).name}: ${describeHomeDose(i, student.breathS)}`)
      .join('\n')
    const events = sheet.days.map((day) => ({
      ...{
        id: `${id} ${day}`,
        title: 'Practice at home',
        day,
        startTime: '18:00',
        minutes: sheet.minutes,
        note,
      },
    }))
    return done({
      name: `${last.day} at home.ics`,
      text: writeCalendar('Practice at home', events, studio.timeZone, clock.nowMs),
    })
  },
  { refresh: false },
)

/** The week at home as a drawing, or as data: what is open of it today; nothing of why the rest is not. */
export const homeAsFile = action(
  z.object({ studentId: idField, as: z.enum(['svg', 'json']) }),
  (ctx, { studentId, as }) => {
    const view = homeView(ctx, studentId)
    if (!view?.sheet) return problem('There is no sheet yet.')
    const { madeDay: made, minutes, instead, days, items } = view.sheet
    const open = items.filter((item) => !item.closed)
    if (open.length === 0) return problem(NOTHING_LEFT)
    if (as === 'svg') {
      const lead = homeLead(
        minutes,
        days.map((d) => d.label),
      )
      return done({ text: sheetSvg(homeSheet(`${view.name}, at home`, { lead, items, instead })) })
    }
    const listed = open.map((item) => ({ ...item, drill: item.id }))
    return done({
      text: writeHomeFile({ made, minutes, instead, days: days.map(({ day }) => day), items: listed }),
    })
  },
  { refresh: false },
)
