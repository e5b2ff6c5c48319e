import type { Outcome } from '../readiness/decide'

/** The word beside a status mark. */
export const OUTCOME_WORD: Record<Outcome, string> = {
  offer: 'Offer',
  'once-more': 'Once more',
  near: 'Near',
  build: 'Build',
  'step-back': 'Step back',
  'not-now': 'Not now',
  held: 'Held',
}

/** What the word means, for a legend and for screen readers. */
export const OUTCOME_MEANING: Record<Outcome, string> = {
  offer: 'Everything asked has been shown. An invitation for you to look, not a permission.',
  'once-more': 'Shown, and wants one more clean day or a fresh check.',
  near: 'Within reach of what is asked.',
  build: 'Building, or nothing known yet.',
  'step-back': 'One rung easier is advised.',
  'not-now': 'A caution stands in the way.',
  held: 'At the top of this ladder.',
}
