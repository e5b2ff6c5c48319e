import { formatDay } from '../day'
import { findById, type Library } from '../practice/library'
import type { Gate, ReadinessCheck } from '../practice/schema'
import type { Reason } from '../readiness/decide'
import type { GateResult } from '../readiness/gate'
import { describeLimit } from './limit'
import { count, plain } from './number'

/** One reason of a decision as a sentence, with the numbers and days it came from. */
export function describeReason(reason: Reason, practice: Library): string {
  switch (reason.code) {
    case 'standing':
      return reason.standing.by === 'placement'
        ? `Placed by eye at ${stageName(practice, reason.standing.stageId)} on ${formatDay(reason.standing.day)}.`
        : `Stands at ${stageName(practice, reason.standing.stageId)}, clean on ${formatDay(reason.standing.day)}.`
    case 'no-standing':
      return 'No stage seen clean yet, so the ladder starts at its foot. Placing by eye is quicker if you know this person.'
    case 'gate':
      return describeGate(reason.result, practice)
    case 'no-gates':
      return 'Nothing to prove first: this one may be shown to anybody.'
    case 'screening-not-recorded':
      return `Health screening is not recorded, and this stage goes ${reason.tags.some((t) => t.startsWith('HBH')) ? 'fully upside down' : 'off the feet'} (${reason.tags.join(', ')}). Until it is, the answer is not yet.`
    case 'limited':
      return describeLimit(reason, practice)
    case 'placed-not-proven':
      return `The standing at ${stageName(practice, reason.stageId)} is by eye only; a high fall wants it shown on clean days first.`
    case 'own-fault-severe':
      return `${faultName(practice, reason.faultId)} on ${formatDay(reason.day)}: one rung easier until it is gone.`
    case 'own-fault-twice':
      return `${faultName(practice, reason.faultId)} on two class days, ${formatDay(reason.days[0])} and ${formatDay(reason.days[1])}.`
    case 'exit-not-controlled':
      return `Came out without control on ${formatDay(reason.day)}. Rehearse the way down first.`
    case 'layoff':
      return `${count(reason.daysAway, 'day')} since the last entry (${formatDay(reason.lastDay)}): ${count(reason.rungs, 'rung')} back${reason.rungs === 2 ? ' and fresh checks' : ''}.`
    case 'top-of-ladder':
      return 'The top of this ladder. Hold it well, or deepen it.'
  }
}

/** A gate with what was asked and what was seen. */
export function describeGate(result: GateResult, practice: Library): string {
  const check = findById(practice.checks, result.gate.check)
  const asked = describeAsked(result.gate, check)
  const seen =
    result.value === null
      ? ''
      : `${shown(check, result.value)}${result.valueDay ? ` on ${formatDay(result.valueDay)}` : ''}`
  switch (result.state) {
    case 'unknown':
      return `${asked}: not checked yet.`
    case 'met':
      return `${asked}: met, ${seen}.`
    case 'confirm': {
      const days =
        result.cleanDays < result.neededDays
          ? `${result.cleanDays} of ${count(result.neededDays, 'clean day')}`
          : `last clean ${count(result.staleDays ?? 0, 'day')} ago, good for ${check.freshDays}`
      return `${asked}: ${seen}; ${days}.`
    }
    case 'near':
      return `${asked}: close, ${seen}.`
    case 'unmet':
      return `${asked}: not yet, ${seen}${notCounted(result)}.`
  }
}

function notCounted(result: GateResult): string {
  if (result.notCounted === 'invalid') return ' (the shape was not kept)'
  if (result.notCounted === 'aided') return ' (with an aid)'
  return result.notCounted === 'unwatched' ? ' (nobody watched)' : ''
}

/** What a gate asks: `Dolphin hold at least 30 s`; a yes-or-no check asks for its own name. */
export function describeAsked(gate: Gate, check: ReadinessCheck): string {
  if (gate.op === 'yes') return check.name
  if (gate.op === 'recorded') return `${check.name}, known`
  const sign = gate.op === '>=' ? 'at least' : 'at most'
  return `${check.name} ${sign} ${shown(check, gate.value ?? 0)}${gate.side === 'each' ? ' each side' : ''}`
}

/** A value with its unit. */
export function shown(check: ReadinessCheck, value: number): string {
  if (check.kind === 'yes-no') return value === 1 ? 'yes' : 'no'
  return check.kind === 'level' ? `level ${plain(value)}` : `${plain(value)} ${check.unit}`
}

/** A stage's id with its name. */
export function stageName(practice: Library, id: string): string {
  return `${findById(practice.stages, id).name} (${id})`
}

/** A fault's name on a chip. */
export function faultName(practice: Library, id: string): string {
  return findById(practice.faults, id).name
}
