import fc from 'fast-check'
import { anyBody, bodyOf, must } from '@/testing/bodies'
import { USUAL_STOCK } from '../props/stock'
import { describeBecause, describeCompared } from '../words/figures'
import { METRIC } from '../words/number'
import { findSetup, SETUPS, solveSetup } from './catalogue'
import { compareFigures, figuresOf } from './figures'
import { whyHere } from './why'

const why = (id: string, body = bodyOf(168), options = {}) =>
  whyHere(must(solveSetup(id, body, options, USUAL_STOCK)), findSetup(id)?.options ?? [], body, USUAL_STOCK)

it('every figure in every sentence is that of an independent solve, on any body', () => {
  fc.assert(
    fc.property(anyBody, fc.constantFrom(...SETUPS), (body, { id }) => {
      const solved = solveSetup(id, body, {}, USUAL_STOCK)
      if (!solved.ok) return
      for (const b of whyHere(solved.value, findSetup(id)?.options ?? [], body, USUAL_STOCK)) {
        const again = must(solveSetup(id, body, { [b.option]: b.to }, USUAL_STOCK))
        const value = (solution: typeof again) => figuresOf(solution).find((f) => f.key === b.figure)?.value
        expect(value(must(solveSetup(id, body, { [b.option]: b.from }, USUAL_STOCK)))).toBeCloseTo(b.was, 9)
        expect(value(again)).toBeCloseTo(b.becomes, 9)
      }
    }),
    { numRuns: 60 },
  )
})
it('says what a wider gap does to a forearm kick, with its numbers', () => {
  const [gap] = why('SETUP-wall-kick-forearm').filter((b) => b.option === 'fingertipGapCm')
  expect(gap).toMatchObject({ from: 5, to: 10 })
  const sentence = describeBecause(gap!, METRIC, undefined)
  expect(sentence).toMatch(/^5 cm more: (the|a) .+ \d.* instead of \d/)
})
it('looks down where there is no room up, and is silent about what moves nothing', () => {
  const options = findSetup('SETUP-wall-kick-forearm')?.options ?? []
  const top = options.find((o) => o.key === 'fingertipGapCm')!.max
  expect(why('SETUP-wall-kick-forearm', bodyOf(168), { fingertipGapCm: top })[0]?.to).toBeLessThan(top)
  expect(why('SETUP-floor-clear')).toEqual([])
})
it('two setups beside each other show every figure of either, and the difference where both have it', () => {
  const body = bodyOf(168)
  const [a, b] = ['SETUP-wall-l-hand', 'SETUP-wall-kick-hand'].map((id) =>
    must(solveSetup(id, body, {}, USUAL_STOCK)),
  )
  const rows = compareFigures(a!, b!)
  expect(rows.find((r) => r.key === 'rise')).toMatchObject({ a: null, byHowMuch: null })
  const arms = rows.find((r) => r.key === 'arm-load')
  expect(arms?.byHowMuch).toBeCloseTo((arms?.b ?? 0) - (arms?.a ?? 0), 12)
  for (const row of rows) expect(describeCompared(row, METRIC).label).not.toBe(row.key)
  expect(compareFigures(a!, a!).every((r) => r.byHowMuch === 0)).toBe(true)
})
