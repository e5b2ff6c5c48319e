import { z } from 'zod'
import { OVERRIDE_REASONS } from './override'

/** Parts of a class in which everyone has a version of their own. */
export const PARTS = ['skill', 'waves'] as const
export type Part = (typeof PARTS)[number]

/** A version that the teacher fixed by hand, with the reason given. */
export const lockSchema = z.strictObject({
  studentId: z.string(),
  part: z.enum(PARTS),
  stageId: z.string(),
  reason: z.enum(OVERRIDE_REASONS),
})
export type Lock = z.output<typeof lockSchema>
