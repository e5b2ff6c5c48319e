import { shippedPractice } from '../src/core/practice/library'

/** Pages of one kind that a crawl reads. */
const OF_A_KIND = 2

/**
 * What may be kept of somebody's health, where no page of the practice says it of nobody: answers, and how limits change
 * what is done. Tonight's questions are at the door for everybody, and how somebody may be touched is for whoever stands
 * beside them.
 */
export function healthWords(): { answers: string[]; changes: string[] } {
  const { intake, cautions, ...rest } = shippedPractice()
  const practice = JSON.stringify(rest).toLowerCase()
  const ofSomebody = (word: string): boolean =>
    word.length >= 7 && !practice.includes(word) && word !== 'ask each time'
  const labels = intake.filter((q) => q.asked === 'first').flatMap((q) => q.options.map((o) => o.label))
  const words = cautions.flatMap((c) => (c.change ? [c.change.words] : []))
  const telling = (texts: string[]): string[] => texts.map((t) => t.toLowerCase()).filter(ofSomebody)
  return { answers: telling(labels), changes: telling(words) }
}

/** Everything that links lead to from some pages, as it is drawn for a cookie: a few of each kind. */
export async function crawl(
  address: string,
  from: readonly string[],
  cookie: string,
): Promise<Map<string, string>> {
  const pages = new Map<string, string>()
  const alike = new Map<string, number>()
  const queue = [...from]
  for (let path = queue.shift(); path !== undefined; path = queue.shift()) {
    const kind = path.replaceAll(/[0-9a-f-]{36}/g, '*').replace(/=[^&]*/g, '=')
    if (pages.has(path) || (alike.get(kind) ?? 0) >= OF_A_KIND) continue
    alike.set(kind, (alike.get(kind) ?? 0) + 1)
    const answer = await fetch(address + path, { headers: { accept: 'text/html', cookie } })
    const html = await answer.text()
    pages.set(path, html)
    for (const [, href = ''] of html.matchAll(/href="(\/[^"#]*)"/g)) {
      const next = href.replaceAll('&amp;', '&')
      // The practice, and the printed questions, are of nobody.
      if (!/^\/(_next|library|icon|manifest|students\/card|pass\/)|\/live$/.test(next)) queue.push(next)
    }
  }
  return pages
}

/** Where some words stand in what was crawled. */
export function wordsFound(pages: ReadonlyMap<string, string>, words: readonly string[]): string[] {
  return [...pages].flatMap(([path, html]) => {
    const text = html.toLowerCase()
    return words.filter((word) => text.includes(word)).map((word) => `${path}: ${word}`)
  })
}
