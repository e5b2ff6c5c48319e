import 'server-only'
import { formatDay, type Day } from '@/core/day'
import { library } from '@/core/practice/library'
import { FAMILIES, LOAD_TAGS } from '@/core/practice/schema'
import { conditionsOf, isHealth } from '@/core/screening/answers'
import { asStrictAs, capsOf, judgeLoad, NOT_ASKED, type Caps } from '@/core/screening/caps'
import { insteadOf } from '@/core/screening/instead'
import { describeLimit, describeLoadFrom, verdictWord } from '@/core/words/limit'
import { readAllHealth, readHealth } from '@/db/health'
import { findStudent } from '@/db/students'
import { context, keyOfHealth, type Context } from '../context'

/** What one person may carry today; nothing asked counts as not answered. */
export function limitsOf(studentId: string): Caps {
  const { db, today } = context()
  const { screening, clearances } = readHealth(db, keyOfHealth(), studentId)
  return capsOf(library(), screening, clearances, today)
}

/** The same for everybody, read once: who has nothing on record counts as not asked. */
export function limitsByStudent({ db, today }: Pick<Context, 'db' | 'today'>): (studentId: string) => Caps {
  const all = readAllHealth(db, keyOfHealth())
  return (studentId) => {
    const file = all.get(studentId)
    return file ? capsOf(library(), file.screening, file.clearances, today) : NOT_ASKED
  }
}

export type HealthView = {
  readonly id: string
  readonly name: string
  /** A line on where the screening stands. */
  readonly state: string
  readonly shut: boolean
  readonly questions: readonly {
    id: string
    question: string
    followUp: string
    options: readonly { id: string; label: string }[]
    choice: string
    ticked: readonly string[]
  }[]
  readonly limits: readonly { key: string; text: string; word: string; clearable: boolean }[]
  /** First stage of each family that is closed, and what to do instead. */
  readonly closed: readonly { stage: string; text: string }[]
  readonly clearances: readonly string[]
}

/** The health page of one person: for the teacher of record, never on a shared screen. */
export function healthView(id: string): HealthView | null {
  const { db, today } = context()
  const student = findStudent(db, id)
  if (!student) return null
  const practice = library()
  const file = readHealth(db, keyOfHealth(), id)
  const conditions = conditionsOf(practice, file.screening, today)
  const caps = capsOf(practice, file.screening, file.clearances, today)
  const answered = file.screening.answers.length > 0 || file.screening.nothingApplies !== null
  return {
    id,
    name: student.name,
    shut: file.shut,
    state: stateLine(caps.answered, answered, conditions.expired.length, conditions.soon.at(0)?.until),
    questions: practice.intake.filter(isHealth).map((q) => {
      const last = file.screening.answers.filter((a) => a.question === q.id).at(-1)
      return {
        id: q.id,
        question: q.question,
        followUp: q.followUp,
        options: q.options.map(({ id: option, label }) => ({ id: option, label })),
        choice: last && !conditions.expired.includes(q.id) ? last.choice : '',
        ticked: last?.options ?? [],
      }
    }),
    limits: [
      ...new Map(
        caps.caps.map((cap) => {
          const { verdict } = judgeLoad({ [cap.tag]: cap.level }, { caps: [cap] })
          const seconds = cap.mostSeconds === null ? '' : `, ${cap.mostSeconds} s at most`
          const text = `${describeLoadFrom(cap)}${seconds}`
          return [
            `${verdict} ${text}`,
            { key: `${verdict} ${text}`, text, word: verdictWord(verdict), clearable: cap.needsClearance },
          ] as const
        }),
      ).values(),
    ],
    closed: FAMILIES.flatMap((family) => {
      const stage = practice.stages.find(
        (s) => s.family === family && asStrictAs(judgeLoad(s.load, caps).verdict, 'left-out'),
      )
      if (!stage) return []
      const { verdict, because } = judgeLoad(stage.load, caps)
      const text = describeLimit({ verdict, because, instead: insteadOf(practice, stage, caps) }, practice)
      return [{ stage: `${stage.name} (${stage.id})`, text }]
    }),
    clearances: caps.cleared.map(
      (c) =>
        `Cleared for ${describeLoadFrom({ tag: c.tag, level: c.upTo as 1 | 2 | 3 })} until ${formatDay(c.expires)}`,
    ),
  }
}

function stateLine(complete: boolean, answered: boolean, expired: number, until: Day | undefined): string {
  if (expired > 0)
    return 'Some answers are older than six months: ask again. Until then they count as unknown.'
  if (!answered) return 'Not asked yet. Full inversions and falls wait for it.'
  if (!complete)
    return 'Some of the questions that matter most are open. Full inversions and falls wait for them.'
  return until ? `Answered. Ask again by ${formatDay(until)}.` : 'Answered.'
}

/** Loads that some rule stops, level by level: what a clearance may cover. */
export function clearableLoads(): { value: string; label: string }[] {
  const stopped = new Set(
    library()
      .cautions.filter((c) => c.action === 'stop')
      .flatMap((c) => c.tags.map((t) => t.tag)),
  )
  return LOAD_TAGS.filter((tag) => stopped.has(tag)).flatMap((tag) =>
    ([1, 2, 3] as const).map((level) => {
      const words = describeLoadFrom({ tag, level })
      return { value: `${tag} ${level}`, label: `Up to ${words}` }
    }),
  )
}
