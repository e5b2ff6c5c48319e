import fc from 'fast-check'
import { addDays } from '../day'
import { shippedPractice } from '../practice/library'
import type { Load } from '../practice/schema'
import { limited } from '@/testing/briefs'
import { judgeLoad } from './caps'
import { AGE_BANDS, capsOfAge, needsGuardian, withAge, type Age } from './minor'

const practice = shippedPractice()
const DAY = '2026-03-10'
const minor = (guardianDay: string | null): Age => ({ ageBand: 'under-18', guardianDay })
const judged = (age: Age, load: Load) => judgeLoad(load, { caps: capsOfAge(practice, age, DAY) })

describe('somebody under 18', () => {
  it.each([
    ['nobody has agreed', null, true],
    ['a guardian agreed today', DAY, false],
    ['half a year ago', addDays(DAY, -180), false],
    ['longer ago', addDays(DAY, -181), true],
    ['a day still to come', addDays(DAY, 1), true],
  ])('%s', (_, day, waits) => {
    expect(needsGuardian(minor(day), DAY)).toBe(waits)
    expect(judged(minor(day), { HB: 2 }).verdict).toBe(waits ? 'barred' : 'changed')
    expect(judged(minor(day), { NF: 3 }).mostSeconds).toBe(20)
    // A light touch of the crown, a bridge and everything on arms and feet stay as they are.
    for (const load of [{ HB: 1 }, { NF: 2 }, { WB: 3, FR: 1 }])
      expect(judged(minor(day), load).verdict).toBe('open')
  })
  it('is said once: a guardian’s word on the profile counts for the health questions’ answer too', () => {
    const said = limited('UNDER-18', 'PREG')
    const load = { HB: 2 }
    const under = (age: Age) =>
      judgeLoad(load, withAge(practice, said, age, DAY)).because.map((r) => r.ruleId)
    expect(under({ ageBand: null, guardianDay: null })).toContain('AG1')
    const agreed = withAge(practice, limited('UNDER-18'), minor(DAY), DAY)
    expect(judgeLoad(load, agreed).verdict).toBe('changed')
    expect(judgeLoad(load, withAge(practice, limited('UNDER-18'), minor(null), DAY)).verdict).toBe('barred')
    // What else limits them stays.
    const rest = withAge(practice, said, minor(DAY), DAY).caps.filter((c) => c.ruleId !== 'AG1')
    expect(rest).toEqual(said.caps.filter((c) => c.ruleId !== 'AG1'))
  })
  it('and nobody else: an age that was not said limits nothing', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(null, ...AGE_BANDS.filter((b) => b !== 'under-18')),
        fc.constantFrom(null, DAY),
        (ageBand, guardianDay) => {
          expect(capsOfAge(practice, { ageBand, guardianDay }, DAY)).toEqual([])
          expect(needsGuardian({ ageBand, guardianDay }, DAY)).toBe(false)
        },
      ),
    )
  })
})
