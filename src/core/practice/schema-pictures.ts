import { z } from 'zod'
import { FAMILIES, RUNGS } from './schema-base'

const towards = z.number().min(-360).max(360)

/**
 * A shape that is only to be looked at, as the directions of its parts: degrees from “to the right”, turning left (90 is
 * up). Hip to waist, waist to shoulder, shoulder to crown; upper arm, forearm, hand; and for each leg thigh, shank and
 * heel to toe. What lies under it is named by the joint above it, with its width in cm.
 */
export const ShapeSchema = z.strictObject({
  id: z.string().regex(/^[a-z]+(-[a-z]+)*$/),
  pelvis: towards,
  ribs: towards,
  head: towards,
  arm: z.tuple([towards, towards, towards]),
  legs: z
    .array(z.tuple([towards, towards, towards]))
    .min(1)
    .max(2),
  under: z
    .array(z.strictObject({ at: z.enum(['shoulder', 'elbow', 'calf']), wide: z.number().positive() }))
    .optional(),
})
export type Shape = z.infer<typeof ShapeSchema>

/**
 * What a stage, drill, warm-up, counterpose or way out looks like: a position of the mechanics or a shape, with
 * parameters; `null` where it is words only (a twist, a turn, hands alone).
 */
export const PictureSchema = z.strictObject({
  of: z.string(),
  shape: z.string().nullable(),
  with: z.record(z.string(), z.number()).optional(),
})

/** What people call something besides its name, for a search that forgives. */
export const AliasSchema = z.strictObject({ of: z.string(), words: z.string().min(1) })

/** For each rung of a family the step a teacher knows people by: what is asked when a whole list is placed by eye. */
export const ByEyeSchema = z.strictObject({
  family: z.enum(FAMILIES),
  stages: z.array(z.string()).length(RUNGS.length),
})

/** What a class uses some drills and shapes for: while settling, while waiting, to stay in, to stay in with the legs raised. */
export const ClassUseSchema = z.strictObject({
  use: z.enum(['settle', 'wait', 'stay', 'stay-raised', 'stay-otherwise']),
  of: z.array(z.string()).min(1),
})
export type ClassUse = z.infer<typeof ClassUseSchema>['use']
