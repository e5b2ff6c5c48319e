import { z } from 'zod'
import type { Day } from '../day'

/** What the device puts on every fact: a fact sent twice counts once, and a moved clock reorders nothing. */
export type Stamp = {
  readonly id: string
  readonly deviceId: string
  /** Counts up on one device; it orders nothing and proves nothing by itself. */
  readonly deviceSeq: number
  /** Hybrid logical clock: orders facts whatever the devices' clocks say. */
  readonly hlc: string
  /** The studio's day on which it was tapped, as the device reckoned it then; not the day on which it arrives. */
  readonly day: Day
}

/** A stamp as it comes over the wire. */
export const stampFields = {
  id: z.uuid(),
  deviceId: z.uuid(),
  deviceSeq: z.number().int().positive(),
  hlc: z
    .string()
    .max(80)
    .regex(/^[0-9a-z]{9}-[0-9a-z]{4,}-[0-9a-f-]{36}$/, 'Its stamp cannot be read, so its order is unknown.'),
  day: z.iso.date(),
}
