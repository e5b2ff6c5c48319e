import { formatDay } from '../day'
import { list } from './number'
import type { IncidentKind, IncidentRefusal, Told } from '../incident/incident'

/** What happened, in a word or two. */
export const KIND_WORD: Readonly<Record<IncidentKind, string>> = {
  'fall-head-neck': 'Fall on the head or neck, or neck pain after a fall',
  fall: 'Another fall',
  pain: 'Pain, tingling or weakness',
  dizzy: 'Dizzy, sick or fainted',
  sight: 'Flashes, floaters or lost sight',
  other: 'Something else',
}

/** Who was told. */
export const TOLD_WORD: Readonly<Record<Told, string>> = {
  emergency: 'Emergency services',
  'emergency-contact': 'The person to ring',
  studio: 'The studio',
  insurer: 'The insurer',
  guardian: 'A guardian',
}

/** Who has still to be told. */
export function describeToTell(toTell: readonly Told[]): string {
  return `Still to be told: ${list(toTell.map((who) => TOLD_WORD[who].toLowerCase()))}.`
}

/** What a report still needs. */
export function describeIncident(refusal: IncidentRefusal): string {
  switch (refusal.code) {
    case 'incident-empty':
      return {
        happened: 'Say what happened, as it was seen.',
        done: 'Say what was done.',
        reporter: 'Say who writes this.',
      }[refusal.field]
    case 'incident-in-the-future':
      return `${formatDay(refusal.day)} is still to come.`
    case 'incident-time':
      return 'Type the time as 18:50.'
    case 'incident-later':
      return `${refusal.typed} is still to come today.`
  }
}
