import type { Brief, BriefPerson } from '../classes/brief'
import type { Change } from '../classes/change'
import { isFoot } from '../practice/after'
import { usedFor } from '../practice/ask'
import { COUNTED_KINDS } from '../props/stock'
import type { Library } from '../practice/library'
import type { Family, Stage } from '../practice/schema'
import { may, NO_CLOCK } from '../readiness/may'
import { ladderOf } from '../readiness/ladder'
import { withinOf, type Within } from '../readiness/within'
import { trackOf, weightOf } from './purposes'

/** Somebody as the planner sees them. */
export type Planned = {
  readonly studentId: string
  readonly weight: number
  readonly track: Family
  readonly lacks: Readonly<Record<string, number>>
  readonly waited: { readonly wall: number; readonly help: number }
  /** Families of the class of which something is open to them, as bits in its order. */
  readonly named: number
  readonly firstMonth: boolean
  readonly loopCm: number | null
  readonly weaker: BriefPerson['weaker']
  /** What they may do while others are up, dearest lack first; empty where rest is all. */
  readonly meanwhile: readonly string[]
}

/** Somebody with everything that their options follow from. */
export type Known = {
  readonly person: BriefPerson
  readonly planned: Planned
  readonly within: Within
  readonly held: ReadonlySet<string>
  readonly mayDo: ReadonlySet<string>
  /** Steps that the teacher chose for them: a studio’s own step stands in a plan by that alone. */
  readonly chosen: ReadonlySet<string>
  readonly aims: ReadonlyMap<Family, Stage | null>
  /** What was asked about a variant before: the same in every block. */
  readonly changes: Map<string, Change | null>
  readonly allowed: Map<string, boolean>
}

/** Reads somebody's reach, limits and lacks once for all blocks. */
export function knownFor(practice: Library, brief: Brief, person: BriefPerson): Known {
  const track = trackOf(person, brief.aim.families)
  const reach = person.families[track]
  const held = new Set<string>()
  const mayDo = new Set<string>()
  const ladder = ladderOf(practice, track)
  for (const [family, r] of Object.entries(person.families) as [
    Family,
    BriefPerson['families'][Family] & object,
  ][]) {
    for (const id of r.open) {
      const isHeld = r.standingId !== null && (id !== r.targetId || r.outcome === 'step-back')
      if (isHeld) held.add(id)
      // Nobody is advanced in two families: outside their own only what they hold, or what asks for nothing.
      const stage = practice.stages.find((s) => s.id === id)
      // The advanced go with the family whose ladder leads to them.
      const onward = family === track || (family === 'AD' && ladder.stages.some((s) => s.id === id))
      if (isHeld || onward || (stage && isFoot(stage))) mayDo.add(id)
    }
  }
  const limits = { caps: person.limits, answered: person.answered }
  const aims = new Map(
    brief.aim.families.map((f): [Family, Stage | null] => {
      const r = person.families[f]
      const open = practice.stages.filter((s) => s.like === undefined && r?.open.includes(s.id) === true)
      return [f, open.find((s) => s.id === r?.targetId) ?? open.at(-1) ?? null]
    }),
  )
  return {
    ...{ changes: new Map(), allowed: new Map() },
    person,
    held,
    mayDo,
    chosen: new Set(brief.locks.flatMap((l) => (l.studentId === person.studentId ? [l.stageId] : []))),
    aims,
    within: sparedNeck(withinOf(practice, held, limits, []), person),
    planned: {
      studentId: person.studentId,
      weight: weightOf(reach?.closeness ?? 0),
      track,
      lacks: reach?.lacks ?? {},
      waited: person.waited,
      named: brief.aim.families.reduce(
        (mask, f, i) => ((person.families[f]?.open.length ?? 0) > 0 ? mask | (1 << i) : mask),
        0,
      ),
      firstMonth: person.firstMonth,
      loopCm: person.loopCm,
      weaker: person.weaker,
      meanwhile: meanwhileFor(practice, person, reach?.lacks ?? {}),
    },
  }
}

/** While a check of the neck is missing anywhere, no drill lays anything on head or nape. */
function sparedNeck(within: Within, { families }: BriefPerson): Within {
  const short = Object.values(families).some((r) => (r.lacks.NK ?? 0) > 0)
  return short ? { ...within, most: { ...within.most, HB: 0, NF: 0 } } : within
}

/** Tasks for whoever waits fresh: lying shapes and presses, never more dolphin or plank (class-craft.md 8). */
function meanwhileFor(
  practice: Library,
  { limits, answered }: BriefPerson,
  lacks: Readonly<Record<string, number>>,
): string[] {
  const worth = (id: string): number =>
    Object.entries(practice.drills.find((d) => d.id === id)?.for ?? {}).reduce(
      (sum, [c, level]) => sum + (lacks[c] ?? 0) * level,
      0,
    )
  return usedFor(practice, 'wait')
    .filter((id) => {
      const drill = practice.drills.find((d) => d.id === id)
      const { open, change } = drill
        ? may(drill.load, { caps: limits, answered }, NO_CLOCK)
        : { open: false, change: null }
      // Nobody stands beside whoever waits: what a limit changes there nobody would see to, and what needs a piece would
      // be taken from somebody who is up.
      const needs = drill?.props.some((prop) => (COUNTED_KINDS as readonly string[]).includes(prop)) ?? false
      return open && change === null && !needs
    })
    .toSorted((a, b) => worth(b) - worth(a))
}
