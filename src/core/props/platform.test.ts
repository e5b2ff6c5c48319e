import fc from 'fast-check'
import { lowestPlatform, platformProps } from './platform'

it('four slabs of a thickness make one layer; fewer make none', () => {
  expect(lowestPlatform(5, [5, 5, 5, 5], 0)).toMatchObject({ heightCm: 5, layers: [{ prop: 'slab' }] })
  expect(lowestPlatform(5, [5, 5, 5], 0)).toBeNull()
  expect(lowestPlatform(10, [5, 5, 5, 5, 5, 5], 0)).toBeNull()
})
it('blankets fill what slabs lack, and are fetched one a layer', () => {
  const stack = lowestPlatform(7.5, [5, 5, 5, 5, 5, 5, 2.5, 2.5], 6)
  expect(stack).toMatchObject({ heightCm: 8, errorCm: 0.5 })
  expect(platformProps(stack!)).toEqual([
    { kind: 'slab', count: 4, detail: [5] },
    { kind: 'blanket', count: 1, detail: [] },
  ])
})
it('wrapped slabs need slabs: blankets alone are another platform', () => {
  expect(lowestPlatform(6, [], 4)).toMatchObject({ heightCm: 6 })
  expect(lowestPlatform(6, [], 4, true)).toBeNull()
})
it('is never lower than asked, never takes more than there is, and more in the cupboard never builds worse', () => {
  const anySlabs = fc.array(fc.constantFrom(2.5, 5), { maxLength: 14 })
  fc.assert(
    fc.property(
      anySlabs,
      fc.nat(6),
      fc.double({ min: 1, max: 14, noNaN: true }),
      (slabs, blankets, needed) => {
        const stack = lowestPlatform(needed, slabs, blankets)
        const richer = lowestPlatform(needed, [...slabs, 5, 5, 5, 5], blankets + 1)
        if (!stack) return
        expect(stack.heightCm).toBeGreaterThanOrEqual(needed - 1e-9)
        const used = platformProps(stack)
        expect(used.find((p) => p.kind === 'slab')?.count ?? 0).toBeLessThanOrEqual(slabs.length)
        expect(used.find((p) => p.kind === 'blanket')?.count ?? 0).toBeLessThanOrEqual(blankets)
        expect(richer!.errorCm).toBeLessThanOrEqual(stack.errorCm + 1e-9)
      },
    ),
  )
})
