import type { Point } from '../mechanics/point'
import type { SetupSolution } from './setup'

type Find = (solution: SetupSolution) => Point | null

const onWall =
  (heightCm: number): Find =>
  ({ scene }) =>
    scene.wallX === null ? null : { x: scene.wallX, y: heightCm }
const target =
  (joint: 'shoulder' | 'waist' | 'hip' | 'elbow' | 'crown'): Find =>
  ({ target: { skeleton } }) =>
    skeleton[joint]
/** The middle of the top edge of whatever prop is highest: its corners carry the height's own line and number. */
const topOfProps: Find = ({ scene }) => {
  const points = scene.props.flatMap((p) => p.outline)
  const highest = Math.max(...points.map((p) => p.y))
  const level = points.filter((p) => Math.abs(p.y - highest) < 0.5)
  return level.length === 0 ? null : { x: level.reduce((sum, p) => sum + p.x, 0) / level.length, y: highest }
}
const edgeOfProps: Find = ({ scene }) => {
  const points = scene.props.flatMap((p) => p.outline)
  return points.length === 0 ? null : points.reduce((far, p) => (p.x > far.x ? p : far))
}

/** Places of a drawing that a hand may take hold of. */
export const CANDIDATES = {
  'low on the wall': onWall(36),
  'higher on the wall': onWall(62),
  'toe at the start': ({ start: { skeleton } }) => skeleton.legs[0].toe,
  'knee at the start': ({ start: { skeleton } }) => skeleton.legs[0].knee,
  'hip at the start': ({ start: { skeleton } }) => skeleton.hip,
  shoulder: target('shoulder'),
  waist: target('waist'),
  hip: target('hip'),
  elbow: target('elbow'),
  crown: target('crown'),
  knee: ({ target: { skeleton } }) => skeleton.legs[0].knee,
  toe: ({ target: { skeleton } }) => skeleton.legs[0].toe,
  'other knee': ({ target: { skeleton } }) => skeleton.legs[1].knee,
  'other toe': ({ target: { skeleton } }) => skeleton.legs[1].toe,
  wrist: ({ target: { skeleton } }) => skeleton.wrist,
  'top of the props': topOfProps,
  'edge of the props': edgeOfProps,
} as const satisfies Readonly<Record<string, Find>>
export type Candidate = keyof typeof CANDIDATES

/** What options are customarily held by. Distances to the wall pull the wall, the walk-in pulls the feet, and so on. */
export const HELD_BY: readonly {
  readonly keys: readonly string[]
  readonly axis: 'x' | 'y'
  readonly by: readonly Candidate[]
}[] = [
  {
    keys: ['fingertipGapCm', 'wallGapCm', 'knuckleGapCm', 'wallDistanceCm', 'seatDistanceCm', 'fartherCm'],
    axis: 'x',
    by: ['low on the wall'],
  },
  { keys: ['handDistanceCm', 'nearerCm'], axis: 'x', by: ['higher on the wall'] },
  { keys: ['toeDistanceCm', 'slideCm'], axis: 'x', by: ['toe at the start'] },
  { keys: ['footBlockCm', 'feetHeightCm'], axis: 'y', by: ['toe at the start', 'toe'] },
  { keys: ['kneeBendDeg'], axis: 'y', by: ['knee at the start', 'knee'] },
  {
    keys: ['shoulderLeanDeg', 'shoulderAngleDeg', 'pastWristsCm', 'shoulderOffsetCm'],
    axis: 'x',
    by: ['shoulder'],
  },
  { keys: ['gazeDeg'], axis: 'x', by: ['crown'] },
  { keys: ['archShare'], axis: 'x', by: ['waist', 'hip'] },
  { keys: ['trunkDeg', 'hipBendDeg', 'hipFlexionDeg', 'thighDeg'], axis: 'x', by: ['hip', 'knee'] },
  { keys: ['elbowBendDeg', 'elbowDeg', 'armsForwardDeg', 'armsDeg'], axis: 'x', by: ['elbow'] },
  {
    keys: [
      ...['handHeightCm', 'seatHeightCm', 'footHeightCm', 'propHeightCm', 'benchHeightCm', 'supportHeightCm'],
      ...['blockHeightCm', 'edgeHeightCm', 'extraHeightCm', 'padCm', 'headPadCm', 'clearCm'],
    ],
    axis: 'y',
    by: ['top of the props', 'toe'],
  },
]
