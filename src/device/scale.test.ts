import { must } from '@/testing/bodies'
import { shareOf } from '@/core/weighing/calibrate'
import { simulatedScale } from './scale'

it('shows the share that rests on it, to within a sway, whatever the weight', () => {
  for (let seed = 1; seed < 40; seed += 1) {
    const scale = simulatedScale(seed)
    const standing = scale.standing()
    expect(Math.abs(must(shareOf(scale.under(0.66), standing)) - 0.66)).toBeLessThan(0.02)
    expect(Math.abs(standing * 10 - Math.round(standing * 10))).toBeLessThan(1e-6)
  }
})
it('is the same scale for the same seed', () => {
  expect(simulatedScale(3).standing()).toBe(simulatedScale(3).standing())
})
