import fc from 'fast-check'
import { saw } from '@/testing/evidence'
import { findById } from '../practice/find'
import { shippedPractice } from '../practice/library'
import { betterIn, proposeFocus, weekAt, weekOf } from './series'

const FIRST = '2026-03-03'
const practice = shippedPractice()

it('weeks follow one another without a gap, and every day lies in its own', () => {
  expect(weekOf(FIRST, 1)).toEqual({ from: '2026-03-10', to: '2026-03-16' })
  expect([-3, 0, 6, 7, 27, 28].map((d) => weekAt(FIRST, 4, plus(d)))).toEqual([-1, 0, 0, 1, 3, 4])
})
const plus = (days: number): string =>
  new Date(Date.parse(FIRST) + days * 86_400_000).toISOString().slice(0, 10)

it('what holds back most people comes first and longest; the last week is for the step itself', () => {
  const missing = [['hold', 'lift'], ['hold'], ['hold', 'range'], ['lift'], []]
  expect(proposeFocus(missing, 7)).toEqual(['hold', 'hold', 'hold', 'lift', 'lift', 'range', null])
  expect(proposeFocus([], 3)).toEqual([null, null, null])
  expect(proposeFocus([['a', 'b', 'c', 'd']], 3)).toEqual(['a', 'b', null])
})
it('always has a word for each week, ends with the step, and names nothing that nobody lacks', () => {
  const checks = fc.constantFrom('a', 'b', 'c', 'd', 'e')
  fc.assert(
    fc.property(
      fc.array(fc.array(checks, { maxLength: 5 }), { maxLength: 12 }),
      fc.integer({ min: 2, max: 16 }),
      (missing, weeks) => {
        const focus = proposeFocus(missing, weeks)
        expect(focus).toHaveLength(weeks)
        expect(focus.at(-1)).toBeNull()
        const lacked = new Set(missing.flat())
        for (const check of focus) if (check !== null) expect(lacked).toContain(check)
        if (lacked.size > 0) expect(focus[0]).not.toBeNull()
      },
    ),
  )
})

it('better is better than anything before, in the direction of the check, of the weaker side, in that week alone', () => {
  const on = (id: string, value: number, day: string) => ({ ...saw(id, value), day })
  const hold = findById(practice.checks, 'CK-dolphin-hold')
  const seen = [on(hold.id, 20, '2026-02-20'), on(hold.id, 30, '2026-03-01'), on(hold.id, 41, '2026-03-05')]
  expect(betterIn(hold, seen, weekOf(FIRST, 0))).toEqual({ before: 30, now: 41 })
  expect(betterIn(hold, seen, weekOf(FIRST, 1))).toBeNull()
  expect(betterIn(hold, seen.slice(2), weekOf(FIRST, 0))).toBeNull()
  expect(betterIn(hold, [...seen, on(hold.id, 41, '2026-03-12')], weekOf(FIRST, 1))).toBeNull()
  expect(betterIn(hold, [...seen, on(hold.id, 35, '2026-03-12')], weekOf(FIRST, 1))).toBeNull()
  const less = practice.checks.find((c) => c.betterIs === 'less' && c.side !== 'each')!
  const fewer = [on(less.id, 9, '2026-03-01'), on(less.id, 4, '2026-03-05')]
  expect(betterIn(less, fewer, weekOf(FIRST, 0))).toEqual({ before: 9, now: 4 })
})
