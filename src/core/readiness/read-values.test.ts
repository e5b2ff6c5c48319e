import fc from 'fast-check'
import { findById } from '../practice/find'
import { shippedPractice } from '../practice/library'
import { readCardCell, readValue } from './read-values'

const practice = shippedPractice()
const check = (id: string) => findById(practice.checks, id)
const spans = { fists: 9, hands: 9, feet: 25 }
const FAULTS = ['FT-head-drop', 'FT-elbow-splay']
const read = (typed: string, id: string) => readCardCell(typed, check(id), FAULTS, spans)
const value = (typed: string, id: string) => {
  const cell = read(typed, id)
  return cell?.ok ? cell.value : cell?.refusal.code
}

describe('a cell of the check card', () => {
  it.each<[string, string, unknown]>([
    ['34', 'CK-dolphin-hold', { values: { single: 34 }, faults: [], aided: false }],
    ['34,5 b', 'CK-dolphin-hold', { values: { single: 34.5 }, faults: ['FT-elbow-splay'], aided: false }],
    ['20ab+', 'CK-dolphin-hold', { values: { single: 20 }, faults: FAULTS, aided: true }],
    ['6/5', 'CK-leg-lift-forearm', { values: { left: 6, right: 5 }, faults: [], aided: false }],
    [
      '6 / 5 a',
      'CK-leg-lift-forearm',
      { values: { left: 6, right: 5 }, faults: ['FT-head-drop'], aided: false },
    ],
    ['2/18 cm', 'CK-forearm-overhead', { values: { left: 2, right: 2 }, faults: [], aided: false }],
    [
      '9 cm/18 cm a',
      'CK-forearm-overhead',
      { values: { left: 1, right: 2 }, faults: ['FT-head-drop'], aided: false },
    ],
    ['y', 'CK-pelvic-set', { values: { single: 1 }, faults: [], aided: false }],
    ['n b', 'CK-pelvic-set', { values: { single: 0 }, faults: ['FT-elbow-splay'], aided: false }],
    ['3', 'CK-dolphin-hold', { values: { single: 3 }, faults: [], aided: false }],
  ])('%s for %s', (typed, id, expected) => expect(value(typed, id)).toEqual(expected))
  it.each<[string, string, string]>([
    ['6', 'CK-leg-lift-forearm', 'sides-missing'],
    ['6/5', 'CK-dolphin-hold', 'one-side-only'],
    ['34 q', 'CK-dolphin-hold', 'unknown-mark'],
    ['9999', 'CK-dolphin-hold', 'quantity-out-of-range'],
    ['thirty', 'CK-dolphin-hold', 'quantity-not-a-number'],
    ['6/x', 'CK-leg-lift-forearm', 'quantity-not-a-number'],
  ])('refuses %s for %s: %s', (typed, id, code) => expect(value(typed, id)).toBe(code))
  it('an empty cell is nobody’s result', () => expect(read('  ', 'CK-dolphin-hold')).toBeNull())
  it('reads back what was written, whatever the sides, faults and aids', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 180 }),
        fc.integer({ min: 0, max: 180 }),
        fc.subarray(FAULTS),
        fc.boolean(),
        (left, right, faults, aided) => {
          const marks = faults.map((f) => 'ab'[FAULTS.indexOf(f)]).join('') + (aided ? '+' : '')
          expect(value(`${left}/${right} ${marks}`, 'CK-leg-lift-forearm')).toEqual({
            values: { left, right },
            faults,
            aided,
          })
        },
      ),
    )
  })
  it('never throws, whatever is typed', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 20 }), fc.constantFrom(...practice.checks), (typed, c) => {
        const cell = readCardCell(typed, c, FAULTS, spans)
        if (cell?.ok) {
          const given = Object.values(cell.value.values)
          expect(given.every((v) => v >= c.min && v <= c.max)).toBe(true)
        }
      }),
    )
  })
})

it('a value with a unit of its own is turned into the check’s', () => {
  expect(readValue('27 cm', check('CK-forearm-overhead'), spans)).toEqual({ ok: true, value: 3 })
  expect(readValue('30', check('CK-dolphin-hold'), spans)).toEqual({ ok: true, value: 30 })
})

it('a bare number beside a length is in the units that were chosen', () => {
  const drift = check('CK-elbow-drift')
  expect(readValue('1', drift, spans, 'in')).toEqual({ ok: true, value: 2.5 })
  expect(readValue('2', drift, spans, 'cm')).toEqual({ ok: true, value: 2 })
  const cell = readCardCell('1 +', drift, FAULTS, spans, 'in')
  expect(cell?.ok && cell.value).toMatchObject({ values: { single: 2.5 }, aided: true })
})
