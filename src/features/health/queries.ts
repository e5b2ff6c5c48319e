import 'server-only'
import { formatDay, type Day } from '@/core/day'
import { library } from '@/core/practice/library'
import { FAMILIES, LOAD_TAGS, type Family } from '@/core/practice/schema'
import { conditionsOf, isHealth } from '@/core/screening/answers'
import { asStrictAs, judgeLoad, type Cap, type Caps, type Verdict } from '@/core/screening/caps'
import { insteadOf } from '@/core/screening/instead'
import { DAILY_WORD } from '@/core/words/daily'
import { describeLimit, describeLoadFrom, verdictWord } from '@/core/words/limit'
import { findClass } from '@/db/classes'
import { findStudent, listStudents } from '@/db/students'
import { context } from '../context'
import { judgeFor, type Judge } from '../judge'

export type QuestionView = {
  readonly id: string
  readonly question: string
  readonly followUp: string
  readonly options: readonly { readonly id: string; readonly label: string }[]
}

/** The questions of the short intake, as printed, passed round or asked. */
export function intakeQuestions(): QuestionView[] {
  return library()
    .intake.filter(isHealth)
    .map(({ id, question, followUp, options }) => ({
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

/** What somebody may carry: limits, never what they come from. `hidden` leaves even the limits' words out. */
export function limitsView(id: string, hidden: boolean): LimitsView | null {
  const ctx = context()
  const student = findStudent(ctx.db, id)
  if (!student) return null
  const judge = judgeFor(ctx)
  const caps = judge.limits(id)
  const base = { id, name: student.name, state: screeningState(judge, id, ctx.today).line, hidden }
  if (hidden) return { ...base, limits: [], closed: [], stages: [], tonight: [] }
  return {
    ...base,
    limits: limitLines(caps),
    closed: FAMILIES.flatMap((family) => closedIn(family, caps)),
    stages: stagesByVerdict(caps),
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

/** Answers and clearances of one person: only for a screen on which the notes are open. */
export function healthView(id: string): HealthView {
  const ctx = context()
  const practice = library()
  const judge = judgeFor(ctx)
  const file = judge.health(id)
  const conditions = conditionsOf(practice, file.screening, ctx.today)
  return {
    shut: file.shut,
    gentle: file.screening.gentle,
    questions: intakeQuestions().map((question) => {
      const last = file.screening.answers.filter((a) => a.question === question.id).at(-1)
      return {
        ...question,
        choice: last && !conditions.expired.includes(question.id) ? last.choice : '',
        ticked: last?.options ?? [],
        said: last ? `${GIVEN[last.given]}, ${formatDay(last.day)}` : '',
      }
    }),
    clearances: [
      ...judge
        .limits(id)
        .cleared.map(
          (c) =>
            `Cleared for ${describeLoadFrom({ tag: c.tag, level: c.upTo as 1 | 2 | 3 })} until ${formatDay(c.expires)}`,
        ),
      ...file.clearances
        .filter((c) => c.expires < ctx.today)
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

export type ScreeningState = {
  readonly code: 'not-asked' | 'ask-again' | 'open' | 'soon' | 'answered'
  readonly line: string
}

/** Where somebody's screening stands: no word of what was answered. */
export function screeningState(judge: Judge, id: string, today: Day): ScreeningState {
  const { screening } = judge.health(id)
  const conditions = conditionsOf(library(), screening, today)
  const answered = screening.answers.length > 0 || screening.nothingApplies !== null || screening.gentle
  if (conditions.expired.length > 0)
    return {
      code: 'ask-again',
      line: 'Some answers are older than six months: ask again. Until then they count as unknown.',
    }
  if (!answered) return { code: 'not-asked', line: 'Not asked yet. Full inversions and falls wait for it.' }
  if (conditions.set.has('UNKNOWN-core'))
    return {
      code: 'open',
      line: 'Some of the questions that matter most are open. Full inversions and falls wait for them.',
    }
  const until = conditions.soon.at(0)?.until
  return until
    ? { code: 'soon', line: `Answered. Ask again by ${formatDay(until)}.` }
    : { code: 'answered', line: 'Answered.' }
}

/** A limit in words with how strict it is; one that a stricter one covers is left out. */
function capLines({ caps }: Pick<Caps, 'caps'>): { verdict: Verdict; text: string }[] {
  const strictness = (cap: Cap): number => STRICT_FIRST.indexOf(verdictOf(cap))
  const lines = caps
    .filter(
      (cap) =>
        !caps.some((o) => o.tag === cap.tag && o.level <= cap.level && strictness(o) < strictness(cap)),
    )
    .map((cap) => {
      const seconds = cap.mostSeconds === null ? '' : ` for ${cap.mostSeconds} s at most`
      return { verdict: verdictOf(cap), text: `${describeLoadFrom(cap)}${seconds}` }
    })
  return [...new Map(lines.map((line) => [`${line.verdict} ${line.text}`, line])).values()]
}

/** What is barred or left out, in words, each once: for cards. */
export function closedWords({ caps }: Pick<Caps, 'caps'>): string[] {
  return [
    ...new Set(
      caps.filter((c) => c.action === 'stop' || c.action === 'avoid').map((c) => describeLoadFrom(c)),
    ),
  ]
}

function verdictOf(cap: Cap): Verdict {
  return judgeLoad({ [cap.tag]: cap.level }, { caps: [cap] }).verdict
}

/** Limits by strictness, one line each. */
function limitLines(caps: Caps): LimitsView['limits'] {
  const lines = capLines(caps)
  return STRICT_FIRST.flatMap((verdict) => {
    const own = lines.filter((l) => l.verdict === verdict).map((l) => l.text)
    return own.length === 0 ? [] : [{ word: verdictWord(verdict), text: own.join(', ') }]
  })
}

const STRICT_FIRST: readonly Verdict[] = ['barred', 'left-out', 'changed', 'watch']

function closedIn(family: Family, caps: Caps): { stage: string; text: string }[] {
  const practice = library()
  const stage = practice.stages.find(
    (s) => s.family === family && asStrictAs(judgeLoad(s.load, caps).verdict, 'left-out'),
  )
  if (!stage) return []
  const { verdict, because } = judgeLoad(stage.load, caps)
  const text = describeLimit({ verdict, because, instead: insteadOf(practice, stage, caps) }, practice)
  return [{ stage: `${stage.name} (${stage.id})`, text }]
}

function stagesByVerdict(caps: Caps): { word: string; names: string[] }[] {
  return STRICT_FIRST.map((verdict) => ({
    word: verdictWord(verdict),
    names: library()
      .stages.filter((s) => judgeLoad(s.load, caps).verdict === verdict)
      .map((s) => `${s.name} (${s.id})`),
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
  readonly classId: string
  readonly people: readonly { id: string; name: string; checkedIn: boolean; asked: boolean }[]
  readonly questions: readonly QuestionView[]
  readonly daily: readonly { id: string; label: string }[]
}

/** What a tablet that is passed round needs: names, who is done, the questions. Nothing that anybody answered. */
export function passData(classId: string): PassData | null {
  const ctx = context()
  const record = findClass(ctx.db, classId)
  if (!record) return null
  const judge = judgeFor(ctx, classId)
  return {
    classId,
    people: listStudents(ctx.db)
      .filter((s) => record.roster.includes(s.id))
      .map(({ id, name }) => ({
        id,
        name,
        checkedIn: judge.checkIn(id) !== null,
        asked: screeningState(judge, id, ctx.today).code !== 'not-asked',
      })),
    questions: intakeQuestions(),
    daily: dailyTicks(),
  }
}

/** What may be ticked at the door; scales are asked apart. */
export function dailyTicks(): PassData['daily'] {
  return library()
    .intake.filter((q) => q.id.startsWith('D'))
    .flatMap((q) => q.options.map((o) => `${q.id}:${o.id}`))
    .flatMap((id) => {
      const label = DAILY_WORD[id]
      return label === undefined ? [] : [{ id, label }]
    })
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
