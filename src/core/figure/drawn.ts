import type { Body } from '../body/estimate'
import type { Facing } from '../mechanics/pose'
import type { Skeleton } from '../mechanics/skeleton'

/** A body as drawn, however it was come by: a solved position, or a shape that is only to be looked at. */
export type Drawn = {
  readonly body: Body
  readonly skeleton: Skeleton
  readonly facing: Facing
  readonly wallX: number | null
}
