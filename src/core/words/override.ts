import type { OverrideReason } from '../classes/override'

/** Chips for a version chosen above the decision. */
export const OVERRIDE_WORD: Record<OverrideReason, string> = {
  'seen-it': 'Seen it',
  'knows-own-body': 'Knows own body',
  'spotter-beside': 'Spotter beside',
  other: 'Other',
}
