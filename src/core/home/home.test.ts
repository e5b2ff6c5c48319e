import fc from 'fast-check'
import { addDays, daysBetween } from '../day'
import { shippedPractice } from '../practice/library'
import { findById } from '../practice/find'
import { LOAD_TAGS } from '../practice/schema'
import { withinOf } from '../readiness/within'
import { capsFrom, NO_LIMITS, type Caps } from '../screening/caps'
import { composeHome, mayGoHome, type HomeAsked } from './compose'
import { sessionDays } from './days'
import { afterWeek, nextDose } from './grow'
import { AT_HOME, homeSheetSchema, type HomeItem } from './home'
import { runs } from '@/testing/runs'

const practice = shippedPractice()
const CONDITIONS = [...new Set(practice.cautions.flatMap((c) => c.conditions))]
const limits = (...set: string[]): Caps =>
  capsFrom(practice, { set: new Set(set), unknown: [] }, [], '2026-03-10')
const credited = (family: string): ReadonlySet<string> =>
  new Set(practice.stages.filter((s) => s.family === family).map((s) => s.id))
const asked = (more: Partial<HomeAsked> = {}): HomeAsked => ({
  ...{ missing: [], minutes: 15, has: new Set(AT_HOME), breathS: 5, shown: new Set<string>() },
  within: withinOf(practice, credited('FS'), NO_LIMITS, []),
  ...more,
})
const compose = (more: Partial<HomeAsked> = {}) => composeHome(practice, asked(more))
const RUNS = runs(300)

const anyAsked = fc.record({
  conditions: fc.subarray(CONDITIONS, { maxLength: 4 }),
  unasked: fc.boolean(),
  family: fc.constantFrom('FS', 'HD', 'HS', 'CR', 'SH', 'none'),
  minutes: fc.integer({ min: 8, max: 25 }),
  has: fc.subarray([...AT_HOME]),
  breathS: fc.integer({ min: 3, max: 8 }),
  shown: fc.subarray(practice.drills.map((d) => d.id)),
  faults: fc.subarray(
    practice.faults.map((f) => f.id),
    { maxLength: 3 },
  ),
})

describe('a sheet for home', () => {
  it('of any person with any limits holds nothing that falls, loads the head, is closed or wants what is not there', () => {
    let made = 0
    fc.assert(
      fc.property(anyAsked, (p) => {
        const caps: Caps = { ...limits(...p.conditions), answered: !p.unasked }
        const within = withinOf(practice, credited(p.family), caps, [])
        const { minutes, breathS, faults } = p
        const found = compose({
          ...{ minutes, breathS, faults, within },
          ...{ has: new Set(p.has), shown: new Set(p.shown) },
        })
        if (!found.ok) return
        made += 1
        const items = found.value
        expect(items.length).toBeLessThanOrEqual(5)
        expect(new Set(items.map((i) => i.drillId)).size).toBe(items.length)
        expect(
          homeSheetSchema.safeParse({ minutes, days: ['2026-03-12'], has: p.has, items }).error,
        ).toBeUndefined()
        for (const item of items) {
          const { load, props, dose } = findById(practice.drills, item.drillId)
          expect(
            [load.FR ?? 0, load.HB ?? 0, load.NF ?? 0, load.HBH ?? 0].map((l, i) => l <= [1, 0, 0, 1][i]!),
          ).toEqual([true, true, true, true])
          for (const prop of props) expect(p.has).toContain(prop)
          // Told another way than by the engine: nothing that a stop or an avoid names at or under its level.
          for (const { action, tag, level } of caps.caps)
            if (action === 'stop' || action === 'avoid') expect(load[tag] ?? 0).toBeLessThan(level)
          for (const tag of LOAD_TAGS) expect(load[tag] ?? 0).toBeLessThanOrEqual(within.most[tag])
          if (dose.seconds && item.holdS !== null) expect(item.holdS).toBeLessThanOrEqual(dose.seconds.value)
        }
      }),
      { numRuns: RUNS },
    )
    expect(made).toBeGreaterThan(RUNS / 3)
  })
  it('begins with something warm, ends with something quiet, and keeps to its minutes', () => {
    const found = compose({ minutes: 15 })
    const items = found.ok ? found.value : []
    expect(items.length).toBeGreaterThanOrEqual(3)
    const drills = items.map((i) => findById(practice.drills, i.drillId))
    expect(['wrist', 'shoulder-open']).toContain(drills[0]?.theme)
    expect(drills.at(-1)?.theme).toBe('breath')
    expect(drills.reduce((sum, d) => sum + d.minutes, 0)).toBeLessThanOrEqual(15)
  })
  it('begins smaller with what nobody has shown them in class', () => {
    const dose = (shown: ReadonlySet<string>): HomeItem | undefined => {
      const found = compose({ shown })
      return found.ok ? found.value.find((i) => i.drillId === 'DR-forearm-plank') : undefined
    }
    const [known, fresh] = [dose(new Set(['DR-forearm-plank'])), dose(new Set())]
    expect(known?.holdS).toBeGreaterThan(fresh?.holdS ?? Infinity)
  })
  it('takes nothing that falls, whatever its theme and whatever somebody holds', () => {
    const plank = findById(practice.drills, 'DR-forearm-plank')
    const falls = { ...plank, id: 'DR-falls', load: { ...plank.load, FR: 2 as const } }
    const within = withinOf(practice, new Set(practice.stages.map((s) => s.id)), NO_LIMITS, [])
    expect(mayGoHome(plank, within, new Set(AT_HOME))).toBe(true)
    expect(mayGoHome(falls, within, new Set(AT_HOME))).toBe(false)
  })
  it('is refused where nothing may go home', () => {
    const warm = { ...practice, drills: practice.drills.filter((d) => d.theme === 'wrist') }
    expect(composeHome(warm, asked())).toMatchObject({ ok: false, refusal: { code: 'nothing-open' } })
  })
})

describe('the week after', () => {
  it('is more after two of three done, less after once too much, else the same', () => {
    expect(afterWeek(['done', 'done'], 3)).toBe('more')
    expect(afterWeek(['done', 'part', 'part'], 3)).toBe('same')
    expect(afterWeek([], 2)).toBe('same')
    expect(afterWeek(['done', 'done', 'too-much'], 3)).toBe('less')
  })
  it('grows by a fifth at most, up to the usual dose or the drill’s own end, and never past a limit', () => {
    fc.assert(
      fc.property(
        anyAsked,
        fc.array(fc.constantFrom('more' as const, 'same' as const, 'less' as const), { maxLength: 12 }),
        fc.boolean(),
        (p, weeks, firstMonth) => {
          const caps: Caps = { ...limits(...p.conditions), answered: !p.unasked }
          const within = withinOf(practice, credited(p.family), caps, [])
          const found = compose({ within, breathS: p.breathS, minutes: p.minutes, shown: new Set(p.shown) })
          if (!found.ok) return
          for (const first of found.value) {
            const { dose, load } = findById(practice.drills, first.drillId)
            let now = first
            for (const after of weeks) {
              const next = nextDose(practice, now, after, { within, breathS: p.breathS, firstMonth })
              if (now.holdS !== null && next.holdS !== null) {
                expect(next.holdS).toBeLessThanOrEqual(Math.max(now.holdS * 1.2, 1))
                const end = dose.growth?.toS ?? 0
                const usual = Math.max(dose.seconds?.value ?? 0, (dose.breaths?.value ?? 0) * p.breathS)
                expect(next.holdS).toBeLessThanOrEqual(Math.max(end, usual, 1))
                for (const cap of caps.caps)
                  if (
                    cap.action === 'modify' &&
                    cap.mostSeconds !== null &&
                    (load[cap.tag] ?? 0) >= cap.level
                  )
                    expect(next.holdS).toBeLessThanOrEqual(Math.max(1, cap.mostSeconds))
              }
              if (now.reps !== null && next.reps !== null)
                expect(next.reps).toBeLessThanOrEqual(Math.max((now.level ?? now.reps) * 1.2, 1) + 1e-9)
              expect(next.sets).toBeLessThanOrEqual(now.sets)
              if (after === 'less' && now.holdS !== null && now.holdS > 1)
                expect(next.holdS).toBeLessThan(now.holdS)
              now = next
            }
          }
        },
      ),
      { numRuns: 150 },
    )
  })
})

it('a count of four grows to five in two full weeks, not in one, and a week of too much takes it back', () => {
  const by = { within: asked().within, breathS: 5, firstMonth: false }
  const ten = practice.drills.find(
    (d) => !d.dose.seconds && !d.dose.breaths && (d.dose.reps?.value ?? 0) >= 8,
  )!
  const four: HomeItem = {
    ...{ drillId: ten.id, sets: 1, reps: 4, holdS: null },
    ...{ perSide: false, restS: null, weaker: null },
  }
  const [one, two] = [
    nextDose(practice, four, 'more', by),
    nextDose(practice, nextDose(practice, four, 'more', by), 'more', by),
  ]
  expect([one.reps, two.reps]).toEqual([4, 5])
  expect(nextDose(practice, two, 'less', by).reps).toBe(4)
})

it('a drill’s own growth leads past its usual dose, and ends where it says or a limit does', () => {
  const plank = findById(practice.drills, 'DR-forearm-plank')
  const seconds = { value: 20, min: 10, max: 60 }
  const drills = [{ ...plank, dose: { perSide: false, seconds, growth: { weeklyS: 3, toS: 28 } } }]
  const [cap] = limits('GENTLE').caps
  const capped: Caps = {
    ...NO_LIMITS,
    caps: [{ ...cap!, action: 'modify', tag: 'FB', level: 1, mostSeconds: 24, change: null }],
  }
  const item: HomeItem = {
    ...{ drillId: plank.id, sets: 1, reps: null, holdS: 20 },
    ...{ perSide: false, restS: null, weaker: null },
  }
  const weeks = (caps: Caps): number[] => {
    const by = { within: withinOf(practice, credited('FS'), caps, []), breathS: 5, firstMonth: false }
    const held: number[] = []
    for (let now = item, n = 0; n < 4; n += 1)
      held.push((now = nextDose({ drills }, now, 'more', by)).holdS ?? 0)
    return held
  }
  expect(weeks(NO_LIMITS)).toEqual([23, 26, 28, 28])
  expect(weeks(capped)).toEqual([23, 24, 24, 24])
})

describe('days for it', () => {
  it('stand two days apart from each other and from every class', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 4 }),
        fc.array(fc.integer({ min: -2, max: 9 }), { maxLength: 4 }),
        (times, classes) => {
          const from = '2026-03-10'
          const classDays = classes.map((n) => addDays(from, n))
          const days = sessionDays(from, times, classDays)
          expect(days.length).toBeLessThanOrEqual(times)
          const all = [...days, ...classDays]
          for (const day of days)
            for (const other of all)
              if (other !== day || classDays.includes(other))
                expect(Math.abs(daysBetween(day, other))).toBeGreaterThanOrEqual(2)
        },
      ),
      { numRuns: 300 },
    )
  })
  it('after a class tonight and before one next week there are three', () => {
    expect(sessionDays('2026-03-10', 3, ['2026-03-10', '2026-03-17'])).toEqual(['2026-03-12', '2026-03-14'])
    expect(sessionDays('2026-03-10', 3, [])).toEqual(['2026-03-11', '2026-03-13', '2026-03-15'])
  })
})
