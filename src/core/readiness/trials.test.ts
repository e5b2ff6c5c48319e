import { did, evidence } from '@/testing/evidence'
import { shippedPractice } from '../practice/library'
import { describePooled } from '../words/next-steps'
import { pooledTrials, trialsOf } from './trials'

const practice = shippedPractice()
const [STRAP, BLOCK] = ['SETUP-dolphin-strap', 'SETUP-dolphin-block'] as const
const held = (setupId: string, daysAgo: number, seconds: number) =>
  did('FS-05', daysAgo, { setupId, seconds })
/** One pair on a day: too few for that day, enough over three. */
const pair = (daysAgo: number, withAid: number, without: number) => [
  held(STRAP, daysAgo, withAid),
  held(BLOCK, daysAgo, without),
]

describe('what helps somebody, over classes', () => {
  it('pools pairs of single days that say nothing by themselves', () => {
    const three = evidence(...pair(21, 20, 14), ...pair(14, 22, 18), ...pair(7, 20, 15))
    expect(trialsOf(practice, three)).toEqual([])
    const [pooled] = pooledTrials(practice, three)
    expect(pooled).toMatchObject({
      stageId: 'FS-05',
      with: STRAP,
      without: BLOCK,
      days: 3,
      pairs: 3,
      difference: -5,
    })
    expect(describePooled(practice, pooled!)).toMatch(
      /, over 3 classes: 5 s shorter with .* than with .*, over 3 pairs; only 75 % sure: more pairs would tell\.$/,
    )
  })
  it('never pairs a day with another day: whoever grew would be helped by whatever came off last', () => {
    const grew = evidence(
      held(STRAP, 21, 10),
      held(STRAP, 20, 11),
      held(STRAP, 19, 12),
      held(BLOCK, 3, 30),
      held(BLOCK, 2, 31),
      held(BLOCK, 1, 32),
    )
    expect(pooledTrials(practice, grew)).toEqual([])
  })
  it('says nothing of one day, of two pairs, or of an aid beside something that is not less', () => {
    expect(
      pooledTrials(practice, evidence(...pair(7, 20, 14), ...pair(7, 21, 15), ...pair(7, 22, 16))),
    ).toEqual([])
    expect(pooledTrials(practice, evidence(...pair(14, 20, 14), ...pair(7, 21, 15)))).toEqual([])
    const other = (d: number) => [held('SETUP-dolphin-plain', d, 20), held('SETUP-dolphin-clasp', d, 20)]
    const found = pooledTrials(practice, evidence(...other(21), ...other(14), ...other(7)))
    expect(found.map((t) => [t.with, t.without])).toEqual([['SETUP-dolphin-clasp', 'SETUP-dolphin-plain']])
  })
})
