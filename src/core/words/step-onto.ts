import { findById } from '../practice/find'
import type { Library } from '../practice/library'
import type { StepOnto } from '../readiness/step-onto'
import { list } from './number'
import { stageName } from './reason'

/** What has to be seen before somebody steps on, as a teacher watches for it: a check, with its seconds or number. */
function describeShows(practice: Library, { shows }: Pick<StepOnto, 'shows'>): string {
  return list(
    shows.map(({ checkId, value }) => {
      const { name, unit } = findById(practice.checks, checkId)
      return value === null ? name.toLowerCase() : `${name.toLowerCase()} ${value} ${unit}`
    }),
  )
}

/** A rung that may be tried tonight, with what has to be clean before it. */
export function describeStepOnto(practice: Library, step: StepOnto): string {
  const seen = describeShows(practice, step)
  return `${stageName(practice, step.stageId)}, once ${stageName(practice, step.from)} is clean tonight${seen === '' ? '' : `: ${seen}`}.`
}

/** The same for whoever leads the class, beside what the person does. */
export function describeThen(practice: Library, step: StepOnto | undefined): string {
  if (!step) return ''
  const seen = describeShows(practice, step)
  return `Clean${seen === '' ? '' : ` (${seen})`}? On to ${stageName(practice, step.stageId)}. Not yet: stay, and say the cue.`
}
