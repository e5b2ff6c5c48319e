import 'server-only'
import { waysInForce, type InForce } from '@/core/approaches/effects'
import {
  clashesOf,
  hiddenStages,
  isSetAt,
  resolveApproaches,
  SCOPES,
  type Choices,
  type Layers,
  type Scope,
} from '@/core/approaches/resolve'
import { shiftsBetween } from '@/core/approaches/preview'
import { findById } from '@/core/practice/find'
import { FAMILIES, type Way } from '@/core/practice/schema'
import { describeClash, optionName, scopeWord } from '@/core/words/approach'
import { OUTCOME_WORD } from '@/core/words/outcome'
import { describeWay } from '@/core/words/way'
import { stageName } from '@/core/words/reason'
import { readApproaches } from '@/db/approaches'
import { classLines, findClass } from '@/db/classes'
import { findStudent, listNames } from '@/db/students'
import { formatDay } from '@/core/day'
import type { Context } from '../context'
import { judgeOfClass } from '../desk/class-judge'
import { judgeOf } from '../desk/judge'

export type OptionView = {
  readonly id: string
  readonly name: string
  readonly reason: string
  readonly cost: string
  /** What it does, a line a thing. */
  readonly does: readonly string[]
  readonly forbidden: boolean
}
export type QuestionView = {
  readonly id: string
  readonly question: string
  readonly options: readonly OptionView[]
  readonly inForce: string
  readonly from: string
  /** Set at this very scope, so that it can be taken back. */
  readonly own: boolean
}
export type ApproachPage = {
  readonly scope: Scope
  readonly scopeId: string
  readonly of: string
  readonly questions: readonly QuestionView[]
  readonly clashes: readonly { pair: string; text: string }[]
  readonly presets: readonly { id: string; name: string }[]
  readonly people: readonly { value: string; label: string }[]
  readonly classes: readonly { value: string; label: string }[]
}

/** The positions side by side for a teacher, a class or a student. Null where that class or person is gone. */
export function approachPage(ctx: Context, asked: string, scopeId: string): ApproachPage | null {
  const scope = SCOPES.find((s) => s === asked)
  if (!scope) return null
  const { practice } = ctx
  const of = scopeName(ctx, scope, scopeId)
  if (of === null) return null
  const book = readApproaches(ctx.scope)
  const { forbidden } = ctx.studio.floor
  const layers = layersAt(scope, scopeId, (s, id) => book.of(s, id))
  const resolved = resolveApproaches(practice, layers, forbidden)
  const own = book.of(scope, scopeId)
  return {
    scope,
    scopeId,
    of,
    questions: practice.approaches
      .filter((q) => isSetAt(practice, q.id, scope))
      .map((q) => {
        const now = resolved.get(q.id)
        return {
          id: q.id,
          question: q.question,
          inForce: now?.option ?? q.default,
          from: scopeWord(now?.from ?? 'default'),
          own: own[q.id] !== undefined,
          options: q.options.map((o) => ({
            id: o.id,
            name: optionName(o.id),
            reason: o.reason,
            cost: o.cost,
            does: practice.ways
              .filter((way) => way.of === `${q.id}:${o.id}`)
              .flatMap((way) => describeWay(practice, way, ctx.studio)),
            forbidden: forbidden.includes(`${q.id}:${o.id}`),
          })),
        }
      }),
    clashes: clashesOf(practice, resolved, othersIn(ctx, scope, scopeId)).map((c) => ({
      pair: [c.a, c.b].map((ref) => optionName(ref.split(':')[1] ?? '')).join(' with '),
      text: describeClash(c.problem),
    })),
    presets: practice.presets.map(({ id, name }) => ({ id, name })),
    people: listNames(ctx.scope).map((s) => ({ value: s.id, label: s.name })),
    classes: classLines(ctx.scope)
      .lines.filter((c) => c.day >= ctx.clock.today)
      .map((c) => ({ value: c.id, label: `${c.title}, ${formatDay(c.day)}` })),
  }
}

function scopeName(ctx: Context, scope: Scope, scopeId: string): string | null {
  if (scope === 'teacher') return 'every class'
  if (scope === 'class') return findClass(ctx.scope, scopeId)?.title ?? null
  return findStudent(ctx.scope, scopeId)?.name ?? null
}

/** What is in force at a scope: its own choices on those of the scopes above. */
function layersAt(scope: Scope, scopeId: string, of: (scope: Scope, id: string) => Choices): Layers {
  return {
    teacher: of('teacher', ''),
    ...(scope === 'class' ? { class: of('class', scopeId) } : {}),
    ...(scope === 'student' ? { student: of('student', scopeId) } : {}),
  }
}

/** What the others in the same class go by, for words that must not contradict each other. */
function othersIn(ctx: Context, scope: Scope, scopeId: string) {
  const judge = judgeAt(ctx, scope, scopeId)
  return affected(ctx, scope, scopeId).map((id) => judge.approaches(id))
}

/** Whoever judges at a scope: a class by its own day and ways. */
function judgeAt(ctx: Context, scope: Scope, scopeId: string) {
  const record = scope === 'class' ? findClass(ctx.scope, scopeId) : null
  return record ? judgeOfClass(ctx, record) : judgeOf(ctx)
}

/** Whom a choice at a scope can touch. */
export function affected(ctx: Context, scope: Scope, scopeId: string): readonly string[] {
  if (scope === 'student') return [scopeId]
  if (scope === 'class') return findClass(ctx.scope, scopeId)?.roster ?? []
  return listNames(ctx.scope).map((s) => s.id)
}

export type Preview = {
  readonly lines: readonly string[]
  readonly hides: readonly string[]
  /** What else it does from now on, and what it no longer does. */
  readonly does: readonly string[]
}

/** What the ways in force would begin to do, and cease to do. */
function wayChanges({ practice, studio }: Context, now: InForce, then: InForce): string[] {
  const [before, after] = [waysInForce(practice, now), waysInForce(practice, then)]
  // What goes off the ladder is told stage by stage beside it.
  const lines = (ways: readonly Way[]): string[] =>
    ways.flatMap(({ hides: _hides, ...way }) => describeWay(practice, way, studio))
  return [
    ...lines(after.filter((way) => !before.includes(way))),
    ...lines(before.filter((way) => !after.includes(way))).map((line) => `No longer: ${line}`),
  ]
}

/** What a set of choices at a scope would change, for whom; nothing is stored. */
export function previewChoices(ctx: Context, scope: Scope, scopeId: string, choices: Choices): Preview {
  const { practice } = ctx
  const people = affected(ctx, scope, scopeId)
  const judge = judgeAt(ctx, scope, scopeId)
  const names = new Map(listNames(ctx.scope).map((s) => [s.id, s.name]))
  const tried = (stored: Layers): Layers => ({ ...stored, [scope]: { ...stored[scope], ...choices } })
  const all = (layers?: (stored: Layers) => Layers) =>
    people.flatMap((id) => FAMILIES.map((family) => judge.decide(id, family, layers ? { layers } : {})))
  const book = readApproaches(ctx.scope)
  const at = layersAt(scope, scopeId, (s, id) => book.of(s, id))
  const { forbidden } = ctx.studio.floor
  const now = resolveApproaches(practice, at, forbidden)
  const then = resolveApproaches(practice, tried(at), forbidden)
  const [before, after] = [hiddenStages(practice, now), hiddenStages(practice, then)]
  return {
    lines: shiftsBetween(all(), all(tried)).map(({ studentId, from, to }) => {
      const said = ({ outcome, targetId }: typeof from): string =>
        `${OUTCOME_WORD[outcome]}${targetId === null ? '' : `, ${findById(practice.stages, targetId).name}`}`
      return `${names.get(studentId) ?? ''}: from ${said(from)} to ${said(to)}.`
    }),
    does: wayChanges(ctx, now, then),
    hides: [
      ...[...after]
        .filter((id) => !before.has(id))
        .map((id) => `${stageName(practice, id)} goes off the ladder.`),
      ...[...before].filter((id) => !after.has(id)).map((id) => `${stageName(practice, id)} comes on to it.`),
    ],
  }
}
