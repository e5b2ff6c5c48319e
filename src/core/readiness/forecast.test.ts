import fc from 'fast-check'
import { saw, TODAY } from '@/testing/evidence'
import { addDays } from '../day'
import { findById } from '../practice/find'
import { shippedPractice } from '../practice/library'
import { forecastGate, theilSen } from './forecast'

const practice = shippedPractice()
const gate = {
  check: 'CK-dolphin-hold',
  op: '>=',
  value: 45,
  side: 'single',
  aidedOk: false,
  life: 'standing',
} as const
const check = findById(practice.checks, 'CK-dolphin-hold')

describe('forecast', () => {
  const holds = (...values: number[]) =>
    values.map((v, i) => saw('CK-dolphin-hold', v, 7 * (values.length - 1 - i)))
  const of = (...values: number[]) => forecastGate(gate, check, holds(...values), TODAY)
  it('wants four days, knows when it is there, and says flat where nothing moves', () => {
    expect(of(20, 22, 24)).toMatchObject({ code: 'not-enough', days: 3 })
    expect(of(40, 44, 46, 50)).toMatchObject({ code: 'there' })
    expect(of(30, 30, 30, 30)).toMatchObject({ code: 'flat', weeks: 3 })
    expect(of(34, 32, 31, 28).code).toBe('flat')
  })
  it('by hand: 5 s a week from 30 reach 45 in 3 weeks', () => {
    expect(of(15, 20, 25, 30)).toMatchObject({ code: 'weeks', from: 3, to: 4, perWeek: 5 })
  })
  it('is always a range in order, and one wild day hardly moves it', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 5, max: 60 }), { minLength: 4, maxLength: 12 }), (values) => {
        const f = of(...values)
        // Never a date without a range: at least a week wide.
        if (f.code === 'weeks') expect(f.from).toBeLessThan(f.to)
      }),
    )
    const points = (wild: number) =>
      [20, 22, wild, 26, 28, 30, 32].map((value, i) => ({ day: addDays(TODAY, 7 * (i - 6)), value }))
    expect(Math.abs(theilSen(points(90), TODAY).slope - theilSen(points(24), TODAY).slope)).toBeLessThan(0.6)
  })
  it('says there only of who was there on the last two days, and nothing of who was away', () => {
    expect(of(60, 60, 60, 60, 40, 40).code).not.toBe('there')
    expect(of(44, 46, 40, 50).code).not.toBe('there')
    const old = holds(20, 25, 30, 32).map((o) => ({ ...o, day: addDays(o.day, -67) }))
    expect(forecastGate(gate, check, old, TODAY)).toEqual({ code: 'old', days: 67 })
    // A year ago says nothing of the rate now: four results of this month are flat for three weeks, not for a year.
    const year = { ...saw('CK-dolphin-hold', 60), day: addDays(TODAY, -365) }
    const flat = forecastGate(gate, check, [year, ...holds(30, 30, 30, 30)], TODAY)
    expect(flat).toMatchObject({ code: 'flat', weeks: 3 })
  })
  it('ignores what did not count and what is still to come', () => {
    const facts = [
      ...holds(15, 20, 25, 30),
      saw('CK-dolphin-hold', 90, 0, { valid: false }),
      saw('CK-dolphin-hold', 90, -7),
    ]
    expect(forecastGate(gate, check, facts, TODAY)).toMatchObject({ code: 'weeks', from: 3 })
  })
})
