import 'server-only'
import type { Attended } from '@/core/attendance/odds'
import { formatDay } from '@/core/day'
import { rosterOf } from '@/db/attendance'
import { findClass } from '@/db/classes'
import { listNames } from '@/db/students'
import type { Context } from '../context'
import { judgeOfClass } from '../desk/class-judge'
import { expectedLine } from '../desk/headcount'
import { closedTonight } from '../desk/limit-words'
import { screeningState } from '../desk/screening'

export type DoorLine = {
  readonly id: string
  readonly name: string
  readonly dropIn: boolean
  readonly attended: Attended | null
  readonly checkedIn: boolean
  /** Limits in a few words; empty where there are none or they are hidden. */
  readonly limits: string
  readonly touch: string
  /** What to ask before class. */
  readonly ask: string
}
export type DoorData = {
  readonly classId: string
  readonly title: string
  readonly dayLabel: string
  readonly expected: string
  readonly lines: readonly DoorLine[]
  readonly others: readonly { id: string; name: string }[]
}

const TOUCH = { no: 'no hands', ask: 'ask before hands', yes: 'hands are welcome' } as const

/** Who is at the door: marks, tonight's words, what to ask. */
export function doorData(ctx: Context, classId: string): DoorData | null {
  const { scope } = ctx
  const record = findClass(scope, classId)
  if (!record) return null
  const judge = judgeOfClass(ctx, record)
  const people = listNames(scope)
  const roster = rosterOf(scope, classId)
  return {
    classId,
    title: record.title,
    dayLabel: formatDay(record.day),
    expected: expectedLine(ctx, record),
    lines: roster
      .flatMap((line): DoorLine[] => {
        const person = people.find((p) => p.id === line.studentId)
        if (!person) return []
        const state = screeningState(ctx, judge, person.id)
        return [
          {
            id: person.id,
            name: person.name,
            dropIn: line.dropIn,
            attended: line.attended,
            checkedIn: judge.checkIn(person.id) !== null,
            limits: ctx.privacy.hidden ? HIDDEN_HERE : inFew(closedTonight(ctx, judge, person.id)),
            touch: TOUCH[judge.touch(person.id)],
            ask: ASK[state.code],
          },
        ]
      })
      .toSorted((a, b) => a.name.localeCompare(b.name)),
    others: people
      .filter((p) => !roster.some((r) => r.studentId === p.id))
      .map(({ id, name }) => ({ id, name })),
  }
}

/** On a screen that others see limits are hidden, and that is said: nothing is denied. */
const HIDDEN_HERE = 'limits are hidden on this screen'

const ASK = {
  shut: 'answers cannot be read',
  'not-asked': 'not screened yet',
  'ask-again': 'ask the health questions again',
  open: 'some questions are open',
  soon: '',
  answered: '',
} as const

/** At most three loads. */
function inFew(words: readonly string[]): string {
  if (words.length === 0) return ''
  return `leave out ${words.slice(0, 3).join(', ')}${words.length > 3 ? ` and ${words.length - 3} more` : ''}`
}
