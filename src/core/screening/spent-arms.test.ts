import { shippedPractice } from '../practice/library'
import { closes } from './caps'
import { tonightsCaps, type CheckIn } from './tonight'

const practice = shippedPractice()
const DAY = '2026-03-10'
const withArms = (arms: number) => {
  const said: CheckIn = {
    day: DAY,
    pain: 0,
    regions: [],
    energy: 8,
    arms,
    look: 'whole',
    ticked: [],
    touch: 'ask',
  }
  return tonightsCaps(practice, said, DAY)
}

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
  const said: CheckIn = {
    day: DAY,
    pain: 0,
    regions: [],
    energy: 8,
    arms: 0,
    look: 'whole',
    ticked: ['D5:fever'],
    touch: 'ask',
  }
  expect(closes(tonightsCaps(practice, said, DAY), {})).toBe(true)
  expect(closes(withArms(0), { FR: 3 })).toBe(false)
})
