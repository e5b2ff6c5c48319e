import 'server-only'
import { formatDay } from '@/core/day'
import type { Picture } from '@/core/figure/picture'
import { pictureFor } from '@/core/figure/picture-of'
import { findById } from '@/core/practice/find'
import { partsOfDose, type DosePart } from '@/core/practice/dose-run'
import { othersFor } from '@/core/sequence/compose'
import { heldToday } from '@/core/sequence/today'
import { secondsOf, type Part, type SequenceItem } from '@/core/sequence/sequence'
import { describeDose, timeWords } from '@/core/words/dose'
import { count, list } from '@/core/words/number'
import { stageName } from '@/core/words/reason'
import { closedWords, GONE_WORDS, PART_WORDS } from '@/core/words/sequence'
import { describeChange } from '@/core/words/plan'
import { findSequence, listSequences } from '@/db/sequences'
import { listNames, studentsByIds } from '@/db/students'
import { anyBody, bodyOfStudent } from '../body'
import type { Context } from '../context'
import { sequenceAsked } from './asked'

/** A sequence in a list. */
export type SequenceLine = { readonly id: string; readonly name: string; readonly text: string }

/** One thing of a sequence as it is read and run. */
export type SequenceItemView = {
  readonly at: number
  /** Of the practice: what a record of it is kept under. */
  readonly drillId: string
  readonly part: Part
  readonly partWord: string
  readonly name: string
  readonly how: string
  readonly do: string
  readonly lookFor: string
  readonly picture: Picture | null
  /** Why it is left out today; empty where it is open to everybody. */
  readonly closed: string
  /** How a limit changes it for somebody, a line each; empty on a private screen. */
  readonly changed: readonly string[]
  /** What could stand in its place. */
  readonly others: readonly { readonly value: string; readonly label: string }[]
  readonly sets: number | null
  readonly parts: readonly DosePart[]
}

export type SequenceView = {
  readonly id: string
  readonly name: string
  readonly people: readonly { readonly id: string; readonly name: string }[]
  readonly lead: string
  readonly items: readonly SequenceItemView[]
}

/** Every kept sequence, and everybody that a new one may be for. */
export function sequenceList(ctx: Context): {
  lines: SequenceLine[]
  people: { value: string; label: string }[]
} {
  const people = listNames(ctx.scope).map(({ id, name }) => ({ value: id, label: name }))
  const nameOf = new Map(people.map((p) => [p.value, p.label]))
  return {
    people,
    lines: listSequences(ctx.scope).map(({ id, name, people: whose, doc, madeDay }) => ({
      ...{ id, name },
      text: `${whoseWords(whose.flatMap((p) => nameOf.get(p) ?? []))}: about ${minutesOf(doc.items)}, made ${formatDay(madeDay)}`,
    })),
  }
}

function whoseWords(names: readonly string[]): string {
  return names.length === 0 ? 'for nobody any more' : list(names)
}

function minutesOf(items: readonly SequenceItem[]): string {
  return count(Math.round(secondsOf(items) / 60), 'minute')
}

/** One sequence, judged by what is open today; null where it is not there. */
export function sequenceView(ctx: Context, id: string): SequenceView | null {
  const { practice, scope, privacy } = ctx
  const kept = findSequence(scope, id)
  if (!kept) return null
  const students = studentsByIds(scope, kept.people)
  const asked = sequenceAsked(ctx, students, kept.doc.minutes)
  const [only, ...more] = students
  const body = (more.length === 0 && only ? bodyOfStudent(only) : null) ?? anyBody()
  const items = kept.doc.items.map((asKept, at): SequenceItemView => {
    const told = toldOf(ctx, asKept)
    const { item, shutTo, changes } = heldToday(practice, asked, asKept)
    const name = (i: number): string => students[i]?.name ?? ''
    const closed = told ? closedWords(shutTo.map(name), privacy.hidden) : GONE_WORDS
    return {
      drillId: item.id,
      ...{ at, part: item.part, partWord: PART_WORDS[item.part], closed, sets: item.dose?.sets ?? null },
      ...{ name: told?.name ?? item.id, do: told?.do ?? '', lookFor: told?.lookFor ?? '' },
      how: item.dose
        ? describeDose({ ...item.dose, breaths: null, cap: null, note: '' })
        : item.part === 'check'
          ? 'Only while the arms are fresh: push first, and leave it out when they are not.'
          : `${timeWords(item.seconds)}.`,
      picture: told ? pictureFor(practice, item.id, body) : null,
      others: (students.length === 0 ? [] : othersFor(practice, asked, kept.doc, at)).map((value) => ({
        value,
        label: findById(practice.drills, value).name,
      })),
      parts: partsOf(item),
      changed: privacy.hidden
        ? []
        : changes.map(({ at: i, change }) => `${name(i)}: ${describeChange(change)}`),
    }
  })
  const towards = practice.stages.find((s) => s.id === kept.doc.towards)
  return {
    ...{ id, name: kept.name, items },
    people: students.map((s) => ({ id: s.id, name: s.name })),
    lead: [
      whoseWords(students.map((s) => s.name)),
      `about ${minutesOf(kept.doc.items)}`,
      ...(towards ? [`towards ${stageName(practice, towards.id).toLowerCase()}`] : []),
    ].join(', '),
  }
}

function partsOf({ dose, seconds }: SequenceItem): DosePart[] {
  if (dose) return partsOfDose({ ...dose, breaths: null, cap: null, note: '' })
  return [{ kind: 'hold', set: 1, side: null, seconds }]
}

type Told = { readonly name: string; readonly do: string; readonly lookFor: string }

function toldOf({ practice }: Context, { id, part }: SequenceItem): Told | null {
  if (part === 'check') {
    const check = practice.checks.find((c) => c.id === id)
    return check ? { name: check.name, do: check.run, lookFor: '' } : null
  }
  const drill = practice.drills.find((d) => d.id === id)
  if (drill) return drill
  const rest = practice.counterposes.find((c) => c.id === id)
  return rest ? { name: rest.name, do: rest.do, lookFor: '' } : null
}
