import { bodyOf, must } from '@/testing/bodies'
import { usualValue } from '../mechanics/parameters'
import { shippedPractice } from '../practice/library'
import { describeSetup } from '../words/setup-refusal'
import { findSetup, SETUPS, solveSetup } from './catalogue'

const usualOf = (id: string): Record<string, number> =>
  Object.fromEntries((findSetup(id)?.options ?? []).map((o) => [o.key, usualValue(o, bodyOf(168))]))
const every = SETUPS.flatMap((s) => s.options.map((option) => [s.id, option.key, option] as const))

it.each(every)('%s %s: both ends of its range give a drawing or a refusal in words', (id, key, option) => {
  for (const value of [option.min, option.max]) {
    const solved = solveSetup(id, bodyOf(168), { [key]: value })
    if (solved.ok) expect(solved.value.options[key]).toBe(value)
    else expect(describeSetup(solved.refusal)).not.toMatch(/undefined|NaN|^[a-z-]+$/)
  }
})
it.each(every)('%s %s: past its range is refused with the range', (id, key, { min, max }) => {
  const solved = solveSetup(id, bodyOf(168), { [key]: max + 1 })
  expect(!solved.ok && solved.refusal).toEqual({
    code: 'parameter-out-of-range',
    key,
    value: max + 1,
    min,
    max,
  })
})
it('name the fault that a measure past its usual span produces', () => {
  for (const [id, key, { usualFrom, usualTo, below, above, min, max }] of every) {
    const warned = (value: number): string[] | null => {
      const solved = solveSetup(id, bodyOf(168), { [key]: value })
      return solved.ok ? solved.value.warnings.map((w) => w.faultId) : null
    }
    if (below !== undefined && usualFrom !== undefined && usualFrom > min) {
      const faults = warned((usualFrom + min) / 2)
      if (faults) expect([id, key, faults]).toEqual([id, key, expect.arrayContaining([below])])
    }
    if (above !== undefined && usualTo !== undefined && usualTo < max) {
      const faults = warned((usualTo + max) / 2)
      if (faults) expect([id, key, faults]).toEqual([id, key, expect.arrayContaining([above])])
    }
  }
})
it('stay silent at their usual values on an average body', () => {
  const loud = SETUPS.filter(
    ({ id }) => must(solveSetup(id, bodyOf(168), usualOf(id))).warnings.length > 0,
  ).map((s) => s.id)
  expect(loud).toEqual([])
})
it('know the faults they name', () => {
  const faults = new Set(shippedPractice().faults.map((f) => f.id))
  for (const [, , { below, above }] of every)
    for (const id of [below, above]) if (id !== undefined) expect(faults.has(id)).toBe(true)
})
it.each(every)('%s %s: what is usual lies within what can be set, and it begins there', (_, key, option) => {
  const { min, max, usual, usualFrom = min, usualTo = max } = option
  const rising = [min, usualFrom, usualTo, max]
  expect([key, rising]).toEqual([key, rising.toSorted((a, b) => a - b)])
  // A beginning that is of the body may lie past what most bodies do.
  if (typeof usual === 'number') expect([key, usualFrom <= usual && usual <= usualTo]).toEqual([key, true])
})
