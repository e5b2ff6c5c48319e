import { addDays } from '../day'
import { shippedPractice } from '../practice/library'
import { describeBefore } from '../words/progress'
import { beforeGains } from './before-gains'
import type { Measure, MeasureDay } from './measures'

const practice = shippedPractice()
const START = '2026-01-05'
const on = (weeks: number, value: number, notCounted: MeasureDay['notCounted'] = null): MeasureDay => ({
  ...{ day: addDays(START, 7 * weeks), value, left: null, right: null, notCounted },
})
const hold = (...days: MeasureDay[]): Measure => ({
  ...{ checkId: 'CK-dolphin-hold', gate: null, forecast: null, band: [], days },
})
const push = practice.drills.find((d) => d.id === 'DR-dolphin-hold')!
const did = (drillId: string, ...weeks: number[]) =>
  weeks.map((w) => ({ drillId, day: addDays(START, Math.round(7 * w)) }))
const RISING = hold(on(0, 20), on(4, 24), on(6, 24), on(10, 30))

it('names what was done three times in the four weeks before each rise, beside the days without one', () => {
  const found = beforeGains(practice, [RISING], did(push.id, 1, 2, 3, 7, 8, 9))
  expect(found).toEqual([
    { checkId: 'CK-dolphin-hold', drillId: push.id, before: 2, rises: 2, beforeOthers: 0, others: 1 },
  ])
  expect(describeBefore(practice, found[0]!)).toBe(
    `Dolphin hold rose 2 times; ${push.name} came before 2 of them, and before 0 of 1 day without a rise. That it came before does not say that it helped.`,
  )
})

it.each([
  ['one rise is none', hold(on(0, 20), on(4, 24)), did(push.id, 1, 2, 3)],
  ['twice in four weeks is not done', RISING, did(push.id, 2, 3, 8, 9)],
  ['what was done after it', RISING, did(push.id, 4.2, 4.4, 4.6, 10.1, 10.2, 10.3)],
  ['what was done long before', RISING, did(push.id, -6, -5.8, -5.6)],
  ['what trains something else', RISING, did('DR-neck-range', 1, 2, 3, 7, 8, 9)],
  [
    'days that proved nothing',
    hold(on(0, 20), on(4, 24, 'aided'), on(10, 30, 'aided')),
    did(push.id, 1, 2, 3, 7, 8, 9),
  ],
  ['a rise of less than a tenth', hold(on(0, 20), on(4, 21), on(10, 22)), did(push.id, 1, 2, 3, 7, 8, 9)],
])('says nothing of it: %s', (_, measure, drills) => {
  expect(beforeGains(practice, [measure], drills)).toEqual([])
})
