import { shippedPractice } from '../practice/library'
import { USUAL_STOCK } from './stock'
import { describeProp } from '../words/setup'
import fc from 'fast-check'
import { countOf, houseWords, stockFrom, stockLines, wearCheck, wearDue, type PropItem } from './inventory'

const practice = shippedPractice()
const item = (part: Partial<PropItem>): PropItem => ({
  id: 'x',
  shape: 'tall-block',
  localName: '',
  sizeCm: null,
  count: 1,
  condition: 'sound',
  checkedDay: '2026-03-01',
  ...part,
})
const cupboard = [
  item({ id: 'a', count: 2 }),
  item({ id: 'b', shape: 'thin-block', count: 1, sizeCm: [22, 14, 7] }),
  item({ id: 'c', count: 5, condition: 'out' }),
  item({ id: 'd', shape: 'strap-long', count: 2, localName: 'belt' }),
  item({ id: 'e', shape: 'slab', count: 3, condition: 'worn' }),
]

it('counts what is usable: two tall blocks and a thin one, not the five that are out', () => {
  expect(countOf(practice, cupboard, 'block')).toBe(3)
})
it('gives setups each piece in its own size', () => {
  const stock = stockFrom(practice, cupboard)
  expect(stock.blocks.map((b) => b.thickCm)).toEqual([10, 10, 7])
  expect(stock.straps).toEqual([300, 300])
  expect(stock.slabs).toEqual([5, 5, 5])
  expect(stock.chairs).toBe(0)
})
it('bench and class reckon with the same cupboard, whatever is listed in it', () => {
  const shapes = practice.props.map((p) => p.id)
  const listed = fc.array(
    fc.record({
      shape: fc.constantFrom(...shapes),
      count: fc.integer({ min: 0, max: 5 }),
      condition: fc.constantFrom('sound', 'worn', 'out' as const),
    }),
    { maxLength: 6 },
  )
  fc.assert(
    fc.property(listed, (parts) => {
      const items = parts.map((part, i) => item({ ...part, id: String(i) }))
      const { blocks, slabs, straps, ...counted } = stockFrom(practice, items)
      const pieces = { ...counted, blocks: blocks.length, slabs: slabs.length, straps: straps.length }
      const inClass = (kind: string): number =>
        stockLines(practice, items)
          .lines.filter((line) => line.kind === kind)
          .reduce((sum, line) => sum + line.count, 0)
      expect(pieces).toEqual({
        ...{ blocks: inClass('block'), slabs: inClass('slab'), straps: inClass('strap') },
        ...{ chairs: inClass('chair'), blankets: inClass('blanket'), bolsters: inClass('bolster') },
      })
      if (items.length === 0) expect(stockFrom(practice, items)).toEqual(USUAL_STOCK)
    }),
  )
})
it('says the house’s word for a kind, that of most pieces, and none where nobody has one', () => {
  expect(houseWords(practice, cupboard)).toEqual({ strap: 'belt' })
  const two = [item({ localName: 'brick', count: 2 }), item({ localName: 'cork', count: 9 })]
  expect(houseWords(practice, two)).toEqual({ block: 'cork' })
  const said = describeProp(
    { kind: 'block', count: 2, detail: [] },
    { units: 'cm', propNames: { block: 'cork' } },
  )
  expect(said).toBe('2 corks')
})
it('asks for wear after 90 days, after 21 where it is worn, and never of what is out or was just looked at', () => {
  const due = (day: string) => wearDue(cupboard, day).map((i) => i.id)
  expect(due('2026-03-20')).toEqual([])
  expect(due('2026-03-23')).toEqual(['e'])
  expect(due('2026-05-31')).toEqual(['a', 'b', 'd', 'e'])
  expect(wearDue([item({ checkedDay: null })], '2026-03-01')).toHaveLength(1)
})
it('has words for the wear of every shape that wears', () => {
  for (const prop of practice.props.filter((p) => !['wall', 'marker'].includes(p.kind)))
    expect([prop.id, wearCheck(practice, prop.id)]).not.toEqual([prop.id, 'Look it over before use.'])
})
