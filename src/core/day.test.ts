import fc from 'fast-check'
import { addDays, daysBetween, formatDay } from './day'

it('counts days over months, leap years and clock changes', () => {
  expect(daysBetween('2026-02-28', '2026-03-01')).toBe(1)
  expect(daysBetween('2028-02-28', '2028-03-01')).toBe(2)
  expect(daysBetween('2026-03-28', '2026-03-30')).toBe(2)
  expect(daysBetween('2026-03-30', '2026-03-28')).toBe(-2)
})

it('adds back what it subtracts', () => {
  fc.assert(
    fc.property(fc.integer({ min: -4000, max: 4000 }), (n) =>
      expect(daysBetween('2026-03-10', addDays('2026-03-10', n))).toBe(n),
    ),
  )
})

it('prints a day as people write it', () => expect(formatDay('2026-03-05')).toBe('5 Mar 2026'))
