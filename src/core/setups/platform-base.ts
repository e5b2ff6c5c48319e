import type { Body } from '../body/estimate'
import { read } from '../mechanics/parameters'
import { SHOULDER_DEPTH } from '../mechanics/positions/supine'
import { neckFlexion } from '../mechanics/positions/shoulders-down'
import { lowestPlatform, platformProps, SLABS_A_LAYER, type PlatformStack } from '../props/platform'
import { ok, refused, type Result } from '../result'
import { defineSetup, placement } from './define'
import { across, box } from './scene'
import {
  step,
  type Placement,
  type Pose,
  type Setup,
  type SetupGiven,
  type SetupOption,
  type SetupRefusal,
  type SetupWarning,
} from './setup'
import { option } from './shared'
import { platformFromAbove } from './top-view'

/** Platforms start this high and rise by half slabs until the throat is soft (progressions.md 8). */
const PLATFORM = { startCm: 5, stepCm: 2.5, capCm: 12 } as const

/** Four slabs laid two by two, 30 × 20 each: deep from the edge under the shoulders, and wide, cm (props.md S30). */
export const PLATFORM_DEPTH_CM = 40
const PLATFORM_WIDTH_CM = 60
const NECK_LIMIT = option.deg('neckLimitDeg', 'Neck fold at most', 55, 95, 75)
const TRUNK = option.deg('trunkDeg', 'Trunk above the floor', 60, 90, 80)

/**
 * How high the shoulders must be so that the neck folds no more than asked: in half-slab steps from 5 cm.
 * A longer neck holds the head further away, which a given height relieves less, so it needs more.
 */
export function platformHeight({ body, o }: SetupGiven): { neededCm: number; capped: boolean } {
  const limit = read(o, 'neckLimitDeg')
  const trunk = read(o, 'trunkDeg')
  let height: number = PLATFORM.startCm
  while (neckFlexion(body, height, trunk) > limit && height < PLATFORM.capCm) height += PLATFORM.stepCm
  return {
    neededCm: Math.min(PLATFORM.capCm, height),
    capped: neckFlexion(body, Math.min(PLATFORM.capCm, height), trunk) > limit,
  }
}

/** The height the neck would like exactly, before it is rounded to layers; what a tape would read. */
function neckHeight({ body, o }: SetupGiven): number {
  const trunk = read(o, 'trunkDeg')
  const slope = Math.max(0, trunk - read(o, 'neckLimitDeg'))
  const reach = body.length.headNeck.valueCm - 0.055 * body.statureCm
  return reach * Math.sin((slope * Math.PI) / 180) + (0.055 - SHOULDER_DEPTH) * body.statureCm
}

type Chosen = { stack: PlatformStack; capped: boolean }

function platformStack(given: SetupGiven, layers: Layers): Result<Chosen, SetupRefusal> {
  const { neededCm, capped } = platformHeight(given)
  const { slabs, blankets } = given.stock
  if (layers === 'household') return ok({ stack: { layers: [], heightCm: neededCm, errorCm: 0 }, capped })
  const stack = lowestPlatform(neededCm, slabs, blankets, layers === 'slabs')
  return stack
    ? ok({ stack, capped })
    : refused({
        code: 'not-in-stock',
        prop: 'slab',
        needed: SLABS_A_LAYER,
        inStock: slabs.length,
      })
}

function platformPlacements(given: SetupGiven, stack: PlatformStack): Placement[] {
  const { body, lengths } = given
  return [
    placement('neck-height', 'prop-top', neckHeight(given), {
      sdCm: body.length.headNeck.sdCm * 0.2,
      give: 2.5,
      way: ['throat-soft', 2.5],
    }),
    placement('platform-height', 'prop-top', stack.heightCm, {
      from: PLATFORM.startCm,
      to: Math.max(PLATFORM.capCm, stack.heightCm),
    }),
    placement('thumb-inside', 'shoulder-edge', lengths.thumb, { give: 1, way: ['M2', 2] }),
    placement('elbow-strap', 'loop', body.length.shoulderBreadth, { give: 2, way: ['M8', 2] }),
  ]
}

function neckWarning(capped: boolean, heightCm: number): SetupWarning[] {
  return capped ? [{ code: 'platform-at-cap', faultId: 'FT-chin-jam', numbers: { heightCm } }] : []
}

/** What it is built of: whatever the cupboard has, slabs at least below, or what is found at home. */
type Layers = 'any' | 'slabs' | 'household'

type Platform = {
  id: string
  layers?: Layers
  options?: readonly SetupOption[]
  poses: (given: SetupGiven, heightCm: number) => { start?: Pose; target: Pose }
  edge?: (given: SetupGiven) => {
    placements: Placement[]
    steps: readonly ReturnType<typeof step>[]
    outlines?: ReturnType<typeof box>[]
    dimensions?: ReturnType<typeof across>[]
    wallX?: number
  }
}

/** Any shoulder stand on a platform: height by the neck, edge by what the feet go to. */
export function platform({ id, layers = 'any', options = [], poses, edge }: Platform): Setup {
  return defineSetup<Chosen>({
    id,
    options: [NECK_LIMIT, TRUNK, ...options],
    choose: (given) => platformStack(given, layers),
    poses: (given, { stack }) => poses(given, stack.heightCm),
    place: (given) => {
      const { body, lengths, chosen, target } = given
      const extra = edge?.(given) ?? { placements: [], steps: [] }
      const { stack, capped } = chosen
      return {
        placements: [...extra.placements, ...platformPlacements(given, stack)],
        props: platformProps(stack),
        steps: [
          ...layerSteps(stack),
          ...extra.steps,
          step('top-mat-stops-short'),
          step('shoulders-thumb-inside', { thumbCm: lengths.thumb.valueCm }),
          step('strap-above-elbows-wide', { strapCm: body.length.shoulderBreadth.valueCm }),
          step(layers === 'household' ? 'hips-over-cushion' : 'hips-over-ramp'),
          step('speak-a-sentence'),
        ],
        warnings: neckWarning(capped, stack.heightCm),
        outlines: [
          box('slab', target.facing === 1 ? 0 : -PLATFORM_DEPTH_CM, 0, PLATFORM_DEPTH_CM, stack.heightCm),
          ...(extra.outlines ?? []),
        ],
        dimensions: extra.dimensions ?? [],
        top: platformFromAbove(
          body,
          PLATFORM_DEPTH_CM,
          PLATFORM_WIDTH_CM,
          lengths.thumb.valueCm,
          body.length.shoulderBreadth.valueCm,
        ),
        ...(extra.wallX === undefined ? {} : { wallX: extra.wallX }),
      }
    },
  })
}

/** Slabs two by two, then blankets; what is found at home has a step of its own. */
function layerSteps({ layers, heightCm }: PlatformStack): ReturnType<typeof step>[] {
  const slabs = layers.filter(({ prop }) => prop === 'slab').length
  const blankets = layers.length - slabs
  return [
    ...(slabs > 0 ? [step('slabs-two-by-two', { slabs: slabs * SLABS_A_LAYER })] : []),
    ...(blankets > 0 ? [step(slabs > 0 ? 'blankets-on-top' : 'blankets-folded', { blankets })] : []),
    ...(layers.length > 0 ? [step('platform-stands-high', { heightCm })] : []),
  ]
}

/** Hips over the shoulders, this high on a platform. */
export function hipHeight(body: Body, platformCm: number, trunkDeg: number): number {
  return (
    platformCm +
    SHOULDER_DEPTH * body.statureCm +
    body.length.trunk.valueCm * Math.sin((trunkDeg * Math.PI) / 180)
  )
}
