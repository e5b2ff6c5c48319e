import fc from 'fast-check'
import { bodyOf, must } from '@/testing/bodies'
import { solvePosition } from '../mechanics/positions/catalogue'
import { classFatigue } from './class-load'
import {
  after,
  capacityNow,
  enduranceAt,
  FRESH,
  intensityFor,
  JOINTS,
  LONG_HOLD_S,
  RATES,
} from './compartments'
import { capacityFrom, jointLoad, predictHold, secondsOf } from './endurance'

const anyJoint = fc.constantFrom(...JOINTS)
const anyIntensity = fc.double({ min: 0.15, max: 0.95, noNaN: true })

describe('three compartments', () => {
  it('keeps every motor unit somewhere', () => {
    fc.assert(
      fc.property(
        anyJoint,
        anyIntensity,
        fc.double({ min: 1, max: 120, noNaN: true }),
        (joint, intensity, seconds) => {
          const { resting, active, fatigued } = after(FRESH, joint, intensity, seconds).state
          expect(resting + active + fatigued).toBeCloseTo(1, 9)
          for (const share of [resting, active, fatigued]) expect(share).toBeGreaterThanOrEqual(-1e-6)
        },
      ),
    )
  })
  it('stepping through a hold ends where the closed form says, within a second or 3 %', () => {
    fc.assert(
      fc.property(anyJoint, fc.double({ min: 0.25, max: 0.9, noNaN: true }), (joint, intensity) => {
        const closed = enduranceAt(joint, intensity)
        fc.pre(closed < 600)
        const { heldS } = after(FRESH, joint, intensity, closed * 1.2 + 5)
        expect(Math.abs(heldS - closed)).toBeLessThan(1 + 0.03 * closed)
      }),
      { numRuns: 40 },
    )
  })
  it('by hand: a shoulder at half its strength lasts −ln(1 − 0.00168 / 0.0182) / 0.00168 = 57.7 s', () => {
    expect(enduranceAt('shoulder', 0.5)).toBeCloseTo(57.65, 1)
  })
  it('harder is never longer, and the inverse brings the intensity back', () => {
    fc.assert(
      fc.property(anyJoint, anyIntensity, (joint, intensity) => {
        const seconds = enduranceAt(joint, intensity)
        expect(enduranceAt(joint, intensity + 0.04)).toBeLessThanOrEqual(seconds)
        if (seconds < LONG_HOLD_S) expect(intensityFor(joint, seconds)).toBeCloseTo(intensity, 6)
      }),
    )
  })
  it('below the endless intensity a hold has no end in the model', () => {
    const { fatigue, recovery } = RATES.shoulder
    expect(enduranceAt('shoulder', (recovery / (recovery + fatigue)) * 0.99)).toBe(LONG_HOLD_S)
    expect(enduranceAt('shoulder', 1)).toBe(0)
  })
  it('recovers at rest, fifteen times as fast as under load', () => {
    const spent = after(FRESH, 'shoulder', 0.6, 40).state
    const rested = after(spent, 'shoulder', 0, 30).state
    expect(capacityNow(rested)).toBeGreaterThan(capacityNow(spent) + 0.1)
    expect(rested.fatigued).toBeCloseTo(spent.fatigued * Math.exp(-RATES.shoulder.recovery * 15 * 30), 1)
  })
})

describe('from one hold to another', () => {
  const load = (id: string, params = {}): number =>
    jointLoad(must(solvePosition(id, bodyOf(168), params)), 'shoulder')
  it('the hold that was seen is what it predicts for itself', () => {
    fc.assert(
      fc.property(fc.double({ min: 5, max: 240, noNaN: true }), (seconds) => {
        const loadNmPerKg = load('dolphin')
        const hold = predictHold('shoulder', capacityFrom('shoulder', { loadNmPerKg, seconds }), loadNmPerKg)
        expect(hold.seconds).toBeCloseTo(seconds, 3)
        expect(hold.lowS).toBeLessThan(seconds)
        expect(hold.highS).toBeGreaterThan(seconds)
      }),
    )
  })
  it('a longer dolphin never predicts a shorter forearm stand', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 120, noNaN: true }),
        fc.double({ min: 1, max: 60, noNaN: true }),
        (seconds, more) => {
          const next = (s: number): number =>
            predictHold(
              'shoulder',
              capacityFrom('shoulder', { loadNmPerKg: load('dolphin'), seconds: s }),
              load('forearm-stand-heels-on-wall'),
            ).seconds
          expect(next(seconds + more)).toBeGreaterThanOrEqual(next(seconds))
        },
      ),
    )
  })
  it('asks more of the shoulders in a slid-out right angle than in a stacked handstand', () => {
    expect(load('right-angle-hands', { shoulderAngleDeg: 150 })).toBeGreaterThan(load('handstand-straight'))
  })
  it('counts breaths by the student’s own', () => {
    expect(secondsOf(8)).toBe(40)
    expect(secondsOf(8, 6)).toBe(48)
  })
  it('speaks for elbows, grip and trunk too', () => {
    const plank = must(solvePosition('high-plank', bodyOf(168)))
    for (const joint of JOINTS) expect(jointLoad(plank, joint)).toBeGreaterThan(0)
    expect(jointLoad(plank, 'trunk')).toBeGreaterThan(
      jointLoad(must(solvePosition('handstand-straight', bodyOf(168))), 'trunk'),
    )
  })
})

describe('a whole class', () => {
  const dolphin = { label: 'dolphin', intensity: 0.45, seconds: 30 }
  const rest = { label: 'rest', intensity: 0, seconds: 60 }
  it('tires set by set and mends in the rests between', () => {
    const [first, rested, second] = classFatigue('shoulder', [dolphin, rest, dolphin])
    expect(first!.capacityShare).toBeLessThan(1)
    expect(rested!.capacityShare).toBeGreaterThan(first!.capacityShare)
    expect(second!.capacityShare).toBeLessThan(rested!.capacityShare)
    expect(second!.endS).toBe(120)
  })
  it('without rest the same sets end in a hold that is not made', () => {
    const sets = Array.from({ length: 6 }, () => dolphin)
    const moments = classFatigue('shoulder', sets)
    expect(moments[0]!.heldThroughout).toBe(true)
    expect(moments.at(-1)!.heldThroughout).toBe(false)
    expect(moments.at(-1)!.heldS).toBeLessThan(30)
  })
  it('more rest never leaves less', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 120, noNaN: true }),
        fc.double({ min: 1, max: 120, noNaN: true }),
        (pause, more) => {
          const left = (seconds: number): number =>
            classFatigue('shoulder', [dolphin, { ...rest, seconds }]).at(-1)?.capacityShare ?? 0
          expect(left(pause + more)).toBeGreaterThanOrEqual(left(pause) - 1e-9)
        },
      ),
      { numRuns: 30 },
    )
  })
})
