import { isWork, type Plan } from '../classes/plan'
import { USUAL_AIM } from '../classes/aim'
import type { Brief } from '../classes/brief'
import { shippedPractice } from '../practice/library'
import type { Family } from '../practice/schema'
import { NO_LIMITS } from '../screening/caps'
import { describeRun, describeTurns } from '../words/turns'
import { brief, limited, person, unasked } from '@/testing/briefs'
import { must } from '@/testing/bodies'
import { validatePlan } from './check/validate'
import { dealWaves } from './deal'
import { onTheHope } from './hope'
import { buildModel } from './model'
import { asItHolds } from './now'
import { ownTurn } from './option'
import { planClass } from './plan-class'
import { variantsOf } from './variants'

const practice = shippedPractice()
const at = (i: number, standingId: string | null, limits = NO_LIMITS) =>
  person(i, { family: 'SH', standingId, targetId: null, outcome: 'held', limits })
const classOf = (
  families: readonly Family[],
  people: Brief['people'],
  part: Parameters<typeof brief>[0] = {},
) => brief({ people, minutes: 60, aim: { ...USUAL_AIM, kind: 'practice', families: [...families] }, ...part })
const stayOf = (plan: Plan) => plan.blocks.filter(isWork).find((b) => b.kind === 'stay')!
const MIXED = ['SH-01', 'SH-01', 'SH-03', 'SH-09', 'SH-13', 'SH-14'].map((s, i) => at(i + 1, s))

describe('stays (ruling 24)', () => {
  it('are built once, entered once and left each in their own time, and nobody is sent up in sets', () => {
    const b = classOf(['SH'], MIXED)
    const { plan } = must(planClass(practice, b))
    expect(validatePlan(practice, b, plan)).toEqual([])
    expect(plan.blocks.some((x) => x.kind === 'peak')).toBe(false)
    const stay = stayOf(plan)
    expect(stay.sets).toBe(1)
    for (const d of stay.people) expect(d).toMatchObject({ turns: 1, reps: 1, sides: false })
    const holds = new Map(stay.people.map((d) => [d.studentId, d.holdS]))
    // Half a minute with the toes on the wall, a minute on the platform: not as long as the block.
    expect(holds.get('p5')).toBe(30)
    expect(holds.get('p6')).toBe(60)
    expect(Math.max(...[...holds.values()].map((h) => h ?? 0))).toBe(stay.workS)
    expect(describeTurns(stay.people[4]!, stay)).toBe('Once, 30 s; then out by its steps, and lie flat.')
    expect(describeRun(stay)).toMatch(/min to build, .* min at most in it/)
  })

  it('a limit of seconds ends one sooner, and what is closed is stayed in otherwise', () => {
    const people = [...MIXED, at(7, 'SH-13', limited('BPH-managed')), at(8, 'SH-13', limited('EYE-P'))]
    const b = classOf(['SH'], people)
    const { plan } = must(planClass(practice, b))
    expect(validatePlan(practice, b, plan)).toEqual([])
    const mine = (id: string) => stayOf(plan).people.find((d) => d.studentId === id)!
    const upside = practice.stages.filter((s) => (s.load.HBH ?? 0) >= 2).map((s) => s.id)
    expect(upside).not.toContain(mine('p8').variantId)
    const most = mine('p7').change?.mostSeconds
    if (most !== undefined && most !== null) expect(mine('p7').holdS).toBeLessThanOrEqual(most)
  })

  it('are entered once however short they are, and what is told in their place ends with them', () => {
    // Five quick breaths on the slab platform are fifteen seconds, which in sets are repeated.
    const quick = person(1, {
      ...{ family: 'SH', standingId: 'SH-11', targetId: null, outcome: 'held', limits: NO_LIMITS },
      breathS: 3,
    })
    const late = unasked(at(5, 'SH-13'))
    const b = classOf(['SH'], [quick, at(2, 'SH-01'), at(3, 'SH-09'), at(4, 'SH-01'), late], { bays: 4 })
    const { plan } = must(planClass(practice, b))
    expect(validatePlan(practice, onTheHope(b), plan)).toEqual([])
    const platform = variantsOf(practice).find((v) => v.id === 'SH-11')!
    expect(ownTurn(quick, platform, null, 300)).toMatchObject({ holdS: 15, reps: 1 })
    const told = stayOf(asItHolds(practice, plan, b))
    const mine = told.people.find((d) => d.studentId === 'p5')!
    expect(mine.holdS ?? 0).toBeLessThanOrEqual(told.workS)
  })

  it('two lie beside each other in one bay, and not where it is too narrow for both', () => {
    const b = classOf(
      ['SH'],
      [1, 2, 3, 4].map((i) => at(i, 'SH-01')),
      { bays: 2 },
    )
    const narrow = { ...b, room: { ...b.room, bays: b.room.bays.map((x) => ({ ...x, widthCm: 110 })) } }
    const together = (of: Brief) => {
      const model = buildModel(practice, of)
      const slot = model.slots.find((s) => s.purpose.kind === 'stay')!
      const legsUp = slot.options.map((own) => own.find((o) => model.variants[o.v]?.id === 'SH-01') ?? null)
      return dealWaves(
        model,
        slot.configs.find((c) => c.waves === 1)!,
        legsUp,
      )
    }
    expect(together(b)?.bay.toSorted((x, y) => x - y)).toEqual([0, 0, 1, 1])
    expect(together(narrow)).toBeNull()
    const { plan } = must(planClass(practice, b))
    expect(stayOf(plan).waves).toBe(1)
    expect(validatePlan(practice, b, plan)).toEqual([])
    expect(validatePlan(practice, narrow, plan).map((v) => v.code)).toContain('bay-shared')
  })

  it('stand beside the turns of the other family, after them', () => {
    const both = MIXED.map((p, i) => ({
      ...p,
      families: { ...p.families, FS: person(i + 1, { limits: NO_LIMITS }).families.FS! },
    }))
    const b = classOf(['FS', 'SH'], both, { minutes: 75 })
    const { plan } = must(planClass(practice, b))
    expect(validatePlan(practice, b, plan)).toEqual([])
    const kinds = plan.blocks.filter(isWork).map((x) => x.kind)
    expect(kinds.indexOf('stay')).toBeGreaterThan(kinds.indexOf('peak'))
    const turned = plan.blocks.filter(isWork).filter((x) => x.kind === 'peak')
    expect(
      turned.flatMap((x) => x.people.map((d) => d.variantId ?? '')).some((id) => id.startsWith('SH')),
    ).toBe(false)
  })

  it('count as tries of the class beside those in turns', () => {
    const held = (family: Family, id: string, i: number) =>
      person(i, {
        family,
        standingId: id,
        targetId: null,
        outcome: 'held',
        limits: NO_LIMITS,
        mostAttempts: 4,
      })
    const people = [1, 2, 3, 4].map((i) => {
      const crow = held('CR', 'CR-05', i)
      return { ...crow, families: { ...crow.families, SH: held('SH', 'SH-13', i).families.SH! } }
    })
    for (const minutes of [60, 75, 90]) {
      const b = classOf(['CR', 'SH'], people, { minutes, bays: 5 })
      const { plan } = must(planClass(practice, b, 600))
      expect(validatePlan(practice, b, plan)).toEqual([])
      const tries = plan.blocks.filter(isWork).flatMap((x) => x.people.filter((d) => d.studentId === 'p1'))
      expect(tries.reduce((sum, d) => sum + d.tries * d.turns, 0)).toBeLessThanOrEqual(4)
    }
  })

  it('take whoever has no wall to legs raised on a chair rather than to nothing', () => {
    const many = Array.from({ length: 7 }, (_, i) => at(i + 1, 'SH-01'))
    const { plan } = must(planClass(practice, classOf(['SH'], many, { bays: 1, minutes: 45 })))
    const ids = stayOf(plan).people.map((d) => d.variantId)
    expect(ids).not.toContain(null)
    expect(ids.filter((id) => id === 'SH-01' || id === 'CP-chair-rest').length).toBeGreaterThanOrEqual(6)
  })
})
