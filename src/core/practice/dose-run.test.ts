import fc from 'fast-check'
import { fitDose } from './dose'
import { partsOfDose, secondsOfParts } from './dose-run'
import { shippedPractice } from './library'

const practice = shippedPractice()
const doses = [...practice.stages, ...practice.drills].map(({ id, dose }) => ({ id, dose }))

it('does every set on every side within its tries, rest between any two holds, and never ends on one', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...doses),
      fc.constantFrom(null, 'left' as const, 'right' as const),
      fc.integer({ min: 3, max: 8 }),
      ({ dose }, first, breathS) => {
        const fitted = fitDose(dose, { breathS })
        const parts = partsOfDose(fitted, first)
        const work = parts.filter((p) => p.kind !== 'rest')
        const sides = fitted.perSide ? 2 : 1
        const each = fitted.holdS === null ? (fitted.reps === null ? 0 : 1) : (fitted.reps ?? 1)
        const again = first !== null && fitted.perSide ? each : 0
        const whole = fitted.sets * sides * each + again
        if (fitted.cap === null) expect(work).toHaveLength(whole)
        else expect(work.length).toBeLessThanOrEqual(whole)
        // No more tries than the dose allows, and no two holds that run into one.
        const tries = work.reduce((sum, p) => sum + (p.kind === 'reps' ? p.reps : 1), 0)
        expect(tries).toBeLessThanOrEqual(fitted.cap ?? Infinity)
        parts.forEach((p, i) => {
          if (p.kind === 'hold' && i > 0) expect(parts[i - 1]?.kind).toBe('rest')
        })
        expect(parts.at(-1)?.kind).not.toBe('rest')
        expect(parts.some((p, i) => p.kind === 'rest' && parts[i + 1]?.kind === 'rest')).toBe(false)
        if (again > 0 && fitted.cap === null) {
          expect(work[0]).toMatchObject({ side: first })
          expect(work.at(-1)).toMatchObject({ side: first })
        }
      },
    ),
    { numRuns: 300 },
  )
})

it('rests as long as it says, else as long as the work, and reckons the time', () => {
  const plain = {
    sets: 2,
    reps: null,
    holdS: 20,
    breaths: null,
    perSide: false,
    restS: null,
    cap: null,
    note: '',
  }
  expect(partsOfDose(plain)).toEqual([
    { kind: 'hold', set: 1, side: null, seconds: 20 },
    { kind: 'rest', seconds: 20 },
    { kind: 'hold', set: 2, side: null, seconds: 20 },
  ])
  const counted = { ...plain, reps: 5, holdS: null, restS: 30 }
  expect(partsOfDose(counted).map((p) => p.kind)).toEqual(['reps', 'rest', 'reps'])
  expect(secondsOfParts(partsOfDose(counted))).toBe(5 * 3 + 30 + 5 * 3)
  expect(
    partsOfDose({ ...plain, sets: 1, perSide: true }, 'right').map((p) => ('side' in p ? p.side : 'rest')),
  ).toEqual(['right', 'rest', 'left', 'rest', 'right'])
})
