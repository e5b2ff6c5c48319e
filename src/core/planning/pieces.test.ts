import fc from 'fast-check'
import { brief } from '@/testing/briefs'
import { piecesFor, piecesOf } from './pieces'

const strapOnly = { bill: [{ kind: 'strap', count: 1 }] }

/** Whether everybody finds a strap of their own, tried out one by one. */
function handOut(loops: readonly number[], straps: readonly number[]): boolean {
  const [first, ...rest] = loops
  if (first === undefined) return true
  return straps.some((long, i) => long >= first && handOut(rest, straps.toSpliced(i, 1)))
}

it('straps of several lengths suffice by count exactly where they can be handed out one by one', () => {
  const length = fc.constantFrom(90, 100, 110, 120)
  let [yes, no] = [0, 0]
  fc.assert(
    fc.property(fc.array(length, { maxLength: 5 }), fc.array(length, { maxLength: 5 }), (loops, straps) => {
      const lines = straps.map((longCm, i) => ({ id: `s${i}`, kind: 'strap', longCm, count: 1 }))
      const have = piecesOf({ ...brief(), cupboard: { listed: true, lines } })
      const out: Record<string, number> = {}
      for (const loopCm of loops)
        for (const { kind, count } of piecesFor(have, strapOnly, { loopCm }))
          out[kind] = (out[kind] ?? 0) + count
      const suffices = Object.entries(out).every(([kind, n]) => n <= (have[kind] ?? 0))
      const possible = handOut(loops, straps)
      if (possible) yes += 1
      else no += 1
      expect(suffices).toBe(possible)
    }),
    { numRuns: 400 },
  )
  expect(Math.min(yes, no)).toBeGreaterThan(50)
})

it('whoever was never measured takes any, and so does a strap without a length serve for all', () => {
  const lines = [{ id: 's', kind: 'strap', longCm: null, count: 2 }]
  const have = piecesOf({ ...brief(), cupboard: { listed: true, lines } })
  expect(piecesFor(have, strapOnly, { loopCm: 140 })).toEqual([{ kind: 'strap', count: 1 }])
  expect(piecesFor({ strap: 1, 'strap>100': 0 }, strapOnly, { loopCm: null })).toEqual([
    { kind: 'strap', count: 1 },
  ])
})
