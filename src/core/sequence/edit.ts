import type { Library } from '../practice/library'
import { ok, refused, type Result } from '../result'
import { around } from './around'
import { clash, dosed, othersFor, withSets, type SequenceAsked } from './compose'
import { isLimited } from './may'
import type { Sequence, SequenceItem } from './sequence'

/** What a teacher may change about what is worked at; what warms and unloads follows by itself. */
export type SequenceEdit =
  | { readonly kind: 'swap'; readonly at: number; readonly to: string }
  | { readonly kind: 'drop'; readonly at: number }
  | { readonly kind: 'move'; readonly at: number; readonly by: 1 | -1 }
  | { readonly kind: 'sets'; readonly at: number; readonly sets: number }

export type EditRefusal = {
  readonly code:
    'not-worked' | 'not-open' | 'last' | 'no-room' | 'same-joint' | 'too-many-sets' | 'more-than-open'
}

const MOST_SETS = 5

/** A changed sequence, by the rules it was composed by: open to everybody, and no joint at its hardest twice in a row. */
export function editSequence(
  practice: Library,
  asked: SequenceAsked,
  sequence: Sequence,
  edit: SequenceEdit,
): Result<Sequence, EditRefusal> {
  const item = sequence.items[edit.at]
  const worked = sequence.items.filter((i) => i.dose !== null)
  const at = item ? worked.indexOf(item) : -1
  if (!item?.dose) return refused({ code: 'not-worked' })
  const next = [...worked]
  if (edit.kind === 'swap') {
    const drill = practice.drills.find((d) => d.id === edit.to)
    if (!drill || !othersFor(practice, asked, sequence, edit.at).includes(edit.to))
      return refused({ code: 'not-open' })
    next[at] = dosed(item.part, drill, asked)
  } else if (edit.kind === 'drop') {
    if (worked.length === 1) return refused({ code: 'last' })
    next.splice(at, 1)
  } else if (edit.kind === 'move') {
    const other = worked[at + edit.by]
    if (!other) return refused({ code: 'no-room' })
    next[at] = other
    next[at + edit.by] = item
  } else {
    const why = setsRefused(practice, asked, item, edit.sets)
    if (why) return refused(why)
    next[at] = withSets(item, edit.sets)
  }
  return clashes(practice, next) && !clashes(practice, worked)
    ? refused({ code: 'same-joint' })
    : ok({ ...sequence, items: around(practice, asked, next) })
}

/** Why so many sets are not done; where a limit acts on anybody, no more than what it leaves. */
function setsRefused(
  practice: Library,
  asked: SequenceAsked,
  item: SequenceItem,
  sets: number,
): EditRefusal | null {
  if (sets < 1 || sets > MOST_SETS) return { code: 'too-many-sets' }
  const drill = practice.drills.find((d) => d.id === item.id)
  if (!drill || !isLimited(drill, asked)) return null
  return sets > (dosed(item.part, drill, asked).dose?.sets ?? 0) ? { code: 'more-than-open' } : null
}

function clashes(practice: Library, worked: readonly SequenceItem[]): boolean {
  const drills = worked.map(({ id }) => practice.drills.find((d) => d.id === id))
  return drills.some((drill, i) => drill !== undefined && clash(drills[i - 1], drill))
}
