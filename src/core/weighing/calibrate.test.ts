import fc from 'fast-check'
import { must } from '@/testing/bodies'
import { estimateBody } from '../body/estimate'
import { contactOf } from '../mechanics/position'
import { solvePosition } from '../mechanics/positions/catalogue'
import { calibrate, modelRange, modelShare, shareOf, WEIGHING_SD, WEIGHING_SHAPES } from './calibrate'
import { onScale } from './on-scale'
import { runs } from '@/testing/runs'

const input = { statureCm: 168 }
const [plank] = WEIGHING_SHAPES

it('40 under the hands of somebody of 60 is two thirds; more than the whole is a slip', () => {
  expect(must(shareOf(40, 60))).toBeCloseTo(2 / 3, 12)
  expect(shareOf(61, 40)).toMatchObject({ ok: false, refusal: { code: 'share-impossible' } })
  expect(shareOf(40, 0).ok).toBe(false)
})
it('without a weighing nothing moves, and the error is that of bodies in general', () => {
  expect(must(calibrate(input, []))).toEqual({ massToLegs: 0, sd: 0.02 })
})
it('finds a shift back from the share it makes, pulled towards the usual body by the errors', () => {
  fc.assert(
    fc.property(fc.double({ min: -0.05, max: 0.05, noNaN: true }), (shift) => {
      const share = modelShare(input, plank!, shift)
      const many = Array.from({ length: 400 }, () => ({ shapeId: plank!.id, share }))
      expect(must(calibrate(input, many)).massToLegs).toBeCloseTo(shift, 2)
      const one = must(calibrate(input, many.slice(0, 1)))
      expect(Math.abs(one.massToLegs)).toBeLessThanOrEqual(Math.abs(shift) + 1e-9)
      expect(one.massToLegs * shift).toBeGreaterThanOrEqual(0)
    }),
    { numRuns: runs(12) },
  )
})
it('more weighings only narrow the error, and a heavier lower half unloads the hands', () => {
  const share = modelShare(input, plank!, 0)
  const errors = [1, 2, 4, 8].map(
    (n) =>
      must(
        calibrate(
          input,
          Array.from({ length: n }, () => ({ shapeId: plank!.id, share })),
        ),
      ).sd,
  )
  expect(errors.toSorted((a, b) => b - a)).toEqual(errors)
  expect(
    must(calibrate(input, [{ shapeId: plank!.id, share: share - 2 * WEIGHING_SD }])).massToLegs,
  ).toBeGreaterThan(0)
})
it('refuses a reading that no body explains, with the span that some body would', () => {
  const answer = calibrate(input, [{ shapeId: 'plank-hands', share: 0.3 }])
  expect(answer).toMatchObject({ ok: false, refusal: { code: 'weighing-does-not-fit', share: 0.3 } })
  expect(calibrate(input, [{ shapeId: 'on-one-toe', share: 0.3 }]).ok).toBe(false)
})
it('takes a crown’s reading as a split of the load, not as news of the body', () => {
  const crown = WEIGHING_SHAPES.find((s) => s.id === 'headbase-crown')!
  const range = modelRange(input, crown)
  expect(range && range.max > range.value && range.min < range.value).toBe(true)
  expect(must(calibrate(input, [{ shapeId: crown.id, share: 0.1 }])).massToLegs).toBe(0)
})
it.each(WEIGHING_SHAPES.map((s) => [s.id]))('%s is a shape of the model with a load on that part', (id) => {
  const shape = WEIGHING_SHAPES.find((s) => s.id === id)!
  expect(modelShare(input, shape, 0)).toBeGreaterThan(0.05)
})
it('draws the scale under the middle of the part, below the floor and within what is seen, on any body', () => {
  for (const statureCm of [145, 168, 198])
    for (const shape of WEIGHING_SHAPES) {
      const picture = onScale({ statureCm }, shape)
      const scale = picture?.rests.at(-1)
      const body = must(estimateBody({ statureCm }))
      const at = contactOf(must(solvePosition(shape.position, body, {})), shape.part)?.atCm.x ?? Number.NaN
      const [x, y, wide, high] = picture?.view ?? [0, 0, 0, 0]
      expect((scale?.x ?? 0) + (scale?.widthCm ?? 0) / 2).toBeCloseTo(at, 9)
      expect((scale?.fromCm ?? 0) + (scale?.heightCm ?? 0)).toBe(0)
      expect(y + high).toBeGreaterThanOrEqual(scale?.heightCm ?? Infinity)
      expect(x).toBeLessThan(at)
      expect(x + wide).toBeGreaterThan(at)
    }
  expect(onScale({ statureCm: 90 }, plank!)).toBeNull()
})
