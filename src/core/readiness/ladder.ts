import type { Stage } from '../practice/schema'

/** Whether a stage is the one named, or a branch of the rung named (`FS-10` is met by FS-10a). */
export function answersTo(stageId: string, name: string): boolean {
  return stageId === name || (/-\d\d$/.test(name) && stageId.replace(/[a-f]$/, '') === name)
}

/** Whether the stages already behind somebody satisfy what a stage comes after. */
export function afterSatisfied(stage: Stage, credited: ReadonlySet<string>): boolean {
  const has = (name: string): boolean => [...credited].some((id) => answersTo(id, name))
  const { all, any } = stage.after
  return all.every(has) && (any.length === 0 || any.some(has))
}

/** A stage and everything beneath it: clean work on a harder stage credits what leads to it. */
export function withPredecessors(stages: readonly Stage[], stageId: string): ReadonlySet<string> {
  const credited = new Set<string>()
  const visit = (id: string): void => {
    if (credited.has(id)) return
    credited.add(id)
    const stage = stages.find((s) => s.id === id)
    for (const name of [...(stage?.after.all ?? []), ...(stage?.after.any ?? [])])
      for (const before of stages.filter((s) => answersTo(s.id, name))) visit(before.id)
  }
  visit(stageId)
  return credited
}

/** Stages that name this one as what they come after, in ladder order. */
export function successorsOf(stages: readonly Stage[], stageId: string): Stage[] {
  return stages.filter((stage) =>
    [...stage.after.all, ...stage.after.any].some((name) => answersTo(stageId, name)),
  )
}

/** The step below: the first of the stages that this one comes after, which is the usual branch. */
export function predecessorOf(stages: readonly Stage[], stageId: string): Stage | null {
  const stage = stages.find((s) => s.id === stageId)
  if (!stage) return null
  const names = [...stage.after.all, ...stage.after.any]
  const before = stages.filter((s) => names.some((name) => answersTo(s.id, name)))
  return before[0] ?? null
}
