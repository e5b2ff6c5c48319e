import type { ReachRefusal } from '../mechanics/linkage'
import type { SetupRefusal } from '../setups/setup'
import { PARAMETER_LABELS } from './parameter-labels'
import { count, deg, length, METRIC, plain, type Wording } from './number'

type Naming = (key: string) => string

/**
 * What a setup or position that cannot be done says, and what to change.
 * @param own options of the setup that is spoken of: what stands on the screen is called as it is there
 */
export function describeSetup(
  refusal: SetupRefusal,
  wording: Wording = METRIC,
  own: readonly { readonly key: string; readonly label: string }[] = [],
): string {
  const named: Naming = (key) => own.find((o) => o.key === key)?.label ?? PARAMETER_LABELS[key] ?? key
  switch (refusal.code) {
    case 'unknown-setup':
    case 'unknown-position':
      return `There is nothing called “${refusal.id}” here.`
    case 'unknown-parameter':
      return `“${refusal.key}” cannot be set here. Known: ${refusal.known.join(', ')}.`
    case 'parameter-out-of-range':
      return `${named(refusal.key)} of ${plain(refusal.value)} is outside ${plain(refusal.min)} to ${plain(refusal.max)}.`
    case 'no-blocks':
      return `This needs ${count(refusal.needed, 'block')}; ${refusal.inStock === 0 ? 'none is' : `${refusal.inStock} ${refusal.inStock === 1 ? 'is' : 'are'}`} in the cupboard. Add some in Studio or pick another setup.`
    case 'not-in-stock':
      return `This needs ${refusal.needed} × ${refusal.prop.replace('-', ' ')}; the cupboard has ${refusal.inStock} that will do.`
    case 'stack-too-low':
      return `The stack must reach ${length(refusal.neededCm, wording)}; what is in the cupboard reaches ${length(refusal.reachedCm, wording)} safely.`
    case 'rig-without-overlap':
      return `The upper block rests on ${length(refusal.overlapCm, wording)} of the lower one; ${length(refusal.leastCm, wording)} is the least. A tower like that is not built.`
    default:
      return describeShape(refusal, wording, named)
  }
}

/** What no body, or not this one, can do. */
function describeShape(refusal: ShapeRefusal, wording: Wording, named: Naming): string {
  switch (refusal.code) {
    case 'cannot-balance':
      return `No lean brings the plumb line over the hands here. Change: ${named(refusal.key)}.`
    case 'legs-do-not-reach':
    case 'arms-do-not-reach':
    case 'trunk-does-not-reach':
      return describeReach(refusal, wording, named)
    case 'joint-out-of-range':
      return `This would need ${deg(refusal.neededDeg)} at the ${refusal.joint}; ${deg(refusal.availableDeg)} is what there is. Change: ${named(refusal.change)}.`
    case 'in-the-floor':
    case 'in-the-wall':
      return `${PART_WORDS[refusal.part]} would lie ${length(refusal.byCm, wording)} inside the ${refusal.code === 'in-the-floor' ? 'floor' : 'wall'}. Nobody can do that: go back a little.`
    case 'knee-backwards':
      return 'The knees would have to bend backwards. Nobody can do that: go back a little.'
    case 'wall-out-of-reach':
      return `The wall is ${length(refusal.elbowToWallCm, wording)} from the elbows and the heels reach ${length(refusal.reachCm, wording)}. Come nearer.`
  }
}

type ShapeRefusal = Extract<
  SetupRefusal,
  | { code: 'cannot-balance' | 'joint-out-of-range' | 'wall-out-of-reach' | 'knee-backwards' }
  | { code: 'legs-do-not-reach' | 'arms-do-not-reach' | 'trunk-does-not-reach' }
  | { code: 'in-the-floor' | 'in-the-wall' }
>

const PART_WORDS = { arms: 'The arms', head: 'The head', trunk: 'The trunk', legs: 'The legs' } as const

type NoReach = Extract<SetupRefusal, { readonly reach: ReachRefusal }>

function describeReach({ code, key, reach }: NoReach, wording: Wording, named: Naming): string {
  const what =
    code === 'legs-do-not-reach' ? 'The legs' : code === 'arms-do-not-reach' ? 'The arms' : 'The trunk'
  return reach.code === 'too-far'
    ? `${what} reach ${length(reach.reachCm, wording)} and ${length(reach.neededCm, wording)} are needed. Shorten: ${named(key)}.`
    : `${what} cannot fold into ${length(reach.neededCm, wording)}; ${length(reach.leastCm, wording)} is the least. Lengthen: ${named(key)}.`
}
