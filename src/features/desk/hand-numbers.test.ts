import { shippedPractice } from '@/core/practice/library'
import { USUAL_STOCK } from '@/core/props/stock'
import { SETUPS } from '@/core/setups/catalogue'
import { bodyOf } from '@/testing/bodies'
import type { Context } from '../context'
import { handNumbers, ownNumbers, rigSteps } from './hand-numbers'

const ctx = { practice: shippedPractice(), studio: { units: 'cm', stock: USUAL_STOCK } } as unknown as Pick<
  Context,
  'studio' | 'practice'
>
const usual = new Map<string, { option: string }>()

it('no sheet tells anybody to lay nothing: a support of no height is not a number', () => {
  let said = 0
  for (const cm of [150, 168, 190])
    for (const { id } of SETUPS)
      for (const { label, value } of handNumbers(ctx, bodyOf(cm), id, usual)) {
        said += 1
        if (/^(Under|Feet raised|Block height)/.test(label)) expect([id, label, value]).not.toContain('0 cm')
      }
  expect(said).toBeGreaterThan(300)
})

it('what is lain on the floor for has no number, a hand base has its widths', () => {
  expect(ownNumbers(ctx, bodyOf(168), 'SETUP-supine-floor', usual)).toBe('')
  expect(ownNumbers(ctx, bodyOf(168), 'SETUP-floor-clear', usual)).toBe('')
  expect(ownNumbers(ctx, bodyOf(168), 'SETUP-wall-touch-forearm', usual)).toMatch(/Elbow to wall \d/)
})

it('every rig is tested before anybody goes in, with own numbers or with none', () => {
  const rigs = ctx.practice.setups.filter((s) => s.rig)
  expect(rigs.length).toBeGreaterThan(10)
  for (const { id } of rigs) {
    const { builds, goesIn } = rigSteps(ctx, bodyOf(168), id, usual)
    expect([id, builds.some((s) => /must not|nothing slides/i.test(s))]).toEqual([id, true])
    expect(new Set([...builds, ...goesIn]).size).toBe(builds.length + goesIn.length)
    // Nobody climbs, slides or hangs in it before it is tested.
    for (const step of builds)
      expect(step).not.toMatch(/over the back-rest|legs up|slide down|one leg|roll up|Throat/)
    for (const step of goesIn) expect(step).not.toMatch(/^\d+ slabs|^Two|^Chair|^Pad|must not|full weight/)
    expect([id, goesIn.length > 0]).toEqual([id, true])
    expect(rigSteps(ctx, null, id, usual)).toEqual({
      builds: [expect.stringMatching(/full weight/)],
      goesIn: [],
    })
  }
  expect(rigSteps(ctx, bodyOf(168), 'SETUP-dolphin-plain', usual).builds).toEqual([])
  expect(rigSteps(ctx, bodyOf(168), null, usual).builds).toEqual([])
})
