import type { Point } from '../mechanics/point'
import type { SetupOption, SetupSolution } from './setup'

/** A place on the drawing to take hold of: along which axis it moves, and what a centimetre of it does. */
export type Handle = {
  readonly option: SetupOption
  readonly at: Point
  readonly axis: 'x' | 'y'
  /** Units of the option for one centimetre along the axis (y is up). */
  readonly perCm: number
}

type Anchor = {
  readonly axis: Handle['axis']
  readonly perCm: number
  readonly at: (solution: SetupSolution) => Point | null
}

const onWall =
  (heightCm: number): Anchor['at'] =>
  ({ scene }) =>
    scene.wallX === null ? null : { x: scene.wallX, y: heightCm }
const target =
  (joint: 'shoulder' | 'waist' | 'hip' | 'elbow'): Anchor['at'] =>
  ({ target: { skeleton } }) =>
    skeleton[joint]
const startKnee: Anchor['at'] = ({ start: { skeleton } }) => skeleton.legs[0].knee
const startToe: Anchor['at'] = ({ start: { skeleton } }) => skeleton.legs[0].toe
const topOfProps: Anchor['at'] = ({ scene, target: { skeleton } }) => {
  const points = scene.props.flatMap((p) => p.outline)
  // Without a prop a height is that of the feet.
  const top = points.reduce<Point>(
    (best, p) => (p.y > best.y ? p : best),
    points[0] ?? skeleton.legs[0].ankle,
  )
  const level = points.filter((p) => Math.abs(p.y - top.y) < 0.5)
  // The middle of the top edge: its corners carry the height's own line and number.
  return level.length === 0 ? top : { x: level.reduce((sum, p) => sum + p.x, 0) / level.length, y: top.y }
}

/** Where each kind of option is held. Distances to the wall pull the wall, the walk-in pulls the feet, and so on. */
const ANCHORS: readonly { readonly keys: readonly string[]; readonly anchor: Anchor }[] = [
  {
    keys: ['fingertipGapCm', 'wallGapCm', 'knuckleGapCm', 'wallDistanceCm', 'seatDistanceCm', 'fartherCm'],
    anchor: { axis: 'x', perCm: 1, at: onWall(36) },
  },
  { keys: ['handDistanceCm', 'nearerCm'], anchor: { axis: 'x', perCm: 1, at: onWall(62) } },
  { keys: ['toeDistanceCm', 'slideCm'], anchor: { axis: 'x', perCm: -1, at: startToe } },
  { keys: ['footBlockCm', 'feetHeightCm'], anchor: { axis: 'y', perCm: 1, at: startToe } },
  { keys: ['kneeBendDeg'], anchor: { axis: 'y', perCm: -2, at: startKnee } },
  {
    keys: ['shoulderLeanDeg', 'shoulderAngleDeg', 'pastWristsCm', 'shoulderOffsetCm'],
    anchor: { axis: 'x', perCm: 1, at: target('shoulder') },
  },
  { keys: ['archShare'], anchor: { axis: 'x', perCm: 0.02, at: target('waist') } },
  {
    keys: ['trunkDeg', 'hipBendDeg', 'hipFlexionDeg', 'thighDeg'],
    anchor: { axis: 'x', perCm: 1, at: target('hip') },
  },
  {
    keys: ['elbowBendDeg', 'elbowDeg', 'armsForwardDeg', 'armsDeg'],
    anchor: { axis: 'x', perCm: 1, at: target('elbow') },
  },
  {
    keys: [
      'handHeightCm',
      'seatHeightCm',
      'footHeightCm',
      'propHeightCm',
      'benchHeightCm',
      'supportHeightCm',
      'blockHeightCm',
      'edgeHeightCm',
      'extraHeightCm',
      'padCm',
      'headPadCm',
      'clearCm',
    ],
    anchor: { axis: 'y', perCm: 1, at: topOfProps },
  },
]

/** Two handles closer than this are moved apart along the floor, cm: each is as broad as a finger. */
const APART_CM = 20

/** Handles for the options that show in the drawing; the others have their slider alone. */
export function handlesOf(solution: SetupSolution, options: readonly SetupOption[]): Handle[] {
  const handles: Handle[] = []
  for (const option of options) {
    if (option.unit === 'choice') continue
    const found = ANCHORS.find(({ keys }) => keys.includes(option.key))
    const at = found?.anchor.at(solution)
    if (!found || !at) continue
    handles.push({ option, at: clearOf(handles, inside(solution, at)), ...pick(found.anchor) })
  }
  return handles
}

function pick({ axis, perCm }: Anchor): Pick<Handle, 'axis' | 'perCm'> {
  return { axis, perCm }
}

function inside({ scene: { bounds } }: SetupSolution, { x, y }: Point): Point {
  return {
    x: Math.max(bounds.minX + 4, Math.min(bounds.maxX - 4, x)),
    y: Math.max(2, Math.min(bounds.maxY - 4, y)),
  }
}

function clearOf(others: readonly Handle[], at: Point): Point {
  const near = (p: Point): boolean => others.some((o) => Math.hypot(o.at.x - p.x, o.at.y - p.y) < APART_CM)
  let place = at
  for (let i = 0; i < 6 && near(place); i += 1) place = { x: place.x, y: place.y + APART_CM }
  return place
}
