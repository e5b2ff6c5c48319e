import { formatDay } from '../day'
import { findById } from '../practice/find'
import { type Library } from '../practice/library'
import type { Gate, ReadinessCheck } from '../practice/schema'
import type { Reason } from '../readiness/decide'
import type { Observation } from '../readiness/evidence'
import { whyNotCounted, type GateResult, type NotCounted } from '../readiness/gate'
import type { Standing } from '../readiness/standing'
import type { Left, Unsaid } from '../readiness/unsaid'
import { describeLimit } from './limit'
import { CM_PER_INCH } from '../units'
import { count, list, METRIC, plain, type Wording } from './number'

/** One reason of a decision as a sentence, with the numbers and days it came from. */
export function describeReason(reason: Reason, practice: Library, wording: Wording = METRIC): string {
  switch (reason.code) {
    case 'standing':
      return describeStanding(reason.standing, practice)
    case 'no-standing':
      return 'No stage seen clean yet, so the ladder starts at its foot. Placing by eye is quicker if you know this person.'
    case 'gate':
      return describeGate(reason.result, practice, wording)
    case 'no-gates':
      return 'Nothing to prove first: this one may be shown to anybody.'
    case 'tonight':
      return `On the night, before it: ${reason.checks.map((id) => findById(practice.checks, id).name.toLowerCase()).join(' and ')}.`
    case 'screening-not-recorded':
      return `The health questions are not answered yet, and this one ${screeningWaits(reason.tags)}. Until they are, the answer is not yet.`
    case 'limited':
      return describeLimit(reason, practice)
    case 'placed-not-given':
      return `Placed by eye at ${stageName(practice, reason.stageId).toLowerCase()}, which falls high or carries the head: no plan gives it to them before it was done, or you choose it for them in the plan with your reason.`
    case 'first':
      return `First ${stageName(practice, reason.stageId).toLowerCase()}, which was left out below: the next step rests on it.`
    case 'placed-not-proven':
      return `The standing at ${stageName(practice, reason.stageId)} is by eye only; a high fall wants it shown on clean days first.`
    case 'own-fault-severe':
      return `${faultName(practice, reason.faultId)} on ${formatDay(reason.day)}: one rung easier until two calm days without it.`
    case 'own-fault-twice':
      return `${faultName(practice, reason.faultId)} on two class days, ${formatDay(reason.days[0])} and ${formatDay(reason.days[1])}.`
    case 'exit-not-controlled':
      return `Came out without control on ${formatDay(reason.day)}. Rehearse the way down first.`
    case 'pain-after-work':
      return `Pain of ${plain(reason.value)} in ten${where(reason.region)} after the last work, told on ${formatDay(reason.day)}: one rung easier, and a clinician’s word if it stays.`
    case 'layoff':
      return `${count(reason.daysAway, 'day')} since anything was shown here (${formatDay(reason.lastDay)}): ${reason.rungs === 0 ? 'begin again at this rung' : `${count(reason.rungs, 'rung')} back`}${reason.rungs === 2 ? ' and fresh checks' : ''}.`
    case 'top-of-ladder':
      return 'The top of this ladder. Hold it well, or deepen it.'
  }
}

function where(region: string | null): string {
  return region === null ? '' : ` (${region})`
}

function screeningWaits(tags: readonly string[]): string {
  const has = (tag: string): boolean => tags.some((t) => t.startsWith(tag))
  if (has('HBH')) return 'goes fully upside down'
  if (has('FR')) return 'leaves the feet'
  return has('HB') ? 'puts weight on the head' : 'loads the bent neck'
}

function describeStanding({ by, stageId, day, before }: Standing, practice: Library): string {
  const name = stageName(practice, stageId)
  const on = formatDay(day)
  if (before)
    return `Stands at ${name}: ${stageName(practice, before.stageId)} was ${by === 'placement' ? 'placed by eye' : 'clean'} on ${on}, and ${count(before.daysAway, 'day')} away since took it back.`
  return by === 'placement' ? `Placed by eye at ${name} on ${on}.` : `Stands at ${name}, clean on ${on}.`
}

/** A gate with what was asked and what was seen. */
export function describeGate(result: GateResult, practice: Library, wording: Wording = METRIC): string {
  const check = findById(practice.checks, result.gate.check)
  const asked = describeAsked(result.gate, check, wording)
  const seen =
    result.value === null
      ? ''
      : `${shown(check, result.value, wording)}${result.valueDay ? ` on ${formatDay(result.valueDay)}` : ''}`
  switch (result.state) {
    case 'unknown':
      return check.shownOn
        ? `${asked}: ${FROM_TRIES[check.id] ?? 'no tries logged yet'}.${unsaid(result)}`
        : `${asked}: not checked yet.`
    case 'met':
      return `${asked}: met, ${seen}${renewed(result)}.`
    case 'confirm': {
      const short = result.points ? result.points.need - result.points.have : 0
      const days =
        result.cleanDays >= result.neededDays && result.staleDays === null && short > 0
          ? `once is often luck: ${short === 1 ? 'one more day at the mark' : `${short} more days at the mark, or fewer well above it`}`
          : result.cleanDays < result.neededDays
            ? `clean on ${count(result.cleanDays, 'day')}, ${result.neededDays} of the last ${result.ofDays} are asked for`
            : `last clean ${count(result.staleDays ?? 0, 'day')} ago, good for ${check.freshDays}`
      return `${asked}: ${seen}; ${days}.${unsaid(result)}`
    }
    case 'near':
      return `${asked}: close, ${seen}.${unsaid(result)}`
    case 'unmet':
      return `${asked}: not yet, ${seen}${notCounted(result)}.${unsaid(result)}`
  }
}

/** By check. */
const FROM_TRIES: Readonly<Record<string, string>> = {
  'CK-kick-height': 'log kicks with each lead',
  'CK-both-leads': 'log kicks with each lead on one day',
  'CK-wall-hold': 'log tries at the wall with their seconds',
  'CK-offwall': 'log tries with the seconds off the wall',
  'CK-consistency': 'log tries on a few more days',
}

/** What has to be logged before a check that is read from tries says anything. */
export function whatToLog(checkId: string): string {
  const said = FROM_TRIES[checkId] ?? 'no tries logged yet'
  return `${said.charAt(0).toUpperCase()}${said.slice(1)}.`
}

/** What a try may leave unsaid, as it is asked for. */
const LEFT_OPEN: Readonly<Record<Left, string>> = {
  leg: 'which leg led',
  height: 'how far it got',
  time: 'how long it was held',
  alone: 'whether it was alone',
}

/** What tries left unsaid that a gate asks for: such tries count for nothing there. */
export function describeUnsaid({ tries, of, what }: Unsaid): string {
  const where = of === 1 ? 'In the one try there is' : `In ${tries} of ${count(of, 'try', 'tries')}`
  return `${where} it was not said ${list(what.map((left) => LEFT_OPEN[left]))}.`
}

function unsaid(result: GateResult): string {
  return result.unsaid ? ` ${describeUnsaid(result.unsaid)}` : ''
}

function renewed({ renewedDay }: GateResult): string {
  return renewedDay === null ? '' : `, shown anew by harder work on ${formatDay(renewedDay)}`
}

/** Why an entry proves nothing. */
const NOT_COUNTED: Readonly<Record<NotCounted, string>> = {
  invalid: 'the shape was not kept',
  'void-fault': 'a fault was marked that voids it',
  aided: 'with an aid',
  helped: 'with hands helping',
  'help-unsaid': 'it was not said whether they did it alone',
  unwatched: 'nobody watched',
  unnamed: 'it was not said which way out; record it again with its name',
}

/** What an entry is worth, as it stands in a history. */
export function describeCounted(o: Observation, check: ReadinessCheck): string {
  const why = whyNotCounted(check, o)
  if (why === 'invalid' || why === 'void-fault') return `did not count: ${NOT_COUNTED[why]}`
  if (why) return `informs, proves nothing: ${NOT_COUNTED[why]}`
  if (o.aided) return o.aid === '' ? NOT_COUNTED.aided : `with ${o.aid.toLowerCase()}`
  return o.arms === 'spent' ? 'counts where it passes: arms were spent' : 'counts'
}

function notCounted(result: GateResult): string {
  return result.notCounted === null ? '' : ` (${NOT_COUNTED[result.notCounted]})`
}

const SIDES: Readonly<Record<Gate['side'], string>> = {
  single: '',
  each: ' each side',
  either: ' on one side',
  gap: ' between the sides',
}

/** What a gate asks: `Dolphin hold at least 30 s`; a yes-or-no check asks for its own name. */
export function describeAsked(gate: Gate, check: ReadinessCheck, wording: Wording = METRIC): string {
  if (gate.op === 'yes') return check.name
  if (gate.op === 'recorded') return `${check.name}, known`
  if (gate.last !== undefined) return `Clean on ${gate.value ?? 0} of the last ${gate.last} days`
  const sign = gate.op === '>=' ? 'at least' : 'at most'
  return `${check.name} ${sign} ${shown(check, gate.value ?? 0, wording)}${SIDES[gate.side]}${gate.tries ? ` in ${gate.tries.least} of ${gate.tries.of} tries` : ''}`
}

/** A value with its unit: lengths in the chosen one. */
export function shown(check: ReadinessCheck, value: number, wording: Wording = METRIC): string {
  // Finer than a drawing's lengths: a threshold of 2 cm tells 2 from 2.2.
  if (check.unit === 'cm' && wording.units === 'in') return `${plain(value / CM_PER_INCH)} in`
  if (check.kind === 'yes-no') return value === 1 ? 'yes' : 'no'
  if (check.kind === 'level') return `level ${plain(value)}`
  return check.unit === 'deg' ? `${plain(value)}°` : `${plain(value)} ${unitWord(check.unit, value)}`
}

/** One fist, two fists; repetitions are times, as they are said. */
const ONE: Readonly<Record<string, readonly [one: string, many: string]>> = {
  breaths: ['breath', 'breaths'],
  days: ['day', 'days'],
  feet: ['foot', 'feet'],
  fists: ['fist', 'fists'],
  hands: ['hand', 'hands'],
  holds: ['hold', 'holds'],
  reps: ['time', 'times'],
}

function unitWord(unit: string, value: number): string {
  const words = ONE[unit]
  return words ? words[value === 1 ? 0 : 1] : unit
}

/** What a check is counted in, as it stands beside a field. */
export function unitOf({ unit }: Pick<ReadinessCheck, 'unit'>, { units }: Wording = METRIC): string {
  return unit === 'cm' ? units : unit
}

/** A stage's name. */
export function stageName(practice: Library, id: string): string {
  return findById(practice.stages, id).name
}

/** A fault's name on a chip. */
export function faultName(practice: Library, id: string): string {
  return findById(practice.faults, id).name
}

/** Why an entry proves nothing, on its own. */
export function whyNothing(why: NotCounted): string {
  return `proves nothing: ${NOT_COUNTED[why]}`
}
