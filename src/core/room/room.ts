import type { Cm } from '../units'

/** Walls of a room seen from above; `north` is drawn at the top. */
export const SIDES = ['north', 'east', 'south', 'west'] as const
export type Side = (typeof SIDES)[number]

/** A stretch of wall for one person upside down. `fromCm` runs left to right, or top to bottom on the side walls. */
export type Bay = {
  readonly id: string
  readonly side: Side
  readonly fromCm: Cm
  readonly widthCm: Cm
  /** What stands or hangs there; empty where the wall is bare. */
  readonly obstacle: string
  /** Whether it is used for going up at all. */
  readonly usable: boolean
}

/** A mat's place, by its middle. `turned` lies across the room. */
export type MatSpot = { readonly id: string; readonly xCm: Cm; readonly yCm: Cm; readonly turned: boolean }

/** A way out. */
export type Door = { readonly id: string; readonly side: Side; readonly fromCm: Cm; readonly widthCm: Cm }

/** Something that stands in the room, by its top left corner. */
export type Thing = {
  readonly id: string
  readonly name: string
  readonly xCm: Cm
  readonly yCm: Cm
  readonly widthCm: Cm
  readonly depthCm: Cm
}

export type Room = {
  readonly widthCm: Cm
  readonly depthCm: Cm
  readonly bays: readonly Bay[]
  readonly mats: readonly MatSpot[]
  readonly doors: readonly Door[]
  readonly things: readonly Thing[]
}

export const EMPTY_ROOM: Room = { widthCm: 720, depthCm: 600, bays: [], mats: [], doors: [], things: [] }

/** Least and most of a room's side, cm. */
export const ROOM_RANGE = { minCm: 200, maxCm: 5000 } as const
/** Width of a straight-line place at the wall, cm (props.md 6, cautions.md F1). */
export const BAY_WIDTH_CM = 120
/** Narrowest place that a teacher may still allow, cm (cautions.md F1, range). */
const LEAST_BAY_CM = 100
/** Depth to keep clear behind the hands of a kicker: an average body and 0.6 m, cm (cautions.md F3). */
export const FALL_DEPTH_CM = 230
/** A mat, cm (props.md 2). */
const MAT_CM = { long: 180, wide: 62 } as const
/** More bays than this are never in sight of one teacher. */
const MOST_BAYS = 12

/** How many people a clear wall takes side by side. */
export function baysIn(wallCm: Cm): number {
  return Math.min(MOST_BAYS, Math.floor(wallCm / BAY_WIDTH_CM))
}

/** A first room from a length of clear wall: bays side by side along the top, two rows of mats. */
export function roomFromWall(wallCm: Cm): Room {
  const widthCm = Math.max(wallCm, ROOM_RANGE.minCm)
  const count = baysIn(wallCm)
  const perRow = Math.max(1, Math.floor(widthCm / 110))
  return {
    widthCm,
    depthCm: 600,
    doors: [],
    things: [],
    bays: Array.from({ length: count }, (_, i) => ({
      id: `bay-${i + 1}`,
      side: 'north' as const,
      fromCm: i * BAY_WIDTH_CM,
      widthCm: BAY_WIDTH_CM,
      obstacle: '',
      usable: true,
    })),
    mats: Array.from({ length: Math.min(12, 2 * perRow) }, (_, i) => ({
      id: `mat-${i + 1}`,
      xCm: ((i % perRow) + 0.5) * (widthCm / perRow),
      yCm: i < perRow ? 320 : 505,
      turned: false,
    })),
  }
}

/** Bays where somebody may go up in a straight line, in the order they are drawn. */
export function usableBays({ bays }: Pick<Room, 'bays'>, leastCm: Cm = LEAST_BAY_CM): Bay[] {
  return bays.filter((bay) => bay.usable && bay.widthCm >= leastCm)
}

/** Length of the wall that a side stands for. */
export function sideLength({ widthCm, depthCm }: Pick<Room, 'widthCm' | 'depthCm'>, side: Side): Cm {
  return side === 'north' || side === 'south' ? widthCm : depthCm
}

export type Box = { readonly x: Cm; readonly y: Cm; readonly width: Cm; readonly height: Cm }

/** The floor in front of a stretch of wall, as deep as asked. */
export function floorBefore(
  room: Pick<Room, 'widthCm' | 'depthCm'>,
  { side, fromCm, widthCm }: Pick<Bay, 'side' | 'fromCm' | 'widthCm'>,
  depth: Cm,
): Box {
  switch (side) {
    case 'north':
      return { x: fromCm, y: 0, width: widthCm, height: depth }
    case 'south':
      return { x: fromCm, y: room.depthCm - depth, width: widthCm, height: depth }
    case 'west':
      return { x: 0, y: fromCm, width: depth, height: widthCm }
    case 'east':
      return { x: room.widthCm - depth, y: fromCm, width: depth, height: widthCm }
  }
}

/** The mat as a rectangle. */
export function matBox({ xCm, yCm, turned }: MatSpot): Box {
  const [width, height] = turned ? [MAT_CM.long, MAT_CM.wide] : [MAT_CM.wide, MAT_CM.long]
  return { x: xCm - width / 2, y: yCm - height / 2, width, height }
}

export type RoomProblem =
  | { readonly code: 'bay-outside' | 'door-outside'; readonly id: string; readonly overCm: Cm }
  | { readonly code: 'bays-overlap'; readonly id: string; readonly other: string; readonly byCm: Cm }
  | { readonly code: 'bay-narrow'; readonly id: string; readonly widthCm: Cm }
  | { readonly code: 'bay-on-door'; readonly id: string; readonly other: string }
  | { readonly code: 'thing-in-fall-zone'; readonly id: string; readonly other: string }
  | { readonly code: 'mat-outside' | 'thing-outside'; readonly id: string }
  | { readonly code: 'no-door' }

/** What is wrong with a room as drawn: impossible first, then what only wants care. */
export function roomProblems(room: Room): RoomProblem[] {
  return [...outside(room), ...overlaps(room), ...doorways(room), ...narrow(room), ...fallZones(room)]
}

/** Whether a problem makes the room impossible; the others are told and kept. */
export function isImpossible({ code }: RoomProblem): boolean {
  return ['bay-outside', 'door-outside', 'bays-overlap', 'mat-outside', 'thing-outside'].includes(code)
}

function outside(room: Room): RoomProblem[] {
  const along = (kind: 'bay-outside' | 'door-outside') => (p: Bay | Door) => {
    const over = Math.max(p.fromCm + p.widthCm - sideLength(room, p.side), 0 - p.fromCm)
    return over > 0 ? [{ code: kind, id: p.id, overCm: over }] : []
  }
  const within = ({ x, y, width, height }: Box): boolean =>
    x >= -1 && y >= -1 && x + width <= room.widthCm + 1 && y + height <= room.depthCm + 1
  return [
    ...room.bays.flatMap(along('bay-outside')),
    ...room.doors.flatMap(along('door-outside')),
    ...room.mats.filter((m) => !within(matBox(m))).map(({ id }) => ({ code: 'mat-outside' as const, id })),
    ...room.things
      .filter((t) => !within(thingBox(t)))
      .map(({ id }) => ({ code: 'thing-outside' as const, id })),
  ]
}

function overlaps({ bays }: Room): RoomProblem[] {
  return bays.flatMap((bay, i) =>
    bays.slice(i + 1).flatMap((other): RoomProblem[] => {
      if (other.side !== bay.side) return []
      const byCm =
        Math.min(bay.fromCm + bay.widthCm, other.fromCm + other.widthCm) - Math.max(bay.fromCm, other.fromCm)
      return byCm > 0.5 ? [{ code: 'bays-overlap', id: bay.id, other: other.id, byCm }] : []
    }),
  )
}

function doorways(room: Room): RoomProblem[] {
  const blocked = usableBays(room, 0).flatMap((bay) =>
    room.doors
      .filter(
        (d) =>
          d.side === bay.side && d.fromCm < bay.fromCm + bay.widthCm && bay.fromCm < d.fromCm + d.widthCm,
      )
      .map((d) => ({ code: 'bay-on-door' as const, id: bay.id, other: d.id })),
  )
  return room.doors.length === 0 ? [...blocked, { code: 'no-door' }] : blocked
}

function narrow(room: Room): RoomProblem[] {
  return usableBays(room, 0)
    .filter((bay) => bay.widthCm < BAY_WIDTH_CM)
    .map(({ id, widthCm }) => ({ code: 'bay-narrow', id, widthCm }))
}

function fallZones(room: Room): RoomProblem[] {
  return usableBays(room, 0).flatMap((bay) => {
    const zone = floorBefore(room, bay, FALL_DEPTH_CM)
    return room.things
      .filter((thing) => meet(zone, thingBox(thing)))
      .map((thing) => ({ code: 'thing-in-fall-zone' as const, id: bay.id, other: thing.id }))
  })
}

function thingBox({ xCm, yCm, widthCm, depthCm }: Thing): Box {
  return { x: xCm, y: yCm, width: widthCm, height: depthCm }
}

/** Whether two stretches of floor share anything. */
export function meet(a: Box, b: Box): boolean {
  return a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height
}
