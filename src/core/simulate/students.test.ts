import { shippedPractice } from '../practice/library'
import { simulatedStudent, STATED_NOISE } from './students'
import { validateReadiness } from './validate-readiness'

const START = '2026-01-05'

it('is the same student for the same seed, with about twenty-four classes in twenty weeks', () => {
  expect(simulatedStudent(5, START)).toMatchObject({ id: simulatedStudent(5, START).id })
  const classes = Array.from({ length: 200 }, (_, i) => simulatedStudent(i, START).days.length)
  const mean = classes.reduce((sum, n) => sum + n, 0) / classes.length
  expect(mean).toBeGreaterThan(22)
  expect(mean).toBeLessThan(26)
})
it('never loses ability, and one in five stays flat', () => {
  const all = Array.from({ length: 300 }, (_, i) => simulatedStudent(i, START))
  const flat = all.filter((s) => s.ability('2026-05-25') === s.ability(START)).length
  expect(all.every((s) => s.ability('2026-05-25') >= s.ability(START))).toBe(true)
  expect(flat / all.length).toBeGreaterThan(0.13)
  expect(flat / all.length).toBeLessThan(0.27)
})
it('of a high fall, offers falsely less than a third as often as the best value ever, two weeks late at most', () => {
  const { engine, bestEver, lastOnly, forecastCoverage } = validateReadiness(
    shippedPractice(),
    300,
    3,
    STATED_NOISE,
  )
  expect(engine.falseShare).toBeLessThan(bestEver.falseShare / 3)
  expect(engine.falseShare).toBeLessThan(lastOnly.falseShare / 3)
  expect(engine.medianDelayWeeks).toBeLessThanOrEqual(2.2)
  expect(forecastCoverage).toBeGreaterThan(0.75)
  expect(forecastCoverage).toBeLessThan(0.9)
})
