import fc from 'fast-check'
import { anyBody, bodyOf, must } from '@/testing/bodies'
import { derivedLengths } from '../body/derived'
import { spacersFor, USUAL_BLOCK } from '../props/blocks'
import { METRIC } from '../words/number'
import {
  bodyWay,
  describeProp,
  describeScene,
  describeStep,
  describeWarning,
  placementLabel,
  placementValue,
} from '../words/setup'
import { SETUPS, solveSetup } from './catalogue'
import { turnIn } from './hand-block'
import type { SetupSolution } from './setup'

const KICK = 'SETUP-wall-kick-forearm-block'
const placed = (solution: SetupSolution, key: string): number => {
  const found = solution.placements.find((p) => p.key === key)
  if (!found) throw new Error(`no placement ${key}`)
  return found.valueCm
}

describe('any setup on any body', () => {
  it('solves, with numbers inside their own tolerance and a scene that holds every drawn point', () => {
    fc.assert(
      fc.property(anyBody, fc.constantFrom(...SETUPS.map((s) => s.id)), (body, id) => {
        const { placements, scene } = must(solveSetup(id, body))
        for (const p of placements) {
          expect(p.valueCm).toBeGreaterThanOrEqual(p.fromCm)
          expect(p.valueCm).toBeLessThanOrEqual(p.toCm)
        }
        const points = scene.figures.flatMap((f) => f.bones.flatMap((b) => [b.from, b.to]))
        for (const point of points) {
          expect(point.x).toBeGreaterThanOrEqual(scene.bounds.minX)
          expect(point.x).toBeLessThanOrEqual(scene.bounds.maxX)
          expect(point.y).toBeLessThanOrEqual(scene.bounds.maxY)
        }
      }),
    )
  })
  it('has words for every step, placement, warning and prop', () => {
    for (const { id } of SETUPS)
      for (const options of [{}, { wallGapCm: 30 }, { wallGapCm: 5 }]) {
        const s = must(solveSetup(id, bodyOf(190), options))
        const lines = [
          ...s.steps.map((step) => describeStep(step, METRIC)),
          ...s.warnings.map((w) => describeWarning(w, METRIC)),
          ...s.placements.flatMap((p) => [
            placementLabel(p.key),
            placementValue(p, METRIC),
            bodyWay(p, METRIC),
          ]),
          ...s.props.map((p) => describeProp(p, METRIC)),
          describeScene(s, METRIC),
        ]
        for (const line of lines) expect(line).not.toMatch(/undefined|NaN|^[a-z-]+$/)
      }
  })
})

describe('placements move the right way', () => {
  it('longer arms put the elbows further from the wall', () => {
    expect(placed(must(solveSetup(KICK, bodyOf(185))), 'elbow-to-wall')).toBeGreaterThan(
      placed(must(solveSetup(KICK, bodyOf(155))), 'elbow-to-wall'),
    )
  })
  it('a wider gap moves the elbows out by as much and leans the body more', () => {
    const [near, far] = [10, 15].map((wallGapCm) => must(solveSetup(KICK, bodyOf(168), { wallGapCm })))
    expect(placed(far!, 'elbow-to-wall') - placed(near!, 'elbow-to-wall')).toBeCloseTo(5, 9)
    expect(far!.target.angles.trunkLeanDeg).toBeGreaterThan(near!.target.angles.trunkLeanDeg)
  })
  it('elbow to wall is forearm, half a hand, block and gap: 24.5 + 9.1 + 15 + 10 at 168 cm', () => {
    expect(placed(must(solveSetup(KICK, bodyOf(168))), 'elbow-to-wall')).toBeCloseTo(
      0.146 * 168 + 0.054 * 168 + 15 + 10,
      6,
    )
  })
  it('a strap loop is never wider than the shoulders ask', () => {
    fc.assert(
      fc.property(anyBody, (body) => {
        const loop = must(solveSetup('SETUP-dolphin-strap', body)).placements.find(
          (p) => p.key === 'strap-loop',
        )
        expect(loop?.toCm).toBeCloseTo(derivedLengths(body).elbowLoop.valueCm, 9)
        expect(loop?.fromCm).toBeLessThan(loop?.toCm ?? 0)
      }),
    )
  })
})

describe('warnings name the fault they prevent', () => {
  it('far from the wall: the hanging arch', () => {
    expect(must(solveSetup(KICK, bodyOf(168), { wallGapCm: 20 })).warnings).toContainEqual(
      expect.objectContaining({ code: 'gap-too-far-to-hold', faultId: 'FT-low-back-arch' }),
    )
  })
  it('near the wall: the rebound', () => {
    expect(must(solveSetup(KICK, bodyOf(168), { wallGapCm: 5 })).warnings).toContainEqual(
      expect.objectContaining({ faultId: 'FT-wall-rebound' }),
    )
  })
  it('a narrow block on broad shoulders: turned-in forearms', () => {
    const one = must(solveSetup('SETUP-dolphin-block', bodyOf(200), { blocks: [USUAL_BLOCK] }))
    expect(one.warnings).toContainEqual(expect.objectContaining({ faultId: 'FT-block-width' }))
  })
})

describe('blocks between the hands', () => {
  it.each([
    [150, 1],
    [160, 3],
    [170, 5],
    [180, 6],
    [190, 8],
  ])('one 23 cm block in the L turns the forearms of %p cm in by %p° (props.md 2.3)', (stature, expected) => {
    expect(turnIn(bodyOf(stature), 23)).toBeCloseTo(expected, -0.3)
  })
  it('finds 10 + 15 for a gap of 25 (props.md 2.2)', () => {
    expect(spacersFor(25, [USUAL_BLOCK, USUAL_BLOCK])[0]).toEqual({
      edgesCm: [15, 10],
      widthCm: 25,
      errorCm: 0,
    })
  })
  it('never misses a closer pair that a plain search would find', () => {
    fc.assert(
      fc.property(fc.double({ min: 15, max: 45, noNaN: true }), (gap) => {
        const edges = [23, 15, 10]
        const all = [...edges, ...edges.flatMap((a) => edges.map((b) => a + b))]
        const best = Math.min(...all.map((width) => Math.abs(width - gap)))
        expect(Math.abs(spacersFor(gap, [USUAL_BLOCK, USUAL_BLOCK])[0]!.errorCm)).toBeCloseTo(best, 9)
      }),
    )
  })
})

describe('refusals', () => {
  it.each([
    [KICK, { wallGapCm: -1 }, { code: 'option-out-of-range', key: 'wallGapCm', min: 5, max: 30 }],
    [KICK, { blocks: [] }, { code: 'no-blocks', needed: 1 }],
    ['SETUP-dolphin-block', { blocks: [] }, { code: 'no-blocks', needed: 1 }],
    ['SETUP-trapeze', {}, { code: 'unknown-setup', id: 'SETUP-trapeze' }],
  ])('%s %p', (id, options, refusal) => {
    const solved = solveSetup(id, bodyOf(168), options)
    expect(!solved.ok && solved.refusal).toMatchObject(refusal)
  })
})
