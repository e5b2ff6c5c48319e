import type { BriefPerson } from '../classes/brief'
import { changeOn } from '../classes/change'
import type { Doing, Rung } from '../classes/plan'
import { openAsItIs } from '../classes/step-of'
import { isOpenStage } from '../readiness/allowed'
import type { Library } from '../practice/library'
import { RUNGS, type Family, type LoadTag } from '../practice/schema'
import { withPredecessors } from '../readiness/ladder'
import type { Variant } from './variants'

/** From so many turns on, one and two of them are passed on rungs below: most are on what is worked at. */
export const [ONE_FROM, TWO_FROM] = [3, 5]

const known = new WeakMap<readonly Variant[], readonly (readonly number[])[]>()

/**
 * By variant: what may be passed on the way to it (hour.md 1). Rungs of its own path that ask for nothing it does not: no
 * load beyond its own, no attempt, no piece or place that is not there already. So whoever is kept on one takes nothing
 * from anybody, and nothing has to be warmed up, unloaded or watched beyond what the way's end asks for.
 */
export function passableOn(practice: Library, variants: readonly Variant[]): readonly (readonly number[])[] {
  const before = known.get(variants)
  if (before) return before
  const stages = new Map(practice.stages.map((s) => [s.id, s]))
  const made = variants.map((top): number[] => {
    const stage = stages.get(top.id)
    if (!stage || stage.like !== undefined || stage.rests === true) return []
    const way = withPredecessors(practice.stages, top.id)
    return variants.flatMap((v, at) => {
      const rung = stages.get(v.id)
      const isOn = v.id !== top.id && rung !== undefined && rung.like === undefined && way.has(v.id)
      return isOn && isWithin(v, top) ? [at] : []
    })
  })
  known.set(variants, made)
  return made
}

function isWithin(rung: Variant, top: Variant): boolean {
  const { load } = top
  const lighter = Object.entries(rung.load).every(
    ([tag, level]) => typeof level !== 'number' || level <= (load[tag as LoadTag] ?? 0),
  )
  const spares = rung.tires.every((tired, joint) => tired <= (top.tires[joint] ?? 0))
  const stands = rung.stands === 'mat' || rung.stands === top.stands
  const has = rung.bill.every(({ kind, count }) => top.bill.some((b) => b.kind === kind && b.count >= count))
  const plain = rung.tries === 0 && !rung.helped && !rung.rig && !rung.stays
  const nothingMore = (rung.warm & ~top.warm) === 0 && (rung.owes & ~top.owes) === 0
  return lighter && spares && stands && has && plain && nothingMore && rung.points <= top.points
}

/** By variant: how high it stands on its ladder, 0 at the foot. */
export function rungsOf(practice: Library, variants: readonly Variant[]): number[] {
  const at = new Map(practice.stages.map((s) => [s.id, RUNGS.indexOf(s.rung)]))
  return variants.map(({ id }) => at.get(id) ?? 0)
}

/** The rungs of a climb that are still open as they are to somebody, while most of their turns are left for its end. */
export function stillClimbed(
  practice: Library,
  person: BriefPerson,
  { climb, turns }: Doing,
): readonly Rung[] {
  const limits = { caps: person.limits, answered: person.answered }
  return climb
    .filter(({ variantId }) => {
      const stage = practice.stages.find((s) => s.id === variantId)
      return stage !== undefined && isOpenStage(practice, limits, stage) && changeOn(stage, limits) === null
    })
    .slice(0, turns >= TWO_FROM ? 2 : turns >= ONE_FROM ? 1 : 0)
}

/**
 * Whether somebody may be on a rung on the way to what they do, or after it: it is open to them as it is, and not what is
 * offered to them in another family than the one they are advanced in (ruling 16).
 * @param track the family they are advanced in
 */
export function mayClimbTo(person: BriefPerson, track: Family, stageId: string): boolean {
  const isNewElsewhere = Object.entries(person.families).some(
    ([family, r]) => family !== track && r.targetId === stageId && r.outcome !== 'step-back',
  )
  return openAsItIs(person, stageId) && !isNewElsewhere
}
