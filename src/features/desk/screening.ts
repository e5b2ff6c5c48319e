import 'server-only'
import { formatDay } from '@/core/day'
import { conditionsOf } from '@/core/screening/answers'
import type { Context } from '../context'
import type { Judge } from './judge'

export type ScreeningState = {
  readonly code: 'shut' | 'not-asked' | 'ask-again' | 'open' | 'soon' | 'answered'
  readonly line: string
}

/** Where somebody's screening stands: no word of what was answered. */
export function screeningState({ practice, clock }: Context, judge: Judge, id: string): ScreeningState {
  const { screening, shut } = judge.health(id)
  if (shut)
    return {
      code: 'shut',
      line: 'Answers are kept and cannot be read: the key is missing. Everything but gentle work waits for it.',
    }
  if ((screening.waits ?? []).length > 0)
    return {
      code: 'ask-again',
      line: 'Something was answered otherwise on the tablet. It stands as it was until you open the notes and settle it.',
    }
  const conditions = conditionsOf(practice, screening, clock.today)
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
