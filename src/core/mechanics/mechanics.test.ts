import fc from 'fast-check'
import { anyBody, bodyOf, must } from '@/testing/bodies'
import { joinLinks, spanAcross } from './linkage'
import { angleAt, distance } from './point'
import { armLoad, type Position } from './position'
import { POSITIONS, solvePosition } from './positions/catalogue'
import { centreOf, particles } from './skeleton'
import { floorAndWall, shoulderMomentFromBody, twoSupports } from './statics'
import { riseBetween } from './energy'

const percent = (position: Position): number => armLoad(position).value * 100
const solve = (id: string, stature = 168, params = {}): Position =>
  must(solvePosition(id, bodyOf(stature), params))

/** Every position on any body, where this body can do it. */
const anyPosition = fc
  .tuple(anyBody, fc.constantFrom(...POSITIONS.map((p) => p.id)))
  .map(([body, id]) => solvePosition(id, body))
  .filter((r) => r.ok)
  .map((r) => must(r))

describe('pencil and paper', () => {
  it('joins a 3 and a 4 link over a span of 5 at a right angle', () => {
    const joint = must(joinLinks({ x: 0, y: 0 }, 3, { x: 5, y: 0 }, 4, 'up'))
    expect(joint.x).toBeCloseTo(1.8, 9)
    expect(joint.y).toBeCloseTo(2.4, 9)
  })
  it('says by how much links are too short, or too long to fold', () => {
    expect(joinLinks({ x: 0, y: 0 }, 3, { x: 9, y: 0 }, 4, 'up')).toEqual({
      ok: false,
      refusal: { code: 'too-far', neededCm: 9, reachCm: 7 },
    })
    expect(joinLinks({ x: 0, y: 0 }, 9, { x: 2, y: 0 }, 4, 'up')).toEqual({
      ok: false,
      refusal: { code: 'too-near', neededCm: 2, leastCm: 5 },
    })
  })
  it('spans two links at a right angle by Pythagoras', () => expect(spanAcross(3, 4, 90)).toBeCloseTo(5, 9))
  it('shares a body whose plumb line falls three quarters of the way: 75 % in front', () => {
    const [, front] = twoSupports(75, patch('toes', 0), patch('hands', 100))
    expect(front.share.value).toBeCloseTo(0.75, 12)
  })
  it('pushes a wall by lean over height: 20 cm of lean at 150 cm is 13.3 % of body weight', () => {
    const [, wall] = floorAndWall(20, patch('forearms', 0), { x: 50, y: 150 }, 0)
    expect(wall.horizontalShare.value).toBeCloseTo(-20 / 150, 9)
  })
  it('gives 0.98 J/kg and 1.4 m/s for a rise of 10 cm', () => {
    const rise = riseBetween(40, 50)
    expect(rise.energyJPerKg).toBeCloseTo(0.981, 3)
    expect(rise.takeOffSpeedMPerS).toBeCloseTo(1.4, 2)
  })
  it('needs no rise downhill', () => expect(riseBetween(50, 40).riseCm).toBe(0))
  it.each([
    [5, 16.5, 32.4],
    [15, 20.1, 40.4],
  ])(
    'leans a body to a wall %p cm from the fingertips by about what the setup table says',
    (gap, straight, arched) => {
      // asin(elbow to wall ÷ height) for one stiff rod; asin(elbow to wall ÷ leg) when only the legs lean. The heel
      // juts out behind the ankle, so the figure meets the wall a few degrees earlier than a rod would.
      const lean = solve('forearm-stand-heels-on-wall', 168, { fingertipGapCm: gap }).angles.trunkLeanDeg
      const arch = solve('forearm-stand-heels-on-wall', 168, { fingertipGapCm: gap, archShare: 1 }).angles
        .archDeg
      expect(lean).toBeGreaterThan(straight - 4)
      expect(lean).toBeLessThan(straight)
      expect(arch).toBeGreaterThan(arched - 5)
      expect(arch).toBeLessThan(arched)
    },
  )
})

describe('beside published figures, within five points of body weight', () => {
  it.each([
    ['high-plank', 'top', 69],
    ['high-plank', 'bottom', 75],
    ['knee-plank', 'top', 54],
    ['knee-plank', 'bottom', 62],
  ])('%s at the %s carries about %p %%', (id, where, published) => {
    // The bottom is where the elbow stands at a right angle: lowered by one upper arm.
    const params = (stature: number): object => (where === 'bottom' ? { depthCm: 0.186 * stature } : {})
    for (const stature of [155, 168, 185])
      expect(Math.abs(percent(solve(id, stature, params(stature))) - published)).toBeLessThanOrEqual(5)
  })
  it('keeps a dolphin in its working band of 60–65 %', () => {
    expect(percent(solve('dolphin'))).toBeGreaterThan(60)
    expect(percent(solve('dolphin'))).toBeLessThan(66)
  })
  it('puts everything on the forearms when upside down', () =>
    expect(percent(solve('forearm-stand-straight'))).toBe(100))
})

describe('laws over many bodies', () => {
  it('shares sum to one and horizontal forces cancel', () => {
    fc.assert(
      fc.property(anyPosition, ({ contacts }) => {
        expect(contacts.reduce((sum, c) => sum + c.share.value, 0)).toBeCloseTo(1, 9)
        expect(contacts.reduce((sum, c) => sum + c.horizontalShare.value, 0)).toBeCloseTo(0, 9)
      }),
    )
  })
  it('moments balance about any point', () => {
    fc.assert(
      fc.property(
        anyPosition,
        fc.integer({ min: -200, max: 200 }),
        fc.integer({ min: -50, max: 200 }),
        (position, x, y) => {
          const { contacts, centreOfMassCm: centre } = position
          const moment = contacts.reduce(
            (sum, c) => sum + (c.atCm.x - x) * c.share.value - (c.atCm.y - y) * c.horizontalShare.value,
            -(centre.x - x),
          )
          expect(moment).toBeCloseTo(0, 9)
        },
      ),
    )
  })
  it('every range holds its working figure', () => {
    fc.assert(
      fc.property(anyPosition, ({ contacts }) => {
        for (const { share, horizontalShare } of contacts)
          for (const range of [share, horizontalShare]) {
            expect(range.min).toBeLessThanOrEqual(range.value + 1e-12)
            expect(range.max).toBeGreaterThanOrEqual(range.value - 1e-12)
          }
      }),
    )
  })
  it('the body’s side and the floor’s side agree on the shoulder moment', () => {
    fc.assert(
      fc.property(anyPosition, (position) => {
        const parts = particles(position.body, position.skeleton)
        const beyond = position.contacts.filter((c) => c.part !== 'hands' && c.part !== 'forearms')
        const fromBody = shoulderMomentFromBody(parts, position.skeleton.shoulder, beyond)
        expect(fromBody + position.shoulderMomentNmPerKg).toBeCloseTo(0, 9)
      }),
    )
  })
  it('links keep their lengths: chains close', () => {
    fc.assert(
      fc.property(anyPosition, ({ body, skeleton }) => {
        expect(distance(skeleton.shoulder, skeleton.elbow)).toBeCloseTo(body.length.upperArm.valueCm, 6)
        expect(distance(skeleton.shoulder, skeleton.hip)).toBeCloseTo(body.length.trunk.valueCm, 6)
        for (const leg of skeleton.legs) {
          expect(distance(skeleton.hip, leg.knee)).toBeCloseTo(body.length.thigh.valueCm, 6)
          expect(distance(leg.knee, leg.ankle)).toBeCloseTo(body.length.shank.valueCm, 6)
        }
      }),
    )
  })
  it('scales: a body 10 % taller makes every distance 10 % longer and no share different', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 140, max: 185, noNaN: true }),
        fc.constantFrom('high-plank', 'dolphin', 'forearm-stand-straight'),
        (stature, id) => {
          const [small, tall] = [solve(id, stature), solve(id, stature * 1.1)]
          expect(tall.centreOfMassCm.y).toBeCloseTo(small.centreOfMassCm.y * 1.1, 6)
          expect(percent(tall)).toBeCloseTo(percent(small), 6)
        },
      ),
    )
  })
  it('keeps the centre of a straight trunk where the table has it', () => {
    fc.assert(
      fc.property(anyBody, (body) => {
        const { skeleton } = must(solvePosition('forearm-stand-straight', body))
        const trunk = centreOf(particles(body, skeleton).filter((p) => p.segment === 'trunk'))
        expect(distance(skeleton.shoulder, trunk)).toBeCloseTo(
          body.mass.trunk.com * body.length.trunk.valueCm,
          6,
        )
      }),
    )
  })
  it('walking in never raises the rise still needed, and a wider gap never lowers the lean', () => {
    fc.assert(
      fc.property(
        anyBody,
        fc.double({ min: 0.36, max: 0.6, noNaN: true }),
        fc.double({ min: 0, max: 30, noNaN: true }),
        (body, share, gap) => {
          const rise = (s: number): number | null => {
            const start = solvePosition('forearm-stand-kick-start', body, {
              toeDistanceCm: s * body.statureCm,
              hipRangeDeg: 150,
            })
            return start.ok ? (start.value.rise?.riseCm ?? null) : null
          }
          const [near, far] = [rise(share), rise(share + 0.03)]
          if (near !== null && far !== null) expect(near).toBeLessThanOrEqual(far + 1e-9)
          const lean = (g: number): number =>
            must(solvePosition('forearm-stand-heels-on-wall', body, { fingertipGapCm: g })).angles
              .trunkLeanDeg
          expect(lean(gap + 2)).toBeGreaterThanOrEqual(lean(gap))
        },
      ),
    )
  })
  it('more friction only widens what the wall may carry', () => {
    fc.assert(
      fc.property(anyBody, fc.double({ min: 0, max: 0.4, noNaN: true }), (body, friction) => {
        const width = (f: number): number => {
          const wall = must(
            solvePosition('forearm-stand-heels-on-wall', body, { wallFriction: f }),
          ).contacts.find((c) => c.part === 'wallFeet')
          return (wall?.share.max ?? 0) - (wall?.share.min ?? 0)
        }
        expect(width(friction + 0.1)).toBeGreaterThanOrEqual(width(friction))
      }),
    )
  })
})

describe('what the model answers without being told', () => {
  it('stacks a straight body over the rear edge of the forearms', () => {
    const { margin } = solve('forearm-stand-straight')
    expect(margin.backCm).toBeLessThan(3)
    expect(margin.forwardCm).toBeGreaterThan(35)
  })
  it('brings the plumb line forward when the shoulders go ahead of the elbows', () => {
    expect(solve('forearm-stand-straight', 168, { shoulderLeanDeg: 10 }).margin.backCm).toBeGreaterThan(
      solve('forearm-stand-straight').margin.backCm + 3,
    )
  })
  it('leaves hardly any room under the crown on average arms: 0.4 % of stature before the push', () => {
    expect(solve('forearm-stand-straight').headClearanceCm).toBeCloseTo(0.004 * 168, 6)
  })
  it('bends the knee where it is told to', () => {
    const { skeleton } = solve('dolphin', 168, { kneeBendDeg: 40 })
    const [leg] = skeleton.legs
    expect(180 - angleAt(leg.knee, skeleton.hip, leg.ankle)).toBeCloseTo(40, 6)
  })
})

describe('refusals', () => {
  it.each([
    ['dolphin', { hipRangeDeg: 30 }, { code: 'joint-out-of-range', joint: 'hip', availableDeg: 30 }],
    ['dolphin', { toeDistanceCm: 140 }, { code: 'legs-do-not-reach' }],
    ['dolphin', { kneeBendDeg: -5 }, { code: 'parameter-out-of-range', key: 'kneeBendDeg', min: 0, max: 90 }],
    ['dolphin', { toes: 4 }, { code: 'unknown-parameter', key: 'toes' }],
    [
      'forearm-stand-heels-on-wall',
      { fingertipGapCm: -1 },
      { code: 'parameter-out-of-range', key: 'fingertipGapCm' },
    ],
    ['handstand-on-water', {}, { code: 'unknown-position' }],
  ])('%s %p', (id, params, refusal) => {
    const stature = 'toeDistanceCm' in params ? 140 : 168
    const solved = solvePosition(id, bodyOf(stature), params)
    expect(!solved.ok && solved.refusal).toMatchObject(refusal)
  })
})

function patch(part: 'toes' | 'hands' | 'forearms', atCm: number) {
  return { part, fromCm: atCm, toCm: atCm, nominalCm: atCm }
}
