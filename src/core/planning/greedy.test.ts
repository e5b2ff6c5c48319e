import fc from 'fast-check'
import { blockOf, brief, limited, person, planOf, anyBrief } from '@/testing/briefs'
import { versionsOf, type Plan } from '../classes/plan'
import { shippedPractice } from '../practice/library'
import { judgeLoad, NO_LIMITS } from '../screening/caps'
import { describePlanRefusal, describePlanWarning } from '../words/plan'
import { validatePlan } from './check/validate'
import { greedyPlan } from './greedy'

const practice = shippedPractice()

describe('the greedy plan', () => {
  it('breaks no hard rule, whoever comes, with limits, answers and locks of the teacher’s', () => {
    fc.assert(
      fc.property(anyBrief, (b) => {
        const broken = validatePlan(practice, b, planOf(b))
        // What a teacher fixed above what is recorded is theirs, and is said.
        expect(broken.filter((v) => v.code !== 'above-decision' || !v.overridden)).toEqual([])
      }),
    )
  })
  it('places nobody on what a Stop closes, nor on what is left out without the teacher’s word', () => {
    fc.assert(
      fc.property(anyBrief, (b) => {
        for (const version of planOf(b).blocks.flatMap(versionsOf)) {
          if (version.stageId === null) continue
          const { limits } = b.people.find((p) => p.studentId === version.studentId)!
          const caps = limits.map((limit) => ({ ...limit, ruleId: '' }))
          const { load } = practice.stages.find((s) => s.id === version.stageId)!
          const { verdict } = judgeLoad(load, { caps })
          expect(verdict).not.toBe('barred')
          if (version.override === null) expect(verdict).not.toBe('left-out')
        }
      }),
    )
  })
  it('fills the class to the minute, in order', () => {
    const plan = planOf(brief())
    expect(plan.blocks.map((b) => b.kind)).toEqual(['warm-up', 'skill', 'waves', 'counterpose', 'rest'])
    const last = plan.blocks.at(-1)!
    expect(last.startS + last.seconds).toBe(30 * 60)
  })
  it('gives 45 of every 100 minutes between warm-up and counterpose to the skill, the rest to the wall', () => {
    const plan = planOf(brief({ minutes: 60 }))
    const [skill, waves] = [blockOf(plan, 'skill').seconds, blockOf(plan, 'waves').seconds]
    expect(skill / (skill + waves)).toBeCloseTo(0.45, 1)
  })
  it('never plans leaving the floor while screening is not recorded', () => {
    const plan = planOf(
      brief({
        people: [1, 2, 3].map((i) => person(i, { standingId: 'FS-10a', targetId: null, outcome: 'held' })),
      }),
    )
    expect(blockOf(plan, 'waves').versions.map((v) => v.stageId)).toEqual(['FS-06', 'FS-06', 'FS-06'])
  })
  it('plans nothing that limits close, follows no lock on a barred stage, and the validator says so by itself', () => {
    const barred = person(1, { standingId: 'FS-09', targetId: 'FS-10a', limits: limited('EYE-P') })
    const free = { limits: limited(), standingId: 'FS-10a', targetId: null, outcome: 'held' as const }
    const b = brief({
      people: [barred, person(2, free), person(3, free)],
      locks: [{ studentId: 'p1', part: 'waves', stageId: 'FS-10a', reason: 'seen-it' }],
    })
    const plan = planOf(b)
    const [first, second] = blockOf(plan, 'waves').versions
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
    expect(validatePlan(practice, b, forced)).toContainEqual({
      code: 'closed',
      studentId: 'p1',
      stageId: 'FS-10a',
    })
  })
  it('plans a first solo kick only once the teacher has looked at the offer, and nothing that is held back', () => {
    const offered = { standingId: 'FS-09', targetId: 'FS-10a', outcome: 'offer' as const, limits: NO_LIMITS }
    const stages = (looked: 'accept' | 'hold-back' | null) => {
      const b = brief({
        people: [
          person(1, { ...offered, looked: looked ? { answer: looked, reason: null } : null }),
          person(2),
          person(3),
        ],
      })
      const plan = planOf(b)
      expect(validatePlan(practice, b, plan)).toEqual([])
      return [b, plan, blockOf(plan, 'waves').versions[0]?.stageId] as const
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
    const turns = blockOf(plan, 'waves').sets
    expect(turns).toBeGreaterThan(2)
    const strict = { ...free, people: [1, 2, 3, 4].map((i) => person(i, { mostAttempts: 2 })) }
    expect(blockOf(planOf(strict), 'waves').sets).toBe(2)
    expect(validatePlan(practice, strict, plan)).toContainEqual({
      code: 'too-many-attempts',
      studentId: 'p1',
      turns,
      most: 2,
    })
    expect(validatePlan(practice, strict, planOf(strict))).toEqual([])
  })
  it('gives fewer turns in somebody’s first month, while the others go on', () => {
    const b = brief({ minutes: 90, people: [person(1, { mostAttempts: 1 }), person(2), person(3)] })
    const plan = planOf(b)
    const turns = blockOf(plan, 'waves').turns.flatMap((t) => t.up.map((u) => u.studentId))
    const of = (i: number): number => turns.filter((id) => id === person(i).studentId).length
    expect([of(1), of(2) > 1, of(2) === of(3)]).toEqual([1, true, true])
    expect(validatePlan(practice, b, plan)).toEqual([])
    const free = planOf({ ...b, people: [person(1), person(2), person(3)] })
    expect(validatePlan(practice, b, free)).toContainEqual({
      code: 'too-many-attempts',
      studentId: 'p1',
      turns: blockOf(free, 'waves').sets,
      most: 1,
    })
  })
  it('goes one rung down for whoever steps back', () => {
    const plan = planOf(
      brief({
        people: [
          person(1),
          person(2),
          person(3, { standingId: 'FS-06', targetId: 'FS-05', outcome: 'step-back' }),
        ],
      }),
    )
    expect(blockOf(plan, 'skill').versions[2]?.stageId).toBe('FS-05')
  })
  it('takes a version without the prop when the cupboard is empty, and says so', () => {
    const plan = planOf(
      brief({
        cupboard: { straps: 0, blocks: 0 },
        people: [1, 2, 3].map((i) => person(i, { standingId: 'FS-05' })),
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
    expect(blockOf(plan, 'waves').versions[1]).toMatchObject({ stageId: 'FS-09', override: 'spotter-beside' })
  })
  it('plans in a wink for thirty people', () => {
    expect(
      planOf(brief({ people: Array.from({ length: 30 }, (_, i) => person(i)), minutes: 90 })).blocks,
    ).toHaveLength(5)
  })
  it.each([
    [{ people: [person(1), person(2)] }, 'A class needs at least 3 people; 2 people picked.'],
    [{ minutes: 10 }, 'A class lasts 20 to 120 minutes.'],
    [{ bays: 0 }, 'At least one wall bay is needed for turns at the wall.'],
  ])('refuses %p', (part, words) => {
    const plan = greedyPlan(practice, brief(part), 'FS')
    expect(!plan.ok && describePlanRefusal(plan.refusal)).toBe(words)
  })
})
