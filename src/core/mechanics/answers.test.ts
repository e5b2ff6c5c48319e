import fc from 'fast-check'
import { anyBody, bodyOf, must } from '@/testing/bodies'
import { estimateBody } from '../body/estimate'
import { acrossBuilds } from './builds'
import { armLoad, contactOf, type Position } from './position'
import { solvePosition } from './positions/catalogue'
import { neckFlexion } from './positions/shoulders-down'

const solve = (id: string, params = {}, stature = 168): Position =>
  must(solvePosition(id, bodyOf(stature), params))

describe('where the plumb line falls', () => {
  it.each(['forearm-stand-straight', 'handstand-straight'])(
    '%s: stacked, it falls at the rear edge of the base; as it is held, well inside',
    (id) => {
      const { margin } = solve(id, { leanDeg: 0 })
      const held = solve(id).margin
      expect(Math.min(held.backCm, held.forwardCm)).toBeGreaterThan(3)
      expect(margin.backCm).toBeLessThan(1.5)
      expect(margin.forwardCm).toBeGreaterThan(15)
    },
  )
  it('shoulders ahead of the support bring it forward; so does one leg past upright, but hardly an even V', () => {
    const stacked = solve('handstand-straight', { leanDeg: 0 }).margin.backCm
    expect(solve('handstand-straight', { leanDeg: 0, shoulderLeanDeg: 6 }).margin.backCm).toBeGreaterThan(
      stacked + 3,
    )
    const split = (frontLegDeg: number, backLegDeg: number): number =>
      solve('handstand-v-split', { leanDeg: 0, frontLegDeg, backLegDeg }).centreOfMassCm.x
    expect(split(0, 30)).toBeGreaterThan(split(0, 0) + 2)
    expect(Math.abs(split(30, 30) - split(0, 0))).toBeLessThan(1)
  })
})

describe('reaching a wall', () => {
  it('forearms at 5 cm lean about 14° in one line or arch about 28°; at 15 cm 18° and 36°', () => {
    const at = (gap: number, archShare: number): Position =>
      solve('forearm-stand-heels-on-wall', { fingertipGapCm: gap, archShare })
    expect(at(5, 0).angles.trunkLeanDeg).toBeCloseTo(14, -0.5)
    expect(at(5, 1).angles.archDeg).toBeCloseTo(28, -0.5)
    expect(at(15, 0).angles.trunkLeanDeg).toBeGreaterThan(at(5, 0).angles.trunkLeanDeg)
    expect(at(15, 1).angles.archDeg).toBeCloseTo(36, -0.5)
  })
  it('hands reach the same wall with far less: the base ends at the fingers, not a forearm further', () => {
    expect(solve('handstand-heels-on-wall', { fingertipGapCm: 5 }).angles.trunkLeanDeg).toBeLessThan(
      solve('forearm-stand-heels-on-wall', { fingertipGapCm: 5 }).angles.trunkLeanDeg / 2,
    )
  })
})

describe('the right angle at the wall', () => {
  const at = (share: number): Position =>
    solve('right-angle-hands', { handDistanceCm: share * 168, hipRangeDeg: 170, kneeBendDeg: 0 })
  it('further hands push the wall more and carry a little less', () => {
    expect(Math.abs(contactOf(at(0.58), 'wallFeet')?.horizontalShare.value ?? 0)).toBeGreaterThan(
      Math.abs(contactOf(at(0.52), 'wallFeet')?.horizontalShare.value ?? 0),
    )
    expect(armLoad(at(0.58)).value).toBeLessThan(armLoad(at(0.52)).value + 0.02)
  })
  it('works the shoulders harder than a balanced handstand, however near', () => {
    const balanced = Math.abs(solve('handstand-straight', { leanDeg: 2 }).shoulderMomentNmPerKg)
    for (const share of [0.5, 0.53, 0.58])
      expect(Math.abs(at(share).shoulderMomentNmPerKg)).toBeGreaterThan(balanced)
  })
  it('feet at standing hip height hang the legs low by more than 10° of slope', () => {
    const { hip, legs } = solve('right-angle-hands', { footHeightCm: 0.53 * 168, hipRangeDeg: 150 }).skeleton
    expect(hip.y - legs[0].ankle.y).toBeGreaterThan(12)
  })
})

describe('walking in and folding up', () => {
  it('changes a dolphin’s arm load by a few points and the rise still needed by much more', () => {
    const near = solve('forearm-stand-kick-start', { toeDistanceCm: 70 })
    const far = solve('forearm-stand-kick-start', { toeDistanceCm: 95 })
    expect(Math.abs(armLoad(near).value - armLoad(far).value)).toBeLessThan(0.06)
    expect((far.rise?.riseCm ?? 0) / (near.rise?.riseCm ?? 1)).toBeGreaterThan(1.25)
  })
  it('tucked is lowest and falls fastest, straight highest and slowest, straddled between', () => {
    const [tuck, straddle, straight] = ['handstand-tuck', 'handstand-straddle', 'handstand-straight'].map(
      (id) => solve(id),
    )
    expect(tuck!.centreOfMassCm.y).toBeLessThan(straddle!.centreOfMassCm.y)
    expect(straddle!.centreOfMassCm.y).toBeLessThan(straight!.centreOfMassCm.y)
    expect(tuck!.timeConstantS).toBeLessThan(straight!.timeConstantS)
  })
})

it('upper arms that prop a half shoulder stand are arms that carry', () => {
  const half = solve('half-shoulder-stand')
  expect(armLoad(half).value).toBeCloseTo(contactOf(half, 'elbows')!.share.value, 12)
  expect(armLoad(half).value).toBeGreaterThan(0.5)
})

describe('what the crown can carry', () => {
  it('its upper end is plumb distance over crown distance, and midway the interval is no wider than 0.6', () => {
    fc.assert(
      fc.property(anyBody, fc.double({ min: -4, max: 4, noNaN: true }), (body, leanDeg) => {
        const position = must(solvePosition('headstand-straight', body, { leanDeg }))
        const crown = contactOf(position, 'crown')
        fc.pre(position.balanced && crown !== undefined)
        const part = position.centreOfMassCm.x / crown.atCm.x
        if (part < 1) expect(crown.share.max).toBeCloseTo(part, 6)
        if (Math.abs(part - 0.5) < 0.05) expect(crown.share.max - crown.share.min).toBeLessThanOrEqual(0.6)
      }),
    )
  })
  it('with the plumb line over the crown, any split balances', () => {
    const crownX = solve('headstand-straight').contacts.find((c) => c.part === 'crown')?.atCm.x ?? 0
    let [low, high] = [-5, 20]
    for (let i = 0; i < 50; i += 1) {
      const lean = (low + high) / 2
      if (solve('headstand-straight', { leanDeg: lean }).centreOfMassCm.x < crownX) low = lean
      else high = lean
    }
    const share = contactOf(solve('headstand-straight', { leanDeg: low }), 'crown')?.share
    expect(share?.min).toBeCloseTo(0, 3)
    expect(share?.max).toBeCloseTo(1, 3)
  })
  const arms = (statureCm: number, upperArm: number, headNeck: number, id = 'headstand-straight') => {
    const made = estimateBody({ statureCm, table: 'female', measured: { upperArm, headNeck } })
    return contactOf(must(solvePosition(id, must(made))), 'crown')!.share
  }
  it('a centimetre of arm moves no working figure, and the neck stands upright over the crown', () => {
    expect(Math.abs(arms(168, 32, 30.6).value - arms(168, 31, 30.6).value)).toBeLessThan(0.005)
    fc.assert(
      fc.property(anyBody, (body) => {
        const { shoulder, crown } = must(solvePosition('headstand-straight', body)).skeleton
        expect(Math.abs(shoulder.x - crown.x)).toBeLessThan(0.27 * (shoulder.y - crown.y))
      }),
    )
  })
  it('its least load never falls as arms get shorter, and is above nothing where a push cannot reach (M14)', () => {
    expect(arms(168, 33, 30).min).toBe(0)
    expect(arms(168, 28.5, 31.5).min).toBeGreaterThan(0.05)
    fc.assert(
      fc.property(
        fc.double({ min: 150, max: 190, noNaN: true }),
        fc.double({ min: 0.15, max: 0.2, noNaN: true }),
        fc.double({ min: 0.17, max: 0.2, noNaN: true }),
        fc.constantFrom('headstand-straight', 'headstand-tuck', 'headstand-knees-up'),
        (stature, arm, neck, id) => {
          const at = (upperArm: number) => {
            const made = estimateBody({
              statureCm: stature,
              table: 'female',
              measured: { upperArm, headNeck: neck * stature },
            })
            const solved = made.ok ? solvePosition(id, made.value) : made
            return solved.ok ? contactOf(solved.value, 'crown')?.share.min : undefined
          }
          const [short, long] = [at(arm * stature), at(arm * stature + 1)]
          fc.pre(short !== undefined && long !== undefined)
          expect(short).toBeGreaterThanOrEqual(long - 1e-6)
        },
      ),
    )
  })
  it('what is laid under the forearms takes the head off again', () => {
    const body = must(
      estimateBody({ statureCm: 168, table: 'female', measured: { upperArm: 27.5, headNeck: 31.5 } }),
    )
    const least = (forearmLiftCm: number) =>
      contactOf(must(solvePosition('headstand-straight', body, { forearmLiftCm })), 'crown')!.share.min
    expect(least(0)).toBeGreaterThan(0.3)
    expect(least(2)).toBeLessThan(least(0))
    expect(least(5)).toBe(0)
  })
})

describe('arm balances and necks', () => {
  it('shoulders travel a long way ahead of the wrists in crow, and less with straighter, higher-kneed arms', () => {
    const travel = solve('crow').shoulderTravelCm
    expect(travel).toBeGreaterThan(8)
    expect(solve('crane').shoulderTravelCm).toBeLessThan(travel)
  })
  it('a platform of 5 cm gives the neck back 10 to 18°', () => {
    const eased = neckFlexion(bodyOf(168), 0, 80) - neckFlexion(bodyOf(168), 5, 80)
    expect(eased).toBeGreaterThan(10)
    expect(eased).toBeLessThan(18)
  })
  it('builds move a plank’s arm load by a point or two, both ways', () => {
    const range = must(acrossBuilds('high-plank', bodyOf(168), {}, (p) => armLoad(p).value))
    expect(range.min).toBeLessThan(range.value - 0.005)
    expect(range.max).toBeGreaterThan(range.value + 0.005)
    expect(range.max - range.min).toBeLessThan(0.05)
  })
  it('the crown hangs at elbow height and 0.4 % of stature above the floor on average arms', () => {
    expect(solve('forearm-stand-straight', { leanDeg: 0 }).headClearanceCm).toBeCloseTo(
      (0.018 + 0.004) * 168,
      6,
    )
  })
})

describe('what statics leave open', () => {
  it.each([
    // By an independent reckoning: equal pushes along the floor up to half of what the lighter end carries.
    ['dolphin', -0.11, 0.99],
    ['high-plank', -0.59, 1.17],
    ['down-dog-long', 0.72, 2.62],
  ])(
    '%s: floor friction alone moves the moment of the shoulders between %d and %d N·m/kg',
    (id, low, high) => {
      const { shoulderMomentNmPerKg: value, shoulderMomentWithin: within } = solve(id)
      expect(Math.abs(within.min - low)).toBeLessThan(0.15)
      expect(Math.abs(within.max - high)).toBeLessThan(0.15)
      expect(value).toBeGreaterThan(within.min)
      expect(value).toBeLessThan(within.max)
    },
  )
  it('turning the body round turns no sign: nearer the wall the arms of a right angle must push open more', () => {
    const at = (handDistanceCm: number): number =>
      solve('right-angle-hands', { handDistanceCm, kneeBendDeg: 40 }).shoulderMomentNmPerKg
    expect(at(76)).not.toBeCloseTo(at(95), 2)
    expect(Math.sign(at(76))).toBe(Math.sign(solve('press-start').shoulderMomentNmPerKg))
  })
  it('nothing presses a resting body down: no contact of a right angle or a plough carries more than the whole', () => {
    for (const id of ['right-angle-hands', 'right-angle-forearms', 'plough-wall', 'handstand-heels-on-wall'])
      for (const { part, share } of solve(id).contacts)
        expect([id, part, share.max <= 1 + 1e-9]).toEqual([id, part, true])
  })
})

describe('load tags from the loads themselves', () => {
  it.each([
    ['all-fours', { WB: 2 }],
    ['high-plank', { WB: 2 }],
    ['handstand-straight', { WB: 3, HBH: 3, SE: 2 }],
    ['forearm-stand-straight', { FB: 3, HBH: 3, SE: 3 }],
    ['dolphin', { FB: 2, HBH: 1 }],
    ['right-angle-hands', { WB: 3, HBH: 2, SE: 2 }],
    ['headstand-straight', { HB: 3, HBH: 3 }],
    ['headstand-base', { HB: 2 }],
    ['shoulder-stand-straight', { NF: 3, HBH: 3 }],
    ['platform-shoulder-stand', { NF: 2, HBH: 3 }],
    ['half-shoulder-stand', { NF: 2, HBH: 2 }],
    ['bridge', { NF: 1 }],
    ['headstand-head-free', { NF: 1, HBH: 3 }],
    ['legs-up-wall', {}],
  ])('%s carries %p', (id, tags) => expect(solve(id).loadTags).toMatchObject(tags))
  it('never tags the head where the crown is clear', () => {
    fc.assert(
      fc.property(
        anyBody,
        fc.constantFrom('dolphin', 'forearm-stand-tuck', 'handstand-tuck', 'headstand-head-free'),
        (body, id) => {
          expect(must(solvePosition(id, body)).loadTags.HB).toBeUndefined()
        },
      ),
    )
  })
})

describe('refusals carry code and numbers', () => {
  it.each([
    [
      'dolphin',
      { hipRangeDeg: 30 },
      { code: 'joint-out-of-range', joint: 'hip', availableDeg: 30, change: 'toeDistanceCm' },
    ],
    [
      'right-angle-hands',
      { hipRangeDeg: 30 },
      { code: 'joint-out-of-range', joint: 'hip', availableDeg: 30 },
    ],
    ['plough-wall', { hipRangeDeg: 30 }, { code: 'joint-out-of-range', joint: 'hip' }],
    [
      'dolphin',
      { shoulderRangeDeg: 90 },
      { code: 'joint-out-of-range', joint: 'shoulder', availableDeg: 90 },
    ],
    ['dolphin', { toeDistanceCm: 140 }, { code: 'legs-do-not-reach', reach: { code: 'too-far' } }],
    ['dolphin', { kneeBendDeg: -5 }, { code: 'parameter-out-of-range', key: 'kneeBendDeg', min: 0, max: 90 }],
    ['dolphin', { toes: 4 }, { code: 'unknown-parameter', key: 'toes' }],
    [
      'forearm-stand-heels-on-wall',
      { fingertipGapCm: -1 },
      { code: 'parameter-out-of-range', key: 'fingertipGapCm' },
    ],
    ['handstand-on-water', {}, { code: 'unknown-position' }],
  ])('%s %p', (id, params, refusal) => {
    const stature = 'toeDistanceCm' in params ? 140 : 168
    const solved = solvePosition(id, bodyOf(stature), params)
    expect(!solved.ok && solved.refusal).toMatchObject(refusal)
  })
})
