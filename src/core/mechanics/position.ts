import type { Body } from '../body/estimate'
import type { Result } from '../result'
import type { Rise } from './energy'
import type { ReachRefusal } from './linkage'
import { timeConstant, inertiaAbout } from './inertia'
import { loadTags, type LoadTags } from './load-tags'
import { jointMomentFromFloor, isArmContact, momentRange } from './moments'
import type { Parameter, ParameterRefusal, Parameters } from './parameters'
import { angleAt, degrees, tiltOf, turnBetween } from './point'
import type { Facing } from './pose'
import { centreOf, isArm, particles, type Skeleton } from './skeleton'
import { carry } from './supports'
import type { Contact, Supports } from './contacts'
import type { BodyPart } from './obstacles'

export type PositionRefusal =
  | ParameterRefusal
  | { code: 'unknown-position'; id: string }
  | {
      code: 'legs-do-not-reach' | 'arms-do-not-reach' | 'trunk-does-not-reach'
      key: string
      reach: ReachRefusal
    }
  | {
      code: 'joint-out-of-range'
      joint: 'hip' | 'shoulder'
      neededDeg: number
      availableDeg: number
      change: string
    }
  | { code: 'wall-out-of-reach'; elbowToWallCm: number; reachCm: number }
  | { code: 'in-the-floor' | 'in-the-wall'; part: BodyPart; byCm: number }
  | { code: 'knee-backwards'; backDeg: number }
  | { code: 'cannot-balance'; key: string; plumbCm: number; fromCm: number; toCm: number }

export type Angles = {
  /** Trunk against thigh, 0° straight; the more folded leg where they differ. */
  readonly hipFlexionDeg: number
  /** Trunk against upper arm, 180° overhead in line. */
  readonly shoulderFlexionDeg: number
  /** Trunk from the vertical, positive towards the wall above. */
  readonly trunkLeanDeg: number
  /** The more bent knee. */
  readonly kneeBendDeg: number
  /** Bend backwards between ribs and the straighter leg; negative folds forward. */
  readonly archDeg: number
  /** Head against the ribs: lifted to look ahead positive, bowed or hanging negative. */
  readonly neckDeg: number
  /** 0° straight. */
  readonly elbowBendDeg: number
  /** Forearm against the back of the hand, 90° over a flat hand; only where hands carry. */
  readonly wristExtensionDeg: number | null
}

export type Position = {
  readonly id: string
  readonly body: Body
  readonly parameters: Parameters
  readonly facing: Facing
  readonly skeleton: Skeleton
  readonly centreOfMassCm: { readonly x: number; readonly y: number }
  readonly contacts: readonly Contact[]
  /** Whether some split of load over the contacts keeps the body at rest. */
  readonly balanced: boolean
  /** What the body may balance over, along the floor. */
  readonly base: { readonly fromCm: number; readonly toCm: number }
  /** Room between the plumb line and both ends of the base, along the floor and as tilt of the whole body. */
  readonly margin: {
    readonly forwardCm: number
    readonly backCm: number
    readonly forwardDeg: number
    readonly backDeg: number
  }
  readonly angles: Angles
  /** What the arms must push open (+) or hold closed (−), whichever way the body faces. */
  readonly shoulderMomentNmPerKg: number
  /** As far as pushing and pulling along the floor or against the wall can move it. */
  readonly shoulderMomentWithin: { readonly min: number; readonly max: number }
  readonly elbowMomentNmPerKg: number
  readonly wristMomentNmPerKg: number
  /** Shoulders ahead of the support towards the wall. */
  readonly shoulderTravelCm: number
  /** Crown to floor; 0 where the head rests on it, below 0 where the arms are too short to carry it clear. */
  readonly headClearanceCm: number
  /** Moment of inertia about the plumb point on the floor, m² (per kg of body). */
  readonly inertiaM2: number
  /** √(I / (m g h)): how long a small tilt takes to grow by e. */
  readonly timeConstantS: number
  readonly loadTags: LoadTags
  readonly wallX: number | null
  readonly rise: Rise | null
}

export type PositionSpec = {
  readonly id: string
  readonly name: string
  readonly parameters: readonly Parameter[]
  readonly solve: (body: Body, parameters: Parameters) => Result<Position, PositionRefusal>
}

/** Where the joints are and what holds them; everything else follows. */
export type Assembly = Pick<Position, 'id' | 'body' | 'parameters' | 'skeleton'> & {
  readonly facing?: Facing
  readonly supports: Supports
  readonly wallX?: number | null
  /** Wider than the carrying patches where fingertips may still steer. */
  readonly base?: Position['base']
  readonly rise?: (centreY: number) => Rise
}

/** Fills in everything that follows from the joints: centre of mass, loads, margins, moments, inertia, tags. */
export function assemble(assembly: Assembly): Position {
  const { id, body, parameters, skeleton, supports, facing = 1, wallX = null } = assembly
  const parts = particles(body, skeleton)
  const centre = centreOf(parts)
  const { contacts, balanced } = carry(centre, supports)
  const base = assembly.base ?? floorSpan(supports)
  const angles = anglesOf(skeleton, facing, contacts)
  const arms = contacts.filter(isArmContact)
  const armParts = parts.filter(isArm)
  const forearmAndHand = armParts.filter(({ segment }) => segment !== 'upperArm')
  const inertiaM2 = inertiaAbout(parts, { x: centre.x, y: 0 })
  const fromFloor = jointMomentFromFloor(armParts, skeleton.shoulder, arms)
  const moved = momentRange(fromFloor, skeleton.shoulder, arms)
  const [forwardCm, backCm] = [base.toCm - centre.x, centre.x - base.fromCm]
  return {
    id,
    body,
    parameters,
    facing,
    skeleton,
    centreOfMassCm: centre,
    contacts,
    balanced,
    base,
    margin: {
      forwardCm,
      backCm,
      forwardDeg: degrees(Math.atan(forwardCm / centre.y)),
      backDeg: degrees(Math.atan(backCm / centre.y)),
    },
    angles,
    shoulderMomentNmPerKg: facing * fromFloor,
    shoulderMomentWithin: facing === 1 ? moved : { min: -moved.max, max: -moved.min },
    elbowMomentNmPerKg: jointMomentFromFloor(forearmAndHand, skeleton.elbow, arms),
    wristMomentNmPerKg: jointMomentFromFloor(
      forearmAndHand.filter(({ segment }) => segment === 'hand'),
      skeleton.wrist,
      arms.filter((c) => c.part === 'hands'),
    ),
    shoulderTravelCm: skeleton.shoulder.x,
    headClearanceCm: contacts.some(({ part }) => part === 'crown') ? 0 : skeleton.crown.y,
    inertiaM2,
    timeConstantS: timeConstant(inertiaM2, centre.y),
    wallX,
    rise: assembly.rise ? assembly.rise(centre.y) : null,
    loadTags: loadTags({ contacts, skeleton, angles }),
  }
}

function floorSpan({ groups }: Supports): Position['base'] {
  let [fromCm, toCm] = [Infinity, -Infinity]
  for (const { patches } of groups)
    for (const patch of patches) {
      fromCm = Math.min(fromCm, patch.fromCm)
      toCm = Math.max(toCm, patch.toCm)
    }
  return { fromCm, toCm }
}

function anglesOf(skeleton: Skeleton, facing: Facing, contacts: readonly Contact[]): Angles {
  const { crown, shoulder, waist, hip, elbow, wrist, fingertip, legs } = skeleton
  const ribs = tiltOf(shoulder, waist)
  const pelvis = tiltOf(waist, hip)
  const thighs = legs.map((leg) => tiltOf(hip, leg.knee))
  const folds = thighs.map((thigh) => facing * turnBetween(thigh, pelvis))
  // Summed joint by joint, so that a deep fold past 180° does not read as an arch.
  const waistArch = facing * turnBetween(ribs, pelvis)
  const arches = folds.map((fold) => waistArch - fold)
  const onHands = contacts.some((c) => c.part === 'hands' && c.share.value > 0)
  return {
    hipFlexionDeg: Math.max(0, ...folds),
    shoulderFlexionDeg: angleAt(shoulder, hip, elbow),
    trunkLeanDeg: tiltOf(shoulder, hip),
    kneeBendDeg: Math.max(...legs.map((leg) => 180 - angleAt(leg.knee, hip, leg.ankle))),
    archDeg: Math.max(...arches),
    neckDeg: facing * turnBetween(tiltOf(shoulder, crown), tiltOf(waist, shoulder)),
    elbowBendDeg: 180 - angleAt(elbow, shoulder, wrist),
    wristExtensionDeg: onHands ? 180 - angleAt(wrist, elbow, fingertip) : null,
  }
}

/** How much of the body the arms carry, on hands, forearms or upper arms: the working figure and its range. */
export function armLoad(position: Position): Contact['share'] {
  return position.contacts.filter(isArmContact).reduce(
    (sum, { share }) => ({
      value: sum.value + share.value,
      min: sum.min + share.min,
      max: sum.max + share.max,
    }),
    { value: 0, min: 0, max: 0 },
  )
}

/** The contact of one part, where it carries. */
export function contactOf(position: Position, part: Contact['part']): Contact | undefined {
  return position.contacts.find((contact) => contact.part === part)
}
