import { derivedLengths } from '../body/derived'
import type { Body } from '../body/estimate'
import { solvePosition } from '../mechanics/positions/catalogue'
import type { Position } from '../mechanics/position'
import { ok, refused, type Result } from '../result'
import { elbowWidth, walkIn, walkInDimension } from './dolphin-base'
import { chooseHandBlock } from './hand-block'
import { blockOutline, figureOf, sceneFrom } from './scene'
import {
  step,
  type Placement,
  type Setup,
  type SetupOptions,
  type SetupRefusal,
  type SetupSolution,
  type SetupWarning,
} from './setup'

/** Block to wall, cm (progressions.md, setup table): usual 10, 5–30; past 15 only for hops and taps, never for a hold. */
export const BLOCK_GAP = { usualCm: 10, minCm: 5, maxCm: 30, holdMaxCm: 15 } as const
/** Nearer than this the foot tends to bounce off. */
const REBOUND_BELOW_CM = 7
/** How far off a mark laid by eye against a block's edge usually is, cm. */
const BLOCK_EDGE_ERROR_CM = 1

/** Kick-up to the wall on the forearms with a block between the hands. */
export const WALL_KICK_FOREARM_BLOCK: Setup = {
  id: 'SETUP-wall-kick-forearm-block',
  solve(body, options) {
    const gapCm = options.wallGapCm ?? BLOCK_GAP.usualCm
    if (!(gapCm >= BLOCK_GAP.minCm && gapCm <= BLOCK_GAP.maxCm))
      return refused({
        code: 'option-out-of-range',
        key: 'wallGapCm',
        value: gapCm,
        min: BLOCK_GAP.minCm,
        max: BLOCK_GAP.maxCm,
      })
    const hands = chooseHandBlock(body, options)
    if (!hands.ok) return hands
    const { block, spacer, elbowToBlockCm, warnings } = hands.value
    const elbowToWallCm = elbowToBlockCm + block.wideCm + gapCm
    const fingertipGapCm = elbowToWallCm - derivedLengths(body).elbowToFingertip.valueCm
    const poses = kickPoses(body, fingertipGapCm, options)
    if (!poses.ok) return poses
    const { start, target, arched } = poses.value
    const feet = walkIn(start)
    const width = elbowWidth(body)
    const gap = blockGap(gapCm)
    return ok({
      id: WALL_KICK_FOREARM_BLOCK.id,
      body,
      start,
      target,
      placements: [gap, elbowToWall(body, elbowToWallCm), width, feet],
      props: [
        { kind: 'wall', count: 1, detail: [] },
        { kind: 'block', count: spacer.edgesCm.length, detail: [...spacer.edgesCm] },
      ],
      steps: [
        step('block-from-wall', { gapCm }),
        step('check-elbow-to-wall', { elbowToWallCm }),
        step('thumbs-near-face'),
        step('elbows-at-width', { widthCm: width.valueCm }),
        step('walk-in-to', { walkInCm: feet.valueCm }),
        step('lead-leg-up'),
        step('one-heel-then-other'),
      ],
      warnings: [...warnings, ...gapWarnings(gapCm, arched)],
      less: 'SETUP-wall-kick-forearm',
      more: 'SETUP-wall-kick-forearm-strap',
      scene: kickScene(start, target, elbowToBlockCm, { depth: block.wideCm, height: block.thickCm }, gapCm),
    })
  },
}

type Poses = { start: Position; target: Position; arched: Position }

function kickPoses(body: Body, fingertipGapCm: number, options: SetupOptions): Result<Poses, SetupRefusal> {
  const start = solvePosition('forearm-stand-kick-start', body, {
    fingertipGapCm,
    ...(options.toeDistanceCm === undefined ? {} : { toeDistanceCm: options.toeDistanceCm }),
    ...(options.kneeBendDeg === undefined ? {} : { kneeBendDeg: options.kneeBendDeg }),
  })
  if (!start.ok) return start
  const target = solvePosition('forearm-stand-heels-on-wall', body, {
    fingertipGapCm,
    archShare: options.archShare ?? 0,
  })
  if (!target.ok) return target
  const arched = solvePosition('forearm-stand-heels-on-wall', body, { fingertipGapCm, archShare: 1 })
  if (!arched.ok) return arched
  return ok({ start: start.value, target: target.value, arched: arched.value })
}

function blockGap(gapCm: number): Placement {
  return {
    key: 'block-gap',
    line: 'block-face',
    valueCm: gapCm,
    withinCm: 0,
    fromCm: BLOCK_GAP.minCm,
    toCm: BLOCK_GAP.holdMaxCm,
    bodyWay: { measure: 'block-thickness', withinCm: BLOCK_EDGE_ERROR_CM, numbers: { gapCm } },
  }
}

function elbowToWall(body: Body, valueCm: number): Placement {
  const { elbowToFingertip } = derivedLengths(body)
  return {
    key: 'elbow-to-wall',
    line: 'elbow',
    valueCm,
    withinCm: 2 * elbowToFingertip.sdCm,
    fromCm: valueCm - 2,
    toCm: valueCm + 2,
    bodyWay: {
      measure: 'M11',
      withinCm: 2,
      numbers: { pastFingertipsCm: valueCm - elbowToFingertip.valueCm },
    },
  }
}

function gapWarnings(gapCm: number, arched: Position): SetupWarning[] {
  const archDeg = arched.angles.archDeg
  if (gapCm > BLOCK_GAP.holdMaxCm)
    return [
      {
        code: 'gap-too-far-to-hold',
        faultId: 'FT-low-back-arch',
        numbers: { gapCm, archDeg, holdMaxCm: BLOCK_GAP.holdMaxCm },
      },
    ]
  if (gapCm < REBOUND_BELOW_CM) return [{ code: 'gap-near', faultId: 'FT-wall-rebound', numbers: { gapCm } }]
  return []
}

function kickScene(
  start: Position,
  target: Position,
  elbowToBlockCm: number,
  block: { depth: number; height: number },
  gapCm: number,
): SetupSolution['scene'] {
  const wallX = target.wallX ?? 0
  return sceneFrom(target, {
    figures: [figureOf(start, 'start'), figureOf(target, 'target')],
    props: [blockOutline(elbowToBlockCm, block.depth, block.height)],
    dimensions: [
      { ...walkInDimension(start) },
      { key: 'elbow-to-wall', from: { x: 0, y: 0 }, to: { x: wallX, y: 0 }, valueCm: wallX, offsetCm: -37 },
      {
        key: 'block-gap',
        from: { x: wallX - gapCm, y: 0 },
        to: { x: wallX, y: 0 },
        valueCm: gapCm,
        offsetCm: -24,
      },
    ],
  })
}
