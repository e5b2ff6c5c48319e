/** A rule by its name, with what was found and what is allowed: words (ids, names) and numbers. */
type Broken<Code extends string, Words extends string, Numbers extends string = never> = {
  readonly code: Code
} & { readonly [K in Words]: string } & { readonly [K in Numbers]: number }

/** A broken rule with its numbers: where in the class, about whom, what was found and what is allowed. */
export type Violation =
  /** Time and order. */
  | Broken<'over-time', never, 'plannedS' | 'allowedS'>
  | Broken<'blocks-overlap', never, 'atS'>
  | Broken<'out-of-order', 'kind', 'atS'>
  | Broken<'rest-short', never, 'seconds' | 'leastS'>
  | Broken<'own-rest', 'purpose', 'seconds' | 'leastS'>
  | Broken<'changeover', 'purpose', 'seconds' | 'leastS'>
  /** Who does what. */
  | Broken<'left-out', 'studentId' | 'purpose'>
  | Broken<'twice-at-once', 'studentId' | 'purpose'>
  /** A limit of that day closes it to them. */
  | Broken<'closed', 'studentId' | 'variantId'>
  | {
      readonly code: 'above-decision'
      readonly studentId: string
      readonly variantId: string
      readonly overridden: boolean
    }
  /** Stepped onto tonight, and not of low stakes, not next, or not open (ruling 21). */
  | Broken<'climb-unfit', 'studentId' | 'variantId'>
  | Broken<'stepped-too-far', 'studentId' | 'variantId'>
  | Broken<'stepped-too-often', 'studentId'>
  /** A limit changes it and the plan does not say how, or allows more than the limit. */
  | Broken<'change-missing', 'studentId' | 'variantId'>
  | Broken<'two-families', 'studentId'>
  | Broken<'too-many-attempts', 'studentId', 'tries' | 'most'>
  | Broken<'try-outside', 'studentId' | 'variantId'>
  /** What is stayed in is entered once, among the stays (ruling 24). */
  | Broken<'stay-again', 'studentId' | 'variantId'>
  | Broken<'too-long', 'studentId', 'seconds' | 'mostS'>
  | Broken<'one-sided', 'studentId' | 'variantId'>
  | Broken<'side-more', 'studentId' | 'variantId'>
  | Broken<'spent', 'studentId', 'share'>
  | Broken<'neck-order', 'studentId'>
  | Broken<'neck-twice', 'studentId'>
  | Broken<'lock-lost', 'studentId' | 'variantId'>
  /** Room. */
  | Broken<'bay-missing', 'studentId' | 'variantId'>
  | Broken<'bay-shared', 'place', 'atS'>
  | Broken<'bay-narrow', 'studentId', 'widthCm' | 'leastCm'>
  | Broken<'open-floor', never, 'needed' | 'have'>
  | Broken<'fall-zone', 'studentId' | 'place'>
  | Broken<'kickers', never, 'atS' | 'kickers' | 'most'>
  | Broken<'first-tries', never, 'atS'>
  /** Eyes and hands. */
  | Broken<'too-many-versions', 'purpose', 'versions' | 'most'>
  | Broken<'unwatched', never, 'atS' | 'points' | 'most'>
  | Broken<'no-helper', 'studentId' | 'variantId'>
  | Broken<'helper-unfit', 'studentId' | 'helper'>
  | Broken<'helper-busy', 'helper', 'atS'>
  | Broken<'no-consent', 'studentId'>
  /** Cupboard. */
  | Broken<'stock-exceeded', 'kind', 'needed' | 'have'>
  | Broken<'strap-short', 'studentId', 'loopCm' | 'longCm'>
  | Broken<'no-prop', 'studentId' | 'kind'>
  /** Preparing and closing. */
  | Broken<'load-without-warm-up', 'variantId' | 'warmupId'>
  | Broken<'stale-warm', 'variantId' | 'warmupId', 'minutes'>
  | Broken<'warm-long', never, 'seconds' | 'mostS'>
  | Broken<'load-without-counterpose', 'variantId' | 'counterposeId'>
  | Broken<'just-before', 'variantId'>
