import { findById, type Library } from '../practice/library'
import type { ReadinessCheck } from '../practice/schema'
import type { Cause, CauseEvidence, FaultHelp } from '../readiness/fault-help'
import type { Forecast } from '../readiness/forecast'
import { checkName, type Prescribed } from '../readiness/prescribe'
import { count, percent, plain } from './number'
import { shown } from './reason'

/** How a result has been going, as a range and never a date. */
export function describeForecast(check: ReadinessCheck, forecast: Forecast): string {
  switch (forecast.code) {
    case 'not-enough':
      return `${check.name}: ${count(forecast.days, 'day')} of ${forecast.needed} that a trend wants.`
    case 'there':
      return `${check.name}: at ${shown(check, Math.round(forecast.value * 10) / 10)} by its trend; show it on its days.`
    case 'flat':
      return `${check.name}: flat for ${count(forecast.weeks, 'week')} at about ${shown(check, Math.round(forecast.value))}. Change the drill.`
    case 'weeks':
      return `${check.name}: ${forecast.from === forecast.to ? `about ${count(forecast.to, 'week')}` : `${forecast.from} to ${forecast.to} weeks`} at this rate (${plain(Math.abs(forecast.perWeek))} ${check.unit} a week).`
  }
}

/** A drill with its dose and the steps either side. */
export function describePrescribed(practice: Library, prescribed: Prescribed): string {
  const { drillId, minutes, doseShare, covers, easier, harder } = prescribed
  const drill = findById(practice.drills, drillId)
  const dose =
    doseShare >= 0.95
      ? 'the usual dose'
      : `about ${percent(Math.round(doseShare * 10) / 10)} of the usual dose`
  const sides = [easier ? `Easier: ${easier}` : '', harder ? `Harder: ${harder}` : ''].filter((t) => t !== '')
  return `${drill.name}, ${minutes} min, ${dose}, for ${covers.map((c) => checkName(practice, c).toLowerCase()).join(' and ')}. ${sides.join(' ')}`.trim()
}

const CAUSES: Readonly<Record<Cause, string>> = {
  mobility: 'range',
  strength: 'strength',
  technique: 'technique',
  fatigue: 'tired arms',
  fear: 'a step too big for now',
  setup: 'the setup',
}

/** What to do about a fault: the likeliest cause with what speaks for it, the word, the drill. */
export function describeHelp(practice: Library, help: FaultHelp): string {
  const [first] = help.causes
  const because =
    first && first.because.length > 0
      ? ` (${first.because.map((b) => evidence(practice, b)).join(', ')})`
      : ''
  const drill =
    help.drillId === null ? '' : ` Then ${findById(practice.drills, help.drillId).name.toLowerCase()}.`
  return `Likely ${first ? CAUSES[first.cause] : 'the setup'}${because}. Say: ${help.cue}${drill}`
}

function evidence(practice: Library, because: CauseEvidence): string {
  switch (because.code) {
    case 'check': {
      const check = findById(practice.checks, because.checkId)
      return `${check.name.toLowerCase()} ${shown(check, because.value)}`
    }
    case 'arms':
      return 'tired tonight'
    case 'ended-spent':
      return 'work ended with spent arms'
  }
}
