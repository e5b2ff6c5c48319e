import { execFileSync } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { expect, type Page } from '@playwright/test'

export type Format = 'A4' | 'Letter'
/** Points of the two papers, as a PDF counts them. */
const SIZE: Record<Format, [number, number]> = { A4: [595, 842], Letter: [612, 792] }

/** A page as it comes out of a printer: how many sheets, every word in order, and those that are cut by an edge. */
export async function printed(
  page: Page,
  format: Format,
): Promise<{ sheets: number; words: string; cut: string[] }> {
  const folder = mkdtempSync(path.join(tmpdir(), 'levitar-paper-'))
  try {
    const file = path.join(folder, 'page.pdf')
    writeFileSync(file, await page.pdf({ format }))
    const html = execFileSync('pdftotext', ['-bbox', file, '-'], { encoding: 'utf8', maxBuffer: 1 << 26 })
    const [width, height] = SIZE[format]
    const all = [
      ...html.matchAll(/<word xMin="([-\d.]+)" yMin="([-\d.]+)" xMax="([-\d.]+)" yMax="([-\d.]+)">([^<]*)</g),
    ]
    const cut = all.flatMap(([, x0, y0, x1, y1, word]) =>
      Number(x0) < 0 || Number(y0) < 0 || Number(x1) > width || Number(y1) > height ? [word ?? ''] : [],
    )
    return {
      sheets: (html.match(/<page /g) ?? []).length,
      words: all.map((m) => m[5]).join(' '),
      cut,
    }
  } finally {
    rmSync(folder, { recursive: true, force: true })
  }
}

/** As a PDF tells it: ligatures taken apart, entities read, nothing between letters. */
const plain = (text: string): string =>
  text
    .replace(/&amp;/g, '&')
    .replace(/&quot;/g, '"')
    .replace(/&lt;/g, '<')
    .replace(/&gt;/g, '>')
    .replace(/&(?:apos|#39);/g, "'")
    .normalize('NFKC')
    .replace(/[\s\u00ad]/g, '')

/**
 * A sheet on both papers: no word is cut by an edge, every word of the screen's print view is on paper, and nothing of
 * the page round it is.
 * @param has words that are looked for besides
 */
export async function whole(page: Page, ...has: string[]): Promise<void> {
  await page.emulateMedia({ media: 'print' })
  const shown = (await page.locator('#content').innerText()).split(/\s+/).filter((word) => word !== '')
  await page.emulateMedia({ media: null })
  expect(shown.length).toBeGreaterThan(10)
  for (const format of ['A4', 'Letter'] as const) {
    const paper = await printed(page, format)
    expect([format, paper.cut]).toEqual([format, []])
    const words = plain(paper.words)
    expect([format, shown.filter((word) => !words.includes(plain(word)))]).toEqual([format, []])
    for (const word of has) expect(words).toContain(plain(word))
    expect([format, /Skip to the page|Parts of the work/.test(paper.words)]).toEqual([format, false])
  }
}
