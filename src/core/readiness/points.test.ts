import fc from 'fast-check'
import { saw, TODAY } from '@/testing/evidence'
import { findById } from '../practice/find'
import { shippedPractice } from '../practice/library'
import type { Gate } from '../practice/schema'
import { describeGate } from '../words/reason'
import { evaluateGate } from './gate'
import { pointsOf } from './points'

const practice = shippedPractice()
const check = findById(practice.checks, 'CK-dolphin-hold')
const gate: Gate = { check: check.id, op: '>=', value: 20, side: 'single', aidedOk: false, life: 'standing' }
const LOW = { load: { FB: 2 } } as const
const HIGH = { load: { FR: 3 } } as const

const have = (...values: number[]) =>
  pointsOf(
    gate,
    check,
    LOW,
    values.map((value) => ({ value, passes: value >= 20 })),
  )?.have
const told = (stage: typeof LOW | typeof HIGH, ...values: number[]) =>
  describeGate(
    evaluateGate(
      gate,
      check,
      stage,
      values.map((value, i) => saw(check.id, value, 1 + 2 * (values.length - 1 - i))),
      TODAY,
    ),
    practice,
  )

it.each([
  [[20], 1],
  [[22.9], 1],
  [[23], 2],
  [[26], 3],
  [[19], 0],
  [[26, 19], 1],
  [[20, 19, 20], 1],
])('days of %p s make %p points', (values, points) => expect(have(...values)).toBe(points))

it('says how many days at the mark are still asked for, and that fewer well above it will do', () => {
  expect(told(LOW, 20)).toContain('once is often luck: 2 more days at the mark, or fewer well above it.')
  expect(told(LOW, 20, 20)).toContain('once is often luck: one more day at the mark.')
  expect(told(LOW, 23)).toContain('once is often luck: one more day at the mark.')
  expect(told(HIGH, 20, 20, 20)).toContain('once is often luck: one more day at the mark.')
  expect(told(LOW, 26)).toMatch(/: met, /)
})

it('a better day never costs points', () => {
  fc.assert(
    fc.property(
      fc.array(fc.nat(40), { minLength: 1, maxLength: 8 }),
      fc.nat(7),
      fc.nat(20),
      (days, at, more) => {
        const better = days.map((value, i) => (i === at % days.length ? value + more : value))
        expect(have(...better)!).toBeGreaterThanOrEqual(have(...days)!)
      },
    ),
  )
})
