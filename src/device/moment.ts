'use client'

import type { Moment } from '@/core/elapsed'

/** This moment by both clocks of the device. */
export function momentNow(): Moment {
  return { wallMs: Date.now(), monotonicMs: performance.now(), page: performance.timeOrigin }
}
