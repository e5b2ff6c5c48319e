import fc from 'fast-check'
import { anyBody, bodyOf, must } from '@/testing/bodies'
import { distance } from '../mechanics/point'
import { jointsOf } from '../mechanics/skeleton'
import { SETUPS, solveSetup } from './catalogue'
import { box, outlineIn } from './scene'

const anyScene = fc
  .tuple(anyBody, fc.constantFrom(...SETUPS.map((s) => s.id)))
  .map(([body, id]) => must(solveSetup(id, body)))

it('draws every dimension between the points it measures, and only numbers that stand among the placements or poses', () => {
  fc.assert(
    fc.property(anyScene, ({ scene }) => {
      for (const d of [...scene.dimensions, ...(scene.top?.dimensions ?? [])])
        expect(distance(d.from, d.to)).toBeCloseTo(d.valueCm, 6)
    }),
    { numRuns: 300 },
  )
})

it('puts the plumb line through the centre of mass of the target, over its base', () => {
  fc.assert(
    fc.property(anyScene, ({ scene, target }) => {
      expect(scene.plumb.centre).toEqual(target.centreOfMassCm)
      expect(scene.plumb.base).toEqual(target.base)
    }),
  )
})

it('marks loads that add up to the whole body', () => {
  fc.assert(
    fc.property(anyScene, ({ scene }) => {
      const sum = scene.loads.reduce((total, load) => total + load.share.value, 0)
      expect(sum).toBeGreaterThan(0.98)
      expect(sum).toBeLessThan(1.02)
    }),
  )
})

it('keeps level dimension lines of one drawing apart', () => {
  fc.assert(
    fc.property(anyScene, ({ scene }) => {
      const level = scene.dimensions.filter((d) => d.from.x !== d.to.x)
      const rows = level.map((d) => ({
        row: d.offsetCm,
        from: Math.min(d.from.x, d.to.x),
        to: Math.max(d.from.x, d.to.x),
      }))
      for (const [i, a] of rows.entries())
        for (const b of rows.slice(i + 1))
          if (a.row === b.row) expect(a.to <= b.from + 1e-6 || b.to <= a.from + 1e-6).toBe(true)
    }),
    { numRuns: 300 },
  )
})

it('keeps every drawn point inside its bounds', () => {
  fc.assert(
    fc.property(anyScene, ({ scene }) => {
      const points = [
        ...scene.figures.flatMap((f) =>
          Object.values(outlineIn(scene, f).layers)
            .flat(2)
            .map(({ x, y }) => ({ x: x + f.asideCm, y })),
        ),
        ...scene.props.flatMap((p) => p.outline),
      ]
      const [xs, ys] = [points.map((p) => p.x), points.map((p) => p.y)]
      expect(Math.min(...xs)).toBeGreaterThanOrEqual(scene.bounds.minX - 1e-6)
      expect(Math.max(...xs)).toBeLessThanOrEqual(scene.bounds.maxX + 1e-6)
      expect(Math.max(...ys)).toBeLessThanOrEqual(scene.bounds.maxY)
      expect(Number.isFinite(Math.min(...xs, ...ys))).toBe(true)
    }),
    { numRuns: 300 },
  )
})

it('draws the wall only where there is one, and the heel on it', () => {
  const kick = must(solveSetup('SETUP-wall-kick-forearm-block', bodyOf(168)))
  expect(kick.scene.wallX).not.toBeNull()
  expect(kick.target.skeleton.legs[0].heel.x).toBeCloseTo(kick.scene.wallX ?? 0, 6)
  expect(must(solveSetup('SETUP-dolphin-strap', bodyOf(168))).scene.wallX).toBeNull()
})

it('shows widths from above wherever a width is placed', () => {
  for (const { id } of SETUPS) {
    const { placements, scene } = must(solveSetup(id, bodyOf(168)))
    if (placements.some((p) => ['elbow-width', 'head-gap', 'grip-width'].includes(p.key)))
      expect([
        id,
        scene.top !== null || id === 'SETUP-headstand-l-wall' || id === 'SETUP-wall-chest-forearm',
      ]).toEqual([id, true])
  }
})

it('lays a block on the floor with its real depth and height', () => {
  expect(box('block', 30, 0, 15, 10).outline).toEqual([
    { x: 30, y: 0 },
    { x: 45, y: 0 },
    { x: 45, y: 10 },
    { x: 30, y: 10 },
  ])
})
it('draws neither figure through the wall or the floor', () => {
  fc.assert(
    fc.property(anyBody, fc.constantFrom(...SETUPS.map((s) => s.id)), (body, id) => {
      const { figures, wallX } = must(solveSetup(id, body)).scene
      for (const { role, position, asideCm } of figures)
        for (const { x, y } of jointsOf(position.skeleton)) {
          expect([id, role, y > -0.6]).toEqual([id, role, true])
          if (wallX !== null && wallX > 0)
            expect([id, role, x + asideCm < wallX + 0.6]).toEqual([id, role, true])
        }
    }),
    { numRuns: 300 },
  )
})
it('an upright bolster stands between the hands, not on the fingers', () => {
  fc.assert(
    fc.property(anyBody, (body) => {
      const { scene } = must(solveSetup('SETUP-wall-kick-hand-bolster', body))
      const bolster = scene.top?.shapes.find((shape) => shape.kind === 'bolster')
      const hands = scene.top?.shapes.filter((shape) => shape.kind === 'hand') ?? []
      const across = (shape: { outline: readonly { y: number }[] }): number[] => shape.outline.map((p) => p.y)
      const half = Math.max(...across(bolster!).map(Math.abs))
      for (const hand of hands) expect(Math.min(...across(hand).map(Math.abs))).toBeGreaterThan(half)
      expect(hands).toHaveLength(2)
    }),
  )
})
