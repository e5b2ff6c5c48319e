import { bodyOf } from '@/testing/bodies'
import { positionFor } from '../figure/picture-of'
import { shippedPractice } from '../practice/library'
import { carriedBy } from './carried'
import { POSITIONS, solvePosition } from './positions/catalogue'

const practice = shippedPractice()
const bodies = [150, 168, 190].map((cm) => bodyOf(cm))

it('all of a body’s weight is somewhere, in every position, on every body', () => {
  for (const body of bodies)
    for (const { id } of POSITIONS) {
      const solved = solvePosition(id, body)
      if (!solved.ok || !solved.value.balanced) continue
      const { arms, head, rest } = carriedBy(solved.value)
      expect([id, Math.round((arms + head + rest) * 100)]).toEqual([id, 100])
    }
})

it('what a step is for shows in what it carries', () => {
  const of = (stageId: string) => carriedBy(positionFor(practice, stageId, bodyOf(168))!)
  // Free of the wall on the hands or forearms everything is on the arms; a headstand shares it with the crown.
  expect(of('HS-14').arms).toBeCloseTo(1, 1)
  expect(of('FS-15').arms).toBeCloseTo(1, 1)
  const headstand = of('HD-10')
  expect(headstand.arms + headstand.head).toBeCloseTo(1, 1)
  expect(headstand.head).toBeGreaterThan(0)
  // A plank on the hands: about two thirds, as is measured of push-ups (64 to 69 %).
  expect(of('PU-04').arms).toBeGreaterThan(0.6)
  expect(of('PU-04').arms).toBeLessThan(0.72)
  // Each rung of dolphin asks no less of the arms than the table it begins at.
  expect(of('FS-01').arms).toBeLessThan(of('FS-03c').arms)
  expect(of('FS-03c').arms).toBeLessThan(of('FS-15').arms)
})

it('what is drawn by hand is not weighed', () => {
  const drawn = practice.pictures.find(
    ({ of, shape }) => practice.shapes.some(({ id }) => id === shape) && of !== '',
  )
  expect(drawn && positionFor(practice, drawn.of, bodyOf(168))).toBeNull()
})
