import fc from 'fast-check'
import { anyBody, bodyOf } from '@/testing/bodies'
import { inertia, LENGTH_RATIO, MASS_SEGMENTS, sides } from './anthropometry'
import { derivedLengths } from './derived'
import { estimateBody } from './estimate'

describe('estimating a body', () => {
  it('multiplies stature by the tabulated ratio: upper arm of 168 cm is 31.2 cm', () => {
    expect(bodyOf(168).length.upperArm).toEqual({
      valueCm: 0.186 * 168,
      sdCm: 0.186 * 168 * 0.04,
      source: 'estimated',
    })
  })
  it('puts a measured length in place of its estimate and trusts it more', () => {
    const body = estimateBody({ statureCm: 168, measured: { upperArm: 30 } })
    expect(body.ok && body.value.length.upperArm).toEqual({ valueCm: 30, sdCm: 1, source: 'measured' })
  })
  it.each([17, 1680, 300, NaN])('refuses a stature of %p', (statureCm) => {
    const body = estimateBody({ statureCm })
    expect(!body.ok && body.refusal).toMatchObject({ code: 'stature-implausible', minCm: 120, maxCm: 220 })
  })
  it('refuses a measured length that fits no body of that height, with the span it would believe', () => {
    const body = estimateBody({ statureCm: 168, measured: { hand: 60 } })
    expect(!body.ok && body.refusal).toMatchObject({
      code: 'length-implausible',
      segment: 'hand',
      valueCm: 60,
    })
  })
  it('scales every length with stature', () => {
    fc.assert(
      fc.property(fc.double({ min: 140, max: 200, noNaN: true }), (stature) => {
        for (const segment of Object.keys(LENGTH_RATIO) as (keyof typeof LENGTH_RATIO)[])
          expect(bodyOf(stature * 1.02).length[segment].valueCm).toBeCloseTo(
            bodyOf(stature).length[segment].valueCm * 1.02,
            9,
          )
      }),
    )
  })
  it.each(['female', 'male', 'blend'] as const)('has masses that sum to one (%s)', (table) => {
    const table_ = inertia(table)
    expect(MASS_SEGMENTS.reduce((sum, s) => sum + table_[s].mass * sides(s), 0)).toBeCloseTo(1, 12)
  })
})

describe('lengths that setups use', () => {
  it('gives the strap loop of a 170 cm person: 2 × 34 + π × 9 = 96 cm (props.md 5.2)', () => {
    expect(derivedLengths(bodyOf(170)).elbowLoop.valueCm).toBeCloseTo(96.3, 1)
  })
  it.each([
    [150, 22],
    [160, 24],
    [170, 26],
    [180, 28],
    [190, 30],
  ])('gives the inner forearm gap of %p cm as %p cm (props.md 2.2)', (stature, gap) => {
    expect(derivedLengths(bodyOf(stature)).innerForearmGap.valueCm).toBeCloseTo(gap, 6)
  })
  it('gives seated leg length as 0.53 of stature (M3)', () => {
    fc.assert(
      fc.property(anyBody, (body) =>
        expect(derivedLengths(body).seatedLeg.valueCm).toBeCloseTo(0.53 * body.statureCm, 6),
      ),
    )
  })
  it('follows a measured shoulder breadth', () => {
    const broad = estimateBody({ statureCm: 170, measured: { shoulderBreadth: 50 } })
    expect(broad.ok && derivedLengths(broad.value).jointWidth.valueCm).toBeGreaterThan(34)
  })
})
