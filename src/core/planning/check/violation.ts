/** A broken rule with its numbers. */
export type Violation =
  | { readonly code: 'over-time'; readonly plannedS: number; readonly allowedS: number }
  | { readonly code: 'blocks-overlap'; readonly atS: number }
  | { readonly code: 'bay-shared'; readonly atS: number; readonly bay: number }
  | { readonly code: 'bay-missing'; readonly atS: number; readonly bay: number; readonly bays: number }
  | { readonly code: 'twice-at-once'; readonly atS: number; readonly studentId: string }
  | {
      readonly code: 'above-decision'
      readonly studentId: string
      readonly stageId: string
      readonly overridden: boolean
    }
  /** A limit of that day closes the stage to them. */
  | { readonly code: 'closed'; readonly studentId: string; readonly stageId: string }
  /** A limit changes the stage and the plan does not say how, or allows more than the limit. */
  | { readonly code: 'change-missing'; readonly studentId: string; readonly stageId: string }
  | {
      readonly code: 'stock-exceeded'
      readonly kind: 'straps' | 'blocks'
      readonly needed: number
      readonly have: number
    }
  | { readonly code: 'load-without-warm-up'; readonly stageId: string; readonly warmupId: string }
  | { readonly code: 'load-without-counterpose'; readonly stageId: string; readonly counterposeId: string }
  | { readonly code: 'left-out'; readonly studentId: string }
  | {
      readonly code: 'too-many-attempts'
      readonly studentId: string
      readonly turns: number
      readonly most: number
    }
  /** More side by side than one teacher can watch, and the plan does not say so. */
  | { readonly code: 'unwatched'; readonly versions: number; readonly most: number }
