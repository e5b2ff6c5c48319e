import { z } from 'zod'
import { changeSchema } from './change'
import { OVERRIDE_REASONS } from './override'

/** What one person does in a block. */
const versionSchema = z.strictObject({
  studentId: z.string(),
  /** Null where nothing at all is open to them: they rest, watch or help. */
  stageId: z.string().nullable(),
  setupId: z.string().nullable(),
  straps: z.number().int().min(0),
  blocks: z.number().int().min(0),
  override: z.enum(OVERRIDE_REASONS).nullable(),
  /** How a limit changes it. */
  change: changeSchema.nullable(),
  /** It stands in place of a family that is closed to them. */
  inPlace: z.boolean(),
})
export type Version = z.output<typeof versionSchema>

const turnSchema = z.strictObject({
  startS: z.number(),
  set: z.number().int(),
  wave: z.number().int(),
  up: z.array(z.strictObject({ bay: z.number().int(), studentId: z.string() })).readonly(),
})
export type Turn = z.output<typeof turnSchema>

const timed = { startS: z.number(), seconds: z.number() }
const items = z.array(z.strictObject({ id: z.string(), seconds: z.number() })).readonly()
const blockSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('warm-up'), ...timed, items }),
  z.strictObject({ kind: z.literal('counterpose'), ...timed, items }),
  z.strictObject({
    kind: z.literal('skill'),
    ...timed,
    versions: z.array(versionSchema).readonly(),
    sets: z.number().int(),
    workS: z.number(),
    restS: z.number(),
  }),
  z.strictObject({
    kind: z.literal('waves'),
    ...timed,
    versions: z.array(versionSchema).readonly(),
    turnS: z.number(),
    changeS: z.number(),
    sets: z.number().int(),
    turns: z.array(turnSchema).readonly(),
  }),
  z.strictObject({ kind: z.literal('rest'), ...timed }),
])
export type PlanBlock = z.output<typeof blockSchema>

const shortage = { needed: z.number(), have: z.number() }
const warningSchema = z.discriminatedUnion('code', [
  z.strictObject({ code: z.literal('short-of-straps'), ...shortage }),
  z.strictObject({ code: z.literal('short-of-blocks'), ...shortage }),
  z.strictObject({ code: z.literal('too-many-versions'), versions: z.number(), limit: z.number() }),
  z.strictObject({ code: z.literal('few-turns'), sets: z.number() }),
  z.strictObject({ code: z.literal('warm-up-trimmed'), wantedS: z.number(), givenS: z.number() }),
])
export type PlanWarning = z.output<typeof warningSchema>

/** Straps and blocks. */
const stockSchema = z.strictObject({ straps: z.number(), blocks: z.number() })
export type PropCount = z.output<typeof stockSchema>

/** The hour as it was made or edited. */
export const planSchema = z.strictObject({
  version: z.literal(1),
  minutes: z.number(),
  bays: z.number().int(),
  blocks: z.array(blockSchema).readonly(),
  pull: stockSchema,
  warnings: z.array(warningSchema).readonly(),
})
export type Plan = z.output<typeof planSchema>

/** The versions of a block, where everyone has one. */
export function versionsOf(block: PlanBlock): readonly Version[] {
  return block.kind === 'skill' || block.kind === 'waves' ? block.versions : []
}
