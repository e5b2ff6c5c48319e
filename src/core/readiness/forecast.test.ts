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
    expect(of(15, 20, 25, 30)).toMatchObject({ code: 'weeks', from: 3, to: 3, perWeek: 5 })
  })
  it('is always a range in order, and one wild day hardly moves it', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 5, max: 60 }), { minLength: 4, maxLength: 12 }), (values) => {
        const f = of(...values)
        if (f.code === 'weeks') expect(f.from).toBeLessThanOrEqual(f.to)
      }),
    )
    const points = (wild: number) =>
      [20, 22, wild, 26, 28, 30, 32].map((value, i) => ({ day: addDays(TODAY, 7 * (i - 6)), value }))
    expect(Math.abs(theilSen(points(90), TODAY).slope - theilSen(points(24), TODAY).slope)).toBeLessThan(0.6)
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
