import MiniSearch from 'minisearch'
import type { Entry, Kind } from './entries'

/** What is looked through: long text is left out where the index travels to the browser. */
export type Searched = Pick<Entry, 'id' | 'name' | 'also'> & {
  readonly text?: string
  /** `place` for pages, people and classes, which are not of the practice. */
  readonly kind: Kind | 'place'
}

/** What people look for first: the steps themselves, then what is done and what goes wrong. */
const WEIGHT: Readonly<Record<Searched['kind'], number>> = {
  place: 2,
  stage: 1.5,
  drill: 1.25,
  fault: 1.2,
  setup: 1.1,
  check: 1.1,
  counterpose: 1.1,
  warmup: 1,
  exit: 1,
  prop: 1,
  way: 0.8,
  caution: 0.7,
}

/** Words that say nothing here. */
const EMPTY: ReadonlySet<string> = new Set([
  'the',
  'a',
  'an',
  'of',
  'to',
  'and',
  'in',
  'on',
  'at',
  'with',
  'pose',
  'my',
])
/** A word of this length may have one letter wrong, a longer one two. */
const FORGIVES = { one: 4, two: 8 } as const

/** Lower case, without accents or a plural’s s, ph as f; null where nothing is left. */
function termOf(word: string): string | null {
  const plain = word
    .normalize('NFD')
    .replaceAll(/[\u0300-\u036f’']/g, '')
    .toLowerCase()
    .replaceAll('ph', 'f')
  if (EMPTY.has(plain)) return null
  return plain.length > 3 && plain.endsWith('s') && !plain.endsWith('ss') ? plain.slice(0, -1) : plain
}

/** An index over entries. @param entries everything that may be found, each id once */
export function indexOf(entries: readonly Searched[]): MiniSearch<Searched> {
  const index = new MiniSearch<Searched>({
    fields: ['name', 'also', 'text'],
    storeFields: ['kind', 'name'],
    processTerm: termOf,
    searchOptions: {
      boost: { name: 6, also: 4, text: 1 },
      prefix: (term) => term.length >= 2,
      fuzzy: (term) => (term.length >= FORGIVES.two ? 2 : term.length >= FORGIVES.one ? 1 : false),
      weights: { fuzzy: 0.35, prefix: 0.75 },
      boostDocument: (_id, _term, stored) => WEIGHT[stored?.kind as Searched['kind']],
    },
  })
  index.addAll(entries)
  return index
}

/**
 * Ids that answer a question, best first: those with every word, and where there is none those with some.
 * @param most how many at the most
 */
export function search(index: MiniSearch<Searched>, asked: string, most = 20): string[] {
  const every = index.search(asked, { combineWith: 'AND' })
  const found = every.length > 0 ? every : index.search(asked)
  return found.slice(0, most).map(({ id }) => String(id))
}
