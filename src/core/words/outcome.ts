import type { Mark } from '../readiness/mark'

/** The word beside a status mark. */
export const OUTCOME_WORD: Record<Mark, string> = {
  offer: 'Offer',
  'once-more': 'Once more',
  near: 'Near',
  build: 'Build',
  'step-back': 'Step back',
  'not-now': 'Not now',
  held: 'Held',
  'not-seen': 'Not seen',
  'may-begin': 'May begin',
}

/** What the word means, for a legend and for screen readers. */
export const OUTCOME_MEANING: Record<Mark, string> = {
  offer: 'Everything asked has been shown. An invitation for you to look, not a permission.',
  'once-more': 'Shown, and wants one more clean day or a fresh check.',
  near: 'Within reach of what is asked.',
  build: 'Building towards what is asked.',
  'step-back': 'One rung easier is advised.',
  'not-now': 'A caution stands in the way.',
  held: 'At the top of this ladder.',
  'not-seen': 'Nothing seen here yet; nothing is known either way.',
  'may-begin': 'The first rung: nothing has to be shown before it.',
}
