import 'server-only'
import { findById } from '@/core/practice/find'
import type { Decision } from '@/core/readiness/decide'
import { nearestOf } from '@/core/readiness/mark'
import { FAMILY_NAMES } from '@/core/words/family'
import { count } from '@/core/words/number'
import { OUTCOME_WORD } from '@/core/words/outcome'
import { stageName } from '@/core/words/reason'
import { listGroups } from '@/db/groups'
import { listNames } from '@/db/students'
import type { Context } from '../context'
import { BOARD } from '../desk/families'
import { decisionIn, standings } from '../desk/standing'
import type { Line } from './review-queries'

/** A group as its page of progress shows it. */
export type GroupProgress = {
  readonly id: string
  readonly name: string
  readonly members: ReadonlySet<string>
  /** Where each of them stands on the ladder they work at, by name. */
  readonly stands: readonly Line[]
  /** What most of them are still asked for, the commonest first. */
  readonly asked: readonly { readonly check: string; readonly id: string; readonly text: string }[]
}

/** Checks that are told: more is no help in choosing what to drill. */
const MOST_ASKED = 5
/** Of one alone it is theirs, not the group's. */
const SHARED_BY = 2

/** Groups to choose from. */
export function groupChoices({ scope }: Context): { id: string; name: string }[] {
  return listGroups(scope).map(({ id, name }) => ({ id, name }))
}

/** One group; null where there is none of that id. */
export function groupProgress(ctx: Context, id: string): GroupProgress | null {
  const group = listGroups(ctx.scope).find((g) => g.id === id)
  if (!group) return null
  const members = new Set(group.members)
  const people = listNames(ctx.scope).filter((s) => members.has(s.id))
  const kept = standings(
    ctx,
    people.map((p) => p.id),
  )
  const working = people.flatMap((person) => {
    const own = kept.get(person.id)
    const nearest = own && nearestOf(BOARD.map((family) => decisionIn(own, family)))
    return nearest?.standing ? [{ person, nearest }] : []
  })
  const times = new Map<string, number>()
  for (const { nearest } of working)
    for (const check of new Set(nearest.missing.map((m) => m.gate.check)))
      times.set(check, (times.get(check) ?? 0) + 1)
  return {
    ...{ id, name: group.name, members },
    stands: working.map(({ person, nearest }) => ({ ...person, text: standsWords(ctx, nearest) })),
    asked: [...times]
      .filter(([, n]) => n >= SHARED_BY)
      .sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1))
      .slice(0, MOST_ASKED)
      .map(([check, n]) => ({
        ...{ id: check, check: findById(ctx.practice.checks, check).name },
        text: `still asked of ${n} of ${count(working.length, 'person', 'people')}`,
      })),
  }
}

function standsWords({ practice }: Context, { family, standing, targetId, outcome }: Decision): string {
  const at = standing ? stageName(practice, standing.stageId) : 'not placed yet'
  const next =
    targetId === null ? '' : `; next ${stageName(practice, targetId)}: ${OUTCOME_WORD[outcome].toLowerCase()}`
  return `${FAMILY_NAMES[family]}, ${at}${next}`
}
