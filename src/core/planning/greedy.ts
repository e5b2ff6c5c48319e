import { ok, refused, type Result } from '../result'
import type { Library } from '../practice/library'
import { findById } from '../practice/find'
import { callsFor } from '../practice/ask'
import type { Family, PracticeBlock } from '../practice/schema'
import type { Brief } from '../classes/brief'
import { CLASS_MINUTES, MOST_VERSIONS, WARM_UP_SHARE } from '../classes/craft'
import type { Plan, PlanBlock, PlanWarning, PropCount, Version } from '../classes/plan'
import { assignVersions } from './versions'
import { planWaves } from './waves'

export type PlanRefusal =
  | { code: 'too-few-people'; people: number; least: number }
  | { code: 'minutes-out-of-range'; minutes: number; min: number; max: number }
  | { code: 'no-bays' }

/** A class plan needs company: pairs and waves make no sense below this. */
const LEAST_PEOPLE = 3
/** Rest lying down at the end, s: CP-savasana 3–12 min, the least of it in a half-hour class. */
const REST_S = 180
/** Of what is left between warm-up and counterpose, this share goes to the skill block and the rest to the wall. */
const SKILL_SHARE = 0.45

/** A first plan at once: warm-up for the loads to come, everyone's version of dolphin, waves at the wall, counterposes, rest. */
export function greedyPlan(practice: Library, brief: Brief, family: Family): Result<Plan, PlanRefusal> {
  const { minutes, people } = brief
  const { bays } = brief.room
  if (people.length < LEAST_PEOPLE)
    return refused({ code: 'too-few-people', people: people.length, least: LEAST_PEOPLE })
  if (!(minutes >= CLASS_MINUTES.min && minutes <= CLASS_MINUTES.max))
    return refused({ code: 'minutes-out-of-range', minutes, ...CLASS_MINUTES })
  if (bays < 1) return refused({ code: 'no-bays' })

  const skill = assignVersions(practice, brief, family, 'skill')
  const wall = assignVersions(practice, brief, family, 'waves')
  const versions = [...skill.versions, ...wall.versions]
  const totalS = minutes * 60
  const warm = fitted(due(practice, practice.warmups, versions), totalS * WARM_UP_SHARE)
  const counter = fitted(due(practice, practice.counterposes, versions), totalS / 6)
  const middleS = totalS - warm.seconds - counter.seconds - REST_S
  const skillS = roundTo(middleS * SKILL_SHARE, 30)

  const blocks: PlanBlock[] = [{ kind: 'warm-up', startS: 0, seconds: warm.seconds, items: warm.items }]
  blocks.push(skillBlock(warm.seconds, skillS, skill.versions))
  const wavesAt = warm.seconds + skillS
  const wavesS = middleS - skillS
  const rungOf = (id: string): number => practice.stages.findIndex((stage) => stage.id === id)
  const turnsOf = (id: string): number => turnsLeft(brief, wall.versions, id)
  const waves = planWaves(wall.versions, bays, wavesS, wavesAt, rungOf, turnsOf)
  blocks.push({ kind: 'waves', startS: wavesAt, seconds: wavesS, versions: wall.versions, ...waves })
  blocks.push({
    kind: 'counterpose',
    startS: wavesAt + wavesS,
    seconds: counter.seconds,
    items: counter.items,
  })
  blocks.push({ kind: 'rest', startS: totalS - REST_S, seconds: REST_S })

  return ok({
    version: 1,
    minutes,
    bays,
    blocks,
    pull: most(used(skill.versions), used(wall.versions)),
    warnings: warningsFor(brief, most(skill.needed, wall.needed), skill.versions, waves.sets, warm),
  })
}

/** Turns somebody may take: their own cap on attempts, and the share of it that a limit leaves. */
function turnsLeft({ people }: Brief, versions: readonly Version[], id: string): number {
  const most = people.find((p) => p.studentId === id)?.mostAttempts ?? Infinity
  const share = versions.find((v) => v.studentId === id)?.change?.share ?? 1
  return Math.floor(most * share)
}

function skillBlock(startS: number, seconds: number, versions: readonly Version[]): PlanBlock {
  // Thirty seconds of work and a minute and a half of rest is the usual set of class-craft.md 9, shortened to fit.
  const workS = 30
  const restS = 60
  return {
    kind: 'skill',
    startS,
    seconds,
    versions,
    workS,
    restS,
    sets: Math.max(1, Math.floor(seconds / (workS + restS))),
  }
}

/** Everything that somebody's stage calls for, each once: one block may serve several. */
function due(
  practice: Library,
  blocks: readonly PracticeBlock[],
  versions: readonly Version[],
): PracticeBlock[] {
  const stages = [...new Set(versions.map((v) => v.stageId))].flatMap((id) =>
    id === null ? [] : [findById(practice.stages, id)],
  )
  return blocks.filter((block) => stages.some((stage) => callsFor(stage, block)))
}

type Fitted = { items: { id: string; seconds: number }[]; seconds: number; wantedS: number }

/** All blocks that are due, shortened in proportion when they would take more than their part of the class. */
function fitted(blocks: readonly PracticeBlock[], limitS: number): Fitted {
  const wantedS = blocks.reduce((sum, block) => sum + block.minutes * 60, 0)
  const scale = Math.min(1, limitS / Math.max(1, wantedS))
  const items = blocks.map((block) => ({
    id: block.id,
    seconds: Math.max(30, Math.floor((block.minutes * 60 * scale) / 10) * 10),
  }))
  return { items, seconds: items.reduce((sum, item) => sum + item.seconds, 0), wantedS }
}

function used(versions: readonly Version[]): PropCount {
  return versions.reduce((sum, v) => ({ straps: sum.straps + v.straps, blocks: sum.blocks + v.blocks }), {
    straps: 0,
    blocks: 0,
  })
}

function most(a: PropCount, b: PropCount): PropCount {
  return { straps: Math.max(a.straps, b.straps), blocks: Math.max(a.blocks, b.blocks) }
}

function warningsFor(
  brief: Brief,
  needed: PropCount,
  versions: readonly Version[],
  sets: number,
  warm: Fitted,
): PlanWarning[] {
  const warnings: PlanWarning[] = []
  const stock = brief.cupboard
  if (needed.straps > stock.straps)
    warnings.push({ code: 'short-of-straps', needed: needed.straps, have: stock.straps })
  if (needed.blocks > stock.blocks)
    warnings.push({ code: 'short-of-blocks', needed: needed.blocks, have: stock.blocks })
  const different = new Set(versions.map((v) => v.stageId)).size
  if (different > MOST_VERSIONS)
    warnings.push({ code: 'too-many-versions', versions: different, limit: MOST_VERSIONS })
  if (sets < 1) warnings.push({ code: 'few-turns', sets })
  if (warm.seconds < warm.wantedS)
    warnings.push({ code: 'warm-up-trimmed', wantedS: warm.wantedS, givenS: warm.seconds })
  return warnings
}

function roundTo(seconds: number, step: number): number {
  return Math.round(seconds / step) * step
}
