import type { Body } from '../body/estimate'
import type { Result } from '../result'
import type { Rise } from './energy'
import type { ReachRefusal } from './linkage'
import { centreOf, particles, type Particle, type Skeleton } from './skeleton'
import type { Contact } from './statics'
import { shoulderMomentFromFloor } from './statics'

/** One thing about a position that can be changed, with its sensible range. */
export type Parameter = {
  readonly key: string
  readonly label: string
  readonly unit: 'cm' | 'deg' | 'share'
  readonly min: number
  readonly max: number
  /** Usual value; a function of the body where it scales with it. */
  readonly usual: number | ((body: Body) => number)
}

export type Parameters = Readonly<Record<string, number>>

export type PositionRefusal =
  | { code: 'unknown-position'; id: string }
  | { code: 'unknown-parameter'; key: string; known: readonly string[] }
  | { code: 'parameter-out-of-range'; key: string; value: number; min: number; max: number }
  | { code: 'legs-do-not-reach' | 'arms-do-not-reach'; key: string; reach: ReachRefusal }
  | {
      code: 'joint-out-of-range'
      joint: 'hip' | 'shoulder'
      neededDeg: number
      availableDeg: number
      change: string
    }
  | { code: 'wall-out-of-reach'; elbowToWallCm: number; reachCm: number }

export type Angles = {
  /** Trunk against thigh, 0° straight. */
  readonly hipFlexionDeg: number
  /** Trunk against upper arm, 180° overhead in line. */
  readonly shoulderFlexionDeg: number
  /** Trunk from the vertical, positive towards the wall above. */
  readonly trunkLeanDeg: number
  readonly kneeBendDeg: number
  /** Bend backwards between ribs and legs. */
  readonly archDeg: number
}

export type Position = {
  readonly id: string
  readonly body: Body
  readonly parameters: Parameters
  readonly skeleton: Skeleton
  readonly centreOfMassCm: { readonly x: number; readonly y: number }
  readonly contacts: readonly Contact[]
  /** What the body may balance over, along the floor. */
  readonly base: { readonly fromCm: number; readonly toCm: number }
  readonly margin: { readonly forwardCm: number; readonly backCm: number }
  readonly angles: Angles
  readonly shoulderMomentNmPerKg: number
  /** Crown to floor, where the head hangs free. */
  readonly headClearanceCm: number
  readonly wallX: number | null
  readonly rise: Rise | null
}

export type PositionSpec = {
  readonly id: string
  readonly name: string
  readonly parameters: readonly Parameter[]
  readonly solve: (body: Body, parameters: Parameters) => Result<Position, PositionRefusal>
}

type Assembly = Pick<Position, 'id' | 'body' | 'parameters' | 'skeleton' | 'base' | 'angles' | 'wallX'> & {
  carry: (centreX: number, parts: readonly Particle[]) => readonly Contact[]
  rise?: (centreY: number) => Rise
}

/** Fills in everything that follows from the joints: centre of mass, loads, margins, moments. */
export function assemble({ carry, rise, ...rest }: Assembly): Position {
  const parts = particles(rest.body, rest.skeleton)
  const centre = centreOf(parts)
  const contacts = carry(centre.x, parts)
  const onArms = contacts.filter(({ part }) => part === 'hands' || part === 'forearms')
  return {
    ...rest,
    centreOfMassCm: centre,
    contacts,
    margin: { forwardCm: rest.base.toCm - centre.x, backCm: centre.x - rest.base.fromCm },
    shoulderMomentNmPerKg: shoulderMomentFromFloor(parts, rest.skeleton.shoulder, onArms),
    headClearanceCm: rest.skeleton.crown.y,
    rise: rise ? rise(centre.y) : null,
  }
}

/** The value of a parameter that a caller has already validated and filled. */
export function read(parameters: Parameters, key: string): number {
  const value = parameters[key]
  if (value === undefined) throw new Error(`parameter ${key} was not filled`)
  return value
}

/** How much of the body hands or forearms carry: the working figure and its range. */
export function armLoad(position: Position): Contact['share'] {
  const arms = position.contacts.find(({ part }) => part === 'hands' || part === 'forearms')
  return arms?.share ?? { value: 0, min: 0, max: 0 }
}
