import 'server-only'
import { listClasses } from '@/db/classes'
import { listStudents } from '@/db/students'
import type { StudioRecord } from '@/db/studio'
import { formatDay } from '@/core/day'
import { formatLength } from '@/core/units'
import { context } from '../context'
import type { RoomValues } from './components/room-form'

/** What the shell round every page needs: names for the palette, units, the studio's name. */
export function shellData(): {
  studioName: string
  units: StudioRecord['units']
  entries: { label: string; description: string; href: string }[]
} {
  const { db, studio } = context()
  const people = listStudents(db).map((s) => ({
    label: s.name,
    description: 'Readiness and next step',
    href: `/readiness/${s.id}`,
  }))
  const classes = listClasses(db)
    .slice(0, 12)
    .map((c) => ({ label: c.title, description: `Class on ${formatDay(c.day)}`, href: `/plans/${c.id}` }))
  return { studioName: studio.name, units: studio.units, entries: [...people, ...classes] }
}

/** Settings for the Studio page. */
export function studioSettings(): StudioRecord {
  return context().studio
}

/** The room as its form shows it. */
export function roomValues(): RoomValues {
  const { name, teacher, assistant, wallCm, bays, straps, blocks, units } = context().studio
  const wall = wallCm === null ? '' : formatLength(wallCm, units)
  return {
    name,
    teacher,
    assistant,
    wall,
    bays: String(bays),
    straps: String(straps),
    blocks: String(blocks),
  }
}
