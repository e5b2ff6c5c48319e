import { formatDay } from '../day'
import { findById } from '../practice/find'
import { type Library } from '../practice/library'
import type { ReadinessCheck } from '../practice/schema'
import type { Cause } from '../readiness/capabilities'
import type { CauseEvidence, FaultHelp } from '../readiness/fault-help'
import type { Forecast } from '../readiness/forecast'
import type { FadeProposal } from '../readiness/fade'
import type { PooledTrial, SetupTrial, Trial } from '../readiness/trials'
import type { KickOutlook } from '../readiness/kicks'
import type { ShortArms } from '../readiness/proportion'
import { needName } from '../readiness/prescribe'
import type { SideGap } from '../readiness/sides'
import type { Ceiling } from '../readiness/tonight'
import { count, length, METRIC, percent, plain, type Wording } from './number'
import { faultName, shown, stageName } from './reason'

/** How a result has been going, as a range and never a date. */
export function describeForecast(
  check: ReadinessCheck,
  forecast: Forecast,
  wording: Wording = METRIC,
): string {
  switch (forecast.code) {
    case 'not-enough':
      return `${check.name}: ${count(forecast.needed, 'class day')} are needed before a forecast; ${forecast.days === 1 ? 'one is' : `${forecast.days} are`} there.`
    case 'old':
      return `${check.name}: last shown ${count(forecast.days, 'day')} ago. Check it again first.`
    case 'there':
      return `${check.name}: about ${shown(check, Math.round(forecast.value), wording)} on the last days. Check it again on the next class day.`
    case 'flat':
      return `${check.name}: flat for ${count(forecast.weeks, 'week')} at about ${shown(check, Math.round(forecast.value), wording)}. Change the drill.`
    case 'weeks':
      if (isTooWide(forecast))
        return `${check.name}: ${shown(check, Math.abs(forecast.perWeek), wording)} a week, too unevenly to say in how many weeks.`
      return `${check.name}: ${forecast.from === forecast.to ? `about ${count(forecast.to, 'week')}` : `${forecast.from} to ${forecast.to} weeks`} at this rate (${shown(check, Math.abs(forecast.perWeek), wording)} a week).`
  }
}

/** A range that anybody could have given without a single result is none. */
function isTooWide({ from, to }: { readonly from: number; readonly to: number }): boolean {
  return to > WIDE_TIMES * from && to - from > WIDE_WEEKS
}
const WIDE_TIMES = 4
const WIDE_WEEKS = 8

/** What a drill is for, for whom it is. */
export function aimOf(practice: Library, covers: readonly string[]): string {
  return covers.map((c) => needName(practice, c)).join(' and ')
}

/** Which side begins and gets one set more; empty where neither is behind. */
export function weakerFirst(weaker: 'left' | 'right' | null): string {
  return weaker === null ? '' : `Begin on the ${weaker} and give it one set more.`
}

/** A side that has been behind for days, as the teacher is told of it. */
export function describeSideGap(practice: Library, { checkId, weaker, share, wideDays }: SideGap): string {
  const { name } = findById(practice.checks, checkId)
  return `${name}: the ${weaker} is ${percent(share)} behind, over 30 % on ${count(wideDays.length, 'day')}. Worth a look at why.`
}

/** What a prop may do next, with the days it comes from. */
export function describeFade(practice: Library, fade: FadeProposal): string {
  const [stage, used] = [stageName(practice, fade.stageId), setupName(practice, fade.setupId)]
  if (fade.code === 'restore')
    return `${stage}: “${faultName(practice, fade.faultId)}” came back twice on ${formatDay(fade.day)} without ${used}. Put it back.`
  const days = fade.days.map(formatDay).join(' and ')
  return `${stage}: clean with ${used} on ${days}. Next with less: ${setupName(practice, fade.to)}.`
}

/** What alternate tries showed, and how sure. */
export function describeTrial(practice: Library, trial: SetupTrial): string {
  return `${stageName(practice, trial.stageId)}, ${formatDay(trial.day)}: ${compared(practice, trial)}`
}

/** The same over classes. */
export function describePooled(practice: Library, trial: PooledTrial): string {
  return `${stageName(practice, trial.stageId)}, over ${count(trial.days, 'class', 'classes')}: ${compared(practice, trial)}`
}

function compared(
  practice: Library,
  { with: aided, without, difference, pairs, sure }: Trial & { with: string; without: string },
): string {
  const [withAid, bare] = [aided, without].map((id) => setupName(practice, id))
  const seconds = plain(Math.round(Math.abs(difference) * 10) / 10)
  const shown = difference === 0 ? 'no difference' : `${seconds} s ${difference > 0 ? 'longer' : 'shorter'}`
  return `${shown} with ${bare} than with ${withAid}, over ${count(pairs, 'pair')}; ${sureness(sure)}.`
}

/** Three pairs can be at most three quarters sure, four seven eighths: from there a difference is worth acting on. */
function sureness(sure: number): string {
  const share = percent(sure)
  return sure >= 0.85 ? `${share} sure` : `only ${share} sure: more pairs would tell`
}

/** How kicks have been arriving, and what the next five may bring. */
export function describeKicks({ tries, chance, from, to }: KickOutlook, who: string): string {
  const next = from === to ? `${to}` : `${from} to ${to}`
  return `${who}: about ${percent(Math.round(chance * 20) / 20)} arrive (${count(tries, 'try', 'tries')} in six weeks); of the next five, ${next}.`
}

/** How far tonight goes, without a word of why. */
export function describeCeiling(practice: Library, { stageId, usualId, lowered }: Ceiling): string {
  if (!lowered)
    return usualId === null
      ? 'Tonight: as it stands, nothing of this ladder is open.'
      : `Tonight: as it stands, up to ${stageName(practice, usualId)}.`
  const upTo = stageId === null ? 'nothing of this ladder' : `up to ${stageName(practice, stageId)}`
  return `Tonight: ${upTo}. The standing stays as it is.`
}

/** A setup's name in the middle of a sentence. */
export function setupName(practice: Library, id: string): string {
  const { name } = findById(practice.setups, id)
  return name.charAt(0).toLowerCase() + name.slice(1)
}

const CAUSES: Readonly<Record<Cause, string>> = {
  mobility: 'range',
  strength: 'strength',
  technique: 'technique',
  fatigue: 'tired arms',
  fear: 'a step too big for now',
  setup: 'the setup',
}

/** Pieces of evidence that are printed for one cause: the furthest from what is asked. */
const MOST_EVIDENCE = 3

/** What to do about a fault: the likeliest cause with what speaks for it, the word, the drill. */
export function describeHelp(practice: Library, help: FaultHelp, wording: Wording = METRIC): string {
  if (help.shortArms) return describeShortArms(help.shortArms, help, wording)
  const [first] = help.causes
  const because =
    first && first.because.length > 0
      ? ` (${first.because
          .slice(0, MOST_EVIDENCE)
          .map((b) => evidence(practice, b, wording))
          .join(', ')})`
      : ''
  const setup = help.setupId === null ? '' : ` With: ${setupName(practice, help.setupId)}.`
  const drill =
    help.drillId === null ? '' : ` Then ${findById(practice.drills, help.drillId).name.toLowerCase()}.`
  const likely = help.known
    ? `Likely ${first ? CAUSES[first.cause] : 'the setup'}${because}.`
    : 'Not known yet why: measure the setup again first, then ask how the arms are.'
  return `${likely} Say: ${help.cue}${setup}${drill} ${THEN[help.then]} ${help.until}`.trim()
}

/** Short arms are told first: what to lay, and that it is no want of strength. */
function describeShortArms({ value, raiseCm }: ShortArms, help: FaultHelp, wording: Wording): string {
  const short = value < 0 ? `${length(-value, wording)} short of this head` : 'just as long as head and neck'
  return `These arms are ${short}: no want of strength. Lay ${length(raiseCm, wording)} under both forearms, then look again. ${THEN[help.then]}`
}

/** Whether to go on. */
const THEN: Readonly<Record<FaultHelp['then'], string>> = {
  continue: 'Go on.',
  'step back': 'One rung easier if it stays.',
  'fix first': 'Mend it before going on.',
  stop: 'Stop this for today.',
}

function evidence(practice: Library, because: CauseEvidence, wording: Wording): string {
  switch (because.code) {
    case 'check': {
      const check = findById(practice.checks, because.checkId)
      return `${check.name.toLowerCase()} ${shown(check, because.value, wording)}`
    }
    case 'arms':
      return 'tired tonight'
    case 'ended-spent':
      return 'work ended with spent arms'
  }
}
