import 'server-only'
import type { Brief } from '@/core/classes/brief'
import { stockLines } from '@/core/props/inventory'
import { inFallOf, isCorner, openPlaces } from '@/core/room/places'
import { usableBays } from '@/core/room/room'
import { listProps } from '@/db/inventory'
import type { Context } from '../context'

/** Width of a bay that nobody drew, cm. */
const UNDRAWN_CM = 120

/** The room of a class as it is drawn, with as many bays as the class uses; without a drawing, bays of the usual width. */
export function roomFor({ studio }: Context, bays: number): Brief['room'] {
  const { room } = studio
  if (!room)
    return {
      bays: Array.from({ length: bays }, (_, i) => ({
        id: `bay-${i + 1}`,
        widthCm: UNDRAWN_CM,
        corner: i === 0,
      })),
      mats: null,
      open: 1,
    }
  return {
    bays: usableBays(room)
      .slice(0, bays)
      .map((bay) => ({ id: bay.id, widthCm: bay.widthCm, corner: isCorner(room, bay) })),
    mats:
      room.mats.length === 0 ? null : room.mats.map((mat) => ({ id: mat.id, inFall: inFallOf(room, mat) })),
    open: openPlaces(room),
  }
}

/** What there is to build from. */
export function cupboardFor({ scope, practice }: Context): Brief['cupboard'] {
  return stockLines(practice, listProps(scope))
}
