import type { Brief } from '../../classes/brief'
import type { Doing, Plan } from '../../classes/plan'
import type { Library } from '../../practice/library'
import type { Violation } from './violation'
import { momentsOf, taught, worksIn, type Moment } from './walk'

/** One person a bay that is there and wide enough, room to fall, and not too many kickers at once. */
export function roomKept(practice: Library, brief: Brief, plan: Plan): Violation[] {
  return [
    ...worksIn(plan).flatMap((block) => block.people.flatMap((doing) => bayOf(practice, brief, doing))),
    ...[...momentsOf(plan)].flatMap((moment) => atOnce(practice, brief, moment)),
  ]
}

/** Whoever needs a wall has a bay of it, as wide as it takes. */
function bayOf(practice: Library, { room }: Brief, doing: Doing): Violation[] {
  const { studentId, variantId, place, setupId } = doing
  const stands = standsOf(practice, doing)
  if (stands !== 'wall' && stands !== 'corner') return []
  const bay = room.bays.find((b) => b.id === place)
  if (!bay || (stands === 'corner' && !bay.corner))
    return [{ code: 'bay-missing', studentId, variantId: variantId ?? '' }]
  const leastCm = practice.setups.find((s) => s.id === setupId)?.widthCm ?? 100
  return bay.widthCm < leastCm ? [{ code: 'bay-narrow', studentId, widthCm: bay.widthCm, leastCm }] : []
}

/** Who is where at one moment; who has a rig keeps their place all block long. */
function atOnce(practice: Library, { room }: Brief, moment: Moment): Violation[] {
  const { atS, block, up } = moment
  const found: Violation[] = []
  const there = outThere(practice, moment).filter((p) => up.includes(p) || p.variantId !== null)
  const places = there.flatMap((p) => (room.bays.some((b) => b.id === p.place) ? [p.place ?? ''] : []))
  for (const place of new Set(places))
    if (there.filter((p) => p.place === place).length > holdsOf(practice, room, there, place))
      found.push({ code: 'bay-shared', place, atS })
  const open = there.filter((p) => standsOf(practice, p) === 'open').length
  if (open > room.open) found.push({ code: 'open-floor', needed: open, have: room.open })
  const kickers = up.filter((p) => (taught(practice, p.variantId)?.load.FR ?? 0) >= 3)
  if (kickers.length > 3) found.push({ code: 'kickers', atS, kickers: kickers.length, most: 3 })
  const falls = new Set(kickers.map((p) => p.place))
  for (const { studentId, place } of block.people)
    if (room.mats?.find((m) => m.id === place)?.inFall.some((bay) => falls.has(bay)))
      found.push({ code: 'fall-zone', studentId, place: place ?? '' })
  return found
}

/** How many a bay holds: one, or two who lie with the legs up where it is wide enough for both. */
function holdsOf(practice: Library, room: Brief['room'], there: readonly Doing[], place: string): number {
  const widths = there
    .filter((p) => p.place === place)
    .map((p) => practice.setups.find((s) => s.id === p.setupId)?.widthCm ?? Infinity)
  const wide = room.bays.find((b) => b.id === place)?.widthCm ?? 0
  return widths.length === 2 && widths.reduce((sum, w) => sum + w, 0) <= wide ? 2 : 1
}

function standsOf(practice: Library, { setupId, variantId }: Doing): string {
  if (variantId === null) return 'mat'
  const drill = practice.drills.find((d) => d.id === variantId)
  const stands = practice.setups.find((s) => s.id === setupId)?.stands ?? 'mat'
  return stands === 'mat' && drill?.props.includes('wall') ? 'wall' : stands
}

/** Who has a place and props at one moment: who is up, and whose rig stands there all block long. */
function outThere(practice: Library, { block, up }: Moment): Doing[] {
  // Where each stays for a while and leaves, what was built is built anew by whoever comes next.
  const isRig = ({ setupId }: Doing): boolean =>
    block.kind !== 'stay' && (practice.setups.find((s) => s.id === setupId)?.rig ?? false)
  return [...up, ...block.people.filter((p) => !up.includes(p) && isRig(p))]
}

/** No more pieces out at any moment than the cupboard holds, and everybody has what their setup calls for. */
export function stockKept(practice: Library, brief: Brief, plan: Plan): Violation[] {
  const worst = new Map<string, number>()
  for (const moment of momentsOf(plan))
    for (const [kind, n] of outAt(practice, moment)) worst.set(kind, Math.max(worst.get(kind) ?? 0, n))
  const have = (kind: string): number =>
    brief.cupboard.lines.filter((l) => l.kind === kind).reduce((sum, l) => sum + l.count, 0)
  return [
    ...[...worst].flatMap(([kind, needed]): Violation[] =>
      needed > have(kind) ? [{ code: 'stock-exceeded', kind, needed, have: have(kind) }] : [],
    ),
    ...[...momentsOf(plan)].flatMap((moment) => strapsLongEnough(practice, brief, moment)),
    ...worksIn(plan).flatMap((block) => block.people.flatMap((doing) => lacking(practice, doing))),
  ]
}

const COUNTED = new Set(['block', 'strap', 'chair', 'bolster', 'slab', 'blanket', 'bench', 'slider'])

/** Pieces that are out at one moment, with the rigs of those who are not up. */
function outAt(practice: Library, moment: Moment): Map<string, number> {
  const out = new Map<string, number>()
  for (const p of outThere(practice, moment))
    for (const { kind, count } of p.props) out.set(kind, (out.get(kind) ?? 0) + count)
  return out
}

/** Straps handed out longest need first: whoever is left with one that does not close has none. */
function strapsLongEnough(practice: Library, { people, cupboard }: Brief, moment: Moment): Violation[] {
  const needs = outThere(practice, moment)
    .flatMap(({ studentId, props }) => {
      const loopCm = people.find((p) => p.studentId === studentId)?.loopCm ?? 0
      const count = props.reduce((n, p) => (p.kind === 'strap' ? n + p.count : n), 0)
      return Array.from({ length: count }, () => ({ studentId, loopCm }))
    })
    .sort((a, b) => b.loopCm - a.loopCm)
  const straps = cupboard.lines
    .flatMap((l) => (l.kind === 'strap' ? Array.from({ length: l.count }, () => l.longCm ?? Infinity) : []))
    .sort((a, b) => b - a)
  return needs.flatMap(({ studentId, loopCm }, i): Violation[] => {
    const longCm = straps[i]
    return longCm !== undefined && longCm < loopCm ? [{ code: 'strap-short', studentId, loopCm, longCm }] : []
  })
}

function lacking(practice: Library, { studentId, setupId, variantId, props }: Doing): Violation[] {
  const bill = practice.setups.find((s) => s.id === setupId)?.bill ?? []
  return bill
    .filter((line) => variantId !== null && !line.optional && COUNTED.has(line.prop))
    .filter((line) => (props.find((p) => p.kind === line.prop)?.count ?? 0) < line.count)
    .map((line) => ({ code: 'no-prop', studentId, kind: line.prop }))
}
