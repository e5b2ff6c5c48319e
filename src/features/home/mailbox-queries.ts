import 'server-only'
import { formatDay } from '@/core/day'
import { messagesOf } from '@/core/home/mail'
import { findById } from '@/core/practice/find'
import { describeMessage } from '@/core/words/mail'
import { homeLinks, homePlansOf } from '@/db/home'
import { studentsByIds } from '@/db/students'
import type { Context } from '../context'
import { openItems } from './sheet'

/** A message as it would have arrived. */
export type MessageView = {
  readonly id: string
  readonly to: string
  readonly when: string
  readonly subject: string
  readonly body: readonly string[]
  readonly toCome: boolean
}

/** What a mail service would have been given, and what it will be; no address, no health, and never the link itself. */
export function mailboxView(ctx: Context): MessageView[] {
  const { scope, practice, studio, clock } = ctx
  const links = homeLinks(scope)
  const students = new Map(
    studentsByIds(scope, [...new Set(links.map((l) => l.studentId))]).map((s) => [s.id, s]),
  )
  const weeks = new Map(
    [...students.values()].flatMap((student) => {
      const [last] = homePlansOf(scope, student.id)
      const open = last ? openItems(ctx, student, last.sheet) : []
      return last && open.length > 0 ? [[student.id, { sheet: last.sheet, open }] as const] : []
    }),
  )
  const sessions = (id: string): readonly string[] => weeks.get(id)?.sheet.days ?? []
  return messagesOf(
    links.filter((l) => students.has(l.studentId)),
    sessions,
    clock.today,
  ).map((message, i) => {
    const { studentId, day, state } = message
    const to = students.get(studentId)?.name ?? ''
    const week = weeks.get(studentId)
    return {
      ...{ id: `${i} ${day} ${studentId}`, to, when: formatDay(day), toCome: state === 'to-come' },
      ...describeMessage(message, {
        to,
        from: studio.teacher === '' ? studio.name : studio.teacher,
        week: week
          ? {
              minutes: week.sheet.minutes,
              open: week.open.map((o) => findById(practice.drills, o.drillId).name),
            }
          : null,
      }),
    }
  })
}
