import { addDays, daysBetween, type Day } from '../day'
import type { Library } from '../practice/library'
import type { IntakeQuestion } from '../practice/schema'

/** `not-said` and `unsure` are unknown, never no. */
export type Choice = 'no' | 'yes' | 'unsure' | 'not-said'

/** One answer to one intake question. */
export type Answer = {
  readonly question: string
  readonly choice: Choice
  /** What was ticked after a yes; a yes without a tick counts as every option of the question. */
  readonly options: readonly string[]
  readonly day: Day
  readonly given: 'by-student' | 'by-teacher' | 'asked-aloud' | 'from-card'
}

/** What somebody has said of their health: answers, or one of the two short ways through. */
export type Screening = {
  readonly answers: readonly Answer[]
  /** “None of it applies”, with its day. */
  readonly nothingApplies: Day | null
  /** The gentler version, no reason asked. */
  readonly gentle: boolean
  /** Questions that were answered otherwise on a tablet in other hands, with the day: a yes stands until the teacher settles it. */
  readonly waits?: readonly { readonly question: string; readonly day: Day }[]
  /** The last day on which the teacher had the questions answered; null where only a tablet in other hands ever was. */
  readonly asked?: Day | null
}

export const NO_SCREENING: Screening = { answers: [], nothingApplies: null, gentle: false }

/**
 * What a tablet that is passed round may change: whoever holds it can answer for anybody, so it adds and never lifts. A yes
 * that stands keeps every option it had, and a no in its place waits for the teacher.
 */
export function fromTablet(
  before: Pick<Screening, 'answers'>,
  given: readonly Answer[],
): { readonly answers: Answer[]; readonly waits: readonly { question: string; day: Day }[] } {
  const answers: Answer[] = []
  const waits: { question: string; day: Day }[] = []
  for (const answer of given) {
    const stands = before.answers.findLast((a) => a.question === answer.question)
    if (stands?.choice !== 'yes') answers.push(answer)
    else if (answer.choice === 'yes')
      answers.push({ ...answer, options: both(stands.options, answer.options) })
    else waits.push({ question: answer.question, day: answer.day })
  }
  return { answers, waits }
}

/**
 * The last day on which the teacher had the questions answered, once more was said. A tablet in other hands says null: it
 * lifts nothing that waits for being asked. What was kept before that was told apart counts by its own days.
 */
export function lastAsked(
  before: Day | null,
  { answers, nothingApplies, asked }: Pick<Screening, 'answers' | 'nothingApplies' | 'asked'>,
): Day | null {
  const days = asked === undefined ? [nothingApplies, ...answers.map(({ day }) => day)] : [asked]
  return [before, ...days].reduce<Day | null>((last, day) => ((day ?? '') > (last ?? '') ? day : last), null)
}

/** All that either says; nothing ticked means every option of the question. */
function both(a: readonly string[], b: readonly string[]): readonly string[] {
  return a.length === 0 || b.length === 0 ? [] : [...new Set([...a, ...b])]
}

/** Answers are asked again after this long, days (cautions.md 1.1: 6 months; ruling 2 for the statement). */
export const ANSWER_DAYS = 182
/** A reminder comes this many days before an answer runs out. */
const REMIND_DAYS = 21

export type Conditions = {
  /** Conditions that stand as of the day. */
  readonly set: ReadonlySet<string>
  /** From which day each has been said without a break. */
  readonly since: ReadonlyMap<string, Day>
  /** Questions without a valid answer. */
  readonly unknown: readonly string[]
  /** Answers that have run out, and those about to. */
  readonly expired: readonly string[]
  readonly soon: readonly { readonly question: string; readonly until: Day }[]
}

/**
 * Conditions that stand on a day. The latest answer to a question counts; an expired one is unknown, whatever it said;
 * “none of it applies” answers what nobody answered, until it lapses, and never overrules a yes.
 */
export function conditionsOf(practice: Library, screening: Screening, asOf: Day): Conditions {
  const set = new Set<string>()
  const since = new Map<string, Day>()
  const stands = (question: IntakeQuestion, answer: Answer): void => {
    for (const condition of setBy(question, answer)) {
      set.add(condition)
      const day = saidSince(screening.answers, question, condition, asOf) ?? answer.day
      // Two questions may set one condition: the later one is the news.
      since.set(condition, [day, since.get(condition) ?? day].sort().at(-1) ?? day)
    }
  }
  const unknown: string[] = []
  const expired: string[] = []
  const soon: { question: string; until: Day }[] = []
  const statement = screening.nothingApplies
  const covered = statement !== null && statement <= asOf && addDays(statement, ANSWER_DAYS) >= asOf
  for (const question of practice.intake.filter(isHealth)) {
    const answer = latest(screening.answers, question.id, asOf)
    const { lapsed, again, soonUntil } = freshness(practice, question, answer, asOf)
    if (again) expired.push(question.id)
    if (soonUntil) soon.push({ question: question.id, until: soonUntil })
    // What was once a yes stays in force until somebody answers again: running out never opens anything.
    if (answer?.choice === 'yes') stands(question, answer)
    const known = answer ? answer.choice === 'yes' || answer.choice === 'no' : covered
    if (lapsed || !known) unknown.push(question.id)
  }
  if (screening.gentle) set.add('GENTLE')
  const core = unknown.filter((id) => practice.intake.some((q) => q.id === id && q.core))
  if (core.length > 0) set.add('UNKNOWN-core')
  if (unknown.length > core.length) set.add('UNKNOWN-other')
  return { set, since, unknown, expired, soon }
}

type Freshness = {
  /** Older than any answer may be: it counts as unknown. */
  readonly lapsed: boolean
  /** To be asked again; a yes whose rule asks sooner than six months goes on acting meanwhile. */
  readonly again: boolean
  readonly soonUntil: Day | null
}

function freshness(
  practice: Library,
  question: IntakeQuestion,
  answer: Answer | undefined,
  asOf: Day,
): Freshness {
  if (!answer) return { lapsed: false, again: false, soonUntil: null }
  const until = goodUntil(practice, question, answer)
  const again = until < asOf
  const soon = !again && addDays(until, -remindBefore(answer.day, until)) <= asOf
  return { lapsed: addDays(answer.day, ANSWER_DAYS) < asOf, again, soonUntil: soon ? until : null }
}

/** The last day on which an answer is good: six months, or as long as the rules that a yes fires give it. */
function goodUntil(practice: Library, question: IntakeQuestion, answer: Answer): Day {
  const set = new Set(answer.choice === 'yes' ? setBy(question, answer) : [])
  const spans = practice.cautions.flatMap((rule) =>
    rule.recheck === 'days' && rule.recheckDays !== undefined && rule.conditions.some((c) => set.has(c))
      ? [rule.recheckDays]
      : [],
  )
  return addDays(answer.day, Math.min(ANSWER_DAYS, ...spans))
}

/** A reminder comes three weeks ahead, or in the last quarter of a shorter span. */
function remindBefore(from: Day, until: Day): number {
  return Math.min(REMIND_DAYS, Math.floor(daysBetween(from, until) / 4))
}

/** Questions of the first visit that are kept; daily ones and what is only talked about are apart. */
export function isHealth({ asked }: IntakeQuestion): boolean {
  return asked === 'first'
}

function latest(answers: readonly Answer[], question: string, asOf: Day): Answer | undefined {
  return answers
    .filter((a) => a.question === question && a.day <= asOf)
    .reduce<Answer | undefined>((best, a) => (best === undefined || a.day >= best.day ? a : best), undefined)
}

/** The first day from which every answer to a question has set a condition; null where the last one does not. */
function saidSince(
  answers: readonly Answer[],
  question: IntakeQuestion,
  condition: string,
  asOf: Day,
): Day | null {
  const own = answers
    .filter((a) => a.question === question.id && a.day <= asOf)
    .toSorted((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0))
  const says = (a: Answer): boolean => a.choice === 'yes' && setBy(question, a).includes(condition)
  return own.slice(own.findLastIndex((a) => !says(a)) + 1).at(0)?.day ?? null
}

function setBy(question: IntakeQuestion, { options }: Answer): string[] {
  const ticked = question.options.filter((o) => options.includes(o.id))
  // A bare yes is read on the safe side: everything the question asks after.
  return (ticked.length > 0 ? ticked : question.options).flatMap((o) => o.sets)
}
