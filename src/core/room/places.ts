import { FALL_DEPTH_CM, floorBefore, matBox, meet, sideLength, usableBays, type Bay, type Room } from './room'

export type Place = { readonly studentId: string; readonly at: string }
export type Places = { readonly placed: readonly Place[]; readonly unplaced: readonly string[] }

/**
 * Where everybody is when the first wave is up: those at the wall in their bays, the others on mats in the order in
 * which mats were drawn. Whoever is left finds no mat.
 * @param up numbers of bays count from 1 over the usable ones
 */
export function placePeople(
  room: Room,
  roster: readonly string[],
  up: readonly { readonly bay: number; readonly studentId: string }[],
): Places {
  const bays = usableBays(room)
  const atWall = up.flatMap(({ bay, studentId }): Place[] => {
    const place = bays[bay - 1]
    return place && roster.includes(studentId) ? [{ studentId, at: place.id }] : []
  })
  const rest = roster.filter((id) => !atWall.some((p) => p.studentId === id))
  return {
    placed: [
      ...atWall,
      ...rest.flatMap((studentId, i): Place[] => {
        const mat = room.mats[i]
        return mat ? [{ studentId, at: mat.id }] : []
      }),
    ],
    unplaced: rest.slice(room.mats.length),
  }
}

/** A place on the open floor: a body and room to fall all round, cm (cautions.md F3). */
const OPEN_CM = { wide: 200, deep: 230 } as const
/** A bay that begins or ends this near a corner can be used as one, cm. */
const CORNER_CM = 40

/** Bays whose falls reach a mat: whoever lies there moves while somebody kicks. */
export function inFallOf(room: Room, mat: Room['mats'][number]): string[] {
  return usableBays(room)
    .filter((bay) => meet(floorBefore(room, bay, FALL_DEPTH_CM), matBox(mat)))
    .map((bay) => bay.id)
}

/** Whether a bay lies in a corner of the room. */
export function isCorner(room: Room, bay: Bay): boolean {
  return bay.fromCm <= CORNER_CM || bay.fromCm + bay.widthCm >= sideLength(room, bay.side) - CORNER_CM
}

/** How many may be upside down on the open floor at once, clear of the walls that are used. */
export function openPlaces(room: Room): number {
  const used = new Set(usableBays(room).map((bay) => bay.side))
  const deep =
    room.depthCm - FALL_DEPTH_CM * Number(used.has('north')) - FALL_DEPTH_CM * Number(used.has('south'))
  const wide =
    room.widthCm - FALL_DEPTH_CM * Number(used.has('west')) - FALL_DEPTH_CM * Number(used.has('east'))
  return Math.max(0, Math.min(4, Math.floor(deep / OPEN_CM.deep) * Math.floor(wide / OPEN_CM.wide)))
}
