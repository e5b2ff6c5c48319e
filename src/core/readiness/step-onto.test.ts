import fc from 'fast-check'
import { did, evidence, placed, saw, TODAY } from '@/testing/evidence'
import { limited } from '@/testing/briefs'
import { namesIn } from '../practice/after'
import { changeOn } from '../classes/change'
import { findById } from '../practice/find'
import { shippedPractice } from '../practice/library'
import { FAMILIES, type Gate } from '../practice/schema'
import { NO_LIMITS, NOT_ASKED, type Caps } from '../screening/caps'
import { describeStepOnto, describeThen } from '../words/step-onto'
import { allowedStages, isOpenStage, reachOf } from './allowed'
import { decide, type Ways } from './decide'
import type { Evidence } from './evidence'
import { stepsOnto } from './step-onto'

const practice = shippedPractice()
const conditions = [...new Set(practice.cautions.flatMap((c) => c.conditions))]
const low = practice.stages.filter((s) => (s.load.FR ?? 0) <= 1 && !s.load.HB && (s.load.NF ?? 0) <= 1)

const facts = fc.array(
  fc.oneof(
    fc
      .record({ stageId: fc.constantFrom(...low.map((s) => s.id)), ago: fc.nat(40), byEye: fc.boolean() })
      .map(({ stageId, ago, byEye }) => (byEye ? placed(stageId, ago) : did(stageId, ago))),
    fc
      .record({
        check: fc.constantFrom(...practice.checks.filter((c) => c.seenIn.length > 0)),
        good: fc.boolean(),
        ago: fc.nat(20),
      })
      .map(({ check, good, ago }) => saw(check.id, good ? check.max : check.min, ago)),
  ),
  { maxLength: 8 },
)

function steps(all: Evidence, limits: Caps, firstMonth = false, family: (typeof FAMILIES)[number] = 'FS') {
  const decision = decide(practice, family, 's', all, limits, TODAY)
  const open = allowedStages(practice, { ...reachOf(decision), limits, looked: null }).map((s) => s.id)
  return {
    open,
    found: stepsOnto(practice, family, { evidence: all, limits, asOf: TODAY, open, firstMonth }),
  }
}

describe('what may be stepped onto tonight', () => {
  it('is of low stakes, next, open to every limit, missing only what is seen before it, and two at most', () => {
    let some = 0
    fc.assert(
      fc.property(
        facts,
        fc.constantFrom(...FAMILIES.filter((f) => f !== 'AD')),
        fc.oneof(
          fc.constant(NO_LIMITS),
          fc.constant(NOT_ASKED),
          fc.constantFrom(...conditions).map((c) => limited(c)),
        ),
        fc.boolean(),
        (list, family, limits, firstMonth) => {
          const all = evidence(...list)
          const { open, found } = steps(all, limits, firstMonth, family)
          some += found.length
          expect(found.length).toBeLessThanOrEqual(firstMonth ? 1 : 2)
          const may = new Set(open)
          for (const { stageId, from, shows } of found) {
            const { load, after, ...stage } = findById(practice.stages, stageId)
            expect([load.FR ?? 0, load.HB ?? 0, load.NF ?? 0].every((n, i) => n <= [1, 0, 1][i]!)).toBe(true)
            expect(isOpenStage(practice, limits, { load, after, ...stage })).toBe(true)
            expect(changeOn({ load }, limits)).toBe(null)
            expect(may.has(from) && !may.has(stageId)).toBe(true)
            expect(namesIn(after).some((name) => from.startsWith(name))).toBe(true)
            for (const { checkId } of shows) expect(findById(practice.checks, checkId).seenIn).toContain(from)
            may.add(stageId)
          }
          // Whoever arrived first, and in whatever order the facts did.
          expect(steps(evidence(...list.toReversed()), limits, firstMonth, family).found).toEqual(found)
        },
      ),
      { numRuns: 300 },
    )
    expect(some).toBeGreaterThan(50)
  })
  it('begins where somebody new begins: table, plank, and no further in the first month', () => {
    const nobody = evidence()
    expect(steps(nobody, NO_LIMITS, false).found.map((s) => [s.from, s.stageId])).toEqual([
      ['FS-01', 'FS-02'],
      ['FS-02', 'FS-03a'],
    ])
    expect(steps(nobody, NO_LIMITS, true).found).toHaveLength(1)
    const [first] = steps(nobody, NO_LIMITS).found
    expect(describeStepOnto(practice, first!)).toMatch(
      /^Forearm plank, once Forearm table is clean tonight: .*\.$/,
    )
    expect(describeThen(practice, first)).toMatch(/^Clean \(.*\)\? On to Forearm plank\./)
    expect(describeThen(practice, undefined)).toBe('')
  })
  it('is never a fall, weight on the head or work on the nape, however ready somebody is', () => {
    for (const load of [{ FR: 2 }, { HB: 1 }, { NF: 2 }] as const) {
      const graver = {
        ...practice,
        stages: practice.stages.map((s) => (s.id === 'FS-02' ? { ...s, load: { ...s.load, ...load } } : s)),
      }
      const known = {
        evidence: evidence(),
        limits: NO_LIMITS,
        asOf: TODAY,
        open: ['FS-01'],
        firstMonth: false,
      }
      expect(stepsOnto(practice, 'FS', known).map((s) => s.stageId)).toContain('FS-02')
      expect(stepsOnto(graver, 'FS', known).map((s) => s.stageId)).not.toContain('FS-02')
    }
  })
  it('is nothing that their way of working leaves out, nor what it asks for besides', () => {
    const known = { evidence: evidence(), limits: NO_LIMITS, asOf: TODAY, open: ['FS-01'], firstMonth: true }
    const stepped = (ways: Ways) => stepsOnto(practice, 'FS', { ...known, ways }).map((s) => s.stageId)
    const ways: Ways = { hidden: new Set(), prefers: [] }
    const unseen = practice.checks.find((c) => !c.seenIn.includes('FS-01'))!
    const gate: Gate = {
      check: unseen.id,
      side: 'single',
      op: '>=',
      value: unseen.max,
      aidedOk: false,
      life: 'standing',
    }
    expect(stepped(ways)).toEqual(['FS-02'])
    expect(stepped({ ...ways, hidden: new Set(['FS-02']) })).not.toContain('FS-02')
    expect(stepped({ ...ways, asks: [{ on: ['FS-02'], gate }] })).not.toContain('FS-02')
  })
  it('is nothing after a fault that holds somebody back, nor where a limit changes nothing but closes', () => {
    const fell = evidence(
      did('FS-03c', 1, { outcome: 'clean', faults: ['FT-head-drop'], exitControlled: false }),
    )
    expect(steps(fell, NO_LIMITS).found).toEqual([])
    expect(steps(evidence(), limited('WRI-acute', 'EYE-R')).found.every((s) => s.stageId !== 'FS-04')).toBe(
      true,
    )
  })
})

describe('what was stepped onto', () => {
  const standing = (...facts: Parameters<typeof evidence>) =>
    decide(practice, 'FS', 's', evidence(...facts), NO_LIMITS, TODAY).standing?.stageId ?? null
  it('is a day of evidence and no standing on the night on which what it follows on was first clean too', () => {
    expect(standing(did('FS-03c', 3), did('FS-04', 3))).toBe('FS-03c')
    expect(standing(did('FS-03c', 10), did('FS-04', 3))).toBe('FS-04')
    expect(standing(did('FS-03c', 3), did('FS-04', 3), did('FS-04', 1))).toBe('FS-04')
    expect(standing(placed('FS-03c', 3), did('FS-03c', 3), did('FS-04', 3))).toBe('FS-04')
  })
  it('never gives a standing that the night before it would not have let somebody begin, whatever else is known', () => {
    fc.assert(
      fc.property(facts, fc.constantFrom(...FAMILIES.filter((f) => f !== 'AD')), (list, family) => {
        const all = evidence(...list)
        const { standing: now } = decide(practice, family, 's', all, NO_LIMITS, TODAY)
        if (now?.by !== 'clean-days' || now.before) return
        const stage = practice.stages.find((s) => s.id === now.stageId)
        const nights = new Set(all.attempts.filter((a) => a.stageId === now.stageId).map((a) => a.day))
        if (nights.size !== 1 || !stage || namesIn(stage.after).length === 0) return
        const same = all.attempts.filter((a) => a.day === now.day && a.outcome === 'clean')
        const earlier = all.attempts.some((a) => a.day < now.day) || all.placements.length > 0
        const follows = same.some((a) => namesIn(stage.after).some((n) => a.stageId.startsWith(n)))
        expect(follows && !earlier).toBe(false)
      }),
    )
  })
})
