import { BAY_WIDTH_CM, matBox, sideLength, SIDES, type Room } from './room'

/** Everything drawn snaps to this, cm. */
const SNAP_CM = 5
const snap = (cm: number): number => Math.round(cm / SNAP_CM) * SNAP_CM
const clamp = (value: number, most: number): number => Math.max(0, Math.min(most, value))

/** Adds a part where there is room for it: a bay goes after the last one of the first wall that still has space. */
export function addPart(room: Room, kind: 'bay' | 'mat' | 'door' | 'thing', id: string): Room {
  switch (kind) {
    case 'bay': {
      const place = freeWall(room)
      return {
        ...room,
        bays: [...room.bays, { id, ...place, widthCm: BAY_WIDTH_CM, obstacle: '', usable: true }],
      }
    }
    case 'mat':
      return {
        ...room,
        mats: [...room.mats, { id, xCm: room.widthCm / 2, yCm: room.depthCm / 2, turned: false }],
      }
    case 'door':
      return {
        ...room,
        doors: [
          ...room.doors,
          { id, side: 'south', fromCm: clamp(room.widthCm - 140, room.widthCm), widthCm: 90 },
        ],
      }
    case 'thing':
      return {
        ...room,
        things: [
          ...room.things,
          {
            id,
            name: 'Stove',
            xCm: snap(room.widthCm / 2),
            yCm: snap(room.depthCm / 2),
            widthCm: 60,
            depthCm: 60,
          },
        ],
      }
  }
}

function freeWall(room: Room): Pick<Room['bays'][number], 'side' | 'fromCm'> {
  for (const side of SIDES) {
    const end = Math.max(0, ...room.bays.filter((b) => b.side === side).map((b) => b.fromCm + b.widthCm))
    if (end + BAY_WIDTH_CM <= sideLength(room, side)) return { side, fromCm: end }
  }
  return { side: 'north', fromCm: 0 }
}

/** Moves a part, kept inside the room; bays and ways out slide along their wall. */
export function moveBy(room: Room, id: string, dx: number, dy: number): Room {
  const along = <T extends Room['bays'][number] | Room['doors'][number]>(p: T): T => {
    const by = p.side === 'north' || p.side === 'south' ? dx : dy
    return { ...p, fromCm: snap(clamp(p.fromCm + by, sideLength(room, p.side) - p.widthCm)) }
  }
  return {
    ...room,
    bays: room.bays.map((b) => (b.id === id ? along(b) : b)),
    doors: room.doors.map((d) => (d.id === id ? along(d) : d)),
    mats: room.mats.map((m) => {
      if (m.id !== id) return m
      const { width, height } = matBox(m)
      const [halfX, halfY] = [width / 2, height / 2]
      return {
        ...m,
        xCm: snap(Math.max(halfX, Math.min(room.widthCm - halfX, m.xCm + dx))),
        yCm: snap(Math.max(halfY, Math.min(room.depthCm - halfY, m.yCm + dy))),
      }
    }),
    things: room.things.map((t) =>
      t.id === id
        ? {
            ...t,
            xCm: snap(clamp(t.xCm + dx, room.widthCm - t.widthCm)),
            yCm: snap(clamp(t.yCm + dy, room.depthCm - t.depthCm)),
          }
        : t,
    ),
  }
}

/** Takes a part away. */
export function removePart(room: Room, id: string): Room {
  const others = <T extends { id: string }>(parts: readonly T[]): T[] => parts.filter((p) => p.id !== id)
  return {
    ...room,
    bays: others(room.bays),
    mats: others(room.mats),
    doors: others(room.doors),
    things: others(room.things),
  }
}
