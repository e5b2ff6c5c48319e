import fc from 'fast-check'
import { anyBrief, brief, limited, person, planOf } from '@/testing/briefs'
import { shippedPractice } from '../practice/library'
import { FAMILIES, LOAD_TAGS, type Load } from '../practice/schema'
import { judgeLoad, NO_LIMITS, type Cap, type Caps } from '../screening/caps'
import { apartIn } from './apart'
import { changeOn, isTooEarly } from './change'
import { foldRun, runSchema, type ClassEvent } from './run'
import { readBrief, readPlan } from './upgrade'
import { runs } from '@/testing/runs'

const practice = shippedPractice()
const written = (value: unknown): unknown => JSON.parse(JSON.stringify(value))

describe('the documents of a class', () => {
  it('survive being written down, whoever comes', () => {
    fc.assert(
      fc.property(anyBrief, (b) => {
        const plan = planOf(b)
        expect(readBrief(written(b))).toEqual(b)
        expect(readPlan(written(plan))).toEqual(plan)
      }),
      { numRuns: runs(20) },
    )
  })
  it('of another version, spoilt or missing are none', () => {
    for (const odd of [null, 'plan', [], {}, { version: 2 }, { ...planOf(brief()), version: 9 }])
      expect(readPlan(written(odd))).toBeNull()
    for (const odd of [null, 3, {}, { ...brief(), version: 9 }, { ...brief(), people: 'all' }])
      expect(readBrief(written(odd))).toBeNull()
  })
  it('a run is one too', () => {
    const event = (id: string, hlc: string, what: ClassEvent['event']): ClassEvent => ({
      ...{ id, day: '2026-03-10', hlc, event: what, atMs: 5, blockIndex: 2 },
    })
    const run = foldRun([event('a', '1', 'started'), event('b', '2', 'block')])
    expect(runSchema.parse(written(run))).toEqual(run)
    expect(run).toEqual({
      ...{
        version: 1,
        state: 'running',
        blockIndex: 2,
        blockStartedMs: 5,
        startedMs: 5,
        blockHlc: '2',
        holds: [],
      },
    })
    // One of before there were pauses is read too.
    const { startedMs: _s, holds: _h, ...older } = run
    expect(runSchema.parse(older)).toEqual({ ...run, startedMs: 0 })
  })
})

const bar: Cap = {
  ...{ ruleId: 'x', action: 'avoid', tag: 'WB', level: 1, mostSeconds: null, instead: '', change: null },
  ...{ needsClearance: false },
}

describe('a brief’s reach', () => {
  const open = (conditions: string[], part = {}) =>
    person(1, { limits: limited(...conditions), ...part }).families.FS
  it('has nothing open that a limit closes, and says how each changed stage is done', () => {
    const conditions = [...new Set(practice.cautions.flatMap((c) => c.conditions))]
    fc.assert(
      fc.property(fc.subarray(conditions, { maxLength: 3 }), (set) => {
        const limits = limited(...set)
        const reach = person(1, { standingId: 'FS-11', targetId: null, outcome: 'held', limits }).families.FS
        for (const id of reach?.open ?? []) {
          const stage = practice.stages.find((s) => s.id === id)!
          const { verdict } = judgeLoad(stage.load, limits)
          expect(['barred', 'left-out']).not.toContain(verdict)
          expect(reach?.changed[id] ?? null).toEqual(changeOn(stage, limits))
          if (verdict === 'changed') expect(reach?.changed[id]).toBeDefined()
        }
      }),
    )
  })
  it('a family that is closed has something of the same purpose in its place, never a fall or weight on the head', () => {
    let closed = 0
    for (const conditions of practice.cautions.map((c) => c.conditions)) {
      const reach = open(conditions)
      if (!reach?.instead) continue
      closed += 1
      const stage = practice.stages.find((s) => s.id === reach.instead?.stageId)
      expect(reach.open).toEqual([])
      expect(stage?.load.FR ?? 0).toBeLessThanOrEqual(1)
      expect(stage?.load.HB ?? 0).toBe(0)
    }
    expect(closed).toBeGreaterThan(0)
  })
  it('nothing stands in whose fall or weight on the head was not asked for, whatever is closed', () => {
    const heavy = practice.stages.filter(({ load: { FR = 0, HB = 0 } }) => FR > 1 || HB > 0).map((s) => s.id)
    const tags = fc.subarray(
      [...LOAD_TAGS].filter((tag) => tag !== 'FR' && tag !== 'HB'),
      { minLength: 1, maxLength: 3 },
    )
    fc.assert(
      fc.property(tags, (closed) => {
        const caps = closed.map((tag): Cap => ({ ...bar, tag }))
        const { families } = person(1, { limits: { ...NO_LIMITS, caps } })
        for (const family of FAMILIES) expect(heavy).not.toContain(families[family]?.instead?.stageId)
      }),
    )
  })
  it('warm-ups: whoever a drill of it is closed to does another that is open, or rests', () => {
    const conditions = [...new Set(practice.cautions.flatMap((c) => c.conditions))].filter(
      (c) => !c.startsWith('UNKNOWN'),
    )
    const closesLoad = (limits: Pick<Caps, 'caps'>, load: Load): boolean =>
      limits.caps.some(
        (c) =>
          (/stop|avoid/.test(c.action) ||
            c.change?.notBefore !== undefined ||
            load.cannot?.some((how) => how === c.change?.how) === true) &&
          ((load[c.tag] ?? 0) >= c.level || /urgent|home/.test(c.refer ?? '')),
      )
    const hits = (limits: Pick<Caps, 'caps'>, id: string): boolean =>
      closesLoad(limits, practice.drills.find((d) => d.id === id)?.load ?? {})
    let apart = 0
    fc.assert(
      fc.property(fc.subarray(conditions, { maxLength: 3 }), (set) => {
        const limits = limited(...set)
        for (const block of [...practice.warmups, ...practice.counterposes]) {
          const found = apartIn(practice, { people: [person(1, { limits })] }, block).find((a) => !a.joins)
          expect([block.id, found !== undefined]).toEqual([
            block.id,
            block.drills.some((d) => hits(limits, d)) || closesLoad(limits, block.load),
          ])
          if (!found) continue
          apart += 1
          const open = block.drills.filter((d) => !hits(limits, d))
          expect(found.drillId).toBe(open[0] ?? null)
        }
      }),
    )
    expect(apart).toBeGreaterThan(50)
    const [asked] = apartIn(
      practice,
      { people: [person(1)] },
      practice.warmups.find((w) => w.id === 'WU-fall')!,
    )
    // A spring on one leg leaves the floor too: whoever was not asked yet rests meanwhile.
    expect(asked?.drillId ?? null).toBeNull()
  })
  it('a limit’s numbers are those of the practice: stiff wrists 20 s on a wedge, a heart half the repetitions', () => {
    const wrist = changeOn({ load: { WB: 2 } }, limited('WRI-stiff'))
    expect(wrist).toEqual({ mostSeconds: 20, share: 1, words: [expect.stringMatching(/wedge/)] })
    expect(changeOn({ load: { WB: 2 } }, limited('HEART'))).toMatchObject({ mostSeconds: null, share: 0.5 })
    expect(changeOn({ load: { WB: 2 } }, limited('HEART', 'WRI-stiff'))).toMatchObject({
      mostSeconds: 20,
      share: 0.5,
    })
    expect(changeOn({ load: { WB: 1 } }, limited('HEART'))).toBeNull()
  })
})

it('what was eaten closes the load until the last third of the class, and leaves twenty seconds of it then', () => {
  const full = limited('FOOD-2')
  const change = changeOn({ load: { HBH: 3 } }, full)
  expect(change).toMatchObject({ mostSeconds: 20, notBefore: 0.667 })
  const at = [0, 0.5, 0.66, 0.67, 0.9].map((share) => isTooEarly({ load: { AC: 2 } }, full, share))
  expect(at).toEqual([true, true, true, false, false])
  expect(isTooEarly({ load: { HBH: 2, AC: 1 } }, full, 0)).toBe(false)
})
