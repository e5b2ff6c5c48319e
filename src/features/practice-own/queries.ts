import 'server-only'
import { shiftsBetween } from '@/core/approaches/preview'
import { addDays, formatDay } from '@/core/day'
import { findEntry } from '@/core/library/entries'
import { findById } from '@/core/practice/find'
import { fieldsOf, OVERRIDABLE, type Overridable, type Override } from '@/core/practice/override'
import { count, plain } from '@/core/words/number'
import { OUTCOME_WORD } from '@/core/words/outcome'
import { fieldName } from '@/core/words/own-practice'
import { comingSince } from '@/db/classes'
import { activeOverrides, overrideHistory, type OverrideEntry } from '@/db/overrides'
import { listNames } from '@/db/students'
import type { Context } from '../context'
import { BOARD } from '../desk/families'
import { judgeOf } from '../desk/judge'
import { practiceWith } from '../practice'

export type OwnField = {
  key: string
  label: string
  kind: 'text' | 'number'
  /** As it stands here now. */
  value: string
  practice: string
  /** How far it may move, in words. */
  range: string
}
export type OwnView = {
  kind: Overridable
  id: string
  fields: OwnField[]
  isOwn: boolean
  history: { id: string; when: string; what: string }[]
}

/** What of an entry this studio may say or ask in its own way; null where nothing of it is. */
export function ownView(ctx: Context, id: string): OwnView | null {
  const { practice, scope, studio } = ctx
  const entry = findEntry(practice, id)
  const kind = OVERRIDABLE.find((k) => k === entry?.kind)
  if (!entry || !kind) return null
  const own = activeOverrides(scope).find((o) => o.kind === kind && o.id === id)?.fields ?? {}
  const when = new Intl.DateTimeFormat('en-GB', {
    timeZone: studio.timeZone,
    dateStyle: 'medium',
    timeStyle: 'short',
  })
  return {
    ...{ kind, id, isOwn: Object.keys(own).length > 0 },
    fields: fieldsOf(kind, id).map((field) => ({
      key: field.key,
      label: fieldName(practice, field.key),
      kind: field.kind,
      value: String(own[field.key] ?? field.practice),
      practice: String(field.practice),
      range: field.kind === 'number' ? `${plain(field.min)} to ${plain(field.max)}` : '',
    })),
    history: overrideHistory(scope, id)
      .toReversed()
      .map((e) => ({
        id: e.id,
        when: `${when.format(e.atMs)}${e.by === '' ? '' : `, ${e.by}`}`,
        what: saidOf(ctx, e),
      })),
  }
}

function saidOf({ practice }: Context, { fields, kind, target }: OverrideEntry): string {
  if (fields === null) return 'Back to the practice.'
  const was = new Map(fieldsOf(kind, target).map((f) => [f.key, f.practice]))
  return Object.entries(fields)
    .map(([key, value]) => `${fieldName(practice, key)}: ${value} in place of ${was.get(key) ?? '–'}`)
    .join('; ')
}

export type OwnPreview = { lines: string[]; asked: string }

/** Whoever came in the last six weeks is asked after: nobody else's next class is near. */
const LATELY_DAYS = 42

/** What a change would do, for whom; nothing is stored. */
export function previewOwn(
  ctx: Context,
  change: Override | { kind: Overridable; id: string; fields: null },
): OwnPreview {
  const { scope, practice, clock } = ctx
  const others = activeOverrides(scope).filter((o) => o.kind !== change.kind || o.id !== change.id)
  const next = practiceWith(
    change.fields === null || Object.keys(change.fields).length === 0
      ? others
      : [...others, { kind: change.kind, id: change.id, fields: change.fields }],
  )
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
