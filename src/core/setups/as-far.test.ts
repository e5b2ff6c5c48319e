import fc from 'fast-check'
import { anyBody, bodyOf, must } from '@/testing/bodies'
import { USUAL_STOCK } from '../props/stock'
import { asFarAs } from './as-far'
import { SETUPS, solveSetup } from './catalogue'

const GRAIN = { cm: 0.5, deg: 1, share: 0.01, choice: 1 } as const

it('what can be had is had; what cannot stops where the body does, with the refusal of what was asked', () => {
  const body = bodyOf(168)
  const usual = must(solveSetup('SETUP-wall-kick-forearm', body))
  const [option] = SETUPS.find((s) => s.id === usual.id)!.options.filter((o) => o.unit === 'cm')
  const key = option!.key
  const holds = (value: number): boolean =>
    solveSetup(usual.id, body, { ...usual.options, [key]: value }, USUAL_STOCK).ok
  // Worked out by walking: every half centimetre from where it stands.
  let last = usual.options[key]!
  while (last < 500 && holds(last + 0.5)) last += 0.5
  expect(last).toBeLessThan(500)
  expect(asFarAs(usual, key, last, USUAL_STOCK, 0.5)).toEqual({ value: last, refusal: null })
  const beyond = asFarAs(usual, key, last + 8, USUAL_STOCK, 0.5)
  expect(beyond.refusal).not.toBeNull()
  expect(Math.abs(beyond.value - last)).toBeLessThanOrEqual(0.5)
})

it('law: whatever is asked, what comes of it stands on this body, and lies between what stood and what was asked', () => {
  fc.assert(
    fc.property(
      anyBody,
      fc.constantFrom(...SETUPS),
      fc.nat(),
      fc.double({ min: 0, max: 1, noNaN: true }),
      (body, setup, nth, part) => {
        const usual = solveSetup(setup.id, body)
        const option = setup.options[nth % Math.max(1, setup.options.length)]
        if (!usual.ok || !option) return
        const grain = GRAIN[option.unit]
        const asked = Math.round((option.min + part * (option.max - option.min)) / grain) * grain
        const from = usual.value.options[option.key] ?? option.min
        const { value, refusal } = asFarAs(usual.value, option.key, asked, USUAL_STOCK, grain)
        expect(
          solveSetup(setup.id, body, { ...usual.value.options, [option.key]: value }, USUAL_STOCK).ok,
        ).toBe(true)
        expect(value).toBeGreaterThanOrEqual(Math.min(from, asked))
        expect(value).toBeLessThanOrEqual(Math.max(from, asked))
        expect(refusal === null).toBe(value === asked)
      },
    ),
    { numRuns: 150 },
  )
})
