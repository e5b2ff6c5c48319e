/** A broken rule with its numbers: where in the class, about whom, what was found and what is allowed. */
export type Violation =
  /** Time and order. */
  | { readonly code: 'over-time'; readonly plannedS: number; readonly allowedS: number }
  | { readonly code: 'blocks-overlap'; readonly atS: number }
  | { readonly code: 'out-of-order'; readonly kind: string; readonly atS: number }
  | { readonly code: 'rest-short'; readonly seconds: number; readonly leastS: number }
  | { readonly code: 'own-rest'; readonly purpose: string; readonly seconds: number; readonly leastS: number }
  | {
      readonly code: 'changeover'
      readonly purpose: string
      readonly seconds: number
      readonly leastS: number
    }
  /** Who does what. */
  | { readonly code: 'left-out'; readonly studentId: string; readonly purpose: string }
  | { readonly code: 'twice-at-once'; readonly studentId: string; readonly purpose: string }
  /** A limit of that day closes it to them. */
  | { readonly code: 'closed'; readonly studentId: string; readonly variantId: string }
  | {
      readonly code: 'above-decision'
      readonly studentId: string
      readonly variantId: string
      readonly overridden: boolean
    }
  /** A limit changes it and the plan does not say how, or allows more than the limit. */
  | { readonly code: 'change-missing'; readonly studentId: string; readonly variantId: string }
  | { readonly code: 'two-families'; readonly studentId: string }
  | {
      readonly code: 'too-many-attempts'
      readonly studentId: string
      readonly tries: number
      readonly most: number
    }
  | { readonly code: 'try-outside'; readonly studentId: string; readonly variantId: string }
  | {
      readonly code: 'too-long'
      readonly studentId: string
      readonly seconds: number
      readonly mostS: number
    }
  | { readonly code: 'one-sided'; readonly studentId: string; readonly variantId: string }
  | { readonly code: 'side-more'; readonly studentId: string; readonly variantId: string }
  | { readonly code: 'spent'; readonly studentId: string; readonly share: number }
  | { readonly code: 'neck-order'; readonly studentId: string }
  | { readonly code: 'neck-twice'; readonly studentId: string }
  | { readonly code: 'lock-lost'; readonly studentId: string; readonly variantId: string }
  /** Room. */
  | { readonly code: 'bay-missing'; readonly studentId: string; readonly variantId: string }
  | { readonly code: 'bay-shared'; readonly place: string; readonly atS: number }
  | {
      readonly code: 'bay-narrow'
      readonly studentId: string
      readonly widthCm: number
      readonly leastCm: number
    }
  | { readonly code: 'open-floor'; readonly needed: number; readonly have: number }
  | { readonly code: 'fall-zone'; readonly studentId: string; readonly place: string }
  | { readonly code: 'kickers'; readonly atS: number; readonly kickers: number; readonly most: number }
  | { readonly code: 'first-tries'; readonly atS: number }
  /** Eyes and hands. */
  | {
      readonly code: 'too-many-versions'
      readonly purpose: string
      readonly versions: number
      readonly most: number
    }
  | { readonly code: 'unwatched'; readonly atS: number; readonly points: number; readonly most: number }
  | { readonly code: 'no-helper'; readonly studentId: string; readonly variantId: string }
  | { readonly code: 'helper-unfit'; readonly studentId: string; readonly helper: string }
  | { readonly code: 'helper-busy'; readonly helper: string; readonly atS: number }
  | { readonly code: 'no-consent'; readonly studentId: string }
  /** Cupboard. */
  | {
      readonly code: 'stock-exceeded'
      readonly kind: string
      readonly needed: number
      readonly have: number
    }
  | {
      readonly code: 'strap-short'
      readonly studentId: string
      readonly loopCm: number
      readonly longCm: number
    }
  | { readonly code: 'no-prop'; readonly studentId: string; readonly kind: string }
  /** Preparing and closing. */
  | { readonly code: 'load-without-warm-up'; readonly variantId: string; readonly warmupId: string }
  | {
      readonly code: 'stale-warm'
      readonly variantId: string
      readonly warmupId: string
      readonly minutes: number
    }
  | { readonly code: 'warm-long'; readonly seconds: number; readonly mostS: number }
  | { readonly code: 'load-without-counterpose'; readonly variantId: string; readonly counterposeId: string }
  | { readonly code: 'just-before'; readonly variantId: string }
