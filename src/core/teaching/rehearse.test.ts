import fc from 'fast-check'
import { isWork, type Plan } from '../classes/plan'
import { planClass } from '../planning/plan-class'
import { shippedPractice } from '../practice/library'
import { describeEvenings, describeIfLate } from '../words/rehearse'
import { anyBrief, brief, person, planOf } from '@/testing/briefs'
import { runs } from '@/testing/runs'
import { WORKED } from '@/testing/worked-class'
import { ifLate, notYetRate, rehearse } from './rehearse'

const practice = shippedPractice()
const worked = planOf(WORKED)
const nameOf = (id: string): string => `Name ${id}`
/** The same plan in a class so many minutes longer: everything has time. */
const longer = (plan: Plan, minutes: number): Plan => ({ ...plan, minutes: plan.minutes + minutes })

describe('the hour rehearsed', () => {
  it('loses nothing where there is time for all of it, and more the less there is', () => {
    const happened = [0, 5, 10, 20, 60].map((more) => rehearse(longer(worked, more)).happened)
    expect(happened.at(-1)).toBe(1)
    for (const [i, h] of happened.slice(1).entries()) expect(h).toBeGreaterThanOrEqual(happened[i]!)
    expect(happened[0]).toBeLessThan(1)
    expect(rehearse(longer(worked, 60))).toMatchObject({ falls: [], saves: null })
  })
  it('answers the same every time', () => {
    expect(rehearse(worked)).toEqual(rehearse(worked))
  })
  it('names shares that are shares, blocks of the plan and people of the block; saving saves', () => {
    fc.assert(
      fc.property(anyBrief, (b) => {
        const made = planClass(practice, b, 60)
        if (!made.ok) return
        const { plan } = made.value
        const { happened, falls, saves } = rehearse(plan, {}, 60)
        expect(happened).toBeGreaterThanOrEqual(0)
        expect(happened).toBeLessThanOrEqual(1)
        for (const { purpose, share, people } of falls) {
          const block = plan.blocks.filter(isWork).find((x) => x.purpose === purpose)
          expect(share).toBeGreaterThan(0.05)
          for (const id of people) expect(block?.people.map((p) => p.studentId)).toContain(id)
        }
        if (saves) expect(saves.happened).toBeGreaterThanOrEqual(happened + 0.02)
      }),
      { numRuns: runs(8) },
    )
  })
  it('whoever is never clean takes words, and words take minutes', () => {
    const ids = WORKED.people.map((p) => p.studentId)
    const all = (rate: number) => Object.fromEntries(ids.map((id) => [id, rate]))
    expect(rehearse(worked, all(1)).happened).toBeLessThanOrEqual(rehearse(worked, all(0)).happened)
  })
  it('what a record says of somebody counts more the longer it is', () => {
    expect(notYetRate([])).toBeCloseTo(0.3)
    expect(notYetRate([false])).toBeCloseTo(2.5 / 6)
    expect(notYetRate(Array.from({ length: 95 }, () => true))).toBeCloseTo(0.015)
  })
  it('is told in two sentences', () => {
    const [fell, saved] = describeEvenings(practice, rehearse(worked), nameOf)
    expect(fell).toMatch(/^Rehearsed 200 times, .* \d+ of 100 turns .*“.*” *, in \d+ of 100 evenings.*\.$/)
    expect(saved).toMatch(/\.$/)
    expect(describeEvenings(practice, rehearse(longer(worked, 60)), nameOf)).toEqual([
      expect.stringContaining('nothing tends to be lost'),
      'Nothing has to be given up beforehand.',
    ])
  })
})

describe('what goes when the hour begins late', () => {
  it('gives more the later it is, strength first, and says how much later the class ends', () => {
    const found = ifLate(worked)
    expect(found.map((f) => f.lateS)).toEqual([180, 360, 540])
    const given = found.map(({ gives, leftS }) => gives.reduce((sum, g) => sum + g.fromS - g.toS, leftS))
    for (const [i, g] of given.slice(1).entries()) expect(g).toBeGreaterThanOrEqual(given[i]!)
    expect(found[0]!.gives.map((g) => worked.blocks[g.blockIndex]?.kind)).toEqual(['train'])
    const lines = describeIfLate(practice, worked, found)
    expect(lines[0]).toMatch(/^3 min late: .*\.$/)
    expect(describeIfLate(practice, worked, ifLate(longer(worked, 30)))[2]).toBe(
      '9 min late: nothing has to give.',
    )
    const short = planOf(brief({ people: [1, 2, 3].map((i) => person(i)), minutes: 30 }))
    const bare = { ...short, blocks: short.blocks.filter((b) => !isWork(b)), minutes: 10 }
    expect(describeIfLate(practice, bare, ifLate(bare))[2]).toMatch(/the class ends \d+ minutes? later\.$/)
  })
})
