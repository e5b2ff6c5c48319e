import fc from 'fast-check'
import { anyBody, bodyOf, must } from '@/testing/bodies'
import faults from '../practice/data/faults.json'
import { BESIDE, rightBesideWrong } from './beside'
import { fallFrom, pivotLoad, rod, tippingOf } from './falling'
import { helperForce } from './helpers'
import { joinLinks, spanAcross } from './linkage'
import { riseBetween } from './energy'
import { solvePosition } from './positions/catalogue'
import { rootOf } from './root'
import { turnFor } from './turn'

describe('tools', () => {
  it('joins a 3 and a 4 link over a span of 5 at a right angle', () => {
    const joint = must(joinLinks({ x: 0, y: 0 }, 3, { x: 5, y: 0 }, 4, 'up'))
    expect(joint.x).toBeCloseTo(1.8, 9)
    expect(joint.y).toBeCloseTo(2.4, 9)
    expect(must(joinLinks({ x: 0, y: 0 }, 3, { x: 5, y: 0 }, 4, 'right')).y).toBeCloseTo(-2.4, 9)
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
  it('gives 0.98 J/kg and 1.4 m/s for a rise of 10 cm, and nothing downhill', () => {
    const rise = riseBetween(40, 50)
    expect(rise.energyJPerKg).toBeCloseTo(0.981, 3)
    expect(rise.takeOffSpeedMPerS).toBeCloseTo(1.4, 2)
    expect(riseBetween(50, 40).riseCm).toBe(0)
  })
  it('finds roots, or says that there is none', () => {
    expect(rootOf((x) => x ** 3 - 8, 0, 5)).toBeCloseTo(2, 6)
    expect(rootOf((x) => x ** 2 + 1, -3, 3)).toBeNull()
    fc.assert(
      fc.property(fc.double({ min: -4, max: 4, noNaN: true }), (a) => {
        expect(rootOf((x) => Math.exp(x) - Math.exp(a), -5, 5)).toBeCloseTo(a, 5)
      }),
    )
  })
  it('turns by one formula what a search finds step by step', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 80, noNaN: true }),
        fc.double({ min: -40, max: 40, noNaN: true }),
        fc.double({ min: -60, max: 60, noNaN: true }),
        (radius, offset, turn) => {
          const x = (deg: number): number => offset + radius * Math.sin((deg * Math.PI) / 180)
          expect(turnFor(x, x(turn), -90, 90)).toBeCloseTo(turn, 4)
        },
      ),
    )
    expect(turnFor((deg) => Math.sin((deg * Math.PI) / 180), 2, -90, 90)).toBeNull()
  })
})

describe('falling', () => {
  it('a rod falling from rest about its foot carries no vertical load at cos θ = 1/3', () => {
    const tilt = (Math.acos(1 / 3) * 180) / Math.PI
    expect(pivotLoad(rod(1.7), tilt, 0)).toBeCloseTo(0, 12)
    expect(fallFrom(rod(1.7), 0.5).lightest.tiltDeg).toBeCloseTo(tilt, 0)
  })
  it('follows ((1 − 3 cos θ) / 2)² for a rod let go upright', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 90, noNaN: true }),
        fc.double({ min: 0.3, max: 3, noNaN: true }),
        (deg, length) => {
          const cos = Math.cos((deg * Math.PI) / 180)
          expect(pivotLoad(rod(length), deg, 0)).toBeCloseTo(((1 - 3 * cos) / 2) ** 2, 9)
        },
      ),
    )
  })
  it('starts as an exponential: from 1° to e° takes one time constant, less the start from rest', () => {
    const tipping = rod(1.7)
    const constant = Math.sqrt(tipping.inertiaM2 / (9.80665 * tipping.radiusM))
    const at = (deg: number): number => fallFrom(tipping, 1).samples.find((s) => s.tiltDeg >= deg)?.timeS ?? 0
    // Let go at rest the tilt is cosh(t/τ): it reaches e at arcosh(e) = 1.657 time constants.
    expect(at(Math.E) / constant).toBeCloseTo(1.657, 1)
  })
  it('a longer body falls more slowly', () => {
    const end = (stature: number): number =>
      fallFrom(tippingOf(must(solvePosition('handstand-straight', bodyOf(stature)))), 5).samples.at(-1)
        ?.timeS ?? 0
    expect(end(190)).toBeGreaterThan(end(150))
  })
  it('leaves hands light for a fifth of a second or so on the way down from a forearm stand', () => {
    const fall = fallFrom(tippingOf(must(solvePosition('forearm-stand-straight', bodyOf(168)))), 3)
    expect(fall.lightForS).toBeGreaterThan(0.1)
    expect(fall.lightForS).toBeLessThan(0.4)
    expect(fall.lightest.loadShare).toBeLessThan(0.1)
    expect(fall.lightFromDeg).toBeLessThan(fall.lightest.tiltDeg)
  })
})

describe('helpers', () => {
  const force = (id: string, position: string, params = {}) =>
    helperForce(id, must(solvePosition(position, bodyOf(168), params)))
  it('voice, eye and a touch that adds no force carry nothing', () => {
    for (const id of ['AS-none', 'AS-scapula-check', 'AS-spot-head']) expect(force(id, 'dolphin')).toBeNull()
  })
  it('a lifted leg held at three quarters of the thigh puts 20 % into the hands at any height: both levers shrink alike', () => {
    for (const leadLegDeg of [20, 45, 80]) {
      const held = force('AS-leg-lift', 'forearm-stand-kick-start', { leadLegDeg })
      expect(held?.share).toBeCloseTo(0.2, 1)
    }
  })
  it('steadying 5° at the hips of a handstand takes 92 × tan 5° ÷ 104 = 7.7 % of body weight', () => {
    expect(force('AS-hips-steady', 'handstand-straight')?.horizontalShare).toBeCloseTo(
      (92.37 * Math.tan(Math.PI / 36)) / 104.16,
      2,
    )
  })
  it('catching a kick costs more the further the kick had to rise', () => {
    const near = force('AS-kick-catch', 'handstand-kick-start', { toeDistanceCm: 75 })?.horizontalShare ?? 0
    const far = force('AS-kick-catch', 'handstand-kick-start', { toeDistanceCm: 105 })?.horizontalShare ?? 0
    expect(far).toBeGreaterThan(near)
  })
  it('easing a pelvis off a chair carries no more than everything but head and forearms', () => {
    const share = force('AS-slide-off', 'chair-shoulder-stand')?.share ?? 0
    expect(share).toBeGreaterThan(0.4)
    expect(share).toBeLessThan(0.93)
  })
})

describe('right beside wrong', () => {
  const known = new Set((faults as readonly { id: string }[]).map((f) => f.id))
  it.each(BESIDE.map((b) => [b.faultId, b] as const))(
    '%s shows on any body, and its number says which is which',
    (id, entry) => {
      expect(known.has(id)).toBe(true)
      for (const stature of [145, 168, 200]) {
        const drawn = rightBesideWrong(id, bodyOf(stature))
        expect(drawn).not.toBeNull()
        const { sign } = must(drawn!)
        if (entry.sign.faultIs === 'more') expect(sign.wrong).toBeGreaterThan(sign.right + 1e-3)
        else expect(sign.wrong).toBeLessThan(sign.right - 1e-3)
      }
    },
  )
  it('has nothing to draw for faults that do not show from the side', () => {
    expect(rightBesideWrong('FT-breath-hold', bodyOf(168))).toBeNull()
  })
  it('draws the right one without fault', () => {
    fc.assert(
      fc.property(anyBody, fc.constantFrom(...BESIDE), (body, { faultId }) => {
        const drawn = rightBesideWrong(faultId, body)
        if (drawn?.ok) expect(drawn.value.right.balanced).toBe(true)
      }),
    )
  })
})
