import 'server-only'
import { formatDay } from '@/core/day'
import type { Library } from '@/core/practice/library'
import { FAMILIES, LOAD_TAGS, type Family } from '@/core/practice/schema'
import { conditionsOf, isHealth } from '@/core/screening/answers'
import type { Caps } from '@/core/screening/caps'
import { insteadOf } from '@/core/screening/instead'
import { closesStage, judgeStage } from '@/core/screening/stage-limits'
import { DAILY_WORD } from '@/core/words/daily'
import { describeLimit, verdictWord } from '@/core/words/limit'
import { describeLoadFrom } from '@/core/words/load'
import { findClass } from '@/db/classes'
import { recoveryCode } from '@/db/health-codec'
import { findStudent, studentsByIds } from '@/db/students'
import type { Context } from '../context'
import { judgeOf, type Judge } from '../desk/judge'
import { capLines, limitLines, STRICT_FIRST } from '../desk/limit-words'
import { screeningState } from '../desk/screening'
import { standings } from '../desk/standing'

export type QuestionView = {
  readonly id: string
  readonly question: string
  readonly followUp: string
  readonly options: readonly { readonly id: string; readonly label: string }[]
}

/** The questions of the short intake, as printed, passed round or asked. */
export function intakeQuestions({ practice }: Pick<Context, 'practice'>): QuestionView[] {
  return practice.intake.filter(isHealth).map(({ id, question, followUp, options }) => ({
    id,
    question,
    followUp,
    options: options.map((o) => ({ id: o.id, label: o.label })),
  }))
}

export type LimitsView = {
  readonly id: string
  readonly name: string
  /** A line on where the screening stands. */
  readonly state: string
  readonly limits: readonly { word: string; text: string }[]
  /** First stage of each family that is closed, and what to do instead. */
  readonly closed: readonly { stage: string; text: string }[]
  /** Stages that limits act on, strictest first. */
  readonly stages: readonly { word: string; names: readonly string[] }[]
  /** Tonight's ceiling in words; empty where nothing lowers it. */
  readonly tonight: readonly string[]
  readonly hidden: boolean
}

/** What somebody may carry: limits, never what they come from; on a private screen not even the limits' words. */
export function limitsView(ctx: Context, id: string): LimitsView | null {
  const { practice, privacy } = ctx
  const student = findStudent(ctx.scope, id)
  if (!student) return null
  const judge = judgeOf(ctx)
  const caps = judge.limits(id)
  const base = { id, name: student.name, state: screeningState(ctx, judge, id).line, hidden: privacy.hidden }
  if (privacy.hidden) return { ...base, limits: [], closed: [], stages: [], tonight: [] }
  return {
    ...base,
    limits: limitLines(caps),
    closed: FAMILIES.flatMap((family) => closedIn(practice, family, caps)),
    stages: stagesByVerdict(practice, caps),
    tonight: tonightLines(judge, id),
  }
}

export type HealthView = {
  /** Sealed with another key: it counts as not answered. */
  readonly shut: boolean
  readonly questions: readonly (QuestionView & { choice: string; ticked: readonly string[]; said: string })[]
  readonly clearances: readonly string[]
  readonly gentle: boolean
}

/** Answers and clearances of one person; null on a screen where the notes are shut. */
export function healthView(ctx: Context, id: string): HealthView | null {
  if (!ctx.privacy.notesOpen) return null
  const { practice } = ctx
  const { today } = ctx.clock
  const judge = judgeOf(ctx)
  const file = judge.health(id)
  const conditions = conditionsOf(practice, file.screening, today)
  const otherwise = (question: string): string => {
    const waits = file.screening.waits?.findLast((w) => w.question === question)
    return waits ? `; answered otherwise on the tablet on ${formatDay(waits.day)}: settle it with them` : ''
  }
  return {
    shut: file.shut,
    gentle: file.screening.gentle,
    questions: intakeQuestions(ctx).map((question) => {
      const last = file.screening.answers.filter((a) => a.question === question.id).at(-1)
      return {
        ...question,
        choice: last && !conditions.expired.includes(question.id) ? last.choice : '',
        ticked: last?.options ?? [],
        said: last ? `${GIVEN[last.given]}, ${formatDay(last.day)}${otherwise(question.id)}` : '',
      }
    }),
    clearances: [
      ...judge
        .limits(id)
        .cleared.map(
          (c) =>
            `Cleared for ${describeLoadFrom({ tag: c.tag, level: c.upTo })} until ${formatDay(c.expires)}`,
        ),
      ...file.clearances
        .filter((c) => c.expires < today)
        .map((c) => `A clearance by ${c.clinician} ended on ${formatDay(c.expires)}: ask for a new one`),
    ],
  }
}

const GIVEN = {
  'by-student': 'filled in by the student',
  'by-teacher': 'known to you',
  'asked-aloud': 'asked aloud',
  'from-card': 'from a printed card',
} as const

function closedIn(practice: Library, family: Family, caps: Caps): { stage: string; text: string }[] {
  const stage = practice.stages.find((s) => s.family === family && closesStage(practice, caps, s))
  if (!stage) return []
  const { verdict, because } = judgeStage(practice, stage, caps)
  const text = describeLimit({ verdict, because, instead: insteadOf(practice, stage, caps) }, practice)
  return [{ stage: stage.name, text }]
}

function stagesByVerdict(practice: Library, caps: Caps): { word: string; names: string[] }[] {
  return STRICT_FIRST.map((verdict) => ({
    word: verdictWord(verdict),
    names: practice.stages
      .filter((s) => judgeStage(practice, s, caps).verdict === verdict)
      .map((s) => s.name),
  })).filter(({ names }) => names.length > 0)
}

function tonightLines(judge: Judge, id: string): string[] {
  if (!judge.checkIn(id)) return []
  const standing = new Set(capLines(judge.limits(id)).map((l) => `${l.verdict} ${l.text}`))
  return capLines(judge.tonight(id))
    .filter((l) => !standing.has(`${l.verdict} ${l.text}`))
    .map((l) => `${verdictWord(l.verdict)}: ${l.text}`)
}

export type PassData = {
  /** Whether a word gives the tablet back to the teacher. */
  withWord: boolean
  readonly classId: string
  readonly people: readonly { id: string; name: string; checkedIn: boolean; asked: boolean }[]
  readonly questions: readonly QuestionView[]
  readonly daily: readonly { id: string; label: string }[]
}

/** What a tablet that is passed round needs: names, who is done, the questions. Nothing that anybody answered. */
export function passData(ctx: Context, classId: string): PassData | null {
  const record = findClass(ctx.scope, classId)
  if (!record) return null
  // What is said on a tablet is said of today.
  const judge = judgeOf(ctx)
  const kept = standings(ctx, record.roster)
  return {
    classId,
    withWord: ctx.studio.passHash !== null,
    people: studentsByIds(ctx.scope, record.roster)
      .filter((s) => s.archivedDay === null)
      .map(({ id, name }) => ({
        id,
        name,
        checkedIn: judge.checkIn(id) !== null,
        asked: kept.get(id)?.screening !== 'not-asked',
      })),
    questions: intakeQuestions(ctx),
    daily: dailyTicks(ctx),
  }
}

/** What may be ticked at the door; scales are asked apart. */
export function dailyTicks({ practice }: Context): PassData['daily'] {
  return practice.intake
    .filter((q) => q.asked === 'class')
    .flatMap((q) => q.options.map((o) => `${q.id}:${o.id}`))
    .flatMap((id) => {
      const label = DAILY_WORD[id]
      return label === undefined ? [] : [{ id, label }]
    })
}

/** Loads that some rule stops, level by level: what a clearance may cover. */
export function clearableLoads({ practice }: Context): { value: string; label: string }[] {
  const stopped = new Set(
    practice.cautions.filter((c) => c.action === 'stop').flatMap((c) => c.tags.map((t) => t.tag)),
  )
  return LOAD_TAGS.filter((tag) => stopped.has(tag)).flatMap((tag) =>
    ([1, 2, 3] as const).map((level) => {
      const words = describeLoadFrom({ tag, level })
      return { value: `${tag} ${level}`, label: `Up to ${words}` }
    }),
  )
}

/** The key of the health notes as it is printed and put away; null where it is missing, or the notes are shut here. */
export function printedCode({ health, privacy }: Context): string | null {
  return health.key && privacy.notesOpen ? recoveryCode(health.key) : null
}
