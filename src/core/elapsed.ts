/** A moment by both clocks of a device, and the page on which it was taken. */
export type Moment = {
  readonly wallMs: number
  /** Monotonic: never set back, but it may stand still while a device sleeps, and starts anew with each page. */
  readonly monotonicMs: number
  readonly page: number
}

/**
 * From one moment to another, ms: on the monotonic clock, and on the wall clock where that ran further, which is across a
 * sleep; across a reload only the wall clock is left. Never below 0.
 */
export function elapsedMs(from: Moment, to: Moment): number {
  const wall = to.wallMs - from.wallMs
  const monotonic = from.page === to.page ? to.monotonicMs - from.monotonicMs : 0
  return Math.max(0, wall, monotonic)
}
