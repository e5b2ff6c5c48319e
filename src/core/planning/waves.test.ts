import fc from 'fast-check'
import { planWaves } from './waves'

describe('waves', () => {
  const versions = (n: number) =>
    Array.from({ length: n }, (_, i) => ({
      studentId: `p${i}`,
      stageId: 'FS-04',
      setupId: 's',
      straps: 0,
      blocks: 0,
      override: null,
      change: null,
      inPlace: false,
    }))

  it('N = 11 at 4 places in 14 minutes: 3 waves of 80 s, 3 sets (class-craft.md 8)', () => {
    const { turns, sets } = planWaves(versions(11), 4, 14 * 60, 0, () => 0)
    expect(sets).toBe(3)
    expect(turns).toHaveLength(9)
    expect(turns[1]!.startS - turns[0]!.startS).toBe(80)
  })
  it('turns every second set round, so the same people are not always last', () => {
    const { turns } = planWaves(versions(4), 2, 600, 0, () => 0)
    expect(turns[0]!.up).toEqual(turns[3]!.up)
  })
  it('adds rest where one wave would leave none', () => {
    const { turns } = planWaves(versions(2), 2, 600, 0, () => 0)
    expect(turns[1]!.startS - turns[0]!.startS).toBe(120)
  })
  it('shortens turns before giving none', () =>
    expect(planWaves(versions(6), 1, 400, 0, () => 0)).toMatchObject({ sets: 1, turnS: 45, changeS: 15 }))
  it('everybody gets the same number of turns', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 20 }),
        fc.integer({ min: 1, max: 6 }),
        fc.integer({ min: 60, max: 3000 }),
        (n, bays, seconds) => {
          const { turns, sets } = planWaves(versions(n), bays, seconds, 0, () => 0)
          const count = new Map<string, number>()
          for (const { up } of turns)
            for (const { studentId } of up) count.set(studentId, (count.get(studentId) ?? 0) + 1)
          expect([...count.values()].every((c) => c === sets)).toBe(true)
          expect(count.size).toBe(sets === 0 ? 0 : n)
        },
      ),
    )
  })
})

it('each wave holds experience and a newcomer: the ladder is dealt from both ends', () => {
  const people = [1, 2, 3, 4].map((rung) => ({
    ...{ studentId: `r${rung}`, stageId: String(rung), setupId: null, straps: 0, blocks: 0 },
    ...{ override: null, change: null, inPlace: false },
  }))
  const { turns } = planWaves(people, 2, 600, 0, Number)
  const waves = turns.filter((t) => t.set === 1).map((t) => t.up.map((u) => u.studentId))
  expect(waves).toEqual([
    ['r1', 'r4'],
    ['r2', 'r3'],
  ])
})
