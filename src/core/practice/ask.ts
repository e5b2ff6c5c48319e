import { answersTo } from './after'
import type { Library } from './library'
import type { Family, Load, PracticeBlock, ReadinessCheck, Stage } from './schema'
import type { ClassUse } from './schema-pictures'

/** Whether a check is done and typed in: not what a plan or tonight decides, nor what is read from tries. */
export function isTyped({ life, shownOn }: Pick<ReadinessCheck, 'life' | 'shownOn'>): boolean {
  return life === 'standing' && shownOn === undefined
}

/** Whether a stage calls for a warm-up or counterpose: by the level of a load it carries, or by name. */
export function callsFor(stage: Pick<Stage, 'id' | 'load'>, block: PracticeBlock): boolean {
  return (
    block.for.some(({ tag, level }) => (stage.load[tag] ?? 0) >= level) ||
    block.stages.some((name) => answersTo(stage.id, name))
  )
}

/** Whether it is an attempt: both feet leave the floor, or the head takes weight (class-craft.md 9). */
export function isTry({ FR = 0, HB = 0, HBH = 0 }: Load): boolean {
  return FR >= 2 || HB >= 2 || HBH >= 3
}

/** Families that are kicked or hopped into; the others are left by rolling, sliding or stepping. */
const KICKED: readonly Family[] = ['FS', 'HS', 'HD', 'AD']

/** What a kick or hop of medium fall or more takes off from, forearms or hands; null where nothing is kicked. */
export function kicksFrom({
  family,
  load: { FR = 0, FB = 0, WB = 0 },
}: {
  readonly family: Family | null
  readonly load: Load
}): 'FB' | 'WB' | null {
  if (FR < 2 || (family !== null && !KICKED.includes(family))) return null
  return FB >= WB ? 'FB' : 'WB'
}

/** Drills that prepare the same as one of a warm-up: the others of every group it belongs to. */
export function othersFor({ warmups }: Library, drillId: string): string[] {
  const groups = warmups.flatMap((w) => w.must.filter((m) => m.from.includes(drillId)).flatMap((m) => m.from))
  return [...new Set(groups)].filter((id) => id !== drillId)
}

/** What a class uses for something. */
export function usedFor({ classUse }: Library, use: ClassUse): readonly string[] {
  return classUse.find((u) => u.use === use)?.of ?? []
}
