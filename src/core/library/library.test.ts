import { shippedPractice } from '../practice/library'
import { linesOf } from '../words/library-page'
import { entriesOf, findEntry } from './entries'
import { linksOf } from './links'
import { indexOf, search } from './search'

const practice = shippedPractice()
const entries = entriesOf(practice)
const index = indexOf(entries)

it('has every entry once under an id of its own, with a name', () => {
  expect(new Set(entries.map(({ id }) => id)).size).toBe(entries.length)
  for (const { name } of entries) expect(name.length).toBeGreaterThan(2)
  for (const { of } of practice.aliases) expect(findEntry(practice, of)?.id).toBe(of)
})

it('links both ways, to things that are there', () => {
  const linked = new Map(
    entries.map(({ id }) => [id, linksOf(practice, id).flatMap((link) => link.to.map((e) => e.id))]),
  )
  const oneWay = [...linked].flatMap(([id, to]) => to.filter((other) => !linked.get(other)?.includes(id)))
  expect([linked.size, oneWay]).toEqual([entries.length, []])
  const of = (id: string, relation: string): string[] =>
    linksOf(practice, id)
      .filter((link) => link.relation === relation)
      .flatMap(({ to }) => to.map((e) => e.id))
  expect(of('FT-elbow-splay', 'mended-by')).toContain('DR-dolphin-hold')
  expect(of('DR-dolphin-hold', 'trains')).toContain('FT-elbow-splay')
  expect(of('FS-03b', 'comes-after')).toEqual(['FS-02'])
  expect(of('FS-02', 'leads-to')).toContain('FS-03b')
  expect(of('SETUP-dolphin-block', 'used-at')).toContain('FS-03b')
})

/** What somebody types, and what must stand among the first three. */
const QUERIES: readonly (readonly [asked: string, ...anyOf: string[]])[] = [
  ['crow', 'CR-06'],
  ['crow pose', 'CR-06'],
  ['kakasana', 'CR-06'],
  ['bakasana', 'CR-08', 'CR-06'],
  ['crane', 'CR-08'],
  ['side crow', 'CR-10'],
  ['pincha', 'AD-01', 'FS-16', 'FS-13', 'FS-03a'],
  ['pincha mayurasana', 'AD-01', 'FS-16', 'FS-13'],
  ['pinca mayurasana', 'AD-01', 'FS-16', 'FS-13'],
  ['forearm stand', 'AD-01', 'FS-13', 'FS-16'],
  ['forarm stand', 'AD-01', 'FS-13', 'FS-16'],
  ['dolphin', 'FS-03c'],
  ['dolfin', 'FS-03c', 'FS-04', 'DR-dolphin-hold'],
  ['dolphin hold', 'DR-dolphin-hold', 'CK-dolphin-hold'],
  ['headstand', 'HD-10', 'HD-12a', 'HD-14'],
  ['head stand', 'HD-10', 'HD-12a', 'HD-14'],
  ['hedstand', 'HD-10', 'HD-12a', 'HD-14'],
  ['sirsasana', 'HD-10'],
  ['shirshasana', 'HD-10'],
  ['tripod', 'HD-14'],
  ['tripod headstand', 'HD-14'],
  ['handstand', 'AD-03', 'HS-14', 'HS-13'],
  ['hand stand', 'AD-03', 'HS-14'],
  ['handstnad', 'AD-03', 'HS-14', 'HS-13'],
  ['vrksasana', 'AD-03', 'HS-14'],
  ['chest to wall', 'HS-13', 'FS-10e'],
  ['l at the wall', 'HS-05c'],
  ['shoulderstand', 'SH-14', 'SH-16', 'SH-13'],
  ['shoulder stand', 'SH-13', 'SH-14', 'SH-16'],
  ['candle', 'SH-14', 'SH-16', 'SH-13'],
  ['sarvangasana', 'SH-13', 'SH-14', 'SH-16'],
  ['plough', 'SH-15', 'SH-05', 'SH-11'],
  ['plow', 'SH-15'],
  ['halasana', 'SH-15'],
  ['bridge', 'SH-06', 'DR-bridge'],
  ['legs up the wall', 'SH-01'],
  ['chaturanga', 'PU-08'],
  ['chatturanga', 'PU-08'],
  ['low push-up', 'PU-08', 'PU-06'],
  ['press up', 'PU-08'],
  ['plank', 'PU-04', 'FS-02', 'DR-forearm-plank'],
  ['wrist', 'DR-wrist-rocks', 'WU-wrist', 'CP-wrist-release'],
  ['wrists', 'DR-wrist-rocks', 'WU-wrist', 'CP-wrist-release'],
  ['wrist warm up', 'WU-wrist', 'DR-wrist-rocks'],
  ['childs pose', 'CP-child', 'CP-child-wide'],
  ["child's pose", 'CP-child', 'CP-child-wide'],
  ['balasana', 'CP-child'],
  ['savasana', 'CP-savasana'],
  ['shavasana', 'CP-savasana'],
  ['elbows slide apart', 'FT-elbow-splay'],
  ['elbows out', 'FT-crow-elbow-splay', 'FT-elbow-splay'],
  ['banana', 'FT-low-back-arch'],
  ['breath held', 'FT-breath-hold'],
  ['holding breath', 'FT-breath-hold'],
  ['kick', 'FS-10b', 'FS-10a', 'HS-08d', 'HS-08a', 'FS-10c', 'HS-10'],
  ['tuck hop', 'HS-09a', 'DR-tuck-hop'],
  ['hollow', 'DR-hollow'],
  ['puppy', 'DR-puppy'],
  ['boat', 'DR-boat-lean'],
  ['downward dog', 'DR-dog-pedal', 'HS-02', 'HS-03'],
  ['firefly', 'CR-14'],
  ['titibasana', 'CR-14'],
  ['bolster', 'bolster', 'SH-02'],
  ['cartwheel', 'EX-turn-out'],
  ['turn out', 'EX-turn-out', 'EX-turn-out-forearm'],
  ['lotus', 'AD-04', 'AD-05', 'AD-06', 'DR-lotus-curl'],
]

it.each(QUERIES)('finds “%s” among the first three', (asked, ...anyOf) => {
  const first = search(index, asked).slice(0, 3)
  expect([first, first.some((id) => anyOf.includes(id))]).toEqual([first, true])
})

it('says nothing where nothing is like it, and forgives no short word', () => {
  expect(search(index, 'zzzzqq')).toEqual([])
  expect(search(index, '')).toEqual([])
})

/** An id of the practice, or a word of the model. */
const CODE =
  /\b(?:(?:PU|FS|HD|HS|CR|SH|AD)-\d\d[a-f]?|(?:CK|DR|FT|EX|CP|WU|AS)-[a-z]|SETUP-)|undefined|NaN|\[object/

it('says something of everything, in whole lines without a code', () => {
  for (const entry of entries) {
    const lines = linesOf(practice, entry)
    expect([entry.id, lines.length > 0]).toEqual([entry.id, true])
    for (const [label, text] of [['name', entry.name] as const, ...lines]) {
      expect([entry.id, label, text.trim() === '' || CODE.test(`${label} ${text}`)]).toEqual([
        entry.id,
        label,
        false,
      ])
    }
  }
})

it('says of a caution whose answer brings it on, what it does and what to do instead', () => {
  const lines = new Map(linesOf(practice, findEntry(practice, 'BP1')!))
  expect(lines.get('Asked as')).toContain('blood pressure')
  expect(lines.get('What it does')).toBe(
    'Bars: pelvis above the head, the head touching down, a raised shoulder stand.',
  )
  expect(lines.get('Instead')).toContain('Legs up the wall')
  expect(lines.get('Asked again')).toBe('After 90 days.')
  expect(findEntry(practice, 'BP1')?.name).toMatch(/^Bars: pelvis above the head/)
})

it('says units and doses of a check, a drill and a prop as they are said', () => {
  const of = (id: string, label: string) => new Map(linesOf(practice, findEntry(practice, id)!)).get(label)
  expect(of('CK-dolphin-hold', 'Counted in')).toBe('seconds')
  expect(of('CK-dolphin-hold', 'Stays good for')).toMatch(/^\d+ days$/)
  expect(of('DR-dolphin-hold', 'How much')).toMatch(/set|breath/)
  expect(of('tall-block', 'Size')).toBe('23 cm × 15 cm × 10 cm')
  expect(of('FS-03b', 'Asks first')).toBe('Forearm plank at least 15 s')
})
