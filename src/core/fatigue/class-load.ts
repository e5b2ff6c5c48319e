import { after, capacityNow, FRESH, type Compartments, type Joint } from './compartments'

/** A stretch of a class for one joint: how hard, as a share of fresh capacity, and how long. */
export type Effort = { readonly label: string; readonly intensity: number; readonly seconds: number }

export type Moment = {
  readonly label: string
  readonly endS: number
  /** What is left of fresh capacity at the end of the stretch. */
  readonly capacityShare: number
  readonly fatiguedShare: number
  /** For how much of the stretch the demand could be met. */
  readonly heldS: number
  readonly heldThroughout: boolean
}

/** Fatigue of one joint at the end of every stretch of a class, rests included. */
export function classFatigue(joint: Joint, efforts: readonly Effort[], from: Compartments = FRESH): Moment[] {
  let state = from
  let endS = 0
  return efforts.map(({ label, intensity, seconds }) => {
    const { state: next, heldS } = after(state, joint, intensity, seconds)
    state = next
    endS += seconds
    return {
      label,
      endS,
      capacityShare: capacityNow(state),
      fatiguedShare: state.fatigued,
      heldS,
      heldThroughout: heldS >= seconds - 1e-6,
    }
  })
}
