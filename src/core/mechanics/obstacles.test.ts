import fc from 'fast-check'
import { anyBody } from '@/testing/bodies'
import { distance, type Point } from './point'
import { POSITIONS, solvePosition } from './positions/catalogue'
import { runs } from '@/testing/runs'

const CASES = runs(1000)

describe('what no body can do', () => {
  it('no knee bends backwards and nothing stands in wall or floor, over the whole range of every parameter', () => {
    const tilt = (a: Point, b: Point): number => (Math.atan2(b.x - a.x, b.y - a.y) * 180) / Math.PI
    let bent = 0
    let refused = 0
    fc.assert(
      fc.property(
        anyBody,
        fc.constantFrom(...POSITIONS),
        fc.nat(),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (body, spec, which, at) => {
          const moved = spec.parameters[which % spec.parameters.length]!
          const solved = solvePosition(spec.id, body, {
            [moved.key]: moved.min + at * (moved.max - moved.min),
          })
          if (!solved.ok) refused += 1
          if (!solved.ok) return
          const { facing, skeleton: s, wallX, headClearanceCm } = solved.value
          for (const leg of s.legs) {
            const turn = (tilt(leg.knee, leg.ankle) - tilt(s.hip, leg.knee)) * facing
            const bend = turn - 360 * Math.round(turn / 360)
            if (bend > 5) bent += 1
            expect([spec.id, bend >= -0.6]).toEqual([spec.id, true])
          }
          const { legs, crown, ...upper } = s
          for (const { x, y } of [...Object.values(upper), ...legs.flatMap((l) => Object.values(l))]) {
            expect([spec.id, moved.key, y >= -0.6]).toEqual([spec.id, moved.key, true])
            expect([spec.id, moved.key, x <= (wallX ?? Infinity) + 0.6]).toEqual([spec.id, moved.key, true])
          }
          // Only arms too short for the head leave the crown below the floor, and then it is told.
          if (crown.y < -0.6) expect(headClearanceCm).toBe(crown.y)
        },
      ),
      { numRuns: CASES },
    )
    expect(bent).toBeGreaterThan(0.15 * CASES)
    expect(refused).toBeLessThan(0.45 * CASES)
  })
  it('usual values stand on any body: the guard refuses nobody their own dolphin', () => {
    fc.assert(
      fc.property(anyBody, (body) => {
        for (const { id } of POSITIONS) expect([id, solvePosition(id, body).ok]).toEqual([id, true])
      }),
      { numRuns: 60 },
    )
  })
  it('arm balances close: thighs keep their foreshortened length over elbow bend and knee contact', () => {
    fc.assert(
      fc.property(
        anyBody,
        fc.constantFrom('crow', 'crane', 'side-crow'),
        fc.double({ min: 0, max: 100, noNaN: true }),
        fc.double({ min: 0.2, max: 0.9, noNaN: true }),
        (body, id, elbowBendDeg, kneeContact) => {
          const solved = solvePosition(id, body, { elbowBendDeg, kneeContact })
          if (!solved.ok) return
          const { skeleton: s, parameters } = solved.value
          const { thigh, trunk } = body.length
          expect(distance(s.hip, s.legs[0].knee)).toBeCloseTo(0.92 * thigh.valueCm, 6)
          expect(distance(s.shoulder, s.waist) + distance(s.waist, s.hip)).toBeCloseTo(trunk.valueCm, 6)
          // Knees high on the arm round the back further; the figure says by how much.
          expect(parameters.roundingDeg).toBeLessThanOrEqual(80)
          expect(s.hip.y).toBeGreaterThan(s.legs[0].knee.y)
        },
      ),
    )
  })
})
