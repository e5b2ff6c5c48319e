import fc from 'fast-check'
import { must } from '@/testing/bodies'
import { library } from '../practice/library'
import { capsFrom, NO_LIMITS } from '../screening/caps'
import { describePlanRefusal, describePlanWarning, describeViolation } from '../words/plan'
import { greedyPlan } from './greedy'
import type { ClassBrief, Participant, Plan } from './plan'
import { validatePlan, type Violation } from './validate'
import { planWaves } from './waves'

const practice = library()
const person = (i: number, part: Partial<Participant> = {}): Participant => ({
  studentId: `p${i}`,
  breathS: 5,
  standingId: 'FS-04',
  targetId: 'FS-05',
  outcome: 'near',
  ...part,
})
const brief = (part: Partial<ClassBrief> = {}): ClassBrief => ({
  minutes: 30,
  bays: 2,
  stock: { straps: 12, blocks: 12 },
  locks: [],
  participants: [1, 2, 3, 4].map((i) => person(i)),
  ...part,
})
const planOf = (b: ClassBrief): Plan => must(greedyPlan(practice, b))
const block = <K extends Plan['blocks'][number]['kind']>(plan: Plan, kind: K) =>
  plan.blocks.find((b): b is Extract<Plan['blocks'][number], { kind: K }> => b.kind === kind)!

const anyParticipant = fc.record({
  standingId: fc.constantFrom(
    null,
    'FS-01',
    'FS-02',
    'FS-03a',
    'FS-03b',
    'FS-05',
    'FS-06',
    'FS-09',
    'FS-10a',
  ),
  outcome: fc.constantFrom(
    'offer' as const,
    'once-more' as const,
    'near' as const,
    'build' as const,
    'step-back' as const,
  ),
  targetId: fc.constantFrom('FS-01', 'FS-02', 'FS-03a', 'FS-04', 'FS-09', 'FS-10a'),
})
const anyBrief = fc
  .record({
    people: fc.array(anyParticipant, { minLength: 3, maxLength: 16 }),
    minutes: fc.integer({ min: 20, max: 90 }),
    bays: fc.integer({ min: 1, max: 5 }),
    straps: fc.nat(8),
    blocks: fc.nat(12),
  })
  .map(({ people, minutes, bays, straps, blocks }) =>
    brief({
      minutes,
      bays,
      stock: { straps, blocks },
      participants: people.map((p, i) => ({ ...p, studentId: `p${i}`, breathS: 5 })),
    }),
  )

describe('the greedy plan', () => {
  it('breaks no hard rule, whoever comes', () => {
    fc.assert(fc.property(anyBrief, (b) => expect(validatePlan(practice, b, planOf(b))).toEqual([])))
  })
  it('fills the class to the minute, in order', () => {
    const plan = planOf(brief())
    expect(plan.blocks.map((b) => b.kind)).toEqual(['warm-up', 'skill', 'waves', 'counterpose', 'rest'])
    const last = plan.blocks.at(-1)!
    expect(last.startS + last.seconds).toBe(30 * 60)
  })
  it('never plans leaving the floor while screening is not recorded', () => {
    const plan = planOf(
      brief({
        participants: [1, 2, 3].map((i) =>
          person(i, { standingId: 'FS-10a', targetId: null, outcome: 'held' }),
        ),
      }),
    )
    expect(block(plan, 'waves').versions.map((v) => v.stageId)).toEqual(['FS-06', 'FS-06', 'FS-06'])
  })
  it('plans nothing that limits close, follows no lock on a barred stage, and the validator says so by itself', () => {
    const limited = (...conditions: string[]) =>
      capsFrom(practice, { set: new Set(conditions), unknown: [] }, [], '2026-03-10')
    const barred = person(1, { standingId: 'FS-09', targetId: 'FS-10a', limits: limited('EYE-P') })
    const free = { limits: limited(), standingId: 'FS-10a', targetId: null, outcome: 'held' as const }
    const b = brief({
      participants: [barred, person(2, free), person(3, free)],
      locks: [{ studentId: 'p1', part: 'waves', stageId: 'FS-10a', reason: 'seen-it' }],
    })
    const plan = planOf(b)
    const [first, second] = block(plan, 'waves').versions
    expect(practice.stages.find((s) => s.id === first?.stageId)?.load.HBH ?? 0).toBeLessThan(2)
    expect(second?.stageId).toBe('FS-10a')
    expect(validatePlan(practice, b, plan)).toEqual([])
    const forced: Plan = {
      ...plan,
      blocks: plan.blocks.map((x) =>
        x.kind === 'waves'
          ? {
              ...x,
              versions: x.versions.map((v) =>
                v.studentId === 'p1' ? { ...v, stageId: 'FS-10a', override: 'seen-it' as const } : v,
              ),
            }
          : x,
      ),
    }
    expect(validatePlan(practice, b, forced)).toContainEqual(
      expect.objectContaining({ code: 'above-decision', studentId: 'p1', overridden: false }),
    )
  })
  it('plans a first solo kick only once the teacher has looked at the offer, and nothing that is held back', () => {
    const offered = { standingId: 'FS-09', targetId: 'FS-10a', outcome: 'offer' as const, limits: NO_LIMITS }
    const stages = (looked: 'accept' | 'hold-back' | null) => {
      const b = brief({
        participants: [
          person(1, { ...offered, looked: looked ? { answer: looked, reason: null } : null }),
          person(2),
          person(3),
        ],
      })
      const plan = planOf(b)
      expect(validatePlan(practice, b, plan)).toEqual([])
      return [b, plan, block(plan, 'waves').versions[0]?.stageId] as const
    }
    const [waiting, , before] = stages(null)
    const [, accepted, after] = stages('accept')
    expect([before === 'FS-10a', after]).toEqual([false, 'FS-10a'])
    expect(stages('hold-back')[2]).not.toBe('FS-10a')
    expect(validatePlan(practice, waiting, accepted).map((v) => v.code)).toContain('above-decision')
  })
  it('gives nobody more turns than the studio allows, and the validator counts them by itself', () => {
    const free = brief({ minutes: 90 })
    const plan = planOf(free)
    const turns = block(plan, 'waves').sets
    expect(turns).toBeGreaterThan(2)
    const strict = { ...free, mostAttempts: 2 }
    expect(block(planOf(strict), 'waves').sets).toBe(2)
    expect(validatePlan(practice, strict, plan)).toContainEqual({
      code: 'too-many-attempts',
      turns,
      most: 2,
    })
    expect(validatePlan(practice, strict, planOf(strict))).toEqual([])
  })
  it('gives fewer turns in somebody’s first month, while the others go on', () => {
    const b = brief({ minutes: 90, participants: [person(1, { mostAttempts: 1 }), person(2), person(3)] })
    const plan = planOf(b)
    const turns = block(plan, 'waves').turns.flatMap((t) => t.up.map((u) => u.studentId))
    const of = (i: number): number => turns.filter((id) => id === person(i).studentId).length
    expect([of(1), of(2) > 1, of(2) === of(3)]).toEqual([1, true, true])
    expect(validatePlan(practice, b, plan)).toEqual([])
    const free = planOf({ ...b, participants: [person(1), person(2), person(3)] })
    expect(validatePlan(practice, b, free)).toContainEqual({
      code: 'too-many-attempts',
      turns: block(free, 'waves').sets,
      most: 1,
    })
  })
  it('goes one rung down for whoever steps back', () => {
    const plan = planOf(
      brief({
        participants: [
          person(1),
          person(2),
          person(3, { standingId: 'FS-06', targetId: 'FS-05', outcome: 'step-back' }),
        ],
      }),
    )
    expect(block(plan, 'skill').versions[2]?.stageId).toBe('FS-05')
  })
  it('takes a version without the prop when the cupboard is empty, and says so', () => {
    const plan = planOf(
      brief({
        stock: { straps: 0, blocks: 0 },
        participants: [1, 2, 3].map((i) => person(i, { standingId: 'FS-05' })),
      }),
    )
    expect(plan.pull).toEqual({ straps: 0, blocks: 0 })
    expect(plan.warnings.map(describePlanWarning)).toContain(
      '3 blocks short: share across waves, or a thick book tied shut.',
    )
  })
  it('keeps a version the teacher fixed', () => {
    const plan = planOf(
      brief({ locks: [{ studentId: 'p2', part: 'waves', stageId: 'FS-09', reason: 'spotter-beside' }] }),
    )
    expect(block(plan, 'waves').versions[1]).toMatchObject({ stageId: 'FS-09', override: 'spotter-beside' })
  })
  it('plans in a wink for thirty people', () => {
    expect(
      planOf(brief({ participants: Array.from({ length: 30 }, (_, i) => person(i)), minutes: 90 })).blocks,
    ).toHaveLength(5)
  })
  it.each([
    [{ participants: [person(1), person(2)] }, 'A class needs at least 3 people; 2 people picked.'],
    [{ minutes: 10 }, 'A class lasts 20 to 120 minutes.'],
    [{ bays: 0 }, 'At least one wall bay is needed for turns at the wall.'],
  ])('refuses %p', (part, words) => {
    const plan = greedyPlan(practice, brief(part))
    expect(!plan.ok && describePlanRefusal(plan.refusal)).toBe(words)
  })
})

describe('waves', () => {
  const versions = (n: number) =>
    Array.from({ length: n }, (_, i) => ({
      studentId: `p${i}`,
      stageId: 'FS-04',
      setupId: 's',
      straps: 0,
      blocks: 0,
      override: null,
    }))

  it('N = 11 at 4 places in 14 minutes: 3 waves of 80 s, 3 sets (class-craft.md 8)', () => {
    const { turns, sets } = planWaves(versions(11), 4, 14 * 60, 0, () => 0)
    expect(sets).toBe(3)
    expect(turns).toHaveLength(9)
    expect(turns[1]!.startS - turns[0]!.startS).toBe(80)
  })
  it('turns every second set round, so the same people are not always last', () => {
    const { turns } = planWaves(versions(4), 2, 600, 0, () => 0)
    expect(turns[0]!.up).toEqual(turns[3]!.up)
  })
  it('adds rest where one wave would leave none', () => {
    const { turns } = planWaves(versions(2), 2, 600, 0, () => 0)
    expect(turns[1]!.startS - turns[0]!.startS).toBe(120)
  })
  it('shortens turns before giving none', () =>
    expect(planWaves(versions(6), 1, 400, 0, () => 0)).toMatchObject({ sets: 1, turnS: 45, changeS: 15 }))
  it('everybody gets the same number of turns', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 20 }),
        fc.integer({ min: 1, max: 6 }),
        fc.integer({ min: 60, max: 3000 }),
        (n, bays, seconds) => {
          const { turns, sets } = planWaves(versions(n), bays, seconds, 0, () => 0)
          const count = new Map<string, number>()
          for (const { up } of turns)
            for (const { studentId } of up) count.set(studentId, (count.get(studentId) ?? 0) + 1)
          expect([...count.values()].every((c) => c === sets)).toBe(true)
          expect(count.size).toBe(sets === 0 ? 0 : n)
        },
      ),
    )
  })
})

describe('the validator finds each planted break', () => {
  const good = planOf(brief())
  const withBlock = (kind: string, change: (b: never) => object): Plan => ({
    ...good,
    blocks: good.blocks.map((b) => (b.kind === kind ? { ...b, ...change(b as never) } : b)),
  })
  const wave = block(good, 'waves')
  const turn = wave.turns[0]!
  const cases: [Violation['code'], Plan, ClassBrief?][] = [
    ['over-time', good, brief({ minutes: 25 })],
    ['blocks-overlap', withBlock('skill', () => ({ startS: 0 }))],
    [
      'bay-shared',
      withBlock('waves', () => ({ turns: [{ ...turn, up: turn.up.map((p) => ({ ...p, bay: 1 })) }] })),
    ],
    ['bay-missing', withBlock('waves', () => ({ turns: [{ ...turn, up: [{ bay: 7, studentId: 'p1' }] }] }))],
    [
      'twice-at-once',
      withBlock('waves', () => ({
        turns: [{ ...turn, up: [1, 2].map((bay) => ({ bay, studentId: 'p1' })) }],
      })),
    ],
    [
      'above-decision',
      withBlock('skill', () => ({
        versions: [{ ...wave.versions[0]!, stageId: 'FS-09' }, ...wave.versions.slice(1)],
      })),
    ],
    [
      'stock-exceeded',
      withBlock('skill', () => ({ versions: wave.versions.map((v) => ({ ...v, blocks: 9 })) })),
    ],
    ['load-without-warm-up', withBlock('warm-up', () => ({ items: [] }))],
    ['load-without-counterpose', withBlock('counterpose', () => ({ items: [] }))],
    ['left-out', withBlock('skill', () => ({ versions: wave.versions.slice(1) }))],
  ]
  it.each(cases)('%s', (code, plan, b = brief()) => {
    const found = validatePlan(practice, b, plan)
    expect(found.map((v) => v.code)).toContain(code)
    for (const violation of found)
      expect(describeViolation(violation, practice, () => 'Ines')).toMatch(/^[A-Z0-9].*\.$/)
  })
  it('lists an overridden version as the teacher’s own call', () => {
    const b = brief({ locks: [{ studentId: 'p1', part: 'waves', stageId: 'FS-09', reason: 'seen-it' }] })
    expect(validatePlan(practice, b, planOf(b))).toContainEqual({
      code: 'above-decision',
      studentId: 'p1',
      stageId: 'FS-09',
      overridden: true,
    })
  })
})
