import fc from 'fast-check'
import { turnsOf, WAITING, type Work } from '../classes/plan'
import { nextUp as askNextUp } from './next-up'

/** Everybody who has not stopped may go up, but for whom is named. */
const nextUp = (b: Work, index: number, gone: ReadonlySet<string>, not: readonly string[] = []) =>
  askNextUp(
    b,
    index,
    gone,
    new Set(b.people.map((p) => p.studentId).filter((id) => !gone.has(id) && !not.includes(id))),
  )

const block = (waves: number, people: readonly [id: string, wave: number, variant?: string][]): Work => ({
  ...{
    kind: 'peak',
    purpose: 'peak:FS',
    startS: 0,
    seconds: 900,
    setupS: 30,
    sets: 3,
    waves,
    workS: 60,
    gapS: 20,
  },
  people: people.map(([studentId, wave, variantId = 'FS-09']) => ({
    ...WAITING,
    ...{ studentId, wave, variantId, turns: 3 },
  })),
})

describe('a turn that stands free', () => {
  const three = block(3, [
    ['a', 1],
    ['b', 2],
    ['c', 3],
    ['d', 3, 'FS-04'],
  ])
  it('goes to whoever does the same in the next wave, where nobody has been up yet', () => {
    expect(nextUp(three, 0, new Set(['a']))).toEqual([{ studentId: 'b', inPlaceOf: 'a' }])
  })
  it('never goes to whoever is not there or has not warmed up yet', () => {
    expect(nextUp(three, 0, new Set(['a']), ['b'])).toEqual([{ studentId: 'c', inPlaceOf: 'a' }])
    expect(nextUp(three, 0, new Set(['a']), ['b', 'c'])).toEqual([])
  })
  it('goes in later sets to whoever has had a minute of rest', () => {
    // In the second set b ended 100 s before a's turn begins, c only 20 s.
    expect(nextUp(three, 3, new Set(['a']))).toEqual([{ studentId: 'b', inPlaceOf: 'a' }])
    const two = block(2, [
      ['a', 1],
      ['b', 2],
    ])
    expect(nextUp(two, 0, new Set(['a']))).toEqual([{ studentId: 'b', inPlaceOf: 'a' }])
    expect(nextUp(two, 2, new Set(['a']))).toEqual([])
  })
  it('goes to nobody who does something else, has stopped, or has no turn to come', () => {
    expect(nextUp(three, 0, new Set(['a', 'b', 'c']))).toEqual([])
    expect(nextUp(three, 8, new Set(['c']))).toEqual([])
    expect(
      nextUp(
        block(1, [
          ['a', 1],
          ['b', 1],
        ]),
        0,
        new Set(['a']),
      ),
    ).toEqual([])
  })
})

it('never calls up who has stopped or is up already, nobody twice, and nobody within a minute of their last turn', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 2, max: 4 }),
      fc.array(fc.tuple(fc.integer({ min: 1, max: 4 }), fc.constantFrom('FS-09', 'FS-04')), {
        minLength: 2,
        maxLength: 12,
      }),
      fc.nat(11),
      fc.array(fc.nat(11)),
      (waves, people, at, stopped) => {
        const b = block(
          waves,
          people.map(([wave, v], i) => [`p${i}`, Math.min(wave, waves), v]),
        )
        const turns = turnsOf(b)
        const index = at % turns.length
        const gone = new Set(stopped.map((i) => `p${i}`))
        const found = nextUp(b, index, gone)
        expect(new Set(found.map((f) => f.studentId)).size).toBe(found.length)
        for (const { studentId, inPlaceOf } of found) {
          expect([gone.has(studentId), gone.has(inPlaceOf)]).toEqual([false, true])
          expect(turns[index]!.up.some((d) => d.studentId === studentId)).toBe(false)
          for (const t of turns.slice(0, index))
            if (t.up.some((d) => d.studentId === studentId))
              expect(turns[index]!.startS - t.startS - b.workS).toBeGreaterThanOrEqual(60)
        }
      },
    ),
  )
})
