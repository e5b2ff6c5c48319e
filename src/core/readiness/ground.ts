import type { Day } from '../day'
import { findById } from '../practice/find'
import type { Library } from '../practice/library'
import { FAMILIES, type Family } from '../practice/schema'
import { foldEvidence, type Evidence } from './evidence'
import { ladderOf, stepsBelow, type Ladder } from './ladder'
import { needsLook } from './offers'
import { asShown } from './shown'
import { painAfterWork, setbacksOf, type PainAfterWork, type Setback } from './setback'
import { footingOf, type Base, type Layoff, type Standing } from './standing'

/** What somebody stands on in one family. */
export type FamilyGround = {
  readonly ladder: Ladder
  readonly standing: Standing | null
  /** Stages behind them by this family's work, in whichever family they stand: what they may be given. */
  readonly credited: ReadonlySet<string>
  /** The same with all that a placing by eye says of where they are, high falls and weight on the head among it. */
  readonly reached: ReadonlySet<string>
  /** The part of it that was shown, not seen by eye alone. */
  readonly proven: ReadonlySet<string>
  /** Why to go back and where to, where there is a standing to go back from. */
  readonly back: {
    readonly reason: Setback | PainAfterWork | Layoff
    readonly targetId: string
    /** The stage that is left. */
    readonly from: string
  } | null
  /** Setbacks that are not over yet, at any stage of the family: nothing further is offered before. */
  readonly setbacks: readonly Setback[]
}

/** What somebody stands on in all families: what is shown in one counts in every other that asks for it (ruling 18). */
export type Ground = {
  readonly evidence: Evidence
  readonly in: (family: Family) => FamilyGround
  readonly credited: ReadonlySet<string>
  readonly reached: ReadonlySet<string>
  readonly proven: ReadonlySet<string>
}

/** The ground of all families as of a day; made once for a person's evidence, since six families ask for the same. */
export function groundOf(practice: Library, allEvidence: Evidence, asOf: Day): Ground {
  const known = grounds.get(allEvidence)
  if (known?.asOf === asOf && known.practice === practice) return known.ground
  const ground = makeGround(practice, asShown(practice, foldEvidence(allEvidence, asOf), asOf), asOf)
  grounds.set(allEvidence, { practice, asOf, ground })
  return ground
}

const grounds = new WeakMap<
  Evidence,
  { readonly practice: Library; readonly asOf: Day; readonly ground: Ground }
>()

function makeGround(practice: Library, evidence: Evidence, asOf: Day): Ground {
  const families = new Map(FAMILIES.map((family) => [family, groundIn(practice, family, evidence, asOf)]))
  const all = [...families.values()]
  return {
    evidence,
    in: (family) => families.get(family) ?? groundIn(practice, family, evidence, asOf),
    credited: new Set(all.flatMap((ground) => [...ground.credited])),
    reached: new Set(all.flatMap((ground) => [...ground.reached])),
    proven: new Set(all.flatMap((ground) => [...ground.proven])),
  }
}

function groundIn(practice: Library, family: Family, evidence: Evidence, asOf: Day): FamilyGround {
  const ladder = ladderOf(practice, family)
  const { standing, bases, topId, layoff } = footingOf(ladder, evidence, asOf)
  const setbacks = setbacksOf(ladder, evidence, practice.faults, asOf)
  const ownAt = (stageId: string): Setback | PainAfterWork | null =>
    setbacks.find((s) => ladder.beneath(stageId).has(s.stageId)) ??
    painAfterWork(practice, evidence, findById(practice.stages, stageId), asOf)
  /** A stage that rests on one with a setback is one rung further off. */
  const left = (stageId: string): string => (ownAt(stageId) ? stepsBelow(ladder.stages, stageId, 1) : stageId)
  // A step back leads along the usual branch, which need not be the one they came by: nothing is credited by falling back.
  const behind = (of: readonly Base[]): ReadonlySet<string> =>
    new Set(
      of.flatMap(({ stageId, shownAt }) => {
        const shown = ladder.credits(shownAt)
        return [...ladder.credits(left(stageId))].filter((id) => shown.has(id))
      }),
    )
  const byWork = behind(bases.filter((b) => b.by === 'clean-days'))
  const reached = behind(bases)
  const reason = topId === null ? null : (ownAt(topId) ?? layoff)
  return {
    ladder,
    standing,
    // By eye alone nothing is given that falls high or lays weight on the head: that is held once it was done, or dealt when
    // the teacher looked at it and tapped it (rulings 16 and 26).
    credited: new Set(
      [...reached].filter((id) => byWork.has(id) || !needsLook(findById(practice.stages, id))),
    ),
    reached,
    proven: byWork,
    back:
      reason && topId !== null ? { reason, targetId: left(topId), from: standing?.stageId ?? topId } : null,
    setbacks,
  }
}
