import type { Stage } from './schema'

/** What a stage comes after: all of `all`, and of each group in `some` as many as it asks (progressions.md 1). */
export type After = Stage['after']

/** Whether a stage is the one named, or a branch of the rung named (`FS-10` is met by FS-10a). */
export function answersTo(stageId: string, name: string): boolean {
  return stageId === name || (/-\d\d$/.test(name) && stageId.replace(/[a-f]$/, '') === name)
}

/** Every stage or rung that is named, needed or one of several. */
export function namesIn({ all, some }: After): string[] {
  return [...all, ...some.flatMap((group) => group.of)]
}

/** Whether a stage asks for nothing at all, neither a check nor a stage before it: the foot of a ladder. */
export function isFoot(stage: Pick<Stage, 'gates' | 'after'>): boolean {
  return stage.gates.length === 0 && namesIn(stage.after).length === 0
}

/** Whether what holds of the stages named is enough: of all of `all`, and of enough of each group. */
export function enoughOf({ all, some }: After, has: (name: string) => boolean): boolean {
  return all.every(has) && some.every(({ least, of }) => of.filter(has).length >= least)
}

/** Whether the stages already behind somebody satisfy what a stage comes after. */
export function afterSatisfied({ after }: Pick<Stage, 'after'>, credited: ReadonlySet<string>): boolean {
  return enoughOf(after, (name) => [...credited].some((id) => answersTo(id, name)))
}
