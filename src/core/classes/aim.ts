import { z } from 'zod'
import { FAMILIES } from '../practice/schema'

/** What kind of class it is: what stands in its middle. */
export const CLASS_KINDS = ['practice', 'strength', 'restorative', 'workshop'] as const
export type ClassKind = (typeof CLASS_KINDS)[number]

/** What a class is for: one family, or two of which nobody is advanced in both. */
export const aimSchema = z.strictObject({
  kind: z.enum(CLASS_KINDS),
  families: z.array(z.enum(FAMILIES)).min(1, 'Say what the class is for.').max(2, 'Two at most.').readonly(),
})
export type Aim = z.output<typeof aimSchema>

/** What every class was for before there was a choice. */
export const USUAL_AIM: Aim = { kind: 'practice', families: ['FS'] }
