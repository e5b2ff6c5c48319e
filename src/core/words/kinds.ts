import type { Kind } from '../library/entries'
import type { Relation } from '../library/links'

/** One of a kind, and many. */
export const KIND_WORD: Readonly<Record<Kind, readonly [one: string, many: string]>> = {
  stage: ['Step', 'Steps'],
  drill: ['Drill', 'Drills'],
  check: ['Check', 'Checks'],
  fault: ['Fault', 'Faults'],
  setup: ['Setup', 'Setups'],
  warmup: ['Warm-up', 'Warm-ups'],
  counterpose: ['Counterpose', 'Counterposes'],
  exit: ['Way out', 'Ways out'],
  prop: ['Prop', 'Props'],
  caution: ['Caution', 'Cautions'],
  way: ['Way of working', 'Ways of working'],
}

/** The heading over what an entry points at, by the kinds of what lies there. */
export const RELATION_WORD: Readonly<Record<Relation, string>> = {
  'comes-after': 'Comes after',
  'leads-to': 'Leads on to',
  'if-not': 'If it does not come',
  'built-with': 'Setups',
  'measured-by': 'What it asks',
  'goes-wrong': 'What goes wrong',
  'mended-by': 'Drills that mend it',
  'trained-by': 'Drills that train it',
  trains: 'Good for',
  'way-out': 'Ways out',
  'warmed-by': 'Before and after',
  'closed-by': 'Cautions that bear on it',
  'asked-by': 'Asked at',
  'seen-at': 'Seen at',
  'used-at': 'Used at',
  voids: 'Makes worthless',
  'voided-by': 'Does not count with',
  prevents: 'Keeps away',
  'less-support': 'With less support',
  'more-support': 'With more support',
  fetches: 'To fetch',
  'part-of': 'Part of',
  contains: 'Made of',
  'for-stages': 'For these steps',
}
