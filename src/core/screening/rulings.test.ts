import fc from 'fast-check'
import { addDays } from '../day'
import { answersTo } from '../practice/after'
import { findById } from '../practice/find'
import { shippedPractice } from '../practice/library'
import { describeLimit } from '../words/limit'
import type { Answer, Screening } from './answers'
import { capsFrom, capsOf, judgeLoad, type Caps } from './caps'
import { insteadOf } from './instead'
import { closesStage, judgeStage } from './stage-limits'

const practice = shippedPractice()
const DAY = '2026-03-10'
const CONDITIONS = [...new Set(practice.cautions.flatMap((c) => c.conditions))]
const limits = (...conditions: string[]): Caps =>
  capsFrom(practice, { set: new Set(conditions), unknown: [] }, [], DAY)
const open = (stageId: string, caps: Caps): boolean =>
  !closesStage(practice, caps, findById(practice.stages, stageId))
const adviceOn = (stageId: string, caps: Caps): string => {
  const stage = findById(practice.stages, stageId)
  const { verdict, because } = judgeStage(practice, stage, caps)
  return describeLimit({ verdict, because, instead: insteadOf(practice, stage, caps) }, practice)
}

describe('closed above (ruling 17)', () => {
  it('no stage stands open above one that must come before it and is closed, whatever limits', () => {
    fc.assert(
      fc.property(fc.subarray(CONDITIONS, { maxLength: 3 }), (set) => {
        const caps = limits(...set)
        const shut = (name: string): boolean =>
          practice.stages.filter((s) => answersTo(s.id, name)).every((s) => !open(s.id, caps))
        for (const { id, after } of practice.stages) {
          if (!open(id, caps)) continue
          expect([id, after.all.filter(shut)]).toEqual([id, []])
          for (const { least, of } of after.some)
            expect(of.filter((name) => !shut(name)).length).toBeGreaterThanOrEqual(least)
        }
      }),
    )
  })
  it.each([
    ['POST', 'FS-09', 'FS-02'],
    ['POST', 'HS-07', 'HS-03'],
    ['HERN', 'FS-07', 'FS-05'],
    ['HEART', 'HS-07', 'HS-03'],
  ])('%s closes %s since it closes %s', (condition, above, below) => {
    expect(open(below, limits(condition))).toBe(false)
    expect(open(above, limits(condition))).toBe(false)
  })
})

describe('what is done instead (ruling 17)', () => {
  it('asks no more than a limb free and nothing of the head, but of who holds it', () => {
    const neck = limits('NECK-now')
    const asked = findById(practice.stages, 'HD-01')
    expect(insteadOf(practice, asked, neck)?.stageId).not.toBe('HD-13a')
    const also = (s: { id: string }): boolean => s.id === 'FS-10e'
    const kick = findById(practice.stages, 'FS-10a')
    const eyes = limits('LOOK-half')
    expect(insteadOf(practice, kick, eyes, { also })).toBeNull()
    expect(insteadOf(practice, kick, eyes, { also, held: new Set(['FS-10e']) })?.stageId).toBe('FS-10e')
    const found = CONDITIONS.flatMap((c) => {
      const closed = limits(c)
      return practice.stages.flatMap((s) =>
        open(s.id, closed) ? [] : (insteadOf(practice, s, closed) ?? []),
      )
    })
    expect(found.length).toBeGreaterThan(500)
    for (const stageId of new Set(found.map((s) => s.stageId))) {
      const { FR = 0, HB = 0 } = findById(practice.stages, stageId).load
      expect([stageId, FR <= 1, HB]).toEqual([stageId, true, 0])
    }
  })
  it('never loads what the limit protects: raised eye pressure gets nothing with the head low', () => {
    const eyes = limits('EYE-P')
    for (const stage of practice.stages.filter((s) => !open(s.id, eyes))) {
      const instead = insteadOf(practice, stage, eyes)
      expect([stage.id, findById(practice.stages, instead?.stageId ?? 'SH-01').load.HBH ?? 0]).toEqual([
        stage.id,
        0,
      ])
    }
    for (const id of ['SH-05', 'CR-04'])
      expect(
        findById(practice.stages, insteadOf(practice, findById(practice.stages, id), limits('PREG'))!.stageId)
          .load.AC ?? 0,
      ).toBeLessThan(2)
  })
  it('alarm signs are sent for care, in words, and given no shape at all', () => {
    expect(practice.stages.filter((s) => open(s.id, limits('BACK-alarm')))).toEqual([])
    expect(practice.stages.filter((s) => open(s.id, limits('FEVER')))).toEqual([])
    expect(judgeLoad({}, limits('BACK-alarm')).verdict).toBe('barred')
    expect(adviceOn('SH-01', limits('BACK-alarm'))).toMatch(/urgent medical care now/)
    expect(adviceOn('FS-10a', limits('NECK-nerve'))).toMatch(/clinician promptly/)
    expect(adviceOn('FS-10a', limits('NECK-nerve'))).not.toMatch(/Instead:/)
    expect(adviceOn('FS-01', limits('FEVER'))).toMatch(/rest at home/)
    const kick = findById(practice.stages, 'FS-10a')
    expect(insteadOf(practice, kick, limits('NECK-nerve'))).toBeNull()
  })
  it('every rule has advice of its own, and none says what another rule forbids', () => {
    const said = practice.cautions.map((c) => c.instead)
    expect(new Set(said).size).toBeGreaterThan(practice.cautions.length - 6)
    const advice = (id: string): string => findById(practice.cautions, id).instead
    expect(advice('PR3')).toMatch(/not long flat on the back/)
    expect(advice('MI1')).toMatch(/rest in the dark/i)
    expect(advice('SH2')).toMatch(/knees down/i)
    expect(advice('EY2')).toMatch(/no lower than the heart/)
  })
})

describe('a clearance (ruling 19)', () => {
  const yes = (question: string, option: string, day: string): Answer => ({
    ...{ question, choice: 'yes', options: [option], day, given: 'by-student' },
  })
  const said = (...answers: Answer[]): Screening => ({ answers, nothingApplies: '2025-12-01', gentle: false })
  const cleared = [
    {
      ...{ tags: [{ tag: 'HB' as const, upTo: 3 }], clinician: 'Dr Moss', basis: 'letter-seen' as const },
      ...{ day: '2025-11-20', expires: '2026-11-20' },
    },
  ]
  const barsHead = (screening: Screening): boolean =>
    judgeLoad({ HB: 3 }, capsOf(practice, screening, cleared, DAY)).verdict === 'barred'
  const before = yes('Q05', 'past', '2025-11-10')
  it('lifts what was answered on or before its day, and nothing that was said since', () => {
    expect(barsHead(said(before))).toBe(false)
    expect(barsHead(said(before, yes('Q05', 'structure', addDays(DAY, -7))))).toBe(true)
    expect(barsHead(said(yes('Q05', 'past', '2025-11-21')))).toBe(true)
  })
  it('outlives the same answer given again, and not one that was taken back between', () => {
    const again = yes('Q05', 'past', addDays(DAY, -7))
    expect(barsHead(said(before, again))).toBe(false)
    const no: Answer = { ...before, choice: 'no', options: [], day: '2026-01-05' }
    expect(barsHead(said(before, no, again))).toBe(true)
  })
})

it.each([
  ['KNEE', 'AD-04'],
  ['KNEE', 'AD-06'],
  ['JOINT-shoulder', 'FS-07'],
  ['SURG-arm', 'HS-02'],
  ['SURG-leg', 'FS-09'],
  ['SURG-trunk', 'SH-04'],
  ['SURG-head', 'HS-03'],
])('%s closes %s', (condition, stageId) => expect(open(stageId, limits(condition))).toBe(false))

it('an operation leaves the rest of the body its work', () => {
  expect(open('HS-02', limits('SURG-leg'))).toBe(true)
  expect(open('SH-02', limits('SURG-arm'))).toBe(true)
  expect(judgeLoad({ FR: 2 }, limits('LEG')).verdict).toBe('changed')
  expect(judgeLoad({ KN: 2 }, limits('KNEE')).verdict).toBe('changed')
})
