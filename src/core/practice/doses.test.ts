import { fitDose, holdSeconds, strainOf } from './dose'
import doses from './doses.json'
import { shippedPractice } from './library'
import type { Dose, Ranged } from './schema'

/**
 * Doses of all 110 drills and 130 stages as the practice gives them, in one line each: sets (x), repetitions (r), breaths
 * (b), seconds (s), attempts in a class (cap), each with its range; rest in seconds; growth a week / to / in the first
 * month, in seconds. Typed from the practice, not written by the data's own code: a loss cannot come back.
 */
const written = (dose: Dose): string => {
  const part = (mark: string, value: Ranged | undefined): string[] =>
    value === undefined
      ? []
      : [`${mark}${value.value}${value.min === value.max ? '' : `[${value.min}-${value.max}]`}`]
  const { growth } = dose
  return [
    ...part('x', dose.sets),
    ...part('r', dose.reps),
    ...part('b', dose.breaths),
    ...part('s', dose.seconds),
    ...(dose.perSide ? ['side'] : []),
    ...part('cap', dose.cap),
    ...(dose.restS === undefined ? [] : [`rest${dose.restS}`]),
    ...(growth
      ? [
          `grow${growth.weeklyS}/${growth.toS}${growth.firstMonthS === undefined ? '' : `/${growth.firstMonthS}`}`,
        ]
      : []),
  ].join(' ')
}
const sorted = (text: string): string => text.split(' ').sort().join(' ')

const { stages, drills } = shippedPractice()
const all = [...drills, ...stages]

it('every drill and stage has the dose of the practice, and no other', () => {
  expect(all.map((e) => [e.id, sorted(written(e.dose))])).toEqual(
    all.map((e) => [e.id, sorted((doses as Record<string, string>)[e.id] ?? 'nothing')]),
  )
  expect(all).toHaveLength(Object.keys(doses).length)
})

it('strain follows the seconds that are planned', () => {
  const held = (seconds: number): Dose => ({ perSide: false, seconds: { value: seconds, min: 1, max: 300 } })
  expect([9, 10, 30, 31].map((s) => strainOf(held(s)))).toEqual([1, 2, 2, 3])
  expect(holdSeconds({ perSide: false, breaths: { value: 5, min: 3, max: 8 } }, 4)).toBe(20)
  for (const { id, load, dose } of all)
    if (load.WB ?? load.FB) expect([id, (load.ST ?? 0) >= strainOf(dose)]).toEqual([id, true])
})

it('a fitted dose is never more than the usual one, and a limit always has the last word', () => {
  for (const { id, dose } of all)
    for (const share of [0.1, 0.5, 1, 2])
      for (const mostSeconds of [null, 10, 20]) {
        const usual = fitDose(dose)
        const fitted = fitDose(dose, { share, mostSeconds })
        expect([id, (fitted.reps ?? 0) <= (usual.reps ?? 0)]).toEqual([id, true])
        expect([id, (fitted.holdS ?? 0) <= Math.min(usual.holdS ?? 0, mostSeconds ?? Infinity)]).toEqual([
          id,
          true,
        ])
      }
})
