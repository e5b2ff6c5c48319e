import { shippedPractice } from '../practice/library'
import { USUAL_STOCK } from './stock'
import { describeProp } from '../words/setup'
import { countOf, houseWords, stockFrom, wearCheck, wearDue, type PropItem } from './inventory'

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
  expect(stock.chairs).toBe(USUAL_STOCK.chairs)
  expect(stockFrom(practice, [item({ shape: 'chair', count: 0 })]).chairs).toBe(0)
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
