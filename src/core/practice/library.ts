import { z } from 'zod'
import checksData from './data/checks.json'
import counterposesData from './data/counterposes.json'
import faultsData from './data/faults.json'
import setupsData from './data/setups.json'
import fsData from './data/stages/fs.json'
import warmupsData from './data/warmups.json'
import {
  BlockSchema,
  CheckSchema,
  FAMILIES,
  FaultSchema,
  SetupEntrySchema,
  StageSchema,
  type Family,
  type Fault,
  type PracticeBlock,
  type ReadinessCheck,
  type SetupEntry,
  type Stage,
} from './schema'

/** The practice as data: stages in the order of their ladders, and everything they point at. */
export type Library = {
  readonly stages: readonly Stage[]
  readonly checks: readonly ReadinessCheck[]
  readonly faults: readonly Fault[]
  readonly warmups: readonly PracticeBlock[]
  readonly counterposes: readonly PracticeBlock[]
  readonly setups: readonly SetupEntry[]
}

/** Raw files before validation, so that a test or an override can change one. */
export type LibrarySource = {
  stages: unknown
  checks: unknown
  faults: unknown
  warmups: unknown
  counterposes: unknown
  setups: unknown
}

/** The files that ship with the app. */
export const SHIPPED: LibrarySource = {
  stages: fsData,
  checks: checksData,
  faults: faultsData,
  warmups: warmupsData,
  counterposes: counterposesData,
  setups: setupsData,
}

/** Validates raw files. Throws on a malformed entry: a wrong shipped file is a bug, caught by the integrity test. */
export function buildLibrary(source: LibrarySource): Library {
  return {
    stages: z
      .array(StageSchema)
      .parse(source.stages)
      .map((stage) => ({ ...stage, family: familyOf(stage.id) })),
    checks: z.array(CheckSchema).parse(source.checks),
    faults: z.array(FaultSchema).parse(source.faults),
    warmups: z.array(BlockSchema).parse(source.warmups),
    counterposes: z.array(BlockSchema).parse(source.counterposes),
    setups: z.array(SetupEntrySchema).parse(source.setups),
  }
}

let shipped: Library | undefined

/** The shipped practice, validated once. */
export function library(): Library {
  shipped ??= buildLibrary(SHIPPED)
  return shipped
}

/** Finds by id; a missing id is a bug in the data. */
export function findById<T extends { id: string }>(list: readonly T[], id: string): T {
  const found = list.find((item) => item.id === id)
  if (!found) throw new Error(`no entry ${id} in the practice`)
  return found
}

function familyOf(stageId: string): Family {
  const family = FAMILIES.find((code) => stageId.startsWith(`${code}-`))
  if (!family) throw new Error(`no family for ${stageId}`)
  return family
}
