import type { Brief } from '../../classes/brief'
import { MOST_VERSIONS } from '../../classes/craft'
import type { Plan, PlanBlock } from '../../classes/plan'
import type { Library } from '../../practice/library'
import type { PracticeBlock, Stage } from '../../practice/schema'
import type { Violation } from './violation'

/** No more straps and blocks out at once than the cupboard holds, and none that the setup has no use for. */
export function stockKept(practice: Library, brief: Brief, plan: Plan): Violation[] {
  return plan.blocks.flatMap((block) =>
    (['straps', 'blocks'] as const).flatMap((kind) => {
      const have = brief.cupboard[kind]
      const needed = versionsIn(block).reduce((sum, version) => {
        const bill = practice.setups.find((s) => s.id === version.setupId)?.bill ?? []
        const called = bill
          .filter((line) => `${line.prop}s` === kind && !line.optional)
          .reduce((n, line) => n + line.count, 0)
        return sum + Math.max(version[kind], version[kind] > 0 ? called : 0)
      }, 0)
      return needed > have ? [{ code: 'stock-exceeded' as const, kind, needed, have }] : []
    }),
  )
}

/** Watch points: what is done side by side, and whether the plan owns up to too many. */
export function watched(plan: Plan): Violation[] {
  if (plan.warnings.some((w) => w.code === 'too-many-versions')) return []
  return plan.blocks.flatMap((block) => {
    const stages = new Set(versionsIn(block).map((v) => v.stageId))
    stages.delete(null)
    if (block.kind !== 'skill' || stages.size <= MOST_VERSIONS) return []
    return [{ code: 'unwatched' as const, versions: stages.size, most: MOST_VERSIONS }]
  })
}

/** Every load is prepared and countered. */
export function preparation(practice: Library, plan: Plan): Violation[] {
  const given = (kind: PlanBlock['kind']): ReadonlySet<string> =>
    new Set(plan.blocks.flatMap((b) => (b.kind === kind && 'items' in b ? b.items.map((i) => i.id) : [])))
  const warmed = given('warm-up')
  const countered = given('counterpose')
  const planned = new Set(plan.blocks.flatMap((block) => versionsIn(block).map((v) => v.stageId)))
  return practice.stages
    .filter((stage) => planned.has(stage.id))
    .flatMap((stage) => [
      ...practice.warmups
        .filter((block) => asks(block, stage) && !warmed.has(block.id))
        .map((b) => ({ code: 'load-without-warm-up' as const, stageId: stage.id, warmupId: b.id })),
      ...practice.counterposes
        .filter((block) => asks(block, stage) && !countered.has(block.id))
        .map((b) => ({ code: 'load-without-counterpose' as const, stageId: stage.id, counterposeId: b.id })),
    ])
}

function versionsIn(block: PlanBlock) {
  return 'versions' in block ? block.versions : []
}

/** A block is asked for by a load at its level or above, by a stage's id, or by the rung that the id belongs to. */
function asks(block: PracticeBlock, stage: Stage): boolean {
  const byLoad = block.for.some((need) => {
    const level = stage.load[need.tag]
    return level !== undefined && level >= need.level
  })
  return byLoad || block.stages.includes(stage.id) || block.stages.includes(stage.id.slice(0, 5))
}
