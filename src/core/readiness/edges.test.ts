import { did, evidence, placed, ready, saw, TODAY } from '@/testing/evidence'
import { shippedPractice } from '../practice/library'
import { NO_LIMITS } from '../screening/caps'
import { decide } from './decide'

const practice = shippedPractice()
const DAYS = [2, 4, 6, 9, 12, 15]

describe('placed by eye beside what only showing opens', () => {
  it('weight on the head is not offered from a placing, though every gate is met', () => {
    const holds = DAYS.map((d) => saw('CK-tuck-hold', 30, d))
    const next = decide(
      practice,
      'HD',
      's',
      evidence(placed('HD-08'), ...ready(), ...holds),
      NO_LIMITS,
      TODAY,
    )
    expect(next).toMatchObject({ targetId: 'HD-09', outcome: 'once-more' })
    expect(next.reasons.map((r) => r.code)).toContain('placed-not-proven')
  })
})

describe('a setback of one’s own', () => {
  const since = (days: number) =>
    evidence(
      ...[days + 9, days + 8, days + 7].map((d) => did('FS-05', d)),
      did('FS-05', days, { outcome: 'not-yet', faults: ['FT-elbow-bend'], endedBy: 'self' }),
      // Work well below keeps somebody from counting as away, and does not end the setback.
      ...[20, 10, 2].filter((d) => d < days).map((d) => did('FS-02', d)),
    )
  const codes = (days: number) =>
    decide(practice, 'FS', 's', since(days), NO_LIMITS, TODAY).reasons.map((r) => r.code)
  it('stands for 42 days and not a day longer', () => {
    expect(codes(25)).toContain('own-fault-severe')
    expect(codes(33)).toContain('own-fault-severe')
    expect(codes(44)).not.toContain('own-fault-severe')
  })
})
