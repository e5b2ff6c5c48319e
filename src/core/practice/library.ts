import { z } from 'zod'
import aliases from './data/aliases.json'
import approaches from './data/approaches.json'
import assists from './data/assists.json'
import bundles from './data/bundles.json'
import byEye from './data/by-eye.json'
import capabilities from './data/capabilities.json'
import classUse from './data/class-use.json'
import cautions from './data/cautions.json'
import checks from './data/checks.json'
import clashes from './data/clashes.json'
import counterposes from './data/counterposes.json'
import drills from './data/drills.json'
import exits from './data/exits.json'
import faults from './data/faults.json'
import intake from './data/intake.json'
import measures from './data/measures.json'
import pictures from './data/pictures.json'
import presets from './data/presets.json'
import props from './data/props.json'
import setupBills from './data/setup-bills.json'
import setups from './data/setups.json'
import changeLimits from './data/change-limits.json'
import shapeTags from './data/shape-tags.json'
import shapes from './data/shapes.json'
import ad from './data/stages/ad.json'
import cr from './data/stages/cr.json'
import fs from './data/stages/fs.json'
import hd from './data/stages/hd.json'
import hs from './data/stages/hs.json'
import pu from './data/stages/pu.json'
import sh from './data/stages/sh.json'
import substitutes from './data/substitutes.json'
import warmups from './data/warmups.json'
import ways from './data/ways.json'
import { byShape } from './by-shape'
import { ruleGates } from './rule-gates'
import * as schema from './schema'
import { AliasSchema, ByEyeSchema, ClassUseSchema, PictureSchema, ShapeSchema } from './schema-pictures'
import { FAMILIES, type Family, type Gate, type Stage } from './schema'

const StagesSchema = z.array(schema.StageSchema).transform((list) =>
  list.map((stage): Stage => ({
    ...stage,
    family: familyOf(stage.id),
    gates: [...stage.gates, ...ruleGates(stage)],
  })),
)

/** A gate whose check is read from tries knows at which stages: its own, or those of its family. */
function withTries(library: z.output<typeof LibrarySchema>): z.output<typeof LibrarySchema> {
  const shownOn = new Map(library.checks.flatMap(({ id, shownOn: on }) => (on ? [[id, on] as const] : [])))
  const known = (family: Family, gate: Gate): Gate => {
    const stages = gate.shownBy ?? shownOn.get(gate.check)?.[gate.on ?? family]
    return stages ? { ...gate, shownBy: stages } : gate
  }
  return {
    ...library,
    stages: library.stages.map((stage) => ({
      ...stage,
      gates: stage.gates.map((gate) => known(stage.family, gate)),
    })),
  }
}

/** Every catalogue with its shape; the order within each is the order of the ladder or list. */
const LibrarySchema = z.strictObject({
  stages: StagesSchema,
  setups: z.array(schema.SetupEntrySchema),
  drills: z.array(schema.DrillSchema),
  checks: z.array(schema.CheckSchema),
  bundles: z.array(schema.BundleSchema),
  faults: z.array(schema.FaultSchema),
  warmups: z.array(schema.BlockSchema),
  counterposes: z.array(schema.BlockSchema),
  exits: z.array(schema.ExitSchema),
  assists: z.array(schema.AssistSchema),
  cautions: z.array(schema.CautionSchema),
  intake: z.array(schema.IntakeSchema),
  approaches: z.array(schema.ApproachSchema),
  ways: z.array(schema.WaySchema),
  presets: z.array(schema.PresetSchema),
  clashes: z.array(schema.ClashSchema),
  props: z.array(schema.PropSchema),
  substitutes: z.array(schema.SubstituteSchema),
  measures: z.array(schema.MeasureSchema),
  capabilities: z.array(schema.CapabilitySchema),
  shapes: z.array(ShapeSchema),
  pictures: z.array(PictureSchema),
  shapeTags: z.array(schema.ShapeTagsSchema),
  changeLimits: z.array(schema.ChangeLimitSchema),
  aliases: z.array(AliasSchema),
  byEye: z.array(ByEyeSchema),
  classUse: z.array(ClassUseSchema),
})

/** The practice as data: stages in the order of their ladders, and everything they point at. */
export type Library = z.output<typeof LibrarySchema>
/** Raw files before validation, so that a test or an override can change one. */
export type LibrarySource = Record<keyof Library, unknown>

/** The files that ship with the app. */
export const SHIPPED: LibrarySource = {
  stages: [...pu, ...fs, ...hd, ...hs, ...cr, ...sh, ...ad],
  // What a setup takes from the cupboard is a file of its own: the bench in the browser needs no more of it.
  setups: setups.map((setup) => ({ ...setup, ...setupBills.find(({ id }) => id === setup.id) })),
  drills,
  checks,
  bundles,
  faults,
  warmups,
  counterposes,
  exits,
  assists,
  cautions,
  intake,
  approaches,
  ways,
  presets,
  clashes,
  props,
  substitutes,
  measures,
  capabilities,
  shapes,
  pictures,
  shapeTags,
  changeLimits,
  aliases,
  byEye,
  classUse,
}

/** Validates raw files. Throws on a malformed entry: a wrong shipped file is a bug, caught by the integrity test. */
export function buildLibrary(source: LibrarySource): Library {
  return byShape(withTries(LibrarySchema.parse(source)))
}

let shipped: Library | undefined

/** The shipped practice, validated once. */
export function shippedPractice(): Library {
  shipped ??= buildLibrary(SHIPPED)
  return shipped
}

function familyOf(stageId: string): Family {
  const family = FAMILIES.find((code) => stageId.startsWith(`${code}-`))
  if (!family) throw new Error(`no family for ${stageId}`)
  return family
}
