import { bodyOf, must, placedCm } from '@/testing/bodies'
import { solveSetup } from './catalogue'
import { compareWays } from './right-angle-ways'

const KICK = 'SETUP-wall-kick-forearm-block'

describe('worked by hand on 168 cm', () => {
  it('elbow to wall is forearm, half a hand, block and gap: 24.5 + 9.1 + 15 + 10', () => {
    expect(placedCm(must(solveSetup(KICK, bodyOf(168))), 'elbow-to-wall')).toBeCloseTo(
      0.146 * 168 + 0.054 * 168 + 15 + 10,
      6,
    )
  })
  it('the strap loop is twice the joint width and once round the arms: 2 × 33.6 + π × 9', () => {
    expect(placedCm(must(solveSetup('SETUP-dolphin-strap', bodyOf(168))), 'strap-loop')).toBeCloseTo(
      67.2 + Math.PI * 9,
      6,
    )
  })
  it('the stop for lowering is a forearm less 3: 21.5', () => {
    expect(placedCm(must(solveSetup('SETUP-pushup-stop', bodyOf(168))), 'stop-shoulders')).toBeCloseTo(
      0.146 * 168 - 3,
      6,
    )
  })
  it('the platform edge is the inner leg from the wall: 0.47 × 168 = 79', () => {
    expect(placedCm(must(solveSetup('SETUP-platform-wall', bodyOf(168))), 'edge-to-wall')).toBeCloseTo(
      0.47 * 168,
      4,
    )
  })
  it('the shoulders on two chairs need neck and head and 5 cm: 30.6 + 5', () => {
    expect(placedCm(must(solveSetup('SETUP-headfree-chairs', bodyOf(168))), 'needed-height')).toBeCloseTo(
      0.182 * 168 + 5,
      6,
    )
  })
  it('half of arm’s length: 0.44 × 168 ÷ 2 = 37', () => {
    expect(placedCm(must(solveSetup('SETUP-wall-half-arm-hand', bodyOf(168))), 'hand-line')).toBeCloseTo(
      37,
      0,
    )
  })
  it('the fall zone is body height and half a metre', () => {
    expect(placedCm(must(solveSetup('SETUP-open-fall-zone', bodyOf(168))), 'clear-radius')).toBe(218)
  })
})

describe('the customary ways to a right angle', () => {
  it('recommends the one that puts the hips over the wrists, and says by how much the others miss', () => {
    for (const stature of [150, 168, 190]) {
      const { ways, recommended } = compareWays(bodyOf(stature))
      expect(recommended).toBe('M3')
      const miss = Object.fromEntries(ways.map((w) => [w.method, w.missCm / stature]))
      // props.md 5.2: M9 − M3 ≈ 0.043, pointed 0.67 − 0.53, M4 with the hands before the feet 0.06.
      expect(miss.M9).toBeCloseTo(0.043, 2)
      expect(miss['M9-pointed']).toBeCloseTo(0.14, 2)
      expect(miss.M4).toBeCloseTo(0.06, 2)
    }
  })
  it('longer marks tilt the trunk over and ease the shoulders, as teachers use them', () => {
    const { ways } = compareWays(bodyOf(168))
    const by = (method: string) => ways.find((w) => w.method === method)!
    expect(Math.abs(by('M9').trunkLeanDeg ?? 0)).toBeGreaterThan(Math.abs(by('M3').trunkLeanDeg ?? 0))
    expect(Math.abs(by('M9').shoulderMomentNmPerKg ?? 0)).toBeLessThan(
      Math.abs(by('M3').shoulderMomentNmPerKg ?? 0),
    )
  })
  it('the foot mark stands at 0.62 of stature, far above the standing hip', () => {
    const foot = placedCm(must(solveSetup('SETUP-wall-l-hand', bodyOf(168))), 'foot-height')
    expect(foot / 168).toBeCloseTo(0.62, 2)
    expect(foot - 0.53 * 168).toBeGreaterThan(14)
  })
})
