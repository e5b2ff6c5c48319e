import fc from 'fast-check'
import { formatClock, formatLength, formatStature, parseLength } from './units'

const RANGE = { minCm: 120, maxCm: 220 }

describe('reading a length', () => {
  it.each([
    ['168', 168],
    ['168,5', 168.5],
    ['168.5 cm', 168.5],
    ['1.68 m', 168],
    [`5'6"`, 167.64],
    ['5 ft 6', 167.64],
    ['5ft', 152.4],
    ['66 in', 167.64],
  ])('takes %s', (typed, cm) => {
    const read = parseLength(typed, RANGE)
    expect(read.ok && read.value).toBeCloseTo(cm, 6)
  })

  it('takes a bare number in the units in use', () => {
    const read = parseLength('66', RANGE, 'in')
    expect(read.ok && read.value).toBeCloseTo(167.64, 6)
  })

  it.each([
    ['', { code: 'length-empty' }],
    ['tall', { code: 'length-not-a-number', typed: 'tall' }],
    ['-168', { code: 'length-not-a-number', typed: '-168' }],
    [`5'13"`, { code: 'length-inches-over-foot', inches: 13 }],
    ['17', { code: 'length-out-of-range', cm: 17, ...RANGE }],
    ['1680', { code: 'length-out-of-range', cm: 1680, ...RANGE }],
  ])('refuses %p with a code and numbers', (typed, refusal) => {
    expect(parseLength(typed, RANGE)).toEqual({ ok: false, refusal })
  })

  it('reads back what it prints, to half a centimetre', () => {
    fc.assert(
      fc.property(fc.integer({ min: 240, max: 440 }), (halves) => {
        const read = parseLength(formatLength(halves / 2), RANGE)
        expect(read.ok && read.value).toBe(halves / 2)
      }),
    )
  })
})

describe('printing', () => {
  it('gives inches to a quarter', () => expect(formatLength(10, 'in')).toBe('4 in'))
  it('gives feet and inches for a person', () => expect(formatStature(168, 'in')).toBe('5 ft 6 in'))
  it('never prints twelve inches', () => expect(formatStature(182.8, 'in')).toBe('6 ft 0 in'))
  it('gives minutes and seconds', () => expect(formatClock(75.9)).toBe('1:15'))
})

it.each([
  ['1,82', 182],
  ['1.7', 170],
])('reads a bare %s as metres where only metres are plausible', (typed, cm) => {
  const read = parseLength(typed, { minCm: 120, maxCm: 220 })
  expect(read.ok && read.value).toBeCloseTo(cm, 9)
})
it('leaves a small length small, and never rereads a unit', () => {
  const small = parseLength('1.8', { minCm: 1, maxCm: 40 })
  expect(small.ok && small.value).toBe(1.8)
  expect(parseLength('1.82 cm', { minCm: 120, maxCm: 220 }).ok).toBe(false)
})
