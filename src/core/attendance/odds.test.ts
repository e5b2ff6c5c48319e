import fc from 'fast-check'
import { comingOdds, headcount, type Attended } from './odds'

const state = fc.constantFrom<Attended>('here', 'late', 'absent')

it('of somebody new is three in four', () => expect(comingOdds([])).toBe(0.75))
it('by hand: here, then absent: (3 + 0.87) ÷ (4 + 1.87)', () =>
  expect(comingOdds(['here', 'absent'])).toBeCloseTo(3.87 / 5.87, 12))
it('coming more never lowers the chance, and it stays a chance', () => {
  fc.assert(
    fc.property(fc.array(state, { maxLength: 20 }), fc.nat(19), (history, at) => {
      const better = history.map((s, i): Attended => (i === at ? 'here' : s))
      expect(comingOdds(better)).toBeGreaterThanOrEqual(comingOdds(history))
      expect(comingOdds(history)).toBeGreaterThan(0)
      expect(comingOdds(history)).toBeLessThan(1)
    }),
  )
})
it('being late is coming', () => expect(comingOdds(['late'])).toBe(comingOdds(['here'])))
it('counts two coins: one expected, none to two likely', () =>
  expect(headcount([0.5, 0.5])).toEqual({ expected: 1, from: 0, to: 2 }))
it('is sure of sure people, and of nobody', () => {
  expect(headcount([1, 1, 1])).toEqual({ expected: 3, from: 3, to: 3 })
  expect(headcount([])).toEqual({ expected: 0, from: 0, to: 0 })
})
it('the range holds the mean to within one person', () => {
  fc.assert(
    fc.property(fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { maxLength: 14 }), (odds) => {
      const { expected, from, to } = headcount(odds)
      expect(from).toBeLessThanOrEqual(expected + 1)
      expect(to).toBeGreaterThanOrEqual(expected - 1)
    }),
  )
})
