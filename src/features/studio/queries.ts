import 'server-only'
import { entriesOf } from '@/core/library/entries'
import { KIND_WORD } from '@/core/words/kinds'
import type { PaletteEntry } from '@/ui/shell/shell'
import { formatDay } from '@/core/day'
import { wearCheck, wearDue, type PropItem } from '@/core/props/inventory'
import { missingOnCard, type EmergencyCard } from '@/core/room/emergency'
import { EMPTY_ROOM, roomProblems, type Room } from '@/core/room/room'
import { CARD_LINES } from '@/core/words/emergency'
import { describeLoadFrom } from '@/core/words/load'
import { describeRoom } from '@/core/words/room'
import { listAssistants } from '@/db/assistants'
import { classLines } from '@/db/classes'
import { listProps } from '@/db/inventory'
import { listNames } from '@/db/students'
import type { Context } from '../context'

/** What the shell round every page needs: units, the studio's name, its clock. */
export function shellData({ studio, clock }: Context) {
  const { name: studioName, units, propNames, timeZone } = studio
  return { studioName, units, propNames, timeZone, nowMs: clock.nowMs }
}

/** People and classes for the palette: read when somebody opens it, not with every page. */
export function paletteEntries({ scope, practice }: Context): PaletteEntry[] {
  const people = listNames(scope).map((s) => ({
    label: s.name,
    description: 'Readiness and next step',
    href: `/readiness/${s.id}`,
  }))
  const classes = classLines(scope, null, 12).lines.map((c) => ({
    label: c.title,
    description: `Class on ${formatDay(c.day)}`,
    href: `/plans/${c.id}`,
  }))
  // A caution has no name of its own, and its advice is not to flash up over somebody's page.
  const named = entriesOf(practice).filter(({ kind }) => kind !== 'caution')
  const read = named.map(({ id, kind, name, also }) => ({
    label: name,
    description: KIND_WORD[kind][0],
    href: `/library/${id}`,
    kind,
    also,
  }))
  return [...people, ...classes, ...read]
}

/** The room as drawn, or an empty floor to draw on, with what wants care in it. */
export function roomView({ studio }: Context): { room: Room; drawn: boolean; care: string[] } {
  const room = studio.room ?? EMPTY_ROOM
  return {
    room,
    drawn: studio.room !== null,
    care: studio.room ? roomProblems(room).map((p) => describeRoom(p, room, studio)) : [],
  }
}

export type CupboardLine = PropItem & {
  readonly check: string
  readonly due: boolean
  readonly checked: string
}

/** The cupboard, with what wants looking at. */
export function cupboard({ scope, practice, clock: { today } }: Context): {
  lines: CupboardLine[]
  shapes: { value: string; label: string; sizeCm: readonly number[] }[]
} {
  const items = listProps(scope)
  const due = new Set(wearDue(items, today).map((i) => i.id))
  return {
    lines: items.map((item) => ({
      ...item,
      check: wearCheck(practice, item.shape),
      due: due.has(item.id),
      checked: item.checkedDay === null ? 'never' : formatDay(item.checkedDay),
    })),
    shapes: practice.props
      .filter((p) => p.sizeCm.length > 0)
      .map((p) => ({ value: p.id, label: p.name, sizeCm: p.sizeCm })),
  }
}

export type Helper = { id: string; name: string; trained: string[]; willing: boolean }

/** Who helps, with what, and whether today. */
export function helpers({ scope, practice, clock: { today } }: Context): {
  people: Helper[]
  assists: { value: string; label: string }[]
} {
  return {
    people: listAssistants(scope).map(({ id, name, trained, restsUntil }) => ({
      id,
      name,
      trained: [...trained],
      willing: restsUntil === null || restsUntil < today,
    })),
    assists: practice.assists.filter((a) => a.touch).map((a) => ({ value: a.id, label: a.name })),
  }
}

/** The card by the door and what is still missing on it. */
export function emergencyView({ studio }: Context): {
  card: EmergencyCard
  missing: string[]
  studio: string
} {
  const missing = missingOnCard(studio.emergency)
  return {
    card: studio.emergency,
    studio: studio.name,
    missing: CARD_LINES.filter((l) => missing.includes(l.key)).map((l) => l.label.toLowerCase()),
  }
}

/** What the studio holds for everybody. */
export function floorView({ studio }: Context): {
  closed: string[]
  mostAttempts: number | null
  loads: { value: string; label: string }[]
} {
  const { floor } = studio
  const choices = [
    ['HB', 2],
    ['HB', 3],
    ['NF', 3],
    ['HBH', 3],
    ['FR', 2],
    ['FR', 3],
    ['KN', 3],
  ] as const
  return {
    closed: floor.closed.map(({ tag, level }) => `${tag} ${level}`),
    mostAttempts: floor.mostAttempts,
    loads: choices.map(([tag, level]) => ({
      value: `${tag} ${level}`,
      label: describeLoadFrom({ tag, level }),
    })),
  }
}
