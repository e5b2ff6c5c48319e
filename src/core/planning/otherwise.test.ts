import { brief, person, stock } from '@/testing/briefs'
import { must } from '@/testing/bodies'
import { NO_LIMITS } from '../screening/caps'
import { CLASS_MINUTES } from '../classes/craft'
import { shippedPractice } from '../practice/library'
import { METRIC } from '../words/number'
import { describeMoreCome, describeOtherwise } from '../words/otherwise'
import { carried } from './carry'
import { evaluator } from './evaluate'
import { buildModel } from './model'
import { ifMoreCome, otherwise, settledPlan } from './otherwise'

const practice = shippedPractice()
const nameOf = (id: string): string => id.toUpperCase()
/** Kickers with one place at the wall between them. */
const KICKERS = [1, 2, 3, 4, 5, 6].map((i) =>
  person(i, {
    // They hold the kick: what is scarce is the wall, and not the eyes that a first try wants to itself.
    ...{ standingId: 'FS-12', targetId: null, outcome: 'held', limits: NO_LIMITS },
    touch: 'yes',
  }),
)
const SHORT = brief({ bays: 1, minutes: 45, people: KICKERS })
const now = must(settledPlan(practice, SHORT))

describe('a class with one thing otherwise', () => {
  it('one place at the wall for six kickers: what a second one is worth is said in people, the same each time', () => {
    const bay = otherwise(practice, SHORT, now, 'bay')
    expect(bay?.gain).toBeGreaterThan(3)
    expect(bay?.people.length).toBeGreaterThan(0)
    expect(otherwise(practice, SHORT, now, 'bay')).toEqual(bay)
    expect(describeOtherwise(bay!, nameOf, METRIC)).toMatch(
      /^One place at the wall more: P\d.* (get|gets|works?|no longer waits?) .*\. \d+ points more\.$/,
    )
  })
  it('says which pieces are short, and none where the cupboard is full', () => {
    const people = [1, 2, 3, 4, 5, 6].map((i) =>
      person(i, { standingId: 'FS-04', targetId: 'FS-05', outcome: 'offer', limits: NO_LIMITS }),
    )
    const none = stock({ block: 0, strap: 0, chair: 0, bolster: 0, blanket: 0, slab: 0 })
    const bare = { ...brief({ minutes: 45, people }), cupboard: none }
    const found = otherwise(practice, bare, must(settledPlan(practice, bare)), 'pieces')
    expect(found && describeOtherwise(found, nameOf, METRIC)).toMatch(/^\d (straps?|blocks?).* more: /)
    expect(otherwise(practice, SHORT, now, 'pieces')).toBeNull()
  })
  it('never leaves a family out of one, nor lengthens the longest class', () => {
    expect(otherwise(practice, SHORT, now, 'family')).toBeNull()
    expect(otherwise(practice, { ...SHORT, minutes: CLASS_MINUTES.max }, now, 'minutes')).toBeNull()
  })
})

describe('two more at the door', () => {
  it('are given gentle versions and take nothing from six people with room enough', () => {
    const b = brief({ people: [1, 2, 3].map((i) => person(i, { limits: NO_LIMITS })) })
    const settled = must(settledPlan(practice, b))
    // Three people on the floor have wall enough: one more place is not put forward.
    expect(otherwise(practice, b, settled, 'bay')).toBeNull()
    const more = ifMoreCome(practice, b, settled)
    expect(more).toMatchObject({ extra: 2, holds: true, worse: [], noMat: 0 })
    expect(describeMoreCome(more, nameOf)).toMatch(/^2 more can come: nobody’s work gets less\./)
  })
  it('without a mat is said', () => {
    const mats = [1, 2, 3].map((i) => ({ id: `mat-${i}`, inFall: [] }))
    const b = { ...brief({ people: [1, 2, 3].map((i) => person(i)) }), room: { bays: [], mats, open: 0 } }
    const more = ifMoreCome(practice, b, must(settledPlan(practice, b)))
    expect(more.noMat).toBe(2)
    expect(describeMoreCome(more, nameOf)).toMatch(/2 people would have no mat place/)
  })
})

it('a state carried into the same model is the same class, and into one with somebody new it waits for them', () => {
  const { model, found } = now
  const same = carried(model, found.state, model)
  expect(evaluator(model).evaluate(same!).points).toBeCloseTo(found.outcome.points, 6)
  const more = buildModel(practice, { ...SHORT, people: [person(9), ...SHORT.people] })
  const wider = carried(model, found.state, more)
  expect(wider?.option.every((o) => o[0] === -1)).toBe(true)
})
