import type { Reach } from '../readiness/allowed'
import type { OverrideReason } from '../readiness/override'

/** Somebody on the roster with what the engine says of them. */
export type Participant = Reach & {
  readonly studentId: string
  /** Own breath, s. */
  readonly breathS: number
  /** Attempts at most, where it is fewer than everybody’s. */
  readonly mostAttempts?: number
}

export type Stock = { readonly straps: number; readonly blocks: number }

export type ClassBrief = {
  readonly minutes: number
  readonly bays: number
  readonly stock: Stock
  readonly participants: readonly Participant[]
  /** Versions the teacher fixed by hand, with the reason given. */
  readonly locks: readonly Lock[]
  /** Attempts a person at most, from the studio's floor; a turn at the wall is at least one. */
  readonly mostAttempts?: number
}

export type Lock = {
  readonly studentId: string
  readonly part: 'skill' | 'waves'
  readonly stageId: string
  readonly reason: OverrideReason
}

/** What one person does in a block. */
export type Version = {
  readonly studentId: string
  readonly stageId: string
  readonly setupId: string
  readonly straps: number
  readonly blocks: number
  readonly override: OverrideReason | null
}

export type Turn = {
  readonly startS: number
  readonly set: number
  readonly wave: number
  readonly up: readonly { bay: number; studentId: string }[]
}

type Timed = { readonly startS: number; readonly seconds: number }

export type PlanBlock =
  | (Timed & {
      readonly kind: 'warm-up' | 'counterpose'
      readonly items: readonly { id: string; seconds: number }[]
    })
  | (Timed & {
      readonly kind: 'skill'
      readonly versions: readonly Version[]
      readonly sets: number
      readonly workS: number
      readonly restS: number
    })
  | (Timed & {
      readonly kind: 'waves'
      readonly versions: readonly Version[]
      readonly turnS: number
      readonly changeS: number
      readonly sets: number
      readonly turns: readonly Turn[]
    })
  | (Timed & { readonly kind: 'rest' })

export type PlanWarning =
  | { readonly code: 'short-of-straps' | 'short-of-blocks'; readonly needed: number; readonly have: number }
  | { readonly code: 'too-many-versions'; readonly versions: number; readonly limit: number }
  | { readonly code: 'few-turns'; readonly sets: number }
  | { readonly code: 'warm-up-trimmed'; readonly wantedS: number; readonly givenS: number }

export type Plan = {
  readonly minutes: number
  readonly bays: number
  readonly blocks: readonly PlanBlock[]
  readonly pull: Stock
  readonly warnings: readonly PlanWarning[]
}

/** Wall turn and change-over, s (class-craft.md 8): usual, and the shortest that still works. */
export const TURN_S = { usual: 60, least: 45 } as const
export const CHANGE_S = { usual: 20, least: 15 } as const
/** Rest wanted between a person's own turns, s (class-craft.md 9). */
export const OWN_REST_S = 60
/** Variants side by side that one teacher can watch (class-craft.md 6). */
export const MOST_VERSIONS = 3
/** Warm-up takes at most about a third of the class (ruling 12). */
export const WARM_UP_SHARE = 1 / 3
/** A class shorter or longer than this is refused, min. */
export const CLASS_MINUTES = { min: 20, max: 120 } as const
