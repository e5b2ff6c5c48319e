/** Why a teacher goes above what is recorded: chips, not typing. */
export const OVERRIDE_REASONS = ['seen-it', 'knows-own-body', 'spotter-beside', 'other'] as const
export type OverrideReason = (typeof OVERRIDE_REASONS)[number]
