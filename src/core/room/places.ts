import { usableBays, type Room } from './room'

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
