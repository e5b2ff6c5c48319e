import fc from 'fast-check'
import { addDays } from '../day'
import { shippedPractice } from '../practice/library'
import { findById } from '../practice/find'
import {
  PLAIN_RESULT,
  PLAIN_TRY,
  type Attempt,
  type DrillDone,
  type Observation,
} from '../readiness/evidence'
import { evaluateGate } from '../readiness/gate'
import { NO_LIMITS } from '../screening/caps'
import { withinOf } from '../readiness/within'
import { describeGrowth, describeStill, describeStretch, minutes } from '../words/progress'
import { measuresOf } from './measures'
import { awaysOf, stretchesOf } from './path-time'
import { soreAgain } from './sore'
import { standingStill } from './still'
import { mondayOf, tooSoon, weekLoads } from './week-load'

const practice = shippedPractice()
const TODAY = '2026-03-10'
let n = 0
const fact = (day: string) => ({
  id: `f${(n += 1)}`,
  studentId: 's',
  day,
  hlc: `${day} ${n}`,
  replaces: null,
})
const hold = (day: string, single: number, more: Partial<Observation> = {}): Observation => ({
  ...PLAIN_RESULT,
  ...fact(day),
  ...{ checkId: 'CK-dolphin-hold', values: { single }, observer: '', classId: null, note: '' },
  ...{ withdrawn: false, faults: [], watched: true, valid: true },
  ...more,
})
const tried = (day: string, more: Partial<Attempt> = {}): Attempt => ({
  ...PLAIN_TRY,
  ...fact(day),
  ...{ stageId: 'FS-07', level: 'hop', outcome: 'clean', classId: null, withdrawn: false },
  ...more,
})
const drilled = (day: string, drillId: string, amount: number | null): DrillDone => ({
  ...fact(day),
  ...{ drillId, amount, classId: null, withdrawn: false },
})
const gate = findById(practice.stages, 'FS-07').gates.find((g) => g.check === 'CK-dolphin-hold')!

describe('a measure over time', () => {
  it('keeps the best that counted of a day, says why another proves nothing, and puts first what is asked', () => {
    const found = measuresOf(
      practice,
      [
        hold('2026-02-10', 20),
        hold('2026-02-10', 25),
        hold('2026-02-10', 60, { watched: false }),
        hold('2026-02-17', 40, { help: 'carried' }),
        ...['2026-02-10', '2026-02-17'].map((day) => hold(day, 4, { checkId: 'CK-fingers-hold' })),
      ].filter((o) => practice.checks.some((c) => c.id === o.checkId)),
      [gate],
      TODAY,
    )
    expect(found[0]).toMatchObject({ checkId: 'CK-dolphin-hold', gate })
    expect(found[0]?.days.map((d) => [d.day, d.value, d.notCounted])).toEqual([
      ['2026-02-10', 25, null],
      ['2026-02-17', 40, 'helped'],
    ])
  })
  it('goes on along the line that was there, and nowhere where no forecast is', () => {
    // Two seconds a week, exactly: the line four weeks after the last day is eight seconds higher.
    const days = [0, 1, 2, 3, 4].map((w) => hold(addDays(TODAY, -28 + 7 * w), 10 + 2 * w))
    const [measure] = measuresOf(practice, days, [gate], TODAY)
    expect(measure?.forecast?.code).toBe('weeks')
    expect(measure?.band.at(-1)).toMatchObject({ day: addDays(TODAY, 28) })
    expect(measure?.band.at(-1)?.from).toBeCloseTo(26, 6)
    expect(measure?.band.at(-1)?.to).toBeCloseTo(26, 6)
    const flat = [0, 1, 2, 3, 4].map((w) => hold(addDays(TODAY, -28 + 7 * w), 12))
    expect(measuresOf(practice, flat, [gate], TODAY)[0]).toMatchObject({
      band: [],
      forecast: { code: 'flat' },
    })
    expect(measuresOf(practice, [hold(TODAY, 9)], [gate], TODAY)).toEqual([])
  })
  it('never draws beyond what a check can read', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 300 }), { minLength: 4, maxLength: 9 }), (values) => {
        const days = values.map((v, i) => hold(addDays(TODAY, -7 * (values.length - 1 - i)), v))
        const check = findById(practice.checks, 'CK-dolphin-hold')
        for (const { from, to } of measuresOf(practice, days, [gate], TODAY)[0]?.band ?? []) {
          expect(from).toBeGreaterThanOrEqual(check.min)
          expect(to).toBeLessThanOrEqual(check.max)
          expect(from).toBeLessThanOrEqual(to)
        }
      }),
      { numRuns: 80 },
    )
  })
})

describe('a week’s load', () => {
  it('begins on a Monday', () => {
    expect(['2026-03-08', '2026-03-09', '2026-03-15', '2026-03-16'].map(mondayOf)).toEqual([
      ...['2026-03-02', '2026-03-09', '2026-03-09', '2026-03-16'],
    ])
  })
  it('counts tries and seconds by hand, and says what grew by more than a fifth', () => {
    const lead = { level: 'held' as const, seconds: 10 }
    const five = Array.from({ length: 5 }, () => tried('2026-03-03', lead))
    const seven = Array.from({ length: 7 }, () => tried('2026-03-10', lead))
    const weeks = weekLoads(practice, [...five, ...seven], [], TODAY)
    expect(weeks.map((w) => w.hops)).toEqual([0, 0, 0, 0, 0, 0, 5, 7])
    expect(weeks.at(-1)?.seconds.shoulder).toBe(70)
    // Seven for five is two fifths more; seconds were fifty, too few to be compared.
    expect(weeks.at(-1)?.grewTooFast).toEqual(['hops'])
    expect(describeGrowth(weeks.at(-1)!)).toMatch(/^More than 20 % up on the last week: tries\./)
    const six = weekLoads(practice, [...five, ...seven.slice(1)], [], TODAY)
    expect(six.at(-1)?.grewTooFast).toEqual([])
  })
  it('counts nothing for whoever stopped without a time, and a drill by its own amount', () => {
    const stopped = tried('2026-03-10', { outcome: 'stopped' })
    const plank = practice.drills.find((d) => (d.load.WB ?? 0) >= 2 && d.dose.seconds !== undefined)!
    const counted = practice.drills.find(
      (d) => (d.load.WB ?? 0) >= 2 && d.dose.reps && !d.dose.seconds && !d.dose.breaths,
    )!
    const [week] = weekLoads(
      practice,
      [stopped],
      [drilled('2026-03-10', plank.id, 60), drilled('2026-03-10', counted.id, 10)],
      TODAY,
      1,
    )
    expect(week).toMatchObject({ hops: 1 })
    expect(week?.seconds.wrist).toBe(60 + 30)
    expect([minutes(90), minutes(40), minutes(0)]).toEqual(['1.5 min', '40 s', '–'])
  })
  it('names the second of two hard days running, not one after a day between', () => {
    const at = (day: string) => tried(day)
    expect(tooSoon(practice, ['2026-03-02', '2026-03-03', '2026-03-05'].map(at), [])).toEqual(['2026-03-03'])
  })
})

describe('the ladder over time', () => {
  const turning = (day: string, standingId: string | null) =>
    ({ day, standingId, outcome: 'build', targetId: null }) as never
  it('joins what is one stretch, and tells up from down', () => {
    const order = (id: string): number => practice.stages.findIndex((s) => s.id === id)
    const found = stretchesOf(
      [
        turning('2026-03-01', 'FS-04'),
        turning('2026-02-20', 'FS-05'),
        turning('2026-02-10', 'FS-05'),
        turning('2026-01-05', 'FS-04'),
      ],
      order,
    )
    expect(found.map((s) => [s.stageId, s.from, s.to, s.began])).toEqual([
      ['FS-04', '2026-01-05', '2026-02-10', 'first'],
      ['FS-05', '2026-02-10', '2026-03-01', 'up'],
      ['FS-04', '2026-03-01', null, 'down'],
    ])
    expect(found.map(describeStretch)).toEqual([
      '5 Jan 2026 to 10 Feb 2026',
      '10 Feb 2026 to 1 Mar 2026',
      'since 1 Mar 2026, a step back',
    ])
  })
  it('knows a gap that moves a standing, and one that runs now', () => {
    expect(awaysOf(['2026-01-01', '2026-01-22', '2026-02-13'], TODAY)).toEqual([
      { from: '2026-01-22', to: '2026-02-13', days: 22 },
      { from: '2026-02-13', to: TODAY, days: 25 },
    ])
  })
})

describe('standing still', () => {
  const flat = [0, 1, 2, 3, 4].map((w) => hold(addDays(TODAY, -28 + 7 * w), 12))
  const missing = [
    evaluateGate(
      gate,
      findById(practice.checks, gate.check),
      findById(practice.stages, 'FS-07'),
      flat,
      TODAY,
    ),
  ]
  const within = withinOf(
    practice,
    new Set(practice.stages.filter((s) => s.family === 'FS').map((s) => s.id)),
    NO_LIMITS,
    [],
  )
  const given = { minutes: 12, within, breathS: 5, tired: false, done: [] as string[], asOf: TODAY }
  it('names what has been drilled and another for the same', () => {
    const [still] = standingStill(practice, { missing }, flat, given)
    expect(still).toMatchObject({ checkId: 'CK-dolphin-hold', weeks: 4, value: 12 })
    expect(still?.insteadId).not.toBe(still?.drillId)
    const named = practice.capabilities
      .filter((c) => c.checks.includes('CK-dolphin-hold'))
      .flatMap((c) => c.drills)
    expect(named).toContain(still?.drillId)
    const [other] = standingStill(practice, { missing }, flat, { ...given, done: [still!.insteadId!] })
    expect(other?.drillId).toBe(named.includes(still!.insteadId!) ? still?.insteadId : still?.drillId)
    const third = standingStill(practice, { missing }, flat, {
      ...given,
      done: [still!.insteadId!, still!.drillId!],
    })
    expect([still?.drillId, still?.insteadId]).not.toContain(third[0]?.insteadId)
    expect(describeStill(practice, still!)).toMatch(/ for 4 weeks\. In place of .+: .+\.$/)
  })
  it('is silent about what moves, and about whoever is away', () => {
    const rising = [0, 1, 2, 3, 4].map((w) => hold(addDays(TODAY, -28 + 7 * w), 12 + 2 * w))
    expect(standingStill(practice, { missing }, rising, given)).toEqual([])
    expect(standingStill(practice, { missing }, flat, { ...given, asOf: addDays(TODAY, 15) })).toEqual([])
  })
})

it('soreness repeats when a place is named on two days of four weeks', () => {
  const said = (day: string, pain: number, regions: ('wrist' | 'neck')[]) =>
    ({ day, pain, regions, energy: 5, arms: 0, look: 'whole', ticked: [], touch: 'yes' }) as const
  const all = [
    said('2026-02-01', 5, ['neck']),
    said('2026-02-20', 4, ['wrist', 'neck']),
    said('2026-03-03', 3, ['wrist']),
    said('2026-03-04', 1, ['neck']),
  ]
  expect(soreAgain(all, TODAY)).toEqual([{ region: 'wrist', days: ['2026-02-20', '2026-03-03'] }])
})
