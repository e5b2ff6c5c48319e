import fc from 'fast-check'
import { DIRECT_RATIO, LENGTH_RATIO } from '../body/anthropometry'
import { estimateBody, type Body } from '../body/estimate'
import { anyBody, bodyOf, must, placedCm } from '@/testing/bodies'
import { findById } from '../practice/find'
import { shippedPractice } from '../practice/library'
import { USUAL_BLOCK } from '../props/blocks'
import { USUAL_STOCK, type Stock } from '../props/stock'
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
import { describeSetup } from '../words/setup-refusal'
import { findSetup, SETUPS, solveSetup } from './catalogue'
import { turnIn } from './hand-block'

const KICK = 'SETUP-wall-kick-forearm-block'

describe('all setups', () => {
  it('are the practice’s, one for one', () => {
    expect(SETUPS.map((s) => s.id).sort()).toEqual(
      shippedPractice()
        .setups.map((s) => s.id)
        .sort(),
    )
  })
  it.each(SETUPS.map((s) => [s.id]))('%s solves, in balance, for 140 to 205 cm in all tables', (id) => {
    for (const stature of [140, 155, 168, 185, 205])
      for (const table of ['female', 'male', 'blend'] as const) {
        const { start, target, placements, steps, props } = must(solveSetup(id, bodyOf(stature, table)))
        expect([start.balanced, target.balanced]).toEqual([true, true])
        expect(placements.length).toBeGreaterThan(0)
        expect(steps.length).toBeGreaterThan(1)
        expect(props.every((p) => p.count > 0)).toBe(true)
      }
  })
  it('ask for nothing in a step that is not on their list to fetch', () => {
    const told: [RegExp, readonly string[]][] = [
      [/\bblankets?\b/i, ['blanket']],
      [/\bmats?\b/i, ['mat']],
      [/\bbolster/i, ['bolster', 'block']],
      [/\bblocks?\b/i, ['block']],
      [/\bstrap|\bbelt\b/i, ['strap', 'scarf']],
      [/\bchairs?\b/i, ['chair']],
      [/\bslabs?\b/i, ['slab']],
      [/\bcushions?\b|\bpillows?\b/i, ['cushion']],
      [/\bbench\b/i, ['bench']],
    ]
    for (const { id } of SETUPS) {
      const { steps, props } = must(solveSetup(id, bodyOf(168)))
      const fetched = new Set<string>([
        ...props.map((p) => p.kind),
        ...findById(shippedPractice().setups, id).bill.map((line) => line.prop),
      ])
      const lines = steps.map((s) => describeStep(s, METRIC))
      for (const [word, kinds] of told)
        expect([id, lines.filter((line) => word.test(line) && !kinds.some((k) => fetched.has(k)))]).toEqual([
          id,
          [],
        ])
    }
  })
  it('keep every number inside its own tolerance and tell its error', () => {
    fc.assert(
      fc.property(anyBody, fc.constantFrom(...SETUPS.map((s) => s.id)), (body, id) => {
        for (const p of must(solveSetup(id, body)).placements) {
          expect(p.valueCm).toBeGreaterThanOrEqual(p.fromCm - 1e-9)
          expect(p.valueCm).toBeLessThanOrEqual(p.toCm + 1e-9)
          expect(p.valueCm).toBeGreaterThanOrEqual(0)
          if (p.bodyWay) expect(p.bodyWay.withinCm).toBeGreaterThan(0)
        }
      }),
      { numRuns: 400 },
    )
  })
  it('stand with the fingers’ direction wherever a distance to the wall is taken from hands or fingertips', () => {
    for (const { id } of SETUPS)
      for (const p of must(solveSetup(id, bodyOf(168))).placements)
        if (/gap$|to-wall$|^(hand|elbow)-line/.test(p.key) && ['fingertips', 'heel-of-hand'].includes(p.line))
          expect([id, p.key, p.fingers]).toEqual([id, p.key, expect.stringMatching(/wall/)])
  })
})

/** A body with one length of its own, this much longer or shorter than usual. */
function changed(measure: string, stature: number, by: number): Body {
  const ratio = { ...LENGTH_RATIO, ...DIRECT_RATIO }[measure as keyof typeof LENGTH_RATIO]
  const input =
    measure === 'stature'
      ? { statureCm: stature * by }
      : { statureCm: stature, measured: { [measure]: ratio * stature * by } }
  return must(estimateBody(input))
}

describe('each driving measure moves its placement the right way', () => {
  const drives = shippedPractice().setups.flatMap(({ id, drives: list }) =>
    list.map(({ measure, placement, way }) => [id, measure, placement, way] as const),
  )
  it('is declared for every setup that a body places', () => {
    const free = shippedPractice()
      .setups.filter((s) => s.drives.length === 0)
      .map((s) => s.id)
    expect(free).toEqual([
      'SETUP-floor-clear',
      'SETUP-supine-floor',
      'SETUP-legs-wall-bolster',
      'SETUP-block-elbow-hip',
    ])
  })
  it.each(drives)('%s: a longer %s moves %s %s', (id, measure, key, way) => {
    for (const stature of [145, 168, 195]) {
      const [short, usual, long] = [0.93, 1, 1.07].map((by) =>
        placedCm(must(solveSetup(id, changed(measure, stature, by))), key),
      )
      const [less, more] = way === 'more' ? [short!, long!] : [long!, short!]
      expect(more).toBeGreaterThan(less)
      expect(usual).toBeGreaterThanOrEqual(less)
      expect(usual).toBeLessThanOrEqual(more)
    }
  })
})

it('has words for every step, placement, warning, way and prop of every setup on three bodies', () => {
  for (const { id, options } of SETUPS)
    for (const stature of [145, 168, 200])
      for (const value of ['min', 'usual', 'max'] as const) {
        const given =
          value === 'usual'
            ? {}
            : Object.fromEntries(
                options.filter((o) => o.usualFrom !== undefined).map((o) => [o.key, o[value]]),
              )
        const solved = solveSetup(id, bodyOf(stature), given)
        if (!solved.ok) {
          expect(describeSetup(solved.refusal)).not.toMatch(/undefined|NaN|^[a-z-]+$/)
          continue
        }
        const s = solved.value
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
        for (const line of lines) expect(line).not.toMatch(/undefined|NaN|[{}]|^[a-z]+(-[a-z]+)+$|FT-/)
      }
})

describe('placements under other options', () => {
  it('a wider gap moves the elbows out by as much and leans the body more', () => {
    const [near, far] = [10, 15].map((wallGapCm) => must(solveSetup(KICK, bodyOf(168), { wallGapCm })))
    expect(placedCm(far!, 'elbow-to-wall') - placedCm(near!, 'elbow-to-wall')).toBeCloseTo(5, 9)
    expect(far!.target.angles.trunkLeanDeg).toBeGreaterThan(near!.target.angles.trunkLeanDeg)
  })
  it('far from the wall a hold is warned of with the arch it takes', () => {
    const far = must(solveSetup(KICK, bodyOf(168), { wallGapCm: 20 }))
    expect(far.warnings).toContainEqual(
      expect.objectContaining({ code: 'gap-too-far-to-hold', faultId: 'FT-low-back-arch' }),
    )
  })
  it('a narrow block on broad shoulders turns the forearms in', () => {
    const one: Stock = { ...USUAL_STOCK, blocks: [USUAL_BLOCK] }
    expect(must(solveSetup('SETUP-dolphin-block', bodyOf(200), {}, one)).warnings).toContainEqual(
      expect.objectContaining({ faultId: 'FT-block-width' }),
    )
  })
  it.each([
    [150, 1],
    [160, 3],
    [170, 5],
    [180, 6],
    [190, 8],
  ])('one 23 cm block in the L turns the forearms of %p cm in by %p° (props.md 2.3)', (stature, expected) => {
    expect(turnIn(bodyOf(stature), 23)).toBeCloseTo(expected, -0.3)
  })
  it('short arms ask for a lift under the forearms, long ones for none', () => {
    const lift = (upperArm: number): number =>
      placedCm(
        must(solveSetup('SETUP-headbase', must(estimateBody({ statureCm: 168, measured: { upperArm } })))),
        'forearm-lift',
      )
    expect(lift(34)).toBe(0)
    expect(lift(29)).toBeCloseTo(0.182 * 168 - 29 + 2, 6)
  })
  it('soft pillows are laid twice as high as firm blankets', () => {
    const laid = (softness: number): number =>
      placedCm(must(solveSetup('SETUP-home-stack', bodyOf(168), { softness })), 'layers-laid')
    expect(laid(1)).toBeCloseTo(2 * laid(0), 9)
  })
  it('a strap loop round measured shoulders and arms is never wider than they ask; an unmeasured arm may be thick', () => {
    const loopOf = (body: Body) =>
      must(solveSetup('SETUP-dolphin-strap', body)).placements.find((p) => p.key === 'strap-loop')
    fc.assert(
      fc.property(
        fc.double({ min: 150, max: 190, noNaN: true }),
        fc.double({ min: 7, max: 14, noNaN: true }),
        (statureCm, thickCm) => {
          const measured = { jointWidth: 0.2 * statureCm, armGirth: Math.PI * thickCm }
          const loop = loopOf(must(estimateBody({ statureCm, measured })))
          expect(loop?.valueCm).toBeCloseTo(0.4 * statureCm + Math.PI * thickCm, 9)
          expect(loop?.toCm).toBeCloseTo(loop?.valueCm ?? 0, 9)
          const guessed = loopOf(bodyOf(statureCm))
          expect(guessed?.fromCm).toBeLessThan(loop?.valueCm ?? 0)
          if (thickCm < 12) expect(guessed?.toCm).toBeGreaterThan(loop?.valueCm ?? 0)
        },
      ),
    )
  })
  it('support comes off one step at a time: every neighbour exists and points to a setup', () => {
    for (const { id } of SETUPS) {
      const { less, more } = must(solveSetup(id, bodyOf(168)))
      for (const other of [...less, ...more]) expect(findSetup(other)?.id).toBe(other)
    }
  })
})

describe('refusals', () => {
  const none: Stock = { blocks: [], slabs: [], straps: [], chairs: 0, blankets: 0, bolsters: 0 }
  it.each([
    [
      KICK,
      { wallGapCm: -1 },
      USUAL_STOCK,
      { code: 'parameter-out-of-range', key: 'wallGapCm', min: 5, max: 30 },
    ],
    [
      'SETUP-wall-kick-hand',
      { fingertipGapCm: -3 },
      USUAL_STOCK,
      { code: 'parameter-out-of-range', key: 'fingertipGapCm' },
    ],
    [KICK, {}, none, { code: 'no-blocks', needed: 1, inStock: 0 }],
    ['SETUP-dolphin-block', {}, none, { code: 'no-blocks', needed: 1, inStock: 0 }],
    ['SETUP-lolasana-blocks', {}, none, { code: 'no-blocks', needed: 2, inStock: 0 }],
    ['SETUP-headfree-towers', {}, none, { code: 'no-blocks', needed: 4, inStock: 0 }],
    [
      'SETUP-headfree-towers',
      { overlapCm: 4 },
      USUAL_STOCK,
      { code: 'rig-without-overlap', overlapCm: 4, leastCm: 7.5 },
    ],
    [
      'SETUP-wall-stack-upper-back',
      { overlapCm: 0 },
      USUAL_STOCK,
      { code: 'rig-without-overlap', overlapCm: 0, leastCm: 7.5 },
    ],
    ['SETUP-dolphin-strap', {}, none, { code: 'not-in-stock', prop: 'strap' }],
    ['SETUP-headfree-chairs', {}, none, { code: 'not-in-stock', prop: 'chair', needed: 2, inStock: 0 }],
    ['SETUP-platform-wall', {}, none, { code: 'not-in-stock', prop: 'slab' }],
    ['SETUP-trapeze', {}, USUAL_STOCK, { code: 'unknown-setup', id: 'SETUP-trapeze' }],
    ['SETUP-dolphin-plain', { wallGapCm: 5 }, USUAL_STOCK, { code: 'unknown-parameter', key: 'wallGapCm' }],
  ])('%s %p', (id, options, stock, refusal) => {
    const solved = solveSetup(id, bodyOf(168), options, stock)
    expect(!solved.ok && solved.refusal).toMatchObject(refusal)
  })
  it('three metres of stature are refused before any setup is asked', () => {
    const body = estimateBody({ statureCm: 300 })
    expect(!body.ok && body.refusal).toMatchObject({
      code: 'stature-implausible',
      statureCm: 300,
      maxCm: 220,
    })
  })
})
