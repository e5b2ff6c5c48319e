import { integrityFlaws, type Rule } from './integrity'
import { buildLibrary, shippedPractice, SHIPPED, type LibrarySource } from './library'
import { CARD_LIMIT } from './schema'

const COUNTS = {
  stages: 130,
  setups: 69,
  drills: 110,
  checks: 67,
  bundles: 7,
  faults: 113,
  warmups: 16,
  counterposes: 19,
  exits: 17,
  assists: 12,
  cautions: 91,
  intake: 35,
  approaches: 46,
  presets: 5,
  clashes: 15,
  props: 20,
  substitutes: 11,
  measures: 20,
  capabilities: 17,
}

describe('what ships', () => {
  it.each(Object.entries(COUNTS))('%s: %p entries', (name, count) => {
    expect(shippedPractice()[name as keyof typeof COUNTS]).toHaveLength(count)
  })
  it('has no flaw', () => expect(integrityFlaws(shippedPractice())).toEqual([]))
  it('refuses a file with a stray or missing field', () => {
    const [first, ...rest] = SHIPPED.stages as object[]
    expect(() => buildLibrary({ ...SHIPPED, stages: [{ ...first, colour: 'red' }, ...rest] })).toThrow()
    expect(() => buildLibrary({ ...SHIPPED, stages: [{ ...first, do: '' }, ...rest] })).toThrow()
  })
})

describe('each rule finds what is planted', () => {
  type Entry = Record<string, unknown> & { id: string }
  const edit = (list: keyof LibrarySource, id: string, change: object): LibrarySource => ({
    ...SHIPPED,
    [list]: (SHIPPED[list] as Entry[]).map((e) => (e.id === id ? { ...e, ...change } : e)),
  })
  const gate = (part: object): object => ({
    gates: [{ check: 'CK-dolphin-hold', op: '>=', value: 20, ...part }],
  })
  const cases: [Rule, string, LibrarySource][] = [
    [
      'ids-unique',
      'a drill twice',
      { ...SHIPPED, drills: [...(SHIPPED.drills as Entry[]), (SHIPPED.drills as Entry[])[0]] },
    ],
    ['ids-resolve', 'a setup that is nowhere', edit('stages', 'FS-04', { setups: ['SETUP-trapeze'] })],
    [
      'ids-resolve',
      'a preset option that is nowhere',
      edit('presets', 'flow', { choices: { A01: 'trapeze' } }),
    ],
    ['gates-fit-checks', 'yes on a hold', edit('stages', 'FS-04', gate({ op: 'yes', value: undefined }))],
    ['gates-fit-checks', 'a threshold out of reach', edit('stages', 'FS-04', gate({ value: 4000 }))],
    ['gates-fit-checks', 'less of what should be more', edit('stages', 'FS-04', gate({ op: '<=' }))],
    ['gates-fit-checks', 'sides of a check without', edit('stages', 'FS-04', gate({ side: 'each' }))],
    ['gates-fit-checks', 'a default outside its range', edit('stages', 'FS-04', gate({ min: 30, max: 60 }))],
    ['ladder-acyclic', 'a ring', edit('stages', 'FS-01', { after: { all: ['FS-04'] } })],
    [
      'ladder-reachable',
      'a foot that waits for its own head',
      edit('stages', 'PU-01', { after: { all: ['PU-09'] } }),
    ],
    [
      'approach-shows',
      'a stage that only a hidden one leads to',
      edit('stages', 'HD-03', { after: { all: ['HD-02'] } }),
    ],
    [
      'approach-shows',
      'a question that hides a stage whatever is answered',
      {
        ...SHIPPED,
        ways: [
          ...(SHIPPED.ways as readonly unknown[]),
          ...['all', 'gated', 'purpose'].map((option) => ({ of: `A42:${option}`, hides: ['FS-04'] })),
        ],
      },
    ],
    ['stage-complete', 'no gates without a reason', edit('stages', 'FS-01', { noGates: undefined })],
    ['exit-usable', 'a roll out of a plank', edit('stages', 'PU-04', { exits: ['EX-roll-tuck'] })],
    ['fault-mendable', 'no drill without a reason', edit('faults', 'FT-elbow-splay', { drills: [] })],
    [
      'capability-drilled',
      'one capability left to props',
      {
        ...SHIPPED,
        drills: (SHIPPED.drills as (Entry & { for: object })[]).map((d) =>
          'KD' in d.for ? { ...d, props: ['block'] } : d,
        ),
      },
    ],
    ['gate-drilled', 'a gate that nothing trains', edit('checks', 'CK-ss-hold', { noDrill: undefined })],
    ['gate-drilled', 'sides that nothing evens out', edit('checks', 'CK-wrist-extension', { drills: [] })],
    [
      'ids-resolve',
      'a drill for a check that is nowhere',
      edit('checks', 'CK-blocks-hug', { drills: ['DR-x'] }),
    ],
    [
      'rungs-covered',
      'an empty rung',
      {
        ...SHIPPED,
        stages: (SHIPPED.stages as Entry[]).map((s) =>
          s.id.startsWith('CR') && s.rung === 'a' ? { ...s, rung: 'b' } : s,
        ),
      },
    ],
    [
      'drill-varies',
      'a drill with one way only',
      edit('drills', 'DR-puppy', { easier: undefined, harder: undefined }),
    ],
    ['approach-default', 'a default that is no option', edit('approaches', 'A01', { default: 'ceiling' })],
    ['caution-effect', 'a rule without effect', edit('cautions', 'BP1', { tags: [] })],
    ['setup-driven', 'a setup placed by nothing', edit('setups', 'SETUP-wall-l-hand', { drives: [] })],
    [
      'support-differs',
      'its own more support',
      edit('setups', 'SETUP-wall-l-hand', { more: ['SETUP-wall-l-hand'] }),
    ],
    [
      'shapes-known',
      'a change of what is nowhere',
      { ...SHIPPED, changeLimits: [{ how: 'wedge', also: ['DR-nap'], except: [], why: 'x' }] },
    ],
    ['shapes-known', 'a change that nothing speaks of', { ...SHIPPED, changeLimits: [] }],
    ['shapes-known', 'a drill in a shape that loads nobody knows what', { ...SHIPPED, shapeTags: [] }],
    ['pictured', 'a shape that is nowhere', { ...SHIPPED, pictures: [{ of: 'FS-01', shape: 'trapeze' }] }],
    [
      'by-eye-fits',
      'a step of another rung',
      {
        ...SHIPPED,
        byEye: [{ family: 'FS', stages: ['FS-12', 'FS-12', 'FS-12', 'FS-12', 'FS-12', 'FS-12'] }],
      },
    ],
    [
      'class-use-fits',
      'waiting with what is nowhere',
      { ...SHIPPED, classUse: [{ use: 'wait', of: ['DR-nap'] }] },
    ],
    [
      'class-use-fits',
      'a warm-up that must contain what it does not list',
      edit('warmups', 'WU-core', { must: [{ n: 1, from: ['DR-puppy'] }] }),
    ],
    [
      'class-use-fits',
      'a counterpose in place of nothing',
      edit('counterposes', 'CP-fish', { instead: 'CP-nap' }),
    ],
  ]
  it.each(cases)('%s: %s', (rule, _, source) => {
    expect(integrityFlaws(buildLibrary(source)).map((f) => f.rule)).toContain(rule)
  })
})

describe('the words', () => {
  const texts = Object.entries(shippedPractice()).flatMap(([list, entries]) =>
    (entries as readonly object[]).flatMap((entry) =>
      Object.entries(entry).flatMap(([field, value]) =>
        typeof value === 'string' ? [{ list, field, value }] : [],
      ),
    ),
  )
  it(`fit a card: ${CARD_LIMIT} characters at most`, () => {
    expect(texts.filter((t) => t.value.length > CARD_LIMIT)).toEqual([])
  })
  it('claim nothing about health', () => {
    expect(
      texts.filter((t) =>
        /\b(cures?|heals?|treats?|therap|detox|prevents? (?:disease|illness)|boosts?)\b/i.test(t.value),
      ),
    ).toEqual([])
  })
  it('name no diagnosis outside screening', () => {
    const named =
      /\b(glaucoma|osteoporosis|hypertension|stroke|epilep|diabet|hernia|arthritis|vertigo|migraine|pregnan|sciatica)/i
    expect(texts.filter((t) => !['intake', 'cautions'].includes(t.list) && named.test(t.value))).toEqual([])
  })
  it('begin like sentences on a card', () => {
    const fields = new Set(['do', 'lookFor', 'why', 'see', 'asks', 'run', 'valid', 'place', 'question'])
    expect(
      texts
        .filter(
          (t) =>
            fields.has(t.field) &&
            !(t.list === 'drills' && t.field === 'place') &&
            !/^[A-Z0-9][\s\S]*[.?]$/.test(t.value),
        )
        .map((t) => t.value),
    ).toEqual([])
  })
})
