import { bodyOf, must } from '@/testing/bodies'
import { armLoad, contactOf, type Position } from './position'
import { solvePosition } from './positions/catalogue'
import { centreOfMass, type Leg, type Skeleton } from './skeleton'

const solve = (id: string, stature = 168, params = {}): Position =>
  must(solvePosition(id, bodyOf(stature), params))
const STATURES = [155, 168, 185]

describe('beside published figures, within five points (recalled, not looked up; docs/method/mechanics.md)', () => {
  it.each([
    ['high-plank', 69],
    ['low-push-up', 75],
    ['knee-plank', 54],
    ['low-push-up-knees', 62],
  ])('hands in %s carry %p %% (Suprak, Dawes & Stephenson 2011)', (id, published) => {
    for (const stature of STATURES)
      expect(Math.abs(armLoad(solve(id, stature)).value * 100 - published)).toBeLessThanOrEqual(5)
  })
  it('hands raised: about 55 % at 30 cm and 41 % at 61 cm (Ebben 2011), less with every step up to a wall', () => {
    const carried = (handHeightCm: number, stature = 168) =>
      contactOf(must(solvePosition('incline-plank', bodyOf(stature), { handHeightCm })), 'hands')!.share.value
    expect(Math.abs(carried(30) - 0.55)).toBeLessThanOrEqual(0.05)
    expect(Math.abs(carried(61) - 0.41)).toBeLessThanOrEqual(0.05)
    for (const stature of [150, 168, 190])
      for (let h = 10; h <= 110; h += 10) expect(carried(h + 10, stature)).toBeLessThan(carried(h, stature))
  })
  it('hands hardly raised carry what they do on the floor, and no height bends the curve at once', () => {
    for (const stature of [140, 155, 170, 185, 200]) {
      const at = (handHeightCm: number) =>
        contactOf(must(solvePosition('incline-plank', bodyOf(stature), { handHeightCm })), 'hands')!.share
      expect(at(0).value - at(0.5).value).toBeLessThan(0.005)
      for (let h = 0; h < 40; h += 0.5) expect(at(h).value - at(h + 0.5).value).toBeLessThan(0.02)
      // Pressing down or all along the arms: statics leave both.
      for (const h of [20, 30, 45, 61]) expect(at(h).max - at(h).min).toBeGreaterThan(0.06)
    }
  })
  it('before both feet hop about half of the weight is on the hands', () => {
    for (const stature of [145, 155, 168, 185, 195]) {
      const { min, value, max } = armLoad(solve('handstand-hop-start', stature))
      expect([value > 0.4, value < 0.65, min < value, max > value]).toEqual([true, true, true, true])
    }
  })
  it('crown in a headstand: 40–48 % at peak (Hector & Jensen 2015)', () => {
    for (const stature of STATURES) {
      const crown = contactOf(solve('headstand-straight', stature), 'crown')?.share.value ?? 0
      expect(crown * 100).toBeGreaterThan(35)
      expect(crown * 100).toBeLessThan(53)
    }
  })
  it.each(['female', 'male', 'blend'] as const)(
    'standing, the centre of mass is 54–57 %% of stature up (%s)',
    (table) => {
      const body = bodyOf(170, table)
      const { ankleHeight, shank, thigh, trunk, headNeck, upperArm, forearm, hand, foot } = body.length
      const x = 0
      const hipY = ankleHeight.valueCm + shank.valueCm + thigh.valueCm
      const shoulderY = hipY + trunk.valueCm
      const leg: Leg = {
        ankle: { x, y: ankleHeight.valueCm },
        knee: { x, y: ankleHeight.valueCm + shank.valueCm },
        heel: { x: -0.25 * foot.valueCm, y: 0 },
        toe: { x: 0.75 * foot.valueCm, y: 0 },
      }
      const elbowY = shoulderY - upperArm.valueCm
      const skeleton: Skeleton = {
        crown: { x, y: shoulderY + headNeck.valueCm },
        shoulder: { x, y: shoulderY },
        waist: { x, y: shoulderY - 0.6 * trunk.valueCm },
        hip: { x, y: hipY },
        elbow: { x, y: elbowY },
        wrist: { x, y: elbowY - forearm.valueCm },
        fingertip: { x, y: elbowY - forearm.valueCm - hand.valueCm },
        legs: [leg, leg],
      }
      const high = centreOfMass(body, skeleton).y / 170
      expect(high).toBeGreaterThan(0.52)
      expect(high).toBeLessThan(0.6)
    },
  )
  it('keeps dolphin, plank and right angle in the practice’s working bands', () => {
    expect(armLoad(solve('dolphin')).value).toBeGreaterThan(0.6)
    expect(armLoad(solve('dolphin')).value).toBeLessThan(0.66)
    expect(armLoad(solve('dolphin-leg-lifted', 168, { toeDistanceCm: 75 })).value).toBeGreaterThan(0.64)
    expect(armLoad(solve('right-angle-hands')).value).toBeGreaterThan(0.93)
    expect(armLoad(solve('forearm-stand-straight')).value).toBeCloseTo(1, 12)
  })
})

/** 168 cm: upper arm 31.248, forearm 24.528, hand 18.144, trunk 48.384, head and neck 30.576, thigh 41.16, shank 41.328. */
describe('worked by hand on 168 cm, one a family', () => {
  it('floor: knees under the hips lie √(48.384² − (55.776 − 41.16)²) = 46.1 cm behind the wrists', () => {
    expect(solve('all-fours').skeleton.legs[0].knee.x).toBeCloseTo(-46.12, 2)
  })
  it('plank on the knees: they lie √(89.544² − 55.776²) = 70.05 cm behind the wrists', () => {
    expect(solve('knee-plank').base.fromCm).toBeCloseTo(-70.05, 1)
  })
  it('dolphin, legs straight, heels down, feet at 90: elbows 3 up: the hip is at (−40.3, 61.0)', () => {
    const { hip } = solve('dolphin', 168, { toeDistanceCm: 90, kneeBendDeg: 0, heelLiftDeg: 0 }).skeleton
    expect(hip.x).toBeCloseTo(-40.31, 1)
    expect(hip.y).toBeCloseTo(61.03, 1)
  })
  it('down dog in one line, feet at 100: the hip is at (−69.8, 77.3)', () => {
    const { hip } = solve('down-dog-long', 168, {
      footDistanceCm: 100,
      kneeBendDeg: 0,
      heelLiftDeg: 0,
      shoulderAngleDeg: 180,
      hipRangeDeg: 150,
    }).skeleton
    expect(hip.x).toBeCloseTo(-69.8, 0)
    expect(hip.y).toBeCloseTo(77.3, 0)
  })
  it('right angle: arms and trunk make 104.16, so that is where hips and feet are; the push is (plumb + palm) ÷ height', () => {
    const position = solve('right-angle-hands', 168, { wallFriction: 0 })
    expect(position.skeleton.hip).toEqual({ x: expect.closeTo(0, 6), y: expect.closeTo(104.16, 6) })
    const palm = 0.25 * 18.144
    expect(contactOf(position, 'wallFeet')?.horizontalShare.value).toBeCloseTo(
      -(position.centreOfMassCm.x + palm) / 104.16,
      9,
    )
  })
  it('handstand: a rod of 192 cm would fall with √(2 × 1.92 ÷ (3 × 9.81)) = 0.36 s; the body, heavier low, a little faster', () => {
    const { timeConstantS } = solve('handstand-straight')
    expect(timeConstantS).toBeGreaterThan(0.31)
    expect(timeConstantS).toBeLessThan(0.36)
  })
  it('headstand: the neck stands over the crown; the plumb line six tenths of the way gives the crown at most 0.6', () => {
    const position = solve('headstand-straight')
    const crown = contactOf(position, 'crown')
    const forearms = contactOf(position, 'forearms')
    expect(position.skeleton.shoulder.x).toBeCloseTo(position.skeleton.crown.x, 0)
    expect(crown?.share.max).toBeCloseTo(0.6, 2)
    expect(crown?.share.max).toBeCloseTo(position.centreOfMassCm.x / (crown?.atCm.x ?? 0), 6)
    expect((crown?.share.value ?? 0) + (forearms?.share.value ?? 0)).toBeCloseTo(1, 12)
  })
  it('crow: the plumb line falls where it was asked to, three tenths of the hand ahead of the wrists', () => {
    expect(solve('crow').centreOfMassCm.x).toBeCloseTo(0.3 * 18.144, 6)
  })
  it('seat on a chair: from shoulders 22.6 up to hips 55.4 the trunk of 48.384 slopes 42.7°', () => {
    const { trunkLeanDeg } = solve('chair-shoulder-stand').angles
    expect(90 - trunkLeanDeg).toBeCloseTo((Math.asin((55.4 - 22.56) / 48.384) * 180) / Math.PI, 1)
  })
})
