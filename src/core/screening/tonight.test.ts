import { saidTonight, TODAY } from '@/testing/evidence'
import { addDays } from '../day'
import { shippedPractice } from '../practice/library'
import type { LoadTag } from '../practice/schema'
import { closes, judgeLoad, type Verdict } from './caps'
import { tonightsCaps, type CheckIn } from './tonight'

const practice = shippedPractice()

describe('tonight', () => {
  const fine = saidTonight({ arms: 1 })
  const verdict = (checkIn: Partial<CheckIn>, load: Partial<Record<LoadTag, 1 | 2 | 3>>): Verdict =>
    judgeLoad(load, tonightsCaps(practice, { ...fine, ...checkIn }, TODAY)).verdict
  it('asks nothing of somebody who is fine', () =>
    expect(tonightsCaps(practice, fine, TODAY).caps).toEqual([]))
  it.each<[Partial<CheckIn>, Partial<Record<LoadTag, 1 | 2 | 3>>, Verdict]>([
    [{ pain: 4, regions: ['wrist'] }, { WB: 2 }, 'left-out'],
    [{ pain: 3, regions: ['wrist'] }, { WB: 2 }, 'open'],
    [{ pain: 3, regions: ['neck'] }, { HB: 1 }, 'left-out'],
    [{ pain: 3, regions: ['neck'] }, { HBH: 3 }, 'left-out'],
    [{ pain: 7, regions: ['foot'] }, { WB: 1 }, 'left-out'],
    [{ energy: 3 }, { FR: 2 }, 'left-out'],
    [{ energy: 5 }, { FR: 2 }, 'changed'],
    [{ look: 'watch' }, { FR: 2 }, 'left-out'],
    [{ look: 'half' }, { FR: 2 }, 'open'],
    [{ look: 'half' }, { FR: 3 }, 'left-out'],
    [{ arms: 6 }, { FR: 3 }, 'left-out'],
    [{ arms: 6 }, { FB: 2 }, 'open'],
    [{ ticked: ['D4:one'] }, { HBH: 2 }, 'left-out'],
    [{ ticked: ['D6:slowed'] }, { FR: 2 }, 'left-out'],
    [{ ticked: ['D5:ears'] }, { HBH: 1 }, 'left-out'],
  ])('%p makes %p %s', (checkIn, load, expected) => expect(verdict(checkIn, load)).toBe(expected))
  it('is gone tomorrow', () => {
    expect(tonightsCaps(practice, { ...fine, pain: 9 }, addDays(TODAY, 1)).caps).toEqual([])
  })
})

const withArms = (arms: number) => tonightsCaps(practice, saidTonight({ arms }), TODAY)
it.each([
  [4, { FR: 3, HB: 3, FB: 3 }, false],
  [5, { FR: 2 }, true],
  [5, { HB: 1 }, true],
  [5, { FB: 3 }, false],
  [6, { WB: 2 }, false],
  [7, { FB: 2 }, true],
  [7, { WB: 2 }, true],
  [10, { WB: 1, HBH: 1 }, false],
] as const)('arms at %p: %p is out: %p', (arms, load, out) => expect(closes(withArms(arms), load)).toBe(out))

it('a fever ends the evening, whatever the load', () => {
  const said = saidTonight({ ticked: ['D5:fever'] })
  expect(closes(tonightsCaps(practice, said, TODAY), {})).toBe(true)
  expect(closes(withArms(0), { FR: 3 })).toBe(false)
})
