import { did, evidence, TODAY } from '@/testing/evidence'
import { findById } from '../practice/find'
import { shippedPractice } from '../practice/library'
import { NO_LIMITS } from '../screening/caps'
import { checkNext, roundMinutes, suggestedRound } from './check-next'
import { decide } from './decide'

const practice = shippedPractice()

describe('what to check next', () => {
  const decisions = [evidence(did('FS-05')), evidence(did('FS-05')), evidence(did('FS-09'))].map((e, i) =>
    decide(practice, 'FS', `s${i}`, e, NO_LIMITS, TODAY),
  )
  it('ranks by decisions per minute and names who to look at first', () => {
    const worth = checkNext(practice, decisions)
    expect(worth.map((w) => w.perMinute).toSorted((a, b) => b - a)).toEqual(worth.map((w) => w.perMinute))
    for (const w of worth) expect(w.first.length).toBeGreaterThan(0)
  })
  it('suggests two or three that fit the minutes, in two half-rounds', () => {
    const worth = checkNext(practice, decisions)
    const round = suggestedRound(worth, practice, 8)
    expect(round.length).toBeGreaterThan(0)
    expect(round.length).toBeLessThanOrEqual(3)
    const minutes = round.reduce((sum, id) => sum + roundMinutes(findById(practice.checks, id).seconds), 0)
    expect(minutes).toBeLessThanOrEqual(8)
    expect(roundMinutes(60)).toBe(3)
    expect(checkNext(practice, [])).toEqual([])
  })
})
