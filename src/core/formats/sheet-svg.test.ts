import fc from 'fast-check'
import { pictureFor } from '../figure/picture-of'
import { estimateBody } from '../body/estimate'
import { shippedPractice } from '../practice/library'
import { homeSheet } from './home-sheet'
import { sheetSvg, type SheetPart } from './sheet-svg'
import { widthOf, wrapped } from './text-width'

const anyText = fc.string({ unit: fc.constantFrom(...Array.from('abcdefg WMil.,·–&<>"É7')), maxLength: 200 })

describe('the width of a text', () => {
  it('is near what is published of Helvetica, and never under it', () => {
    // Advance widths in thousandths, from the font’s public metrics.
    const published: [string, number][] = [
      ['Forearm stand', 611 + 556 + 333 + 556 + 556 + 333 + 833 + 278 + 500 + 278 + 556 + 556 + 556],
      ['lifting', 222 + 222 + 278 + 278 + 222 + 556 + 556],
      ['34 cm', 556 + 556 + 278 + 500 + 833],
    ]
    for (const [text, thousandths] of published) {
      expect(widthOf(text)).toBeGreaterThanOrEqual(thousandths / 1000)
      expect(widthOf(text)).toBeLessThan((thousandths / 1000) * 1.3)
    }
  })
  it('breaks lines so that each fits, in order, with nothing lost but spaces', () => {
    fc.assert(
      fc.property(anyText, fc.integer({ min: 2, max: 40 }), fc.boolean(), (text, most, strong) => {
        const lines = wrapped(text, most, strong)
        for (const line of lines) expect(widthOf(line, strong)).toBeLessThanOrEqual(most)
        expect(lines.join('').replaceAll(' ', '')).toBe(text.replaceAll(' ', ''))
      }),
    )
  })
})

/** As a reader of XML takes it: balanced, nothing loose. Throws where it is not. */
function tagsOf(svg: string): string[] {
  const open: string[] = []
  const seen: string[] = []
  const rest = svg.replaceAll(
    /<(\/?)([a-z]+)((?: [a-zA-Z-]+(?::[a-z]+)?="[^"<>]*")*)(\/?)>/g,
    (_, end, name, __, self) => {
      if (end) expect(open.pop()).toBe(name)
      else {
        seen.push(name as string)
        if (!self) open.push(name as string)
      }
      return ''
    },
  )
  expect(open).toEqual([])
  expect(rest).not.toMatch(/[<>]|&(?!amp;|lt;|gt;|quot;)/)
  return seen
}

describe('a sheet as a drawing', () => {
  const body = estimateBody({ statureCm: 170 })
  const picture = body.ok ? pictureFor(shippedPractice(), 'FS-05', body.value) : null
  it('is whole whatever stands on it, and as high as what stands on it', () => {
    const anyPart: fc.Arbitrary<SheetPart> = fc.oneof(
      fc.record({ kind: fc.constant('heading' as const), text: anyText }),
      fc.record({ kind: fc.constant('text' as const), text: fc.string(), strong: fc.boolean() }),
      fc.record({
        ...{ kind: fc.constant('row' as const), mark: anyText, name: anyText },
        picture: fc.constantFrom(picture, null),
        lines: fc.array(anyText, { maxLength: 4 }),
      }),
    )
    fc.assert(
      fc.property(anyText, anyText, fc.array(anyPart, { maxLength: 6 }), (title, lead, parts) => {
        const svg = sheetSvg({ title, lead, parts })
        tagsOf(svg)
        const high = Number(/height="(\d+)"/.exec(svg)?.[1])
        const ys = [...svg.matchAll(/<text x="\d+" y="([\d.]+)"/g)].map((m) => Number(m[1]))
        expect(Math.max(0, ...ys)).toBeLessThan(high)
      }),
    )
  })
  it('puts what follows a figure under it', () => {
    const svg = sheetSvg({
      ...{ title: '', lead: '' },
      parts: [
        { kind: 'row', picture, name: 'Dolphin', lines: [] },
        { kind: 'text', text: 'after' },
      ],
    })
    const [, top, high] = /<svg x="44" y="([\d.]+)" width="\d+" height="(\d+)"/.exec(svg) ?? []
    const after = /y="([\d.]+)"[^>]*>after</.exec(svg)?.[1]
    expect(Number(after)).toBeGreaterThan(Number(top) + Number(high))
  })
  it('draws each body once and says what is closed without drawing it', () => {
    const item = {
      ...{ dose: '5 breaths', do: 'Press.', lookFor: 'Even.', side: '', numbers: '', picture },
      ...{ isNew: true, closed: false },
    }
    const svg = sheetSvg(
      homeSheet('Wren, at home', {
        lead: '15 minutes',
        items: [
          { ...item, name: 'Dolphin' },
          { ...item, name: 'Shut & bolted', closed: true, dose: 'never told' },
        ],
        instead: [],
      }),
    )
    expect(tagsOf(svg).filter((tag) => tag === 'svg')).toHaveLength(2)
    expect(svg).toContain('Dolphin: 5 breaths')
    expect(svg).toContain('Shut &amp; bolted')
    expect(svg).toContain('Leave this out until you have talked with your teacher.')
    expect(svg).not.toContain('never told')
  })
})
