import fc from 'fast-check'
import { did, evidence, TODAY } from '@/testing/evidence'
import type { Attempt } from './evidence'
import { kickOutlook, kicksAt } from './kicks'

describe('chance of a kick', () => {
  it('by hand: nobody yet is one in two, and any number of the next five is as likely as another', () => {
    expect(kickOutlook([])).toEqual({ tries: 0, chance: 0.5, from: 0, to: 5 })
    // Beta(2, 1): P(k of 5) = (k + 1) / 21, so 0.1 is passed at one and 0.9 at five.
    expect(kickOutlook([true])).toMatchObject({ from: 1, to: 5 })
    expect(kickOutlook([true]).chance).toBeCloseTo(2 / 3, 12)
    // Beta(1, 2) is its mirror.
    expect(kickOutlook([false])).toMatchObject({ from: 0, to: 4 })
  })
  it('newer tries count for more, and never to certainty', () => {
    expect(kickOutlook([false, false, true, true]).chance).toBeGreaterThan(
      kickOutlook([true, true, false, false]).chance,
    )
    fc.assert(
      fc.property(fc.array(fc.boolean(), { maxLength: 40 }), (tries) => {
        const { chance, from, to } = kickOutlook(tries)
        expect(chance > 0 && chance < 1 && from >= 0 && from <= to && to <= 5).toBe(true)
        expect(kickOutlook([...tries, true]).chance).toBeGreaterThan(kickOutlook([...tries, false]).chance)
      }),
    )
  })
  it('reads tries that left the floor, by the leg that led, and not those that a stop ended', () => {
    const kick = (level: Attempt['level'], part: Partial<Attempt> = {}) => did('FS-09', 1, { level, ...part })
    const facts = evidence(
      kick('touched', { lead: 'left' }),
      kick('hop', { lead: 'right' }),
      kick('practised'),
      kick('hop', { outcome: 'stopped' }),
      did('FS-09', 50, { level: 'held' }),
    )
    const at = new Set(['FS-09'])
    expect(kicksAt(at, facts, TODAY)).toEqual([true, false])
    expect([kicksAt(at, facts, TODAY, 'left'), kicksAt(at, facts, TODAY, 'right')]).toEqual([[true], [false]])
  })
})
