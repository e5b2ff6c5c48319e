import fc from 'fast-check'
import { planClass } from '../planning/plan-class'
import { validatePlan } from '../planning/check/validate'
import { variantsOf } from '../planning/variants'
import { findById } from '../practice/find'
import { integrityFlaws } from '../practice/integrity'
import { shippedPractice, type Library } from '../practice/library'
import { withOverrides, type Override } from '../practice/override'
import { FAMILIES } from '../practice/schema'
import { NO_LIMITS } from '../screening/caps'
import { insteadOf } from '../screening/instead'
import { closesStage } from '../screening/stage-limits'
import { brief, limited, person } from '../../testing/briefs'
import { must } from '../../testing/bodies'
import { did, evidence, placed, ready, TODAY } from '../../testing/evidence'
import { isWork } from '../classes/plan'
import { allowedStages } from './allowed'
import { decide } from './decide'
import { ladderOf } from './ladder'
import { withPredecessors } from './ladder'
import { pathOf } from './path'
import { runs } from '@/testing/runs'

const practice = shippedPractice()
const step = (base: string, fields: Override['fields'] = {}): Override => ({
  ...{ kind: 'stage', id: `${base}-own-1a2` },
  fields: { base, name: 'Our own', ...fields },
})
const known = new Map<string, Library>()
const laid = (...overrides: Override[]): Library => {
  const key = JSON.stringify(overrides)
  const before = known.get(key)
  if (before) return before
  const made = withOverrides(overrides)
  if (!made.ok) throw new Error(JSON.stringify(made.refusal))
  known.set(key, made.value)
  return made.value
}
const anyStage = fc.constantFrom(...practice.stages)

describe('a step of a studio’s own', () => {
  it('is sound on whatever it is built on, loads as that does, and comes right after it', () => {
    fc.assert(
      fc.property(anyStage, (base) => {
        const made = laid(step(base.id))
        expect(integrityFlaws(made)).toEqual([])
        const own = findById(made.stages, `${base.id}-own-1a2`)
        expect([own.load, own.gates, own.setups, own.exits, own.family]).toEqual([
          ...[base.load, base.gates, base.setups, base.exits, base.family],
        ])
        const ids = made.stages.map((s) => s.id)
        expect(ids.indexOf(own.id)).toBe(ids.indexOf(base.id) + 1)
        for (const family of FAMILIES)
          expect(ladderOf(made, family).stages.map((s) => s.id)).toEqual(
            ladderOf(practice, family).stages.map((s) => s.id),
          )
      }),
      { numRuns: runs(15) },
    )
  })

  it('is named by its base, within its ranges, and asks nothing of its own', () => {
    const codes = (override: Override): string[] => {
      const made = withOverrides([override])
      return made.ok ? [] : made.refusal.map((r) => r.code)
    }
    expect(codes({ ...step('FS-05'), id: 'FS-07-own-1a2' })).toContain('unknown')
    expect(codes(step('FS-05-own-1a2'))).toContain('unknown')
    expect(codes(step('FS-05', { 'gate.CK-dolphin-hold': 1 }))).toEqual(['unknown'])
    expect(codes(step('FS-05', { name: findById(practice.drills, 'DR-hollow').name }))).toEqual(['taken'])
    expect(codes(step('FS-05', { 'dose.reps': 900 }))).not.toEqual([])
  })

  it('what is clean there changes no decision, whoever it is', () => {
    fc.assert(
      fc.property(
        anyStage,
        fc.array(fc.tuple(anyStage, fc.integer({ min: 1, max: 40 })), { maxLength: 6 }),
        fc.constantFrom(null, ...practice.stages.map((s) => s.id)),
        fc.integer({ min: 1, max: 8 }),
        (base, tries, at, days) => {
          const made = laid(step(base.id))
          const before = [
            ...ready(),
            ...tries.map(([s, ago]) => did(s.id, ago)),
            ...(at === null ? [] : [placed(at, 3)]),
          ]
          const own = Array.from({ length: days }, (_, i) => did(`${base.id}-own-1a2`, i + 1))
          for (const family of FAMILIES) {
            const asked = (p: Library, all: typeof before) =>
              decide(p, family, 's', evidence(...all), NO_LIMITS, TODAY)
            expect(asked(made, [...before, ...own])).toEqual(asked(practice, before))
          }
        },
      ),
      { numRuns: runs(15) },
    )
  })

  it('a fall there counts as one where it is built on', () => {
    const made = laid(step('FS-10a'))
    const held = [...ready(), ...[9, 7, 5, 3].map((ago) => did('FS-10a', ago))]
    const fall = { outcome: 'not-yet' as const, exitControlled: false }
    const at = (stageId: string) =>
      decide(made, 'FS', 's', evidence(...held, did(stageId, 1, fall)), NO_LIMITS, TODAY)
    expect(at('FS-10a').outcome).toBe('step-back')
    expect([at('FS-10a-own-1a2').outcome, at('FS-10a-own-1a2').targetId]).toEqual([
      ...[at('FS-10a').outcome, at('FS-10a').targetId],
    ])
  })

  it('a grave fault there counts as one where it is built on, even on a try that was called clean', () => {
    const base = practice.stages.find((s) =>
      s.faults.some(
        (id) => findById(practice.faults, id).severity === 3 && findById(practice.faults, id).own,
      ),
    )!
    const grave = base.faults.find((id) => {
      const fault = findById(practice.faults, id)
      return fault.severity === 3 && fault.own
    })!
    const made = laid(step(base.id))
    const held = [...ready(), ...[9, 7, 5, 3].map((ago) => did(base.id, ago))]
    const at = (stageId: string) =>
      decide(
        made,
        base.family,
        's',
        evidence(...held, did(stageId, 1, { faults: [grave] })),
        NO_LIMITS,
        TODAY,
      )
    expect(at(base.id).reasons.map((r) => r.code)).toContain('own-fault-severe')
    expect(at(`${base.id}-own-1a2`).reasons.map((r) => r.code)).toContain('own-fault-severe')
  })

  it('is open to whoever holds its base and nobody else, closed with it, and gone once it rests', () => {
    fc.assert(
      fc.property(
        anyStage,
        anyStage,
        fc.constantFrom('held', 'offer', 'step-back' as const),
        fc.constantFrom(null, 'PREG', 'GLAUC', 'WR-ACUTE', 'BP-HIGH'),
        (base, top, outcome, condition) => {
          const made = laid(step(base.id))
          const limits = condition === null ? NO_LIMITS : limited(condition)
          const reach = {
            ...{ standingId: top.id, targetId: outcome === 'held' ? null : top.id },
            ...{ outcome: outcome, limits, held: [...withPredecessors(practice.stages, top.id)] },
          }
          const open = (p: Library): string[] => allowedStages(p, reach).map((s) => s.id)
          expect(open(made).includes(`${base.id}-own-1a2`)).toBe(open(practice).includes(base.id))
          expect(open(made).filter((id) => id !== `${base.id}-own-1a2`)).toEqual(open(practice))
          expect(open(laid(step(base.id, { retired: 1 })))).toEqual(open(practice))
          expect(closesStage(made, limits, findById(made.stages, `${base.id}-own-1a2`))).toBe(
            closesStage(practice, limits, base),
          )
          // What stands in its place is what stands in its base's, or the base itself.
          const instead = insteadOf(practice, base, limits)
          expect(insteadOf(made, findById(made.stages, base.id), limits)).toEqual(instead)
          const ofOwn = insteadOf(made, findById(made.stages, `${base.id}-own-1a2`), limits)
          if (ofOwn?.stageId !== base.id && ofOwn?.from !== 'if-not' && instead?.from !== 'if-not')
            expect(ofOwn).toEqual(instead)
        },
      ),
      { numRuns: runs(30) },
    )
    // Offered is not held: what is built on the next step waits for that step.
    const made = laid(step('FS-07'))
    const next = allowedStages(made, {
      standingId: 'FS-05',
      targetId: 'FS-07',
      outcome: 'offer',
      limits: NO_LIMITS,
      held: [...withPredecessors(made.stages, 'FS-05')],
    })
    expect(next.map((s) => s.id)).toContain('FS-07')
    expect(next.map((s) => s.id)).not.toContain('FS-07-own-1a2')
  })

  it('is drawn on the path beside its base: open once that is held, ahead before', () => {
    const made = laid(step('FS-05'))
    const nobody = { family: 'FS', standing: null, targetId: null, branches: [], outcome: 'build' } as const
    const stateOf = (held: string[]) =>
      pathOf(made, nobody, new Set(held), NO_LIMITS, new Set())
        .find((fork) => fork.name === 'FS-05')
        ?.steps.map(({ stage, state }) => [stage.id, state])
    expect(stateOf(['FS-05'])).toEqual([
      ['FS-05', 'held'],
      ['FS-05-own-1a2', 'open'],
    ])
    expect(stateOf([])?.[1]).toEqual(['FS-05-own-1a2', 'ahead'])
  })

  it('stands in a plan where it is fixed, within its rules; the rules see it where it may not', () => {
    const made = laid(step('FS-05'))
    const id = 'FS-05-own-1a2'
    const somebody = (i: number, standingId: string) => {
      const p = person(i, { standingId, targetId: null, outcome: 'held', limits: NO_LIMITS })
      const reach = p.families.FS!
      const open = allowedStages(made, {
        ...reach,
        limits: NO_LIMITS,
        held: [...withPredecessors(made.stages, standingId)],
      }).map((s) => s.id)
      return { ...p, families: { ...p.families, FS: { ...reach, open } } }
    }
    const people = [somebody(1, 'FS-07'), somebody(2, 'FS-07'), somebody(3, 'FS-02')]
    const asked = brief({
      people,
      locks: [{ studentId: 'p1', part: 'waves', stageId: id, reason: 'seen-it' }],
    })
    const { plan } = must(planClass(made, asked))
    const peak = plan.blocks.filter(isWork).find((b) => b.kind === 'peak')
    expect(peak?.people.find((d) => d.studentId === 'p1')?.variantId).toBe(id)
    expect(validatePlan(made, asked, plan)).toEqual([])
    // The same for whoever does not hold what it is built on.
    const broken = {
      ...plan,
      blocks: plan.blocks.map((b) =>
        b === peak
          ? {
              ...b,
              people: b.people.map((d) =>
                d.studentId === 'p3' ? { ...d, variantId: id, override: null } : d,
              ),
            }
          : b,
      ),
    }
    expect(validatePlan(made, asked, broken).map((v) => v.code)).toContain('above-decision')
    expect(variantsOf(made).some((v) => v.id === id)).toBe(true)
  })
})
