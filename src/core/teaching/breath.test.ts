import fc from 'fast-check'
import { breathingAt, groupBreath } from './breath'
import type { Moment } from './class-run'

const up = (leftS: number, phase: 'ready' | 'up' | 'change' = 'up'): Moment => ({
  ...{ elapsedS: 0, leftS: 0 },
  turn: { index: 0, phase, leftS },
})

describe('the group’s breath', () => {
  it('is the middle one, and nobody’s where nobody comes', () => {
    expect(groupBreath([8, 3, 5])).toBe(5)
    expect(groupBreath([4, 6])).toBe(4)
    expect(groupBreath([])).toBeNull()
  })
  it('is counted from the start of a turn, half in and half out', () => {
    const at = (leftS: number) => breathingAt({ workS: 40 }, up(leftS), 5)
    expect(at(40)).toEqual({ breath: 1, of: 8, half: 'in', halfS: 2.5 })
    expect(at(37)).toMatchObject({ breath: 1, half: 'out' })
    expect(at(34.9)).toMatchObject({ breath: 2, half: 'in' })
    expect(at(0.1)).toMatchObject({ breath: 8, half: 'out' })
  })
  it('is not counted between turns, without a breath, nor in a turn that has no two', () => {
    expect(breathingAt({ workS: 40 }, up(40, 'change'), 5)).toBeNull()
    expect(breathingAt({ workS: 40 }, up(40), null)).toBeNull()
    expect(breathingAt({ workS: 9 }, up(9), 5)).toBeNull()
    expect(breathingAt({ workS: 40 }, { elapsedS: 3, leftS: 4, turn: null }, 5)).toBeNull()
  })
  it('never counts past its last breath, whatever is left over', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 10, max: 600 }),
        fc.double({ min: 2, max: 9, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (workS, breathS, through) => {
          const found = breathingAt({ workS }, up(workS * (1 - through)), breathS)
          if (!found) return
          expect(found.breath).toBeGreaterThanOrEqual(1)
          expect(found.breath).toBeLessThanOrEqual(found.of)
          expect(found.of * breathS).toBeLessThanOrEqual(workS + 1e-9)
        },
      ),
    )
  })
})
