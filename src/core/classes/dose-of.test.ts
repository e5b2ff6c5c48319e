import { shippedPractice } from '../practice/library'
import { findById } from '../practice/find'
import { describeDose } from '../words/dose'
import { doseOf } from './dose-of'

const practice = shippedPractice()
const person = { breathS: 5, mostAttempts: 12 }
const stage = (id: string) => findById(practice.stages, id)

it('is the stage’s own dose for whom nothing limits, by their own breath', () => {
  const slow = doseOf({ ...person, breathS: 8 }, stage('FS-05'), null)
  const usual = doseOf(person, stage('FS-05'), null)
  expect(usual.sets).toBe(stage('FS-05').dose.sets?.value ?? 1)
  expect(slow.holdS! / 8).toBeCloseTo(usual.holdS! / 5, 9)
})
it('ten seconds at most are ten seconds, however long the dose is', () => {
  const limited = doseOf(person, stage('FS-03c'), { mostSeconds: 10, share: 1 })
  expect(limited.holdS).toBe(10)
  expect(describeDose(limited)).toMatch(/10 s/)
})
it('half of the repetitions is half, rounded down, and never nought', () => {
  for (const { dose, id } of practice.stages) {
    const [whole, half] = [null, { mostSeconds: null, share: 0.5 }].map((c) => doseOf(person, stage(id), c))
    const of = (d: typeof whole): number => d!.reps ?? d!.sets
    expect([id, of(half)]).toEqual([id, Math.max(1, Math.floor(of(whole) / 2))])
    if (dose.cap) expect(half!.cap).toBeLessThanOrEqual(whole!.cap!)
  }
})
it('attempts left are never exceeded', () => {
  for (const { id, dose } of practice.stages)
    if (dose.cap) expect(doseOf({ breathS: 5, mostAttempts: 3 }, stage(id), null).cap).toBeLessThanOrEqual(3)
})
