import fc from 'fast-check'
import { anyBody, bodyOf, must } from '@/testing/bodies'
import { USUAL_STOCK } from '../props/stock'
import { SETUPS, solveSetup } from './catalogue'
import { CANDIDATES } from './handle-anchors'
import { directionOf, handlesOf, trackOf, valueAt } from './handles'

/** As fine as a handle moves while it is dragged, by unit of its option. */
const GRAIN = { cm: 0.5, deg: 1, share: 0.01, choice: 1 } as const
const MOST_OFF_CM = 2

const bodies = fc.sample(anyBody, { numRuns: 20, seed: 41 })
const held = SETUPS.flatMap(({ id, options }) =>
  handlesOf(must(solveSetup(id, bodyOf(168))), options).map((handle) => [id, handle.option.key] as const),
)

it('are there for most options that are no choice', () => {
  const all = SETUPS.flatMap((s) => s.options).filter((o) => o.unit !== 'choice')
  expect(held.length / all.length).toBeGreaterThan(0.75)
})

it.each(held)('%s %s stays within 2 cm of the pointer over its range, on 20 bodies', (id, key) => {
  const { options } = SETUPS.find((s) => s.id === id)!
  for (const [nth, body] of bodies.entries()) {
    const usual = solveSetup(id, body)
    if (!usual.ok) continue
    const handle = handlesOf(usual.value, options).find((h) => h.option.key === key)
    if (!handle) continue
    const { option, axis, anchor } = handle
    const track = trackOf(usual.value, handle, USUAL_STOCK)
    const value = usual.value.options[key] ?? 0
    // Three places a body, others for the next: sixty over the range.
    for (let part = 0.02 + 0.3 * (nth / bodies.length); part < 1; part += 0.32) {
      const [first, last] = [track[0], track.at(-1)]
      if (!first || !last) continue
      const pointer = first.cm + part * (last.cm - first.cm)
      // Where a body jumps from one way of lying to another, nothing can be drawn in between.
      const mean = Math.abs(last.cm - first.cm) / track.length
      const jumps = track.some((to, i) => {
        const from = track[i - 1]
        return from && (pointer - from.cm) * (pointer - to.cm) <= 0 && Math.abs(to.cm - from.cm) > 3 * mean
      })
      if (jumps) continue
      const asked = valueAt(track, pointer, value)
      if (asked === null) throw new Error('no value')
      const grain = GRAIN[option.unit]
      const set = Math.min(option.max, Math.max(option.min, Math.round(asked / grain) * grain))
      const drawn = solveSetup(id, body, { ...usual.value.options, [key]: set })
      // Past what this body can reach the nearest drawing stays.
      if (!drawn.ok) continue
      const at = CANDIDATES[anchor](drawn.value)
      expect([body.statureCm, Math.abs((at?.[axis] ?? NaN) - pointer) <= MOST_OFF_CM]).toEqual([
        body.statureCm,
        true,
      ])
    }
    expect(
      Math.sign((track.at(-1)?.cm ?? 0) - (track[0]?.cm ?? 0)) * directionOf(track),
    ).toBeGreaterThanOrEqual(0)
  }
})

it('past either end the end is meant, and between two that fit the nearer', () => {
  const track = [
    { value: 0, cm: 0 },
    { value: 10, cm: 20 },
    { value: 20, cm: 0 },
  ]
  expect(valueAt(track, 5, 2)).toBe(2.5)
  expect(valueAt(track, 5, 18)).toBe(17.5)
  expect(valueAt(track, 50, 2)).toBe(10)
  expect(valueAt([], 5, 2)).toBeNull()
})

describe('every option moves something', () => {
  const every = SETUPS.flatMap((s) => s.options.map((option) => [s.id, option.key, option] as const))
  it.each(every)('%s %s', (id, _key, { key, unit, min, max }) => {
    const drawings = new Set<string>()
    const usual = must(solveSetup(id, bodyOf(168))).options[key] ?? min
    for (let i = 0; i <= 16; i += 1) {
      const spread = min + (i / 16) * (max - min)
      // Some options bear only little off their usual value on one body.
      for (const value of unit === 'choice' ? [Math.round(spread)] : [spread, usual + (i - 8) * 0.25]) {
        const solved = solveSetup(id, bodyOf(168), { [key]: value })
        if (!solved.ok) continue
        const { placements, props, start, target, scene } = solved.value
        drawings.add(
          JSON.stringify([placements, props, start.skeleton, target.skeleton, scene.props, scene.wallX]),
        )
      }
    }
    expect(drawings.size).toBeGreaterThan(1)
  })
})
