import fc from 'fast-check'
import { anyBody, bodyOf, must } from '@/testing/bodies'
import { USUAL_STOCK } from '../props/stock'
import { findSetup, SETUPS, solveSetup } from './catalogue'
import { handlesOf } from './handles'
import { depthOf, extentOf, layoutLabels, meet } from './labels'
import type { SetupSolution } from './setup'

const handles = (solution: SetupSolution) => handlesOf(solution, findSetup(solution.id)?.options ?? [])

/** Any setup on any body with any options that it takes. */
const anyScene = fc
  .tuple(anyBody, fc.constantFrom(...SETUPS), fc.infiniteStream(fc.double({ min: 0, max: 1, noNaN: true })))
  .map(([body, setup, draws]) => {
    const options = Object.fromEntries(
      setup.options.map(({ key, min, max, unit }): [string, number] => {
        const draw = draws.next().value ?? 0.5
        const value = min + draw * (max - min)
        return [key, unit === 'choice' ? Math.round(value) : value]
      }),
    )
    const tried = solveSetup(setup.id, body, options, USUAL_STOCK)
    const solved = tried.ok ? tried : solveSetup(setup.id, body, {}, USUAL_STOCK)
    return solved.ok ? solved.value : null
  })

describe('numbers on the drawing', () => {
  it.each([4.5, 6.2, 9, 12])('never cover one another in 200 random scenes, letters %p cm high', (textCm) => {
    fc.assert(
      fc.property(anyScene, fc.constantFrom('cm' as const, 'in' as const), (solution, units) => {
        if (!solution) return
        const labels = layoutLabels(solution.scene, { units }, textCm)
        labels.forEach((a, i) =>
          labels
            .slice(i + 1)
            .forEach((b) => expect([a.key, b.key, meet(a, b)]).toEqual([a.key, b.key, false])),
        )
        const { minX, maxX } = extentOf(solution.scene, labels)
        for (const l of labels)
          expect([l.x - l.widthCm / 2 >= minX - 0.01, l.x + l.widthCm / 2 <= maxX + 0.01]).toEqual([
            true,
            true,
          ])
      }),
      { numRuns: 200 },
    )
  })
  it('say every dimension and every load worth drawing, once', () => {
    const solution = must(solveSetup('SETUP-wall-kick-forearm-block', bodyOf(168), {}, USUAL_STOCK))
    const labels = layoutLabels(solution.scene, { units: 'cm' }, 6.2)
    expect(labels.filter((l) => l.kind === 'dimension')).toHaveLength(solution.scene.dimensions.length)
    expect(labels.find((l) => l.key === 'load forearms')?.text).toMatch(/%/)
    expect(depthOf(labels)).toBeGreaterThan(20)
  })
})

describe('handles', () => {
  it('lie inside the drawing, apart from one another, on any body', () => {
    fc.assert(
      fc.property(anyScene, (solution) => {
        if (!solution) return
        const all = handles(solution)
        const { minX, maxX } = solution.scene.bounds
        for (const h of all) expect(h.at.x >= minX && h.at.x <= maxX && h.at.y >= 0).toBe(true)
        all.forEach((a, i) =>
          all
            .slice(i + 1)
            .forEach((b) => expect(Math.hypot(a.at.x - b.at.x, a.at.y - b.at.y)).toBeGreaterThan(10)),
        )
      }),
      { numRuns: 100 },
    )
  })
  it('stand on every setup that has something to move, in the drawing', () => {
    const without = SETUPS.filter((setup) => {
      const solved = solveSetup(setup.id, bodyOf(168), {}, USUAL_STOCK)
      return solved.ok && setup.options.some((o) => o.unit !== 'choice') && handles(solved.value).length === 0
    }).map((s) => s.id)
    // Widths do not show from the side, and a pad under the head or a mark on the wall moves no limb.
    expect(without).toEqual([
      ...['SETUP-supine-floor', 'SETUP-headstand-l-wall', 'SETUP-tripod-base', 'SETUP-strap-loop-hands'],
    ])
  })
  it('do what they say: pulling the wall out by 5 cm widens the gap by 5', () => {
    const solution = must(solveSetup('SETUP-wall-kick-forearm', bodyOf(168), {}, USUAL_STOCK))
    const gap = handles(solution).find((h) => h.option.key === 'fingertipGapCm')
    expect([gap?.axis, gap?.anchor]).toEqual(['x', 'low on the wall'])
    const wider = must(solveSetup(solution.id, bodyOf(168), { fingertipGapCm: 10 }, USUAL_STOCK))
    expect((wider.scene.wallX ?? 0) - (solution.scene.wallX ?? 0)).toBeCloseTo(5, 6)
  })
})
