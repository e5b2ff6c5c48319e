import type { Picture } from '@/core/figure/picture'
import { firstNames } from '@/core/words/first-names'
import type { DoingView } from './doing-view'
import type { BlockView, PlanView } from './plan-queries'
import { waveWord } from './sheet-lines'

/** What somebody takes to their place on a strip of paper: their own numbers, and nobody else's. */
export type Strip = {
  name: string
  rows: { at: string; word: string; what: string; picture: Picture | null; lines: string[] }[]
}

/** What lies at a bay: who works there when, without a word of anybody's limits. */
export type PlaceCard = {
  place: string
  rows: {
    at: string
    word: string
    name: string
    wave: string
    what: string
    props: string
    picture: Picture | null
  }[]
}

/** What one block needs fetched, place by place. */
export type Fetch = { at: string; title: string; lines: string[] }

function works(plan: PlanView): BlockView[] {
  return plan.blocks.filter((b) => b.doings.length > 0)
}

function whenUp(block: BlockView, d: DoingView): string {
  return block.waves > 1 && d.variantId !== null ? waveWord(d) : ''
}

/** A strip for everybody who comes. */
export function stripsOf(plan: PlanView): Strip[] {
  const people = works(plan)[0]?.doings ?? []
  return people.map(({ studentId, name }) => ({
    name,
    rows: works(plan).flatMap((block) => {
      const d = block.doings.find((x) => x.studentId === studentId)
      if (!d) return []
      const where = [whenUp(block, d), d.place].filter((t) => t !== '').join(', ')
      return [
        {
          ...{ at: block.at, word: block.word, what: d.what, picture: d.picture },
          lines: [
            where,
            d.climb,
            d.dose,
            d.numbers,
            d.props,
            d.exit === '' ? '' : `Way out: ${d.exit}`,
            d.changed,
          ].filter((t) => t !== ''),
        },
      ]
    }),
  }))
}

/** A card for each bay and for the open floor. */
export function placeCards(plan: PlanView): PlaceCard[] {
  const blocks = works(plan)
  const all = blocks.flatMap((block) => block.doings.map((d) => ({ block, d })))
  const called = firstNames(all.map(({ d }) => d.name))
  const places = [...new Set(all.filter(({ d }) => d.shared).map(({ d }) => d.place))]
  return places
    .toSorted((a, b) => a.localeCompare(b, 'en', { numeric: true }))
    .map((place) => ({
      place,
      rows: all
        .filter(({ d }) => d.place === place && d.variantId !== null)
        .toSorted((a, b) => blocks.indexOf(a.block) - blocks.indexOf(b.block) || a.d.wave - b.d.wave)
        .map(({ block, d }) => ({
          ...{ at: block.at, word: block.word, name: called(d.name), wave: whenUp(block, d) },
          ...{ what: d.what, props: d.props, picture: d.picture },
        })),
    }))
}

/** What is fetched for each block, and to whom it goes. */
export function fetches(plan: PlanView): Fetch[] {
  return works(plan).flatMap((block) => {
    const lines = block.doings
      .filter((d) => d.props !== '')
      .map((d) => [d.props, ' for ', d.name, d.place === '' ? '' : ` (${d.place})`].join(''))
    return lines.length === 0 ? [] : [{ at: block.at, title: block.title, lines }]
  })
}
