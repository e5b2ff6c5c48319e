import fc from 'fast-check'
import { did, evidence, saw, TODAY } from '@/testing/evidence'
import { addDays } from '../day'
import { shippedPractice } from '../practice/library'
import { NO_LIMITS } from '../screening/caps'
import { decide } from './decide'
import { turningPoints } from './replay'

const practice = shippedPractice()

describe('history of decisions', () => {
  const facts = evidence(
    did('FS-05', 20),
    saw('CK-leg-lift-forearm', { left: 4, right: 4 }, 15),
    saw('CK-leg-lift-forearm', { left: 4, right: 4 }, 12),
    saw('CK-leg-lift-forearm', { left: 7, right: 7 }, 8),
  )
  const replayed = (asOf = TODAY) =>
    turningPoints(facts, asOf, (day) => decide(practice, 'FS', 's', facts, NO_LIMITS, day))
  it('keeps the turning points, newest first, each as it stood that day', () => {
    expect(replayed().map((t) => [t.day, t.outcome])).toEqual([
      [addDays(TODAY, -8), 'offer'],
      [addDays(TODAY, -15), 'near'],
      [addDays(TODAY, -20), 'build'],
    ])
  })
  it('the past stays as it was: a history told earlier is the tail of the one told today', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 25 }), (ago) => {
        const then = replayed(addDays(TODAY, -ago)).filter((t) => t.day < addDays(TODAY, -ago))
        const now = replayed().filter((t) => t.day < addDays(TODAY, -ago))
        expect(now).toEqual(then)
      }),
    )
  })
})
