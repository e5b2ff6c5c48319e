import { TODAY, evidence, saw, within } from '@/testing/evidence'
import { findById } from '../practice/find'
import { shippedPractice } from '../practice/library'
import { NO_LIMITS } from '../screening/caps'
import type { Observation } from './evidence'
import { prescribe } from './prescribe'
import { sideGaps } from './sides'

const practice = shippedPractice()

describe('sides that differ', () => {
  const legs = (left: number, right: number, daysAgo: number) =>
    saw('CK-leg-lift-forearm', { left, right }, daysAgo)
  const gaps = (...seen: Observation[]) => sideGaps(practice, evidence(...seen).observations, TODAY)
  it('over 15 % of the better side adds work on the weaker; over 30 % on three days is told', () => {
    expect(gaps(legs(20, 17, 1))).toEqual([])
    expect(gaps(legs(20, 16.9, 1))).toMatchObject([{ weaker: 'right', told: false }])
    expect(gaps(legs(6, 10, 5), legs(6, 10, 3))).toMatchObject([{ weaker: 'left', told: false }])
    expect(gaps(legs(6, 10, 5), legs(6, 10, 3), legs(6, 10, 1))).toMatchObject([
      { weaker: 'left', share: 0.4, told: true },
    ])
    expect(gaps(legs(6, 10, 50), legs(6, 10, 3), legs(6, 10, 1))[0]?.told).toBe(false)
    expect(gaps(legs(10, 6, 5), legs(6, 10, 3), legs(6, 10, 1))[0]?.told).toBe(false)
  })
  it('in fists a gap of more than one, and the larger is the weaker', () => {
    const fists = (left: number, right: number) => saw('CK-backs-reach', { left, right }, 1)
    expect(gaps(fists(1, 2))).toEqual([])
    expect(gaps(fists(1, 3))).toMatchObject([{ weaker: 'right', told: false }])
    expect(gaps({ ...fists(1, 3), watched: false })).toEqual([])
  })
  it('adds a drill for the weaker side, which is to begin and to have one set more', () => {
    const [drill] = prescribe(
      practice,
      { missing: [], sides: [{ checkId: 'CK-leg-lift-forearm', weaker: 'left' }] },
      { minutes: 12, within: within(NO_LIMITS), breathS: 5, tired: false },
    )
    // Both arms push in a rock, which evens nothing out: what is done side by side stands in its place.
    expect(drill).toMatchObject({ covers: ['CK-leg-lift-forearm'], weaker: 'left' })
    expect(findById(practice.drills, drill?.drillId ?? '').sides).toMatch(/altern|side/)
  })
})
