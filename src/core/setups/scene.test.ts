import fc from 'fast-check'
import { anyBody, bodyOf, must } from '@/testing/bodies'
import { distance } from '../mechanics/point'
import { SETUPS, solveSetup } from './catalogue'
import { blockOutline } from './scene'

const anyScene = fc
  .tuple(anyBody, fc.constantFrom(...SETUPS.map((s) => s.id)))
  .map(([body, id]) => must(solveSetup(id, body)))

it('draws every dimension between the points it measures', () => {
  fc.assert(
    fc.property(anyScene, ({ scene }) => {
      for (const d of scene.dimensions) expect(distance(d.from, d.to)).toBeCloseTo(d.valueCm, 6)
    }),
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

it('keeps dimension lines of one drawing apart', () => {
  fc.assert(
    fc.property(anyScene, ({ scene }) => {
      const rows = scene.dimensions.map((d) => ({
        row: d.offsetCm,
        from: Math.min(d.from.x, d.to.x),
        to: Math.max(d.from.x, d.to.x),
      }))
      for (const [i, a] of rows.entries())
        for (const b of rows.slice(i + 1))
          if (a.row === b.row) expect(a.to <= b.from + 1e-9 || b.to <= a.from + 1e-9).toBe(true)
    }),
  )
})

it('draws the wall only where there is one, and the heel on it', () => {
  const kick = must(solveSetup('SETUP-wall-kick-forearm-block', bodyOf(168)))
  expect(kick.scene.wallX).not.toBeNull()
  expect(kick.target.skeleton.legs[0].heel.x).toBeCloseTo(kick.scene.wallX ?? 0, 6)
  expect(must(solveSetup('SETUP-dolphin-strap', bodyOf(168))).scene.wallX).toBeNull()
})

it('lays a block on the floor with its real depth and height', () => {
  expect(blockOutline(30, 15, 10).outline).toEqual([
    { x: 30, y: 0 },
    { x: 45, y: 0 },
    { x: 45, y: 10 },
    { x: 30, y: 10 },
  ])
})
