import type { Family } from '@/core/practice/schema'

/** The family that a link asks for, or the forearm family. */
export function familyAsked(asked: string | undefined): Family {
  return BOARD.find((f) => f === asked) ?? 'FS'
}

/** Families on the board; the advanced ones follow their parents (ruling 15). */
export const BOARD: readonly Family[] = ['FS', 'HD', 'HS', 'CR', 'SH', 'PU']
