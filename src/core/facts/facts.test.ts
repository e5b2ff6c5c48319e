import fc from 'fast-check'
import type { FactOf, SentFact } from './fact'
import { byClock, foldFacts, latestBy } from './order'
import { roundResults, standingFacts, type Logged } from './round'

const ordered = (id: string, day: string, hlc: string, replaces: string | null = null) => ({
  id,
  day,
  hlc,
  replaces,
})

describe('order of facts', () => {
  it('is the day, then the clock, whatever order they arrive in', () => {
    const facts = [
      ordered('a', '2026-03-09', '5'),
      ordered('b', '2026-03-10', '1'),
      ordered('c', '2026-03-10', '2'),
    ]
    fc.assert(
      fc.property(fc.shuffledSubarray(facts, { minLength: 3 }), (shuffled) => {
        expect(foldFacts(shuffled, '2026-03-10').map((f) => f.id)).toEqual(['a', 'b', 'c'])
      }),
    )
    expect(foldFacts(facts, '2026-03-09').map((f) => f.id)).toEqual(['a'])
    expect(byClock(facts[0]!, facts[0]!)).toBe(0)
  })
  it('a corrected one is gone, and one that came twice counts once', () => {
    const facts = [
      ordered('a', '2026-03-09', '1'),
      ordered('b', '2026-03-09', '2', 'a'),
      ordered('b', '2026-03-09', '2', 'a'),
    ]
    expect(foldFacts(facts, '2026-03-10').map((f) => f.id)).toEqual(['b'])
  })
  it('of several words about one thing the newest counts, in any order of arrival', () => {
    const marks = [
      { ...ordered('a', '2026-03-10', '1'), who: 'wren', mark: 'here' },
      { ...ordered('b', '2026-03-10', '3'), who: 'wren', mark: null },
      { ...ordered('c', '2026-03-10', '2'), who: 'wren', mark: 'late' },
    ]
    fc.assert(
      fc.property(fc.shuffledSubarray(marks, { minLength: 3 }), (shuffled) => {
        expect(latestBy(shuffled, (m) => m.who).get('wren')?.mark).toBeNull()
      }),
    )
  })
})

const stamp = (id: string) => ({ id, deviceId: 'd', deviceSeq: 1, hlc: id, day: '2026-03-10' })
const hold = (
  id: string,
  studentId: string,
  single: string,
  part: Partial<FactOf<'observation'>> = {},
): SentFact => ({
  ...{
    kind: 'observation',
    ...stamp(id),
    studentId,
    checkId: 'CK-dolphin-hold',
    typed: { single },
    units: 'cm',
  },
  ...{
    aided: false,
    aid: '',
    help: 'alone',
    arms: null,
    observer: '',
    classId: 'c',
    valid: true,
    watched: true,
  },
  ...{ faults: [], note: '', replaces: null },
  ...part,
})
const entry = (fact: SentFact, state: Logged['state'] = 'waiting'): Logged => ({ fact, state })

describe('what a floor screen reads from the log', () => {
  it('shows what waits and what is stored, and never what was refused', () => {
    const log = [
      entry(hold('1', 'wren', '30')),
      entry(hold('2', 'ash', '20'), 'stored'),
      entry(hold('3', 'fen', '9'), 'refused'),
    ]
    const results = roundResults(log, 'c')['CK-dolphin-hold']
    expect(Object.keys(results ?? {})).toEqual(['wren', 'ash'])
    expect(roundResults(log, 'another class')).toEqual({})
  })
  it('a correction stands in for the earlier tap, and what was taken back is gone', () => {
    const corrected = hold('2', 'wren', '34', { replaces: '1', help: 'touched', arms: 'spent', aid: 'Strap' })
    const back: SentFact = {
      kind: 'taken-back',
      ...stamp('3'),
      studentId: 'wren',
      of: 'observation',
      target: '2',
    }
    const log = [entry(hold('1', 'wren', '30')), entry(corrected)]
    expect(roundResults(log, 'c')['CK-dolphin-hold']?.wren).toEqual({
      ...{ id: '2', values: { single: '34' }, faults: [], aid: 'Strap', helped: true, spent: true },
    })
    expect(standingFacts([...log, entry(back)])).toEqual([])
    // A correction or a taking back that was refused changes nothing.
    expect(standingFacts([entry(hold('1', 'wren', '30')), entry(corrected, 'refused')])).toHaveLength(1)
    expect(standingFacts([...log, entry(back, 'refused')])).toHaveLength(1)
  })
})
