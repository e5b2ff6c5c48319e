import type { Brief } from '../../classes/brief'
import type { BlockKind, Doing, Plan, PlanBlock, Together, Work } from '../../classes/plan'
import { shippedPractice } from '../../practice/library'
import { NO_LIMITS } from '../../screening/caps'
import { describeViolation, VIOLATION_WORDS } from '../../words/violation'
import { brief, limited, person, planOf, stock } from '@/testing/briefs'
import { validatePlan } from './validate'
import type { Violation } from './violation'

const practice = shippedPractice()
const KICKER = { standingId: 'FS-12', targetId: null, outcome: 'held', limits: NO_LIMITS } as const
const HOPPER = { standingId: 'FS-07', targetId: 'FS-09', outcome: 'offer', limits: NO_LIMITS } as const
const base = brief({
  people: [
    ...[1, 2, 3, 4].map((i) => person(i, KICKER)),
    ...[5, 6].map((i) => person(i, HOPPER)),
    person(7, { limits: NO_LIMITS, touch: 'no' }),
  ],
  helpers: [{ id: 'h1', trained: ['AS-leg-lift'] }],
})
const good = planOf(base)
type Part = Partial<Work> | Partial<Together>
const change = (kind: BlockKind, how: (block: never) => Part, plan: Plan = good): Plan => ({
  ...plan,
  blocks: plan.blocks.map((b): PlanBlock =>
    b.kind === kind ? ({ ...b, ...how(b as never) } as PlanBlock) : b,
  ),
})
const people = (kind: BlockKind, how: (doing: Doing, i: number) => Partial<Doing>, plan: Plan = good): Plan =>
  change(kind, ({ people: all }: Work) => ({ people: all.map((d, i) => ({ ...d, ...how(d, i) })) }), plan)
const only = (who: string, part: Partial<Doing>) => (d: Doing) =>
  d.studentId === who ? { climb: [], ...part } : {}
const rung = (variantId: string, part: Partial<Doing['climb'][number]> = {}): Doing['climb'][number] => ({
  ...{ variantId, setupId: null, holdS: 10, reps: 1, sides: false, props: [] },
  ...part,
})
const kick: Partial<Doing> = {
  ...{
    variantId: 'FS-10b',
    setupId: 'SETUP-wall-kick-forearm',
    tries: 2,
    reps: 1,
    holdS: 5,
    sides: true,
    turns: 1,
  },
  ...{ props: [], helper: null, override: null },
}
const oneWave = (plan: Plan): Plan =>
  change(
    'peak',
    () => ({ waves: 1 }),
    people('peak', () => ({ wave: 1 }), plan),
  )

/** In somebody’s first month, two rungs in one night. */
function steppedTwice(): [Plan, Brief] {
  const onto = [
    { stageId: 'FS-04', from: 'FS-03c', shows: [] },
    { stageId: 'FS-05', from: 'FS-04', shows: [] },
  ]
  const newcomers = base.people.map((p) => ({
    ...p,
    firstMonth: true,
    families: { ...p.families, FS: p.families.FS && { ...p.families.FS, open: ['FS-03c'], onto } },
  }))
  const skill = people('skill', only('p7', { variantId: 'FS-03c', then: 'FS-04' }))
  return [
    people('peak', only('p7', { variantId: 'FS-04', then: 'FS-05' }), skill),
    { ...base, people: newcomers },
  ]
}

/** Each hard rule, and a plan that breaks it. */
const cases: [Violation['code'], Plan, Brief?][] = [
  ['over-time', good, { ...base, minutes: 25 }],
  ['blocks-overlap', change('skill', () => ({ startS: 0 }))],
  ['out-of-order', { ...good, blocks: [...good.blocks].reverse() }],
  ['rest-short', change('rest', () => ({ seconds: 60 }))],
  ['own-rest', change('skill', () => ({ gapS: 5, workS: 40, waves: 1 }))],
  ['changeover', change('peak', () => ({ setupS: 0 }))],
  ['left-out', change('skill', ({ people: all }: Work) => ({ people: all.slice(1) }))],
  ['twice-at-once', change('skill', ({ people: all }: Work) => ({ people: [...all, ...all.slice(0, 1)] }))],
  [
    'closed',
    good,
    { ...base, people: base.people.map((p) => ({ ...p, limits: limited('EYE-P', 'FEVER').caps })) },
  ],
  ['climb-unfit', people('skill', only('p1', { variantId: 'FS-04', turns: 4, climb: [rung('FS-10b')] }))],
  ['climb-unfit', people('skill', only('p1', { variantId: 'FS-09', turns: 4, climb: [rung('FS-14')] }))],
  ['climb-unfit', people('skill', only('p1', { variantId: 'FS-04', turns: 2, climb: [rung('FS-02')] }))],
  [
    'climb-unfit',
    people(
      'skill',
      only('p1', {
        variantId: 'FS-04',
        turns: 4,
        climb: [rung('FS-02', { props: [{ kind: 'chair', count: 1 }] })],
      }),
    ),
  ],
  // What is open all the same is no step on where both feet leave the floor: a kick is planned, with its wall and its tries.
  [
    'stepped-too-far',
    people('skill', (d) => ({
      then: d.studentId === 'p1' ? 'FS-10b' : null,
      ...only('p1', { variantId: 'FS-09' })(d),
    })),
    {
      ...base,
      people: base.people.map((p) =>
        p.studentId === 'p1' && p.families.FS
          ? {
              ...{ ...p, answered: true, limits: [] },
              families: { FS: { ...p.families.FS, open: ['FS-09', 'FS-10b'], changed: {} } },
            }
          : p,
      ),
    },
  ],
  ['stepped-too-far', people('skill', only('p7', { then: 'FS-06' }))],
  ['stepped-too-far', people('skill', only('p1', { variantId: 'FS-09', then: 'FS-12' }))],
  ['stepped-too-often', ...steppedTwice()],
  ['above-decision', people('skill', only('p7', { variantId: 'FS-06' }))],
  ['above-decision', people('skill', only('p7', { variantId: 'DR-dolphin-leg-rock' }))],
  [
    'change-missing',
    good,
    { ...base, people: base.people.map((p) => ({ ...p, limits: limited('BPH-open').caps })) },
  ],
  [
    'two-families',
    people(
      'support',
      only('p5', { variantId: 'HS-05c' }),
      people('skill', only('p5', { variantId: 'FS-09' }), {
        ...good,
        blocks: good.blocks.flatMap((b): PlanBlock[] =>
          b.kind === 'skill' ? [b, { ...b, kind: 'support' }] : [b],
        ),
      }),
    ),
  ],
  ['too-many-attempts', people('peak', only('p1', { ...kick, turns: 4, reps: 3, tries: 6 }))],
  ['try-outside', people('skill', only('p1', kick))],
  ['too-long', people('skill', () => ({ holdS: 90 }))],
  [
    'stay-again',
    change('peak', () => ({ kind: 'stay' }), people('peak', only('p1', { variantId: 'SH-13', turns: 3 }))),
  ],
  ['one-sided', people('skill', only('p1', { variantId: 'FS-05', sides: false }))],
  ['side-more', people('skill', only('p1', { variantId: 'FS-05', sides: true, sideMore: true }))],
  [
    'spent',
    change(
      'skill',
      () => ({ sets: 41, waves: 1, setupS: 0, seconds: 2700, workS: 60, gapS: 5 }),
      people(
        'skill',
        () => ({ variantId: 'FS-05', wave: 1, holdS: 30, reps: 1, sides: true, turns: 41 }),
        change('peak', () => ({ startS: 3840 })),
      ),
    ),
  ],
  [
    'neck-order',
    people('peak', only('p1', { variantId: 'HD-05' }), people('skill', only('p1', { variantId: 'SH-05' }))),
  ],
  [
    'neck-twice',
    people('peak', only('p1', { variantId: 'SH-05' }), people('skill', only('p1', { variantId: 'HD-05' }))),
    { ...base, people: base.people.map((p) => ({ ...p, firstMonth: true })) },
  ],
  [
    'lock-lost',
    good,
    { ...base, locks: [{ studentId: 'p1', part: 'waves', stageId: 'FS-01', reason: 'other' }] },
  ],
  ['bay-missing', people('peak', only('p1', { ...kick, place: null }))],
  ['bay-shared', oneWave(people('peak', () => ({ ...kick, place: 'bay-1' })))],
  [
    'bay-narrow',
    people(
      'peak',
      only('p1', { ...kick, variantId: 'HS-09b', setupId: 'SETUP-wall-straddle-hop', place: 'bay-1' }),
    ),
  ],
  [
    'open-floor',
    oneWave(
      people('peak', () => ({ ...kick, variantId: 'FS-15', setupId: 'SETUP-open-fall-zone', place: 'open' })),
    ),
  ],
  [
    'fall-zone',
    people('peak', (_, i) => (i === 0 ? { ...kick, place: 'bay-1' } : { place: 'm1', turns: 1 })),
    { ...base, room: { ...base.room, mats: [{ id: 'm1', inFall: ['bay-1'] }] } },
  ],
  ['kickers', oneWave(people('peak', (_, i) => ({ ...kick, place: `bay-${i + 1}` })))],
  [
    'first-tries',
    oneWave(people('peak', (d) => (['p5', 'p6'].includes(d.studentId) ? { ...kick, helper: 'h1' } : {}))),
  ],
  [
    'too-many-versions',
    change(
      'skill',
      () => ({ waves: 1 }),
      people('skill', (_, i) => ({ wave: 1, variantId: ['FS-02', 'FS-03b', 'FS-04', 'FS-05'][i % 4]! })),
    ),
  ],
  ['unwatched', oneWave(people('peak', (_, i) => ({ ...kick, place: `bay-${i + 1}` })))],
  ['no-helper', people('peak', only('p5', kick))],
  ['helper-unfit', people('peak', only('p5', { ...kick, helper: 'h1' }))],
  [
    'helper-busy',
    oneWave(people('peak', (d) => (['p5', 'p6'].includes(d.studentId) ? { ...kick, helper: 'h1' } : {}))),
  ],
  ['no-consent', people('peak', only('p7', { ...kick, helper: 'teacher' }))],
  ['stock-exceeded', good, { ...base, cupboard: stock({ block: 0 }) }],
  [
    'strap-short',
    people('skill', only('p1', { props: [{ kind: 'strap', count: 1 }] })),
    {
      ...base,
      cupboard: { ...base.cupboard, lines: base.cupboard.lines.map((l) => ({ ...l, longCm: 90 })) },
      people: base.people.map((p) => ({ ...p, loopCm: p.studentId === 'p1' ? 100 : null })),
    },
  ],
  [
    'no-prop',
    people('skill', only('p1', { variantId: 'FS-03b', setupId: 'SETUP-dolphin-block', props: [] })),
  ],
  ['load-without-warm-up', change('warm-up', () => ({ items: [] }))],
  ['stale-warm', change('peak', ({ startS }: Work) => ({ startS: startS + 2400 }))],
  ['warm-long', change('warm-up', () => ({ seconds: 1500 }))],
  ['load-without-counterpose', change('counterpose', () => ({ items: [] }))],
  [
    'just-before',
    people('skill', () => ({ variantId: 'DR-dolphin-rock' }), {
      ...good,
      blocks: good.blocks.filter((b) => b.kind !== 'way-out'),
    }),
  ],
]

it('a plan as it is made is clean', () => {
  expect(validatePlan(practice, base, good)).toEqual([])
})
it.each(cases)('finds a planted %s and says it', (code, plan, b = base) => {
  const found = validatePlan(practice, b, plan)
  expect(found.map((v) => v.code)).toContain(code)
  for (const violation of found)
    expect(describeViolation(violation, practice, () => 'Ines')).toMatch(/^[A-Z0-9“].*\.$/)
})
it('takes what is repeated without a rest for one effort', () => {
  // Ten seconds are all that the blood pressure of everybody leaves.
  const { caps } = limited('BPH-managed')
  const all = { ...base, people: base.people.map((p) => ({ ...p, limits: caps })) }
  const skill = { ...good, blocks: good.blocks.filter((x) => x.kind === 'skill') }
  const dolphin: Partial<Doing> = { variantId: 'FS-05', sides: false, tries: 0 }
  const tooLong = (part: Partial<Doing>) =>
    validatePlan(
      practice,
      all,
      people('skill', () => ({ ...dolphin, ...part }), skill),
    ).filter((v) => v.code === 'too-long' && v.mostS === 10)
  const p1 = { code: 'too-long', studentId: 'p1', mostS: 10 }
  expect(tooLong({ holdS: 10, reps: 3 })).toContainEqual({ ...p1, seconds: 30 })
  expect(tooLong({ holdS: null, reps: 5 })).toContainEqual({ ...p1, seconds: 20 })
  expect(tooLong({ holdS: 10, reps: 1 })).toEqual([])
  expect(tooLong({ holdS: null, reps: 2 })).toEqual([])
})
it('has a plan against every rule it knows', () => {
  const planted = new Set(cases.map(([code]) => code))
  const source = Object.keys(VIOLATION_WORDS)
  expect(source.filter((code) => !planted.has(code as Violation['code']))).toEqual([])
})
it('lists an overridden version as the teacher’s own call', () => {
  const b = {
    ...base,
    locks: [{ studentId: 'p7', part: 'waves', stageId: 'FS-09', reason: 'seen-it' }],
  } satisfies Brief
  expect(validatePlan(practice, b, planOf(b))).toContainEqual({
    ...{ code: 'above-decision', studentId: 'p7', variantId: 'FS-09', overridden: true },
  })
})
