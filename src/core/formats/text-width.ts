/**
 * Widths of a plain sans serif in parts of its size (advance widths of Helvetica, by groups of letters that are nearly
 * alike, each taken at its widest): enough to break lines where no font can be asked.
 */
const GROUPS: readonly (readonly [letters: RegExp, width: number])[] = [
  [/[iljI.,:;'’|!·]/u, 0.28],
  [/[ ftr()[\]/“”"-]/u, 0.39],
  [/[mwMW%@—]/u, 0.95],
  [/\p{Lu}|[&+=<>±×→]/u, 0.78],
]
const USUAL = 0.56
const STRONG = 1.07

/** How wide a text is, in sizes of its font. */
export function widthOf(text: string, strong = false): number {
  const plain = Array.from(text).reduce(
    (sum, one) => sum + (GROUPS.find(([of]) => of.test(one))?.[1] ?? USUAL),
    0,
  )
  return strong ? plain * STRONG : plain
}

/** A text in lines of at most so many sizes; a word that is wider than a line is broken, since nothing may run off. */
export function wrapped(text: string, most: number, strong = false): string[] {
  const lines: string[] = []
  let line = ''
  for (const word of text.split(/\s+/).filter((w) => w !== '')) {
    for (const piece of pieces(word, most, strong)) {
      const next = line === '' ? piece : `${line} ${piece}`
      if (widthOf(next, strong) <= most) line = next
      else {
        lines.push(line)
        line = piece
      }
    }
  }
  return line === '' ? lines : [...lines, line]
}

function pieces(word: string, most: number, strong: boolean): string[] {
  const out: string[] = []
  let piece = ''
  for (const one of word) {
    if (piece !== '' && widthOf(piece + one, strong) > most) {
      out.push(piece)
      piece = ''
    }
    piece += one
  }
  return [...out, piece]
}
