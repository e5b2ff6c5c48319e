import fc from 'fast-check'
import { estimateBody } from './estimate'
import { FIST_CM, inUnitOf, isSpan, spansOf } from './spans'

const bodyOf = (statureCm: number) => {
  const body = estimateBody({ statureCm })
  if (!body.ok) throw new Error('no body')
  return body.value
}

describe('body-based units', () => {
  it('a fist is 8 to 10 cm, more on a taller body, and 9 where nobody knows', () => {
    fc.assert(
      fc.property(fc.integer({ min: 130, max: 210 }), (stature) => {
        const { fists, feet } = spansOf(bodyOf(stature))
        expect(fists).toBeGreaterThanOrEqual(FIST_CM.least)
        expect(fists).toBeLessThanOrEqual(FIST_CM.most)
        expect(feet).toBeCloseTo(0.152 * stature, 6)
      }),
    )
    expect(spansOf(bodyOf(190)).fists).toBeGreaterThan(spansOf(bodyOf(160)).fists)
    expect(spansOf(null).fists).toBe(9)
  })
  it('converts what was taken with a tape for this person, and leaves a bare number alone', () => {
    const spans = { fists: 9, hands: 9, feet: 25 }
    expect(inUnitOf('18 cm', 'fists', spans)).toBe(2)
    expect(inUnitOf('7 in', 'fists', spans)).toBe(2)
    expect(inUnitOf('0,5 m', 'feet', spans)).toBe(2)
    expect(inUnitOf('1 in', 'cm', spans)).toBe(2.5)
    expect(inUnitOf('2', 'fists', spans)).toBeNull()
    expect(inUnitOf('2', 'cm', spans)).toBeNull()
    expect(inUnitOf('2', 'cm', spans, 'in')).toBe(5.1)
    expect(inUnitOf('2 cm', 'cm', spans, 'in')).toBe(2)
    expect(inUnitOf('2', 'fists', spans, 'in')).toBeNull()
    expect(inUnitOf('18 cm', 'reps', spans)).toBeNull()
    expect(inUnitOf('two fists', 'fists', spans)).toBeNull()
    expect([isSpan('hands'), isSpan('cm')]).toEqual([true, false])
  })
})
