import fc from 'fast-check'
import { anyBody, bodyOf, must } from '@/testing/bodies'
import { estimateBody } from '../body/estimate'
import { withBuild } from '../body/build'
import { distance, type Point } from '../mechanics/point'
import { shippedPractice } from '../practice/library'
import type { Drawn } from './drawn'
import { drawFreehand, underOf } from './freehand'
import { measuredBody } from './measured-body'
import { pictureFor } from './picture-of'
import { POSITIONS, solvePosition } from '../mechanics/positions/catalogue'
import { jointsOf } from '../mechanics/skeleton'
import { flattened, signedArea, smooth, type Contour } from './contour'
import { LAYERS, outlineOf } from './outline'
import { pathOf } from './path'
import { pictureOf, viewOf } from './picture'

const IDS = POSITIONS.map(({ id }) => id)
const anyFigure = fc
  .tuple(anyBody, fc.constantFrom(...IDS))
  .map(([body, id]) => must(solvePosition(id, body)))
const contoursOf = (drawn: Drawn): Contour[] => Object.values(outlineOf(drawn).layers).flat()

/** How often a closed line crosses itself: every pair of edges that share no end. */
function crossings(line: Contour): number {
  const edges = line.map((a, i) => [a, line[(i + 1) % line.length] as Point] as const)
  let found = 0
  for (const [i, [a, b]] of edges.entries())
    for (const [c, d] of edges.slice(i + 2, i === 0 ? -1 : undefined)) {
      const turn = (p: Point, q: Point, r: Point): number =>
        (q.x - p.x) * (r.y - p.y) - (q.y - p.y) * (r.x - p.x)
      if (turn(a, b, c) * turn(a, b, d) < -1e-9 && turn(c, d, a) * turn(c, d, b) < -1e-9) found++
    }
  return found
}

it('keeps flesh above the floor, before the wall, near its joints, on every body', () => {
  fc.assert(
    fc.property(anyFigure, (position) => {
      const joints = jointsOf(position.skeleton)
      const points = contoursOf(position).flat()
      expect(Math.min(...points.map((p) => p.y))).toBeGreaterThanOrEqual(-1e-9)
      if (position.wallX !== null)
        expect(Math.max(...points.map((p) => p.x))).toBeLessThanOrEqual(position.wallX + 1e-9)
      const reach = 0.085 * position.body.statureCm
      for (const side of ['x', 'y'] as const) {
        const values = joints.map((p) => p[side])
        expect(Math.max(...points.map((p) => p[side]))).toBeLessThan(Math.max(...values) + reach)
        expect(Math.min(...points.map((p) => p[side]))).toBeGreaterThan(Math.min(...values) - reach)
      }
    }),
    { numRuns: 300 },
  )
})

it('draws limbs and head without crossing themselves; only a trunk folds onto itself', () => {
  fc.assert(
    fc.property(anyFigure, (position) => {
      const { far, leg, arm, body } = outlineOf(position, 2).layers
      for (const [i, contour] of [...far, ...leg, ...arm, ...body.slice(0, 2)].entries())
        expect([position.id, i, crossings(contour)]).toEqual([position.id, i, 0])
      expect(crossings(body[2] ?? [])).toBeLessThanOrEqual(2)
    }),
    { numRuns: 200 },
  )
})

it('has the belly, the face and the toes on the same side as the mechanics have them', () => {
  for (const id of IDS) {
    const { skeleton, facing } = must(solvePosition(id, bodyOf(168)))
    for (const { knee, ankle, heel, toe } of skeleton.legs) {
      const turn = (ankle.x - knee.x) * (toe.y - heel.y) - (ankle.y - knee.y) * (toe.x - heel.x)
      expect([id, Math.sign(turn)]).toEqual([id, facing])
    }
  }
})

it('turns the face up as the gaze is lifted, and leaves a head that carries as it stands', () => {
  const eyeOf = (id: string, gazeDeg: number): number => {
    const { eye } = outlineOf(must(solvePosition(id, bodyOf(168), { gazeDeg })))
    const [first, last] = [eye[0], eye.at(-1)]
    if (!first || !last) throw new Error('no eye')
    return Math.atan2(last.y - first.y, last.x - first.x)
  }
  const lifted = eyeOf('handstand-straight', 40) - eyeOf('handstand-straight', 0)
  // 40° at the neck and half as much again at the head, towards the back.
  const deg = (((lifted * 180) / Math.PI) % 360) + (lifted < 0 ? 360 : 0)
  expect(deg).toBeCloseTo(60, 6)
})

it('paints one way round, flattens at the floor, and draws fuller where there is more', () => {
  const body = bodyOf(168)
  for (const id of IDS)
    for (const contour of contoursOf(must(solvePosition(id, body))))
      expect(signedArea(contour)).toBeGreaterThan(0)
  const square = [
    { x: 0, y: -2 },
    { x: 4, y: -2 },
    { x: 4, y: 2 },
    { x: 0, y: 2 },
  ]
  expect(signedArea(flattened(square, { floorY: 0, wallX: 3 }))).toBeCloseTo(2 * 3 * 2, 9)
  const trunkOf = (build: Parameters<typeof withBuild>[1]): number =>
    signedArea(outlineOf(must(solvePosition('high-plank', withBuild(body, build)))).layers.body[2] ?? [])
  expect(trunkOf('fuller-trunk')).toBeGreaterThan(trunkOf('even'))
  expect(trunkOf('fuller-hips-and-legs')).toBeLessThan(trunkOf('even'))
})

it('goes through every point given, and writes the same line in steps', () => {
  const points = [
    { x: 0, y: 0 },
    { x: 3.2, y: 1 },
    { x: 2, y: 4.4 },
  ]
  const line = smooth(points, 4)
  points.forEach((p, i) => expect(line[4 * i]).toEqual(p))
  expect(pathOf([points], 10)).toBe('M0 0l32-10-12-34z')
  expect(pathOf([points], 1, 10)).toBe('M10 0l3-1-1-3z')
})

it('shows what raised parts rest on, and a view that holds figure, floor and wall', () => {
  for (const id of IDS) {
    const position = must(solvePosition(id, bodyOf(168)))
    const picture = pictureOf(position)
    const [x, y, wide, high] = viewOf([position])
    const joints = jointsOf(position.skeleton)
    expect(Math.min(...joints.map((p) => p.x))).toBeGreaterThan(x)
    expect(Math.max(...joints.map((p) => p.x), position.wallX ?? -Infinity)).toBeLessThan(x + wide)
    expect(Math.max(...joints.map((p) => p.y))).toBeLessThan(-y)
    expect(y + high).toBeGreaterThan(0)
    // A page of sixty stays light.
    expect(LAYERS.map((name) => picture.figure.layers[name]).join('').length).toBeLessThan(3600)
  }
  const raised = pictureOf(must(solvePosition('platform-shoulder-stand', bodyOf(168))))
  expect(raised.rests).toHaveLength(1)
  expect(raised.rests[0]?.heightCm).toBeGreaterThan(3)
  expect(pictureOf(must(solvePosition('dolphin', bodyOf(168)))).rests).toEqual([])
})

it('has a picture of everything named, solved as asked on every body, its flesh above the floor', () => {
  const practice = shippedPractice()
  expect(practice.pictures.filter(({ shape }) => shape === null).length).toBeLessThan(10)
  fc.assert(
    fc.property(anyBody, fc.constantFrom(...practice.pictures), (body, { of, shape, with: given }) => {
      if (shape === null) return
      const freehand = practice.shapes.find(({ id }) => id === shape)
      if (!freehand) expect([of, solvePosition(shape, body, given).ok]).toEqual([of, true])
      else {
        const drawn = drawFreehand(freehand, body)
        const { skeleton } = drawn
        expect(distance(skeleton.hip, skeleton.legs[0].knee)).toBeCloseTo(body.length.thigh.valueCm, 9)
        expect(distance(skeleton.shoulder, skeleton.elbow)).toBeCloseTo(body.length.upperArm.valueCm, 9)
        const points = contoursOf(drawn).flat()
        expect(Math.min(...points.map((p) => p.y))).toBeGreaterThanOrEqual(-1e-9)
        // Something touches the floor: flesh within a finger of it.
        expect(Math.min(...points.map((p) => p.y))).toBeLessThan(1.5)
        expect(underOf(freehand, drawn).every(({ heightCm }) => heightCm > 0)).toBe(true)
      }
      expect(pictureFor(practice, of, body)).not.toBeNull()
    }),
    { numRuns: 400 },
  )
})

it('draws a body’s own lengths, each line as long as the length it names', () => {
  const body = must(estimateBody({ statureCm: 168, measured: { thigh: 45 } }))
  const drawn = measuredBody(shippedPractice(), body)
  expect(drawn?.lines).toHaveLength(8)
  for (const { segment, from, to, valueCm, measured } of drawn?.lines ?? []) {
    expect(valueCm).toBe(body.length[segment].valueCm)
    expect(Math.abs(distance(from, to) - valueCm)).toBeLessThan(0.02 * valueCm)
    expect([segment, measured]).toEqual([segment, segment === 'thigh'])
  }
  expect(measuredBody({ shapes: [] }, body)).toBeNull()
})
