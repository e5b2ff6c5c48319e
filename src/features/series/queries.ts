import 'server-only'
import { addDays, formatDay, shortDay } from '@/core/day'
import { findById } from '@/core/practice/find'
import { FAMILIES, type Family } from '@/core/practice/schema'
import { betterIn, proposeFocus, weekAt, weekOf } from '@/core/progress/series'
import { foldEvidence } from '@/core/readiness/evidence'
import { ladderOf } from '@/core/readiness/ladder'
import { FAMILY_NAMES } from '@/core/words/family'
import { count } from '@/core/words/number'
import { stageName } from '@/core/words/reason'
import { classLines } from '@/db/classes'
import { listGroups } from '@/db/groups'
import { findSeries, listSeries, type Series } from '@/db/series'
import { listNames } from '@/db/students'
import type { Context } from '../context'
import { judgeOf, type Judge } from '../desk/judge'
import { decisionIn, standings } from '../desk/standing'

/** A series in a list. */
export type SeriesLine = { readonly id: string; readonly name: string; readonly text: string }

/** Somebody with what got better in a week. */
export type Moved = { readonly id: string; readonly name: string; readonly text: string }

/** One week: what it is about, its classes, and what moved. */
export type WeekView = {
  readonly at: number
  readonly when: string
  readonly state: 'past' | 'now' | 'to-come'
  readonly focus: string | null
  readonly classes: readonly { readonly id: string; readonly label: string }[]
  readonly moved: readonly Moved[]
}

export type SeriesView = Series & {
  readonly group: string
  readonly familyName: string
  /** How many come, in words. */
  readonly members: string
  readonly weeks: readonly WeekView[]
  /** Checks that a week may be about. */
  readonly checks: readonly { readonly value: string; readonly label: string }[]
}

/** Every series with where it stands, and what a new one is chosen from. */
export function seriesList(ctx: Context): {
  lines: SeriesLine[]
  groups: { value: string; label: string; towards: Family }[]
  families: { value: Family; label: string }[]
} {
  const groups = listGroups(ctx.scope)
  return {
    groups: groups.map((g) => ({ value: g.id, label: g.name, towards: towards(ctx, g.members) })),
    families: OFFERED.map((value) => ({ value, label: FAMILY_NAMES[value] })),
    lines: listSeries(ctx.scope).map((s) => {
      const at = weekAt(s.firstDay, s.focus.length, ctx.clock.today)
      const where =
        at < 0
          ? `begins ${formatDay(s.firstDay)}`
          : at >= s.focus.length
            ? 'over'
            : `week ${at + 1} of ${s.focus.length}`
      const group = groups.find((g) => g.id === s.groupId)?.name ?? ''
      return { id: s.id, name: s.name, text: `${group}, ${FAMILY_NAMES[s.family]}: ${where}` }
    }),
  }
}

/** The family in which most of a group have something before them: what a series of theirs may be about. */
function towards(ctx: Context, members: readonly string[]): Family {
  const standing = standings(ctx, members)
  const held = (family: Family): number =>
    members.filter((id) => {
      const own = standing.get(id)
      return own !== undefined && decisionIn(own, family).missing.length > 0
    }).length
  return OFFERED.reduce((best, family) => (held(family) > held(best) ? family : best), OFFERED[0] ?? 'FS')
}

/** Families with a ladder of their own from the floor. */
const OFFERED = FAMILIES.filter((f) => f !== 'AD')

/** What each week of a new series would be about, for a group as it stands today. */
export function proposedFocus(ctx: Context, members: readonly string[], family: Family, weeks: number) {
  const standing = standings(ctx, members)
  const missing = members.map((id) => {
    const own = standing.get(id)
    // Holds and rehearsals of the way out are asked in their own time; a week is about what can be practised.
    return own ? decisionIn(own, family).missing.map((m) => m.gate.check) : []
  })
  return proposeFocus(missing, weeks)
}

/** One series, week by week: what each is about, and what moved in those that are past. */
export function seriesView(ctx: Context, id: string): SeriesView | null {
  const { scope, practice, clock } = ctx
  const found = findSeries(scope, id)
  if (!found) return null
  const group = listGroups(scope).find((g) => g.id === found.groupId)
  const members = group?.members ?? []
  const names = new Map(listNames(scope).map((s) => [s.id, s.name]))
  const judge = judgeOf(ctx)
  const now = weekAt(found.firstDay, found.focus.length, clock.today)
  const last = weekOf(found.firstDay, found.focus.length - 1).to
  const held = classLines(scope, addDays(last, 1), 200).lines.filter((c) => c.day >= found.firstDay)
  return {
    ...found,
    group: group?.name ?? 'a group that is gone',
    familyName: FAMILY_NAMES[found.family],
    members: count(members.length, 'person', 'people'),
    weeks: found.focus.map((focus, at) => {
      const week = weekOf(found.firstDay, at)
      return {
        at,
        when: `${shortDay(week.from)} to ${shortDay(week.to)}`,
        state: at < now ? 'past' : at === now ? 'now' : 'to-come',
        focus: focus === null ? null : (practice.checks.find((c) => c.id === focus)?.name ?? null),
        classes: held
          .filter((c) => c.day >= week.from && c.day <= week.to)
          .map((c) => ({ id: c.id, label: `${c.title}, ${formatDay(c.day)}` })),
        moved:
          at > now
            ? []
            : members.flatMap((m) => movedIn(ctx, judge, { id: m, name: names.get(m) }, found, at)),
      }
    }),
    checks: ladderOf(practice, found.family)
      .stages.flatMap((s) => s.gates.map((g) => g.check))
      .filter((check, i, all) => all.indexOf(check) === i)
      .map((check) => ({ value: check, label: findById(practice.checks, check).name }))
      .toSorted((a, b) => a.label.localeCompare(b.label)),
  }
}

function movedIn(
  { practice, clock }: Context,
  judge: Judge,
  { id, name }: { id: string; name: string | undefined },
  { family, firstDay, focus }: Series,
  at: number,
): Moved[] {
  if (name === undefined) return []
  const week = weekOf(firstDay, at)
  const to = week.to < clock.today ? week.to : clock.today
  const standingOn = (asOf: string): string | null =>
    judge.decide(id, family, { asOf }).standing?.stageId ?? null
  const [before, after] = [standingOn(addDays(week.from, -1)), standingOn(to)]
  const order = ladderOf(practice, family).stages.map((s) => s.id)
  const texts: string[] = []
  if (after !== null && before !== after)
    texts.push(
      before !== null && order.indexOf(after) < order.indexOf(before)
        ? `back to ${stageName(practice, after)}`
        : `now at ${stageName(practice, after)}`,
    )
  const check = practice.checks.find((c) => c.id === focus[at])
  const better = check
    ? betterIn(check, foldEvidence(judge.evidence(id), clock.today).observations, week)
    : null
  if (check && better) texts.push(`${check.name}: ${better.before} to ${better.now}${unitOf(check.unit)}`)
  return texts.length === 0 ? [] : [{ id, name, text: texts.join('; ') }]
}

function unitOf(unit: string): string {
  return unit === '' || unit === 'yes-no' ? '' : ` ${unit}`
}
