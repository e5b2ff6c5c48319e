import fc from 'fast-check'
import { anyBody, bodyOf, must } from '@/testing/bodies'
import { estimateBody } from './estimate'
import { solveSetup } from '../setups/catalogue'
import { CLEAR_MARGIN_CM, headRoom } from './head-room'

it('by hand on 168 cm: 31.248 − 30.576 = 0.67, ± 2 √(1.25² + 1.22²) = 3.5', () => {
  const room = headRoom(bodyOf(168))
  expect(room.clearCm).toBeCloseTo(0.672, 3)
  expect(room.withinCm).toBeCloseTo(2 * Math.hypot(31.248 * 0.04, 30.576 * 0.04), 6)
  expect(room.answer).toBe('depends-on-the-tape')
})
it('measured long arms answer yes, measured short ones ask for a lift', () => {
  const of = (upperArm: number, headNeck: number) =>
    headRoom(must(estimateBody({ statureCm: 168, measured: { upperArm, headNeck } }))).answer
  expect(of(36, 29)).toBe('yes')
  expect(of(32.5, 29.5)).toBe('with-a-push')
  expect(of(27, 33)).toBe('raise-the-forearms')
})
it('asks for what is lacking and 2 cm where the arms are shorter, for nothing where they are not', () => {
  fc.assert(
    fc.property(anyBody, (body) => {
      const { clearCm, raiseCm, answer } = headRoom(body)
      if (clearCm < 0) expect(clearCm + raiseCm).toBeCloseTo(CLEAR_MARGIN_CM, 9)
      else expect(raiseCm).toBe(0)
      // What is laid is said, and nobody is sent to push through what no push can mend.
      if (raiseCm > 0) expect(answer).toMatch(/raise|tape/)
    }),
  )
})
it('the bench, the head base and the answer lay the same under the same forearms', () => {
  fc.assert(
    fc.property(anyBody, (body) => {
      const base = must(solveSetup('SETUP-headbase', body))
      expect(base.placements.find((p) => p.key === 'forearm-lift')?.valueCm).toBe(headRoom(body).raiseCm)
    }),
    { numRuns: 30 },
  )
})
