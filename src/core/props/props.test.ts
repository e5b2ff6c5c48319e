import fc from 'fast-check'
import { FOAM_GIVE_CM, heightOn, spacersFor, USUAL_BLOCK } from './blocks'
import { lowestStack, settledHeight, tippingDeg } from './stack'

const two = [USUAL_BLOCK, USUAL_BLOCK]

describe('spacers', () => {
  it.each([
    [20, [10, 10]],
    [23, [23]],
    [25, [15, 10]],
    [30, [15, 15]],
    [33, [23, 10]],
    [38, [23, 15]],
  ])('a gap of %p cm takes %p (props.md 2.2)', (gap, edges) => {
    expect(spacersFor(gap, two)[0]).toEqual({ edgesCm: edges, widthCm: gap, errorCm: 0 })
  })
  it('never misses a closer pair that a plain search would find', () => {
    fc.assert(
      fc.property(fc.double({ min: 15, max: 45, noNaN: true }), (gap) => {
        const edges = [23, 15, 10]
        const all = [...edges, ...edges.flatMap((a) => edges.map((b) => a + b))]
        const best = Math.min(...all.map((width) => Math.abs(width - gap)))
        expect(Math.abs(spacersFor(gap, two)[0]!.errorCm)).toBeCloseTo(best, 9)
      }),
    )
  })
  it('pairs a block with itself only when there are two of them', () => {
    expect(spacersFor(30, [USUAL_BLOCK]).every((s) => s.edgesCm.length === 1)).toBe(true)
    expect(spacersFor(17.5, [USUAL_BLOCK, { ...USUAL_BLOCK, thickCm: 7.5 }])[0]?.edgesCm).toEqual([10, 7.5])
  })
  it('finds nothing in an empty cupboard', () => expect(spacersFor(25, [])).toEqual([]))
})

describe('stacks', () => {
  it('is never lower than asked and never higher than the best of a plain search', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 38, noNaN: true }), (needed) => {
        const stack = lowestStack(needed, two, [5, 5, 2.5], { most: 4 })
        const heights = new Set<number>()
        const faces = [10 - FOAM_GIVE_CM, 15 - FOAM_GIVE_CM]
        for (const a of [0, ...faces])
          for (const b of [0, ...faces]) for (const s of [0, 2.5, 5, 7.5, 10, 12.5]) heights.add(a + b + s)
        const reachable = [...heights].filter((h) => h >= needed - 1e-9)
        if (stack === null) expect(reachable.filter((h) => h <= 28.8 + 5)).toEqual([])
        else {
          expect(stack.heightCm).toBeGreaterThanOrEqual(needed - 1e-9)
          expect(stack.heightCm).toBeGreaterThanOrEqual(Math.min(...reachable) - 1e-9)
          expect(stack.layers.length).toBeLessThanOrEqual(4)
        }
      }),
    )
  })
  it('counts what foam gives, and slabs as firm', () => {
    expect(
      settledHeight([
        { kind: 'block', face: 'flat', heightCm: 10 },
        { kind: 'slab', heightCm: 5 },
      ]),
    ).toBeCloseTo(14.4, 9)
  })
  it('does not stand a block on its small face unless it is held', () => {
    const free = lowestStack(22, [USUAL_BLOCK], [], { most: 1 })
    const held = lowestStack(22, [USUAL_BLOCK], [], { most: 1, tallAllowed: true })
    expect(free).toBeNull()
    expect(held?.layers).toEqual([{ kind: 'block', face: 'tall', heightCm: 23 }])
  })
  it('needs nothing for no height', () => expect(lowestStack(0, [], [], { most: 3 })?.layers).toEqual([]))
  it('stands two faces of one block once only', () => {
    expect(lowestStack(20, [USUAL_BLOCK], [], { most: 3 })).toBeNull()
  })
  it('tips sooner the less the pieces overlap and the higher they stand', () => {
    expect(tippingDeg(15, 15, 30)).toBeCloseTo((Math.atan2(7.5, 15) * 180) / Math.PI, 9)
    expect(tippingDeg(10, 15, 30)).toBeLessThan(tippingDeg(15, 15, 30))
    expect(tippingDeg(15, 15, 60)).toBeLessThan(tippingDeg(15, 15, 30))
    expect(tippingDeg(7, 15, 30)).toBe(0)
  })
})

it('knows a block by its faces', () => {
  expect(['flat', 'side', 'tall'].map((face) => heightOn(USUAL_BLOCK, face as 'flat'))).toEqual([10, 15, 23])
})
