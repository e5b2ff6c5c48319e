import fc from 'fast-check'
import { doingsOf, isWork } from '../classes/plan'
import { readPlanFile, writePlanFile } from '../classes/plan-file'
import { WAITING } from '../classes/plan'
import { shippedPractice } from '../practice/library'
import { NO_LIMITS } from '../screening/caps'
import { describeBetter } from '../words/better'
import { describeBestMinute, describeFileRefusal } from '../words/plan'
import { describeTurns, placeName } from '../words/turns'
import { describeWhy } from '../words/why'
import { anyBrief, brief, limited, person, planOf } from '@/testing/briefs'
import { must } from '@/testing/bodies'
import { validatePlan } from './check/validate'
import { startsFor } from './plan-class'
import { asItHolds } from './now'
import { armsThrough, bestMinute } from './reserve'
import { takenIn } from './taken-in'
import { fits, foundFrom, printOf, searchOn, withoutWords, type SearchTold } from './search'

const practice = shippedPractice()
const b = brief({
  people: [
    person(1, { standingId: 'FS-07', targetId: 'FS-09', outcome: 'offer', limits: NO_LIMITS }),
    person(2, { standingId: 'FS-05', targetId: null, outcome: 'held', limits: limited('BP-MED') }),
    ...[3, 4, 5].map((i) =>
      person(i, { standingId: 'FS-04', targetId: 'FS-05', outcome: 'near', limits: NO_LIMITS }),
    ),
  ],
})
const plan = planOf(b)
const known = new Set(
  [
    ...practice.stages,
    ...practice.drills,
    ...practice.setups,
    ...practice.warmups,
    ...practice.counterposes,
  ].map((x) => x.id),
)
const roster = b.people.map((p) => p.studentId)
const about = { title: 'T', day: b.day, startTime: '18:30' }

describe('a plan as a file', () => {
  it('comes back as it was, but for what limits say', () => {
    const text = writePlanFile(about, plan)
    expect(text).not.toContain('"words"')
    const read = readPlanFile(text, known, roster)
    const bare = plan.blocks.map((x) =>
      isWork(x) ? { ...x, people: x.people.map((p) => ({ ...p, change: null, inPlace: false })) } : x,
    )
    expect(read).toEqual({ ok: true, plan: { ...plan, blocks: bare } })
  })
  it.each([
    ['{', 'no-json'],
    ['{}', 'no-plan-file'],
    [writePlanFile(about, plan).replaceAll('DR-arrive-scan', 'DR-dance'), 'unknown-ids'],
    [writePlanFile(about, plan).replaceAll('"then": null', '"then": "FS-99"'), 'unknown-ids'],
    [
      writePlanFile(about, plan).replaceAll(
        '"climb": []',
        '"climb": [{ "variantId": "FS-99", "setupId": null, "holdS": 5, "reps": 1, "sides": false, "props": [] }]',
      ),
      'unknown-ids',
    ],
    [writePlanFile(about, plan).replaceAll('"p1"', '"stranger"'), 'not-on-the-list'],
  ])('of another kind is refused with a sentence: %#', (text, code) => {
    const read = readPlanFile(text, known, roster)
    expect(read).toMatchObject({ ok: false, refusal: { code } })
    if (!read.ok) expect(describeFileRefusal(read.refusal)).toMatch(/^That .*\.$/)
  })
})

describe('what came from elsewhere or changed since', () => {
  const peak = (made: typeof plan) => made.blocks.filter(isWork).find((x) => x.kind === 'peak')!
  const mine = (made: typeof plan, id: string) => peak(made).people.find((p) => p.studentId === id)!
  const withDoing = (part: object): typeof plan => ({
    ...plan,
    blocks: plan.blocks.map((x) =>
      isWork(x) && x.kind === 'peak'
        ? { ...x, people: x.people.map((p) => (p.studentId === 'p3' ? { ...p, ...part } : p)) }
        : x,
    ),
  })
  it('a file places nobody above a decision, nor by a reason given elsewhere', () => {
    for (const override of [null, 'seen-it' as const]) {
      const taken = takenIn(practice, withDoing({ variantId: 'FS-12', override }), b)
      expect(mine(taken, 'p3').variantId).not.toBe('FS-12')
      expect(mine(taken, 'p3').override).toBeNull()
    }
    const locks = [{ studentId: 'p3', part: 'waves' as const, stageId: 'FS-09', reason: 'seen-it' as const }]
    const kept = takenIn(practice, withDoing({ variantId: 'FS-09', override: 'seen-it' }), { ...b, locks })
    expect(mine(kept, 'p3')).toMatchObject({ variantId: 'FS-09', override: 'seen-it' })
  })
  it('a file brings no way up with it that breaks a rule here: what is done stays', () => {
    const rung = { variantId: 'FS-10b', setupId: null, holdS: 5, reps: 1, sides: false, props: [] }
    const before = mine(plan, 'p3')
    const taken = takenIn(practice, withDoing({ climb: [rung], then: 'FS-12' }), b)
    expect(mine(taken, 'p3')).toMatchObject({ variantId: before.variantId, climb: [], then: null })
    expect(validatePlan(practice, b, taken).map((v) => v.code)).not.toContain('climb-unfit')
  })
  it('a task for waiting that is closed by now is rest, and the validator finds one that is not', () => {
    const waits = withDoing({ waiting: 'DR-forward-fold' })
    const [stop] = limited('EYE-P').caps.filter((c) => c.tag === 'HBH')
    const shut = { ...b, people: b.people.map((p) => ({ ...p, limits: [{ ...stop!, level: 1 as const }] })) }
    expect(validatePlan(practice, shut, waits)).toContainEqual({
      ...{ code: 'closed', studentId: 'p3', variantId: 'DR-forward-fold' },
    })
    expect(mine(asItHolds(practice, waits, shut), 'p3').waiting).toBeNull()
  })
  it('a limit that leaves no attempt gives something else, and half the repetitions is half', () => {
    const none = { ...b, people: b.people.map((p) => ({ ...p, mostAttempts: 0 })) }
    for (const d of asItHolds(practice, plan, none).blocks.flatMap(doingsOf)) expect(d.tries).toBe(0)
    const counted = withDoing({
      variantId: 'FS-04',
      reps: 5,
      holdS: null,
      tries: 0,
      props: [],
      setupId: null,
    })
    const half = {
      ...b,
      people: b.people.map((p) => ({ ...p, limits: limited('HEART').caps.filter((c) => c.change) })),
    }
    const held = mine(asItHolds(practice, counted, half), 'p3')
    // Seven of four seconds make half a minute of work; the half of them is three.
    if (held.variantId === 'FS-04' && held.change) expect(held.reps).toBe(3)
  })
  it('the advanced go with the ladder they are reached from: never beside another family’s next step', () => {
    const both = {
      ...{ variantId: 'AD-01', override: null, inPlace: false },
    }
    const double = {
      ...withDoing(both),
      blocks: withDoing(both).blocks.map((x) =>
        isWork(x) && x.kind === 'skill'
          ? { ...x, people: x.people.map((p) => (p.studentId === 'p3' ? { ...p, variantId: 'HS-05c' } : p)) }
          : x,
      ),
    }
    expect(validatePlan(practice, b, double).map((v) => v.code)).toContain('two-families')
  })
  it('on a private screen nothing says that something is closed', () => {
    for (const part of [{ variantId: null }, { variantId: 'SH-01', inPlace: true }])
      expect(
        describeWhy(practice, b.people[0]!, { ...WAITING, studentId: 'p', ...part }, 'peak:FS', true),
      ).not.toMatch(/closed|open/i)
  })
})

it('arms: what is shown agrees with what the validator reckons second by second', () => {
  fc.assert(
    fc.property(anyBrief, (any) => {
      const made = startsFor(practice, any)
      if (!made.ok) return
      const some = planOf(any)
      for (const p of any.people) {
        const shown = armsThrough(practice, some, p.studentId)
        for (const { fresh } of shown) expect(fresh).toBeGreaterThan(0.4)
        const spent = validatePlan(practice, any, some).some(
          (v) => v.code === 'spent' && v.studentId === p.studentId,
        )
        const peak = shown.find((r) => r.purpose.startsWith('peak'))
        const tries = some.blocks.flatMap(doingsOf).some((d) => d.studentId === p.studentId && d.tries > 0)
        if (peak && tries) expect([spent, peak.fresh > 0.68]).toEqual([false, true])
      }
    }),
    { numRuns: 6 },
  )
})

it('the best minute for first tries is no later working block than all, and no fresher than the freshest', () => {
  let some = 0
  fc.assert(
    fc.property(anyBrief, (any) => {
      const made = startsFor(practice, any)
      if (!made.ok) return
      const own = planOf(any)
      const best = bestMinute(practice, own)
      const trying = own.blocks.flatMap(doingsOf).filter((d) => d.tries > 0 && d.turns > 0)
      expect(best === null).toBe(trying.length === 0)
      if (best === null) return
      some += 1
      const starts = own.blocks.filter(isWork).map((x) => x.startS)
      expect(starts).toContain(best.bestS)
      expect(best.bestFresh).toBeGreaterThanOrEqual(best.fresh)
      const means = starts.map((at) => {
        const ids = own.blocks

          .filter(isWork)
          .find((x) => x.startS === best.beginsS)!
          .people.filter((d) => d.tries > 0 && d.turns > 0)
          .map((d) => d.studentId)
        const fresh = ids.map((id) => armsThrough(practice, own, id).find((r) => r.startS === at)!.fresh)
        return fresh.reduce((x, y) => x + y, 0) / fresh.length
      })
      expect(best.bestFresh).toBeCloseTo(Math.max(...means), 9)
    }),
    { numRuns: 8 },
  )
  expect(some).toBeGreaterThan(0)
  const at = { beginsS: 1980, fresh: 0.91, bestS: 1260, bestFresh: 0.98 }
  expect(describeBestMinute(at)).toBe(
    'First tries begin at 33 min with arms 91 % fresh; they are freshest at 21 min, 98 %.',
  )
  expect(describeBestMinute({ ...at, bestFresh: 0.93 })).toMatch(/as good as any minute/)
  expect(describeBestMinute(null)).toBe('')
})

it('says why somebody does what they do', () => {
  const why = (i: number, variantId: string | null, purpose: string, part = {}) =>
    describeWhy(practice, b.people[i]!, { ...WAITING, studentId: 'p', variantId, ...part }, purpose)
  expect(why(0, 'FS-09', 'peak:FS')).toBe('Their next step.')
  expect(why(0, 'FS-09', 'peak:FS', { helper: 'teacher' })).toMatch(/first time, with a helper/)
  expect(why(0, 'FS-07', 'peak:FS')).toMatch(/^Where they stand; next is dolphin hops\.$/)
  expect(why(1, 'FS-05', 'peak:FS')).toBe('Where they stand.')
  expect(why(0, 'FS-03c', 'skill:FS')).toMatch(/they hold it/)
  expect(why(0, 'DR-dolphin-rock', 'train:SP')).toMatch(/with the others/)
  expect(why(0, 'DR-eagle-arms', 'skill:FS')).toMatch(/by other means/)
  expect(why(0, null, 'peak:FS')).toMatch(/Nothing of this is open/)
  expect(why(0, 'SH-01', 'peak:FS', { inPlace: true })).toMatch(/^Stands in/)
  expect(why(0, 'FS-12', 'peak:FS', { override: 'seen-it' })).toMatch(/^Fixed by you/)
})

it('says turns and places as a teacher would', () => {
  const doing = { ...WAITING, studentId: 'p', variantId: 'x', turns: 3 }
  expect(describeTurns({ ...doing, holdS: 10, reps: 2, sides: true }, { waves: 1 })).toBe(
    '3 turns: 2 times 10 s, each side.',
  )
  expect(describeTurns({ ...doing, holdS: 15, reps: 2, tries: 4, sides: true }, { waves: 1 })).toBe(
    '3 turns: 2 tries 15 s at most, each side.',
  )
  expect(describeTurns({ ...doing, reps: 5 }, { waves: 1 })).toBe('3 turns: 5 times.')
  expect(describeTurns({ ...doing, holdS: 40 }, { waves: 1 }, 180)).toMatch(/^Stay in it/)
  // A limit of seconds is no invitation to stay.
  const change = { mostSeconds: 20, share: 1, words: [] }
  expect(describeTurns({ ...doing, holdS: 20, change }, { waves: 1 }, 180)).toBe('3 turns: 20 s.')
  expect(describeTurns({ ...doing, turns: 0 }, { waves: 1 })).toBe('')
  // Up in every wave: as many turns as there are waves, each set.
  expect(describeTurns({ ...doing, reps: 5, every: true }, { waves: 2 })).toBe('6 turns: 5 times.')
  const room = {
    ...b.room,
    mats: [
      { id: 'mat-a0', inFall: [] },
      { id: 'mat-a1', inFall: [] },
    ],
  }
  expect(['bay-2', 'mat-a1', 'open', null].map((p) => placeName(p, room))).toEqual([
    'bay 2',
    'mat 2',
    'open floor',
    '',
  ])
})

describe('the search beside the page', () => {
  const { model, starts } = must(startsFor(practice, b))
  it('tells of better plans only, each legal and each better than the last, and needs no word of anybody’s limits', () => {
    const bare = withoutWords(model)
    // A model in which every option is changed by a limit and stands in for something.
    const change = { mostSeconds: 10, share: 0.5, words: ['Speak a sentence.'] }
    const slots = model.slots.map((slot) => ({
      ...slot,
      options: slot.options.map((list) => list.map((o) => ({ ...o, change, inPlace: true }))),
    }))
    expect(/Speak|mostSeconds|"inPlace":true/.test(JSON.stringify(withoutWords({ ...model, slots })))).toBe(
      false,
    )
    expect(printOf(bare)).toBe(printOf(model))
    const told: SearchTold[] = []
    let rounds = 0
    searchOn(
      { model: bare, starts: [starts.at(-1)!.state] },
      (t) => told.push(t),
      () => (rounds += 1) > 3,
    )
    const better = told.flatMap((t) => (t.kind === 'better' ? [t] : []))
    expect(told.at(-1)).toEqual({ kind: 'done' })
    expect(better.length).toBeGreaterThan(0)
    const points = better.map((t) => foundFrom(model, [t.state])[0]!.outcome)
    expect(points.every((o) => o.isLegal)).toBe(true)
    expect(points.map((o) => o.points)).toEqual(points.map((o) => o.points).toSorted((x, y) => x - y))
    for (const t of better) expect(fits(model, t.state)).toBe(true)
  })
  it('what does not belong to a model is not taken', () => {
    const { state } = starts[0]!
    expect(fits(model, { ...state, config: [99] })).toBe(false)
    expect(fits(model, { ...state, option: state.option.map((o) => o.map(() => 99)) })).toBe(false)
    expect(fits(model, { ...state, option: state.option.map((o) => o.slice(1)) })).toBe(false)
    expect(printOf({ ...model, minutes: 61 })).not.toBe(printOf(model))
  })
  it('says what is better and what it costs', () => {
    expect(describeBetter([0, -5, 300, 1, -3, -12, 0, -2], [0, -5, 312, 1, -3, -13.5, 0, -2])).toBe(
      'Better by 11 points: more at their own next step and what is short. For that: one more version to explain.',
    )
  })
})
