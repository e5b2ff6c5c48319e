import { blockOf, brief, limited, person, planOf } from '@/testing/briefs'
import { shippedPractice } from '../practice/library'
import { validatePlan } from './check/validate'
import { asItHolds } from './now'

const practice = shippedPractice()
const able = { standingId: 'FS-10a', targetId: null, outcome: 'held' as const }
const people = (...conditions: string[]) => [
  person(1, { ...able, limits: limited(...conditions) }),
  person(2, { ...able, limits: limited() }),
  person(3, { ...able, limits: limited() }),
]
const made = brief({ people: people() })
const stageOf = (plan: ReturnType<typeof planOf>) => blockOf(plan, 'waves').versions[0]?.stageId

describe('a plan as it holds on the day', () => {
  it('is the plan where nothing has changed', () => {
    const plan = planOf(made)
    expect(asItHolds(practice, plan, made, 'FS')).toEqual(plan)
  })
  it('places whom a new Stop bars on what is open, and leaves the others where they are', () => {
    const now = brief({ people: people('BPH-open') })
    const plan = planOf(made)
    const held = asItHolds(practice, plan, now, 'FS')
    expect(stageOf(plan)).toBe('FS-10a')
    expect(stageOf(held)).not.toBe('FS-10a')
    expect(blockOf(held, 'waves').versions.slice(1)).toEqual(blockOf(plan, 'waves').versions.slice(1))
    expect(validatePlan(practice, now, held).filter((v) => v.code === 'closed')).toEqual([])
  })
  it('a reason of the teacher’s stands against what is left out, and never against a Stop', () => {
    const lock = { studentId: 'p1', part: 'waves' as const, stageId: 'FS-10a', reason: 'seen-it' as const }
    const plan = planOf({ ...made, locks: [lock] })
    const leftOut = { ...brief({ people: people('ENERGY-low') }), locks: [lock] }
    const barred = { ...brief({ people: people('BPH-open') }), locks: [lock] }
    expect(stageOf(asItHolds(practice, plan, leftOut, 'FS'))).toBe('FS-10a')
    expect(stageOf(asItHolds(practice, plan, barred, 'FS'))).not.toBe('FS-10a')
  })
  it('says how a limit changes what stays, and keeps whoever is not on the list any more', () => {
    const now = brief({ people: people('SHO-pain').slice(0, 2) })
    const held = asItHolds(practice, planOf(made), now, 'FS')
    expect(blockOf(held, 'skill').versions[0]?.change?.words).toEqual([expect.stringMatching(/knees down/i)])
    expect(blockOf(held, 'skill').versions).toHaveLength(3)
  })
})
