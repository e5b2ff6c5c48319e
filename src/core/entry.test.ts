import { parseName, parseQuantity } from './entry'
import { readNames } from './formats/names'
import { describeRead, describeRemark } from './words/entry'

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
    readNames(text).lines.map((line) => (line.ok ? line.name : line.refusal.code))

  it('takes one a line, skips blanks, keeps a double once', () => {
    expect(names('Ines\n\n Tomas \nines\n')).toEqual(['Ines', 'Tomas'])
  })
  it('takes the column headed name of a CSV, quoted commas and all', () => {
    expect(names('age,name\n31,"Calder, Ines"\n40,Tomas')).toEqual(['Ines Calder', 'Tomas'])
  })
  it.each([
    ['Jean-Luc Duré\t182\tfree handstand', ['Jean-Luc Duré'], { emails: 0, others: 1 }],
    ['Petra;petra@example.org;advanced', ['Petra'], { emails: 1, others: 0 }],
    ['1. Anna K.\n2) Bo', ['Anna K.', 'Bo'], { emails: 0, others: 0 }],
    ['Nguyen, Thi Mai', ['Thi Mai Nguyen'], { emails: 0, others: 0 }],
    ['Ada, beginner\nBea,Advanced', ['Ada', 'Bea'], { emails: 0, others: 0 }],
    ['Priya Raman <priya@example.org>', ['Priya Raman'], { emails: 1, others: 0 }],
    ['First name\tLast name\tEmail\nAda\tReyle\ta@example.org', ['Ada Reyle'], { emails: 1, others: 0 }],
    ['name,email,level\n"Nguyen, Thi Mai",t@example.org,2', ['Thi Mai Nguyen'], { emails: 1, others: 1 }],
    ['Ann Lee, Bo', ['Ann Lee'], { emails: 0, others: 0 }],
  ])('reads %j as %j', (text, expected, aside) => {
    expect(names(text)).toEqual(expected)
    expect(readNames(text)).toMatchObject(aside)
  })
  it('names a double instead of dropping it without a word', () => {
    expect(describeRead(readNames('Tom Baker\nAda\ntom baker'))).toEqual([
      'Reads as 2 people: Tom Baker, Ada.',
      'tom baker stood there twice and is taken once.',
    ])
  })
  it.each([
    ['Bea, Advanced, does crow', ['Advanced', 'does crow']],
    ['Jean-Luc Duré\t182\tfree handstand', ['free handstand']],
    ['Petra;petra@example.org;+49 151 23', []],
    [
      'name,level,phone,street,health,notes\nAda,beginner,0151,Long Row,a heart condition,neck hurts',
      ['beginner', 'neck hurts'],
    ],
  ])('keeps the words beside a name, and nothing that is no business of a class: %j', (text, beside) => {
    expect(readNames(text).lines).toEqual([expect.objectContaining({ ok: true, beside })])
  })
  it('says what becomes of the words before anybody is added', () => {
    expect(describeRead(readNames('Ada, new\nBea, advanced, does crow\nCem; neck hurts; 182'))).toEqual([
      'Reads as 3 people: Ada, Bea, Cem.',
      'Of whoever is not here yet:',
      'Ada: new, begins with the first rungs.',
      expect.stringMatching(/^Bea: practised, .*; “does crow” is kept as a word of theirs, to ask about\.$/),
      'Cem: “neck hurts” is kept as a word of theirs, to ask about.',
      '1 other entry beside the names left aside.',
    ])
  })
  it('shows where a remark was longer than a note may be', () => {
    expect(describeRemark('neck')).toBe('From the list, to ask about: neck')
    const long = describeRemark('neck '.repeat(80))
    expect(long.length).toBeLessThanOrEqual(280)
    expect(long.endsWith('…')).toBe(true)
  })
  it('says which line is wrong', () => {
    expect(readNames('Ines\n🤸').lines[1]).toMatchObject({ line: 2, ok: false })
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
