import 'server-only'
import { formatDay } from '@/core/day'
import type { Spans } from '@/core/body/spans'
import { findById } from '@/core/practice/find'
import type { Library } from '@/core/practice/library'
import type { Family, ReadinessCheck } from '@/core/practice/schema'
import { isTyped } from '@/core/practice/ask'
import { checkNext, roundMinutes, suggestedRound, type CheckWorth } from '@/core/readiness/check-next'
import type { Decision } from '@/core/readiness/decide'
import type { Observation } from '@/core/readiness/evidence'
import { wayOutToShow } from '@/core/readiness/way-out'
import { foldFacts } from '@/core/facts/order'
import { observationsOn } from '@/db/evidence'
import { firstName } from '@/core/words/first-names'
import type { Wording } from '@/core/words/number'
import { cardFaults } from '@/core/readiness/read-values'
import { faultName, shown, unitOf } from '@/core/words/reason'
import { listAssistants } from '@/db/assistants'
import { findClass, nextClass, type ClassRecord } from '@/db/classes'
import { findStudent, studentsByIds, type StudentRecord } from '@/db/students'
import { spansOfStudent } from '../body'
import type { Context } from '../context'
import { remembered } from '../desk/remember'
import { decisionsFor, judgeOfClass } from '../desk/class-judge'
import { BOARD } from '../desk/families'
import { closedTonight } from '../desk/limit-words'

/** Minutes that a round of checks may take before class begins. */
const ROUND_MINUTES = 8
/** Fault chips beside a lane. */
const CHIPS = 4

/** The class that a round would be for: tonight’s, or the next. */
export function nextRound({ scope, clock }: Context): { classId: string; title: string } | null {
  const record = nextClass(scope, clock.today)
  return record ? { classId: record.id, title: record.title } : null
}

export type RoundCheck = Pick<
  ReadinessCheck,
  'id' | 'name' | 'asks' | 'run' | 'valid' | 'kind' | 'unit' | 'side' | 'names'
> & {
  levels: string[]
  minutes: number
  /** Whose answer it could change, first those it would settle. */
  settles: string
  /** The likeliest faults: those that void the check, then those of what the class works towards. */
  faults: { id: string; name: string }[]
}
export type RoundPerson = {
  id: string
  name: string
  first: string
  /** What one of their fists, hands and feet measures, cm. */
  spans: Spans
  /** What they leave out tonight, in words; empty on a private screen. */
  limits: string[]
  /** Whether hands may help tonight. */
  touch: 'no' | 'ask' | 'yes'
  /** The way out that they show, where a check is about one; null where no next step asks for any. */
  wayOut: { id: string; name: string } | null
  /** What was recorded today already, by check. */
  today: Record<string, string>
}
export type RoundData = {
  classId: string
  title: string
  people: RoundPerson[]
  suggested: string[]
  checks: RoundCheck[]
  bundles: { id: string; name: string; checks: string[] }[]
  /** Who may be recording: the teacher and those who help. */
  observers: string[]
}

/** A round for one class: what would settle most in eight minutes, who does it, what was recorded today. */
export function roundData(ctx: Context, classId: string): RoundData | null {
  return remembered(ctx, `round ${classId}`, () => makeRound(ctx, classId))
}

function makeRound(ctx: Context, classId: string): RoundData | null {
  const { scope, practice } = ctx
  const record = findClass(scope, classId)
  if (!record) return null
  const judge = judgeOfClass(ctx, record)
  const decisionOf = decisionsFor(ctx, record, judge)
  const people = studentsByIds(scope, record.roster).filter((s) => s.archivedDay === null)
  // What the class is about, and every other family in which somebody has begun: what nobody works at needs no check today.
  const { families } = record.aim
  const decisions = people.flatMap((p) => workedAt(families, (family) => decisionOf(p.id, family)))
  const worth = checkNext(practice, decisions)
  const asked = [
    ...new Set([...worth.map((w) => w.checkId), ...practice.bundles.flatMap((b) => b.checks)]),
  ].filter((id) => isTyped(findById(practice.checks, id)))
  const likely = decisions.flatMap((d) =>
    d.targetId === null ? [] : findById(practice.stages, d.targetId).faults,
  )
  return {
    classId,
    title: record.title,
    suggested: suggestedRound(worth, practice, ROUND_MINUTES),
    bundles: practice.bundles
      .map((b) => ({ id: b.id, name: b.name, checks: b.checks.filter((c) => asked.includes(c)) }))
      .filter((b) => b.checks.length > 0),
    people: people.map(({ id }) => laneOf(ctx, record, id)),
    checks: asked.map((id) => checkOf(practice, findById(practice.checks, id), worth, likely, people)),
    observers: [
      ...new Set([ctx.studio.teacher, ...listAssistants(scope).map((a) => a.name)].filter((n) => n !== '')),
    ],
  }
}

/** Decisions in what a class is about, in its order, and after it in what somebody has begun besides. */
function workedAt(families: readonly Family[], decisionIn: (family: Family) => Decision): Decision[] {
  const others = BOARD.filter((family) => !families.includes(family)).map(decisionIn)
  return [...families.map(decisionIn), ...others.filter(({ standing }) => standing !== null)]
}

/** Worked out from nobody else and kept, so that a result of one of twelve reads one of them anew. */
function laneOf(ctx: Context, { id: classId, day, aim: { families } }: ClassRecord, id: string): RoundPerson {
  return remembered(ctx, `lane of ${id} in ${classId} on ${day} for ${families.join(' ')}`, () =>
    makeLane(ctx, { id: classId, day, families }, id),
  )
}

type OfClass = Pick<ClassRecord, 'id' | 'day'> & { readonly families: readonly Family[] }

function makeLane(ctx: Context, { families, ...class_ }: OfClass, id: string): RoundPerson {
  const { scope, practice, clock, studio } = ctx
  const judge = judgeOfClass(ctx, class_)
  const decisionOf = decisionsFor(ctx, { ...class_, roster: [id] }, judge)
  const next = workedAt(families, (family) => decisionOf(id, family))
  const wayOut = wayOutToShow(practice, next, judge.tonight(id))
  const student = findStudent(scope, id)
  const name = student?.name ?? ''
  return {
    id,
    name,
    first: firstName(name),
    spans: spansOfStudent(student),
    limits: closedTonight(ctx, judge, id),
    touch: judge.touch(id),
    wayOut: wayOut && { id: wayOut.id, name: wayOut.name },
    today: Object.fromEntries(
      foldFacts(observationsOn(scope, id, clock.today), clock.today)
        .filter((o) => !o.withdrawn)
        .map((o) => [o.checkId, valueOf(practice.checks, o, studio)]),
    ),
  }
}

function valueOf(
  checks: readonly ReadinessCheck[],
  { checkId, values }: Observation,
  wording: Wording,
): string {
  const check = findById(checks, checkId)
  const { single, left, right } = values
  return single === undefined
    ? `left ${shown(check, left ?? 0, wording)}, right ${shown(check, right ?? 0, wording)}`
    : shown(check, single, wording)
}

function checkOf(
  practice: Library,
  check: ReadinessCheck,
  worth: readonly CheckWorth[],
  likely: readonly string[],
  people: readonly StudentRecord[],
): RoundCheck {
  const { id, name, asks, run, valid, kind, unit, side, names } = check
  const found = worth.find((w) => w.checkId === id)
  const first = (studentId: string): string => firstName(people.find((p) => p.id === studentId)?.name ?? '')
  return {
    ...{ id, name, asks, run, valid, kind, unit, side, names },
    levels: [...(check.levels ?? [])],
    minutes: Math.ceil(roundMinutes(check.seconds)),
    settles: found
      ? `could change ${found.changes}; look first at ${found.first.map(first).join(', ')}`
      : 'settles nothing here today',
    faults: [...new Set([...check.voids, ...likely])]
      .slice(0, CHIPS)
      .map((f) => ({ id: f, name: faultName(practice, f) })),
  }
}

export type CardCheck = Pick<RoundCheck, 'id' | 'name' | 'run' | 'kind' | 'unit' | 'side' | 'names'> & {
  /** Faults in the order of their letters. */
  faults: { letter: string; name: string }[]
  /** How a cell is written, such as `34` or `6/5`. */
  example: string
}
export type CardData = {
  classId: string
  title: string
  dayLabel: string
  people: (Pick<RoundPerson, 'id' | 'name' | 'wayOut'> & { pair: number })[]
  checks: CardCheck[]
  /** Every check that may be put on the card. */
  choices: { value: string; label: string }[]
}

/** Checks on one card at most: more do not fit beside a name. */
const CARD_CHECKS = 4

/**
 * The check card of a class: the checks asked for, or what would settle most.
 * @param listed check ids with commas between, as an address holds them
 */
export function cardOf(ctx: Context, classId: string, listed: string | undefined): CardData | null {
  const { practice } = ctx
  const asked = (listed ?? '').split(',')
  const data = roundData(ctx, classId)
  const record = findClass(ctx.scope, classId)
  if (!data || !record) return null
  // What would settle most comes first, but any check that shows something may be put on paper.
  const choices = [
    ...new Set([...data.checks.map((c) => c.id), ...practice.checks.map((c) => c.id)]),
  ].flatMap((id) => {
    const check = findById(practice.checks, id)
    return isTyped(check) ? [{ value: id, label: check.name }] : []
  })
  const known = asked.filter((id) => choices.some((c) => c.value === id))
  const [first] = data.bundles
  const usual = data.suggested.length > 0 ? data.suggested : (first?.checks ?? [])
  const checks = (known.length > 0 ? known : usual).slice(0, CARD_CHECKS)
  return {
    classId,
    title: data.title,
    dayLabel: formatDay(record.day),
    people: data.people.map(({ id, name, wayOut }, i) => ({ id, name, wayOut, pair: Math.floor(i / 2) + 1 })),
    checks: checks.map((id) => cardCheck(ctx, findById(practice.checks, id))),
    choices,
  }
}

function cardCheck({ practice, studio: wording }: Context, check: ReadinessCheck): CardCheck {
  const { id, name, run, kind, side, names } = check
  const one = kind === 'yes-no' ? 'y' : kind === 'hold' ? '34' : '2'
  return {
    ...{ id, name, run, kind, side, names, unit: unitOf(check, wording) },
    example: side === 'each' ? `${one}/${kind === 'yes-no' ? 'n' : '3'}` : one,
    faults: cardFaults(check).map((fault, i) => ({
      letter: String.fromCharCode('a'.charCodeAt(0) + i),
      name: faultName(practice, fault),
    })),
  }
}
