import { bodyOf, must } from '@/testing/bodies'
import table from './by-hand.json'
import type { Point } from './point'
import type { Skeleton } from './skeleton'
import { POSITIONS, solvePosition } from './positions/catalogue'

const body = bodyOf(168)

it.each(table.map((row) => [`${row.position}, ${row.part}: ${row.how}`, row] as const))('%s', (_, row) => {
  const solved = must(solvePosition(row.position, body, { ...row.parameters }))
  const contact = solved.contacts.find((c) => c.part === row.part)
  if (row.share !== undefined) expect(contact?.share.value).toBeCloseTo(row.share, 2)
  if (row.across !== undefined) expect(contact?.horizontalShare.value).toBeCloseTo(row.across, 2)
})

/**
 * Statics once more, from nothing but where the joints lie: masses of the parts as shares of the whole and where along each
 * part they lie, the mean of the published tables for women and men, typed in here and not taken from the code.
 */
const PARTS: readonly [from: keyof Skeleton, to: keyof Skeleton, mass: number, along: number][] = [
  ['shoulder', 'elbow', 2 * 0.0263, 0.5763],
  ['elbow', 'wrist', 2 * 0.015, 0.4567],
  ['wrist', 'fingertip', 2 * 0.0059, 0.7687 * 0.5],
]

const between = (a: Point, b: Point, along: number): Point => ({
  x: a.x + (b.x - a.x) * along,
  y: a.y + (b.y - a.y) * along,
})

describe('whatever holds a body up is in balance with what the body weighs', () => {
  it.each(POSITIONS.map((p) => [p.id]))('%s', (id) => {
    const { contacts, skeleton } = must(solvePosition(id, body, {}))
    // Loads make up the body, and what pushes one way is pushed back.
    expect(contacts.reduce((sum, c) => sum + c.share.value, 0)).toBeCloseTo(1, 6)
    expect(contacts.reduce((sum, c) => sum + c.horizontalShare.value, 0)).toBeCloseTo(0, 6)
    // Moments of the loads about the floor's origin give where the weight must act; the parts' own give where it does.
    const held = contacts.reduce(
      (sum, c) => sum + c.share.value * c.atCm.x - c.horizontalShare.value * c.atCm.y,
      0,
    )
    const arms = PARTS.reduce(
      (sum, [from, to, mass, along]) =>
        sum + mass * between(skeleton[from] as Point, skeleton[to] as Point, along).x,
      0,
    )
    const legs = skeleton.legs.reduce(
      (sum, leg) =>
        sum +
        0.1447 * between(skeleton.hip, leg.knee, 0.3853).x +
        0.0457 * between(leg.knee, leg.ankle, 0.4438).x +
        0.0133 * between(leg.heel, leg.toe, 0.4215).x,
      0,
    )
    const left = held - arms - legs
    // Trunk and head are left: together half the body, somewhere between hip and crown.
    const mass = 0.4302 + 0.0681
    const xs = [skeleton.hip.x, skeleton.waist.x, skeleton.shoulder.x, skeleton.crown.x]
    expect(left / mass).toBeGreaterThan(Math.min(...xs) - 6)
    expect(left / mass).toBeLessThan(Math.max(...xs) + 6)
  })
})
