import { parseName, parseQuantity } from './entry'
import { readNames } from './formats/names'

describe('names', () => {
  it.each(['Ines Calder', 'Zoë Ångström', '李娜', "Odile O'Hara-Voss"])('takes %s', (name) => {
    expect(parseName(` ${name}  `)).toEqual({ ok: true, value: name })
  })
  it.each([
    ['', 'name-empty'],
    ['Ines 🤸', 'name-has-symbols'],
    ['<b>Ines</b>', 'name-has-symbols'],
    ['12', 'name-without-letters'],
    ['x'.repeat(300), 'name-too-long'],
  ])('refuses %p', (typed, code) => {
    const read = parseName(typed)
    expect(!read.ok && read.refusal.code).toBe(code)
  })
})

describe('pasted names', () => {
  const names = (text: string): string[] =>
    readNames(text).map((line) => (line.ok ? line.name : line.refusal.code))

  it('takes one a line, skips blanks, keeps a double once', () => {
    expect(names('Ines\n\n Tomas \nines\n')).toEqual(['Ines', 'Tomas'])
  })
  it('takes the column headed name of a CSV, quoted commas and all', () => {
    expect(names('age,name\n31,"Calder, Ines"\n40,Tomas')).toEqual(['Calder, Ines', 'Tomas'])
  })
  it('says which line is wrong', () => {
    expect(readNames('Ines\n🤸')[1]).toMatchObject({ line: 2, ok: false })
  })
})

describe('quantities', () => {
  it.each([
    ['30', 30],
    ['30,5', 30.5],
    [' 0 ', 0],
  ])('takes %p', (typed, value) =>
    expect(parseQuantity(typed, { min: 0, max: 300 })).toEqual({ ok: true, value }),
  )
  it.each([
    ['', 'quantity-empty'],
    ['-5', 'quantity-out-of-range'],
    ['301', 'quantity-out-of-range'],
    ['half', 'quantity-not-a-number'],
    ['1e9', 'quantity-not-a-number'],
  ])('refuses %p', (typed, code) => {
    const read = parseQuantity(typed, { min: 0, max: 300 })
    expect(!read.ok && read.refusal.code).toBe(code)
  })
})
