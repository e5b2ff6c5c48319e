import { SHIPPED, shippedPractice } from '@/core/practice/library'
import { LOAD_TAGS, type Drill } from '@/core/practice/schema'

/** Tables of docs/method, made from the practice as it is built: `npm run -s core -- table drills`. */
export const TABLES: Readonly<Record<string, () => string>> = { drills: drillTags, shapes: shapeChanges }

const practice = shippedPractice()
const shapeOf = new Map(practice.pictures.map(({ of, shape }) => [of, shape]))
const why = new Map(practice.shapeTags.map((row) => [row.shape, row]))

/** Every drill with its loads, and where each comes from: its own line, the shape it is drawn in, or its seconds. */
function drillTags(): string {
  const own = new Map(
    (SHIPPED.drills as readonly Pick<Drill, 'id' | 'load'>[]).map(({ id, load }) => [id, load]),
  )
  const rows = practice.drills.map(({ id, name, load }) => {
    const shape = shapeOf.get(id) ?? ''
    const least = why.get(shape)?.least ?? {}
    const tags = LOAD_TAGS.flatMap((tag) => {
      const level = load[tag] ?? 0
      if (level === 0) return []
      const from =
        (own.get(id)?.[tag] ?? 0) === level ? 'line' : (least[tag] ?? 0) === level ? 'shape' : 'seconds'
      return [`${tag} ${level} (${from})`]
    })
    return [id, name, shape, tags.join(', ') || 'none']
  })
  return table(
    'Drills and their loads',
    'Each load with what gives it: the drill’s own line, the least of the shape it is drawn in, or the seconds of its whole effort and of lying.',
    ['Drill', 'Name', 'Shape', 'Loads'],
    rows,
  )
}

/** Every shape with its least loads, the changes that it cannot take, and why. */
function shapeChanges(): string {
  const rows = practice.shapeTags.map(({ shape, least, cannot, why: because }) => [
    shape,
    LOAD_TAGS.flatMap((tag) => (least[tag] ? [`${tag} ${least[tag]}`] : [])).join(', ') || 'none',
    cannot.join(', ') || 'all can be done',
    because ?? '',
  ])
  const changes = practice.changeLimits.map(({ how, also, except, why: because }) => [
    how,
    because,
    also.join(', ') || 'none',
    except.join(', ') || 'none',
  ])
  return [
    table(
      'Shapes and changes',
      'What a shape loads at least, and which change of a limit it cannot take: then the thing is closed and another stands there (ruling 23).',
      ['Shape', 'Loads at least', 'Cannot be', 'Why'],
      rows,
    ),
    '',
    '## Changes, with what they also close and what they leave',
    '',
    ...lines(['Change', 'Why it cannot be', 'Also not in', 'But in'], changes),
    '',
  ].join('\n')
}

function table(title: string, lead: string, head: readonly string[], rows: readonly string[][]): string {
  return [`# ${title}`, '', lead, '', ...lines(head, rows), ''].join('\n')
}

function lines(head: readonly string[], rows: readonly string[][]): string[] {
  const line = (cells: readonly string[]): string => `| ${cells.join(' | ')} |`
  return [line(head), line(head.map(() => '---')), ...rows.map(line)]
}
