import 'server-only'
import { reaches } from '@/core/access/roles'
import { shiftsBetween } from '@/core/approaches/preview'
import { addDays, formatDay } from '@/core/day'
import { findEntry } from '@/core/library/entries'
import { findById } from '@/core/practice/find'
import {
  fieldsOf,
  OVERRIDABLE,
  type Overridable,
  type Override,
  type OverrideField,
} from '@/core/practice/override'
import { baseOf, BUILDABLE, type Buildable } from '@/core/practice/own-entries'
import { choiceLabel } from '@/core/words/choice'
import { count, plain } from '@/core/words/number'
import { KIND_WORD } from '@/core/words/kinds'
import { OUTCOME_WORD } from '@/core/words/outcome'
import { fieldName } from '@/core/words/own-practice'
import { comingSince } from '@/db/classes'
import { activeOverrides, overrideHistory } from '@/db/overrides'
import { listNames } from '@/db/students'
import type { Context } from '../context'
import { BOARD } from '../desk/families'
import { judgeOf } from '../desk/judge'
import { practiceWith } from '../practice'
import { saidOf } from './said'

export type OwnField = {
  key: string
  label: string
  kind: 'text' | 'number'
  /** As it stands here now. */
  value: string
  practice: string
  /** How far it may move, in words. */
  range: string
  /** Words to pick from, each with the number that stands for it; null where it is typed. */
  choices: { value: string; label: string }[] | null
}
export type OwnView = {
  kind: Overridable
  id: string
  fields: OwnField[]
  isOwn: boolean
  /** Of one of their own: what it is built on, and whether it rests. */
  built: { on: string; onId: string; rests: boolean } | null
  /** What one of their own may be built with on this one; null where none may. */
  toBuild: { kind: Buildable; fields: OwnField[] } | null
  history: { id: string; when: string; what: string }[]
}

/** What of an entry this studio may say or ask in its own way; null where nothing of it is, or they may not. */
export function ownView(ctx: Context, id: string): OwnView | null {
  const { practice, scope, studio } = ctx
  const entry = findEntry(practice, id)
  const kind = OVERRIDABLE.find((k) => k === entry?.kind)
  if (!entry || !kind || !reaches(ctx.actor.role, 'desk')) return null
  const active = activeOverrides(scope).find((o) => o.kind === kind && o.id === id)
  const own = active?.fields ?? {}
  const buildable = BUILDABLE.find((k) => k === kind)
  const base = active ? baseOf(active) : null
  const asFields = (value: (field: OverrideField) => string, on = base): OwnField[] =>
    fieldsOf(kind, id, on).map((field) => ({
      ...{ key: field.key, kind: field.kind, practice: String(field.practice), value: value(field) },
      label: fieldName(practice, field.key),
      ...offered(field),
    }))
  const when = new Intl.DateTimeFormat('en-GB', {
    timeZone: studio.timeZone,
    dateStyle: 'medium',
    timeStyle: 'short',
  })
  return {
    ...{ kind, id, isOwn: Object.keys(own).length > 0 },
    fields: asFields((field) => String(own[field.key] ?? field.practice)),
    built:
      base === null
        ? null
        : { on: findEntry(practice, base)?.name ?? base, onId: base, rests: own.retired !== undefined },
    toBuild:
      buildable && base === null
        ? {
            kind: buildable,
            fields: asFields((field) => (NAMES.includes(field.key) ? '' : String(field.practice)), id),
          }
        : null,
    history: overrideHistory(scope, id)
      .toReversed()
      .map((e) => ({
        id: e.id,
        when: `${when.format(e.atMs)}${e.by === '' ? '' : `, ${e.by}`}`,
        what: saidOf(ctx, e),
      })),
  }
}

/** Everything that this studio says or asks in its own way, as it stands now; null for whoever may not change it. */
export function ownEntries(ctx: Context): OwnEntry[] | null {
  if (!reaches(ctx.actor.role, 'desk')) return null
  return activeOverrides(ctx.scope).flatMap(({ kind, id, fields }): OwnEntry[] => {
    const entry = findEntry(ctx.practice, id)
    if (!entry || Object.keys(fields).length === 0) return []
    return [
      { id, name: entry.name, kind: KIND_WORD[kind][0], what: saidOf(ctx, { kind, target: id, fields }) },
    ]
  })
}

export type OwnEntry = { id: string; name: string; kind: string; what: string }
export type OwnPreview = { lines: string[]; asked: string }

/** How far a field may move, or what there is to pick. */
function offered(field: OverrideField): Pick<OwnField, 'range' | 'choices'> {
  if (field.kind === 'text') return { range: '', choices: null }
  const { min, max, choices, unit = '' } = field
  if (!choices) return { range: `${plain(min)} to ${plain(max)} ${unit}`.trimEnd(), choices: null }
  return {
    range: '',
    choices: choices
      .map((choice, i) => ({ value: String(i), label: choiceLabel(choice) }))
      .filter(({ value }) => Number(value) >= min && Number(value) <= max),
  }
}

/** What one of their own is called is for them to say. */
const NAMES: readonly string[] = ['name', 'sanskrit']

/** Whoever came in the last six weeks is asked after: nobody else's next class is near. */
const LATELY_DAYS = 42

/** What a change would do, for whom; nothing is stored. */
export function previewOwn(
  ctx: Context,
  change: Override | { kind: Overridable; id: string; fields: null },
): OwnPreview {
  const others = activeOverrides(ctx.scope).filter((o) => o.kind !== change.kind || o.id !== change.id)
  return previewWith(
    ctx,
    change.fields === null || Object.keys(change.fields).length === 0
      ? others
      : [...others, { kind: change.kind, id: change.id, fields: change.fields }],
  )
}

/** What working by these overrides would do, for whom; nothing is stored. */
export function previewWith(ctx: Context, overrides: readonly Override[]): OwnPreview {
  const { scope, practice, clock } = ctx
  const next = practiceWith(overrides)
  const people = [...comingSince(scope, addDays(clock.today, -LATELY_DAYS), clock.today)]
  const names = new Map(listNames(scope).map((s) => [s.id, s.name]))
  const known = people.filter((id) => names.has(id))
  const all = (with_: typeof practice) => {
    const judge = judgeOf({ ...ctx, practice: with_ })
    return known.flatMap((id) => BOARD.map((family) => judge.decide(id, family)))
  }
  return {
    asked: `Asked of the ${count(known.length, 'person', 'people')} on a list since ${formatDay(addDays(clock.today, -LATELY_DAYS))}.`,
    lines: shiftsBetween(all(practice), all(next)).map(({ studentId, from, to }) => {
      const said = (d: typeof from, of: typeof practice): string =>
        `${OUTCOME_WORD[d.outcome]}${d.targetId === null ? '' : `, ${findById(of.stages, d.targetId).name}`}`
      return `${names.get(studentId) ?? ''}: from ${said(from, practice)} to ${said(to, next)}.`
    }),
  }
}
