import { saw, TODAY } from '@/testing/evidence'
import { addDays } from '../day'
import { shippedPractice } from '../practice/library'
import { conditionsOf, type Answer, type Screening } from './answers'
import { capsSeen } from './seen'

const practice = shippedPractice()

/** A question whose yes fires a rule that is asked again after fewer days than the six months. */
const soonest = practice.intake
  .filter((q) => q.asked === 'first')
  .flatMap((q) =>
    q.options.flatMap((option) => {
      const spans = practice.cautions.flatMap((r) =>
        r.recheck === 'days' &&
        r.recheckDays !== undefined &&
        r.conditions.some((c) => option.sets.includes(c))
          ? [r.recheckDays]
          : [],
      )
      return spans.length > 0 ? [{ question: q.id, option: option.id, days: Math.min(...spans) }] : []
    }),
  )
  .toSorted((a, b) => a.days - b.days)[0]!

const said = (daysAgo: number, options: string[]): Screening => {
  const answer: Answer = {
    question: soonest.question,
    choice: 'yes',
    options,
    day: addDays(TODAY, -daysAgo),
    given: 'by-student',
  }
  return { answers: [answer], nothingApplies: null, gentle: false }
}

it('a yes is asked again when its rule says, and acts until it is answered', () => {
  expect(soonest.days).toBeLessThan(100)
  const before = conditionsOf(practice, said(soonest.days, [soonest.option]), TODAY)
  const after = conditionsOf(practice, said(soonest.days + 1, [soonest.option]), TODAY)
  expect(before.expired).not.toContain(soonest.question)
  expect(before.soon.map((s) => s.question)).toContain(soonest.question)
  expect(after.expired).toContain(soonest.question)
  expect(after.unknown).not.toContain(soonest.question)
  expect([...after.set].filter((c) => !c.startsWith('UNKNOWN'))).toEqual(
    [...before.set].filter((c) => !c.startsWith('UNKNOWN')),
  )
})
it('elbows that stay short overhead change forearm stands while the screen is fresh, and only then', () => {
  const screen = (fists: number, daysAgo: number, part = {}) =>
    saw('CK-forearm-overhead', { left: 1, right: fists }, daysAgo, part)
  expect(capsSeen(practice, [screen(3, 2)], TODAY)).toMatchObject([
    { ruleId: 'SH5', action: 'modify', tag: 'FB', level: 3 },
    { ruleId: 'SH5', action: 'modify', tag: 'SE', level: 3 },
  ])
  expect(capsSeen(practice, [screen(2, 2)], TODAY)).toEqual([])
  expect(capsSeen(practice, [screen(3, 9), screen(2, 2)], TODAY)).toEqual([])
  expect(capsSeen(practice, [screen(3, 29)], TODAY)).toEqual([])
  expect(capsSeen(practice, [screen(3, 2, { valid: false })], TODAY)).toEqual([])
})
