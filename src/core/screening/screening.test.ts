import fc from 'fast-check'
import { saidTonight } from '@/testing/evidence'
import { addDays } from '../day'
import { shippedPractice } from '../practice/library'
import type { Load, LoadTag } from '../practice/schema'
import {
  ANSWER_DAYS,
  conditionsOf,
  isHealth,
  lastAsked,
  NO_SCREENING,
  type Answer,
  type Screening,
} from './answers'
import { asStrictAs, capsFrom, capsOf, judgeLoad, type Verdict } from './caps'
import { clearanceProblem, lifts, usualExpiry, type Clearance } from './clearance'
import { insteadOf } from './instead'
import { judgeStage } from './stage-limits'
import { tonightsCaps, together } from './tonight'

const practice = shippedPractice()
const DAY = '2026-03-05'
const HEALTH = practice.intake.filter(isHealth)
const answer = (question: string, choice: Answer['choice'], options: string[] = [], day = DAY): Answer => ({
  question,
  choice,
  options,
  day,
  given: 'by-teacher',
})
const allNo: Screening = { ...NO_SCREENING, answers: HEALTH.map((q) => answer(q.id, 'no')) }
const withYes = (question: string, ...options: string[]): Screening => ({
  ...allNo,
  answers: [...allNo.answers.filter((a) => a.question !== question), answer(question, 'yes', options)],
})
const clearance = (tag: LoadTag, upTo: number, rest: Partial<Clearance> = {}): Clearance => ({
  tags: [{ tag, upTo }],
  clinician: 'Dr Alder',
  basis: 'letter-seen',
  day: DAY,
  expires: usualExpiry(DAY),
  ...rest,
})
const EXPECTED: Record<string, Verdict> = {
  stop: 'barred',
  avoid: 'left-out',
  modify: 'changed',
  watch: 'watch',
}

/** A change that the shape cannot take closes it (ruling 23). */
const cannotBe = ({ change }: (typeof practice.cautions)[number], { cannot = [] }: Load): boolean =>
  change?.how !== undefined && cannot.includes(change.how)

describe('every caution rule', () => {
  const acting = practice.cautions.filter((rule) => rule.conditions.length > 0)
  it.each(acting.map((rule) => [rule.id, rule] as const))(
    '%s acts on exactly the stages that carry its loads',
    (_, rule) => {
      const [condition = ''] = rule.conditions
      const { caps } = capsFrom(practice, { set: new Set([condition]), unknown: [] }, [], DAY)
      const own = { caps: caps.filter((c) => c.ruleId === rule.id) }
      for (const stage of practice.stages) {
        const ends = rule.refer === 'urgent' || rule.refer === 'home'
        const carries = ends || rule.tags.some(({ tag, level }) => (stage.load[tag] ?? 0) >= level)
        expect([stage.id, judgeLoad(stage.load, own).verdict]).toEqual([
          stage.id,
          carries ? (cannotBe(rule, stage.load) ? 'left-out' : EXPECTED[rule.action]) : 'open',
        ])
      }
    },
  )
  it('is set off by an answer, the day, an age or a measurement, and by nothing unknown to the intake', () => {
    const settable = new Set([
      ...practice.intake.flatMap((q) => q.options.flatMap((o) => o.sets)),
      'UNKNOWN-core',
      'UNKNOWN-other',
    ])
    for (const rule of acting)
      for (const c of rule.conditions) expect([rule.id, c, settable.has(c)]).toEqual([rule.id, c, true])
  })
  it('tells what to do instead', () => {
    for (const rule of practice.cautions) expect(rule.instead.length).toBeGreaterThan(8)
  })
})

describe('answers', () => {
  it('unknown is never read as no', () => {
    expect(capsOf(practice, NO_SCREENING, [], DAY).answered).toBe(false)
    for (const choice of ['unsure', 'not-said'] as const)
      expect(
        capsOf(practice, { ...allNo, answers: HEALTH.map((q) => answer(q.id, choice)) }, [], DAY).answered,
      ).toBe(false)
    expect(capsOf(practice, allNo, [], DAY)).toMatchObject({ caps: [], answered: true })
  })
  it('an expired answer is unknown, and an expired yes still holds', () => {
    const later = addDays(DAY, ANSWER_DAYS + 1)
    expect(conditionsOf(practice, allNo, later).unknown).toHaveLength(HEALTH.length)
    const yes = conditionsOf(practice, withYes('Q01', 'high-open'), later)
    expect(yes.set.has('BPH-open')).toBe(true)
    expect(yes.set.has('UNKNOWN-core')).toBe(true)
    expect(yes.expired).toContain('Q01')
  })
  it('reminds three weeks before an answer runs out', () => {
    expect(conditionsOf(practice, allNo, addDays(DAY, ANSWER_DAYS - 30)).soon).toEqual([])
    expect(conditionsOf(practice, allNo, addDays(DAY, ANSWER_DAYS - 20)).soon).toHaveLength(HEALTH.length)
  })
  it('“none of it applies” covers what nobody answered, lapses, and never overrules a yes', () => {
    const said: Screening = { ...NO_SCREENING, nothingApplies: DAY }
    expect(capsOf(practice, said, [], DAY).answered).toBe(true)
    expect(capsOf(practice, said, [], addDays(DAY, ANSWER_DAYS + 1)).answered).toBe(false)
    const both = { ...said, answers: [answer('Q04', 'yes', ['pressure'])] }
    expect(conditionsOf(practice, both, DAY).set.has('EYE-P')).toBe(true)
  })
  it('a later answer replaces an earlier one, an answer from tomorrow does not count yet', () => {
    const changed = {
      ...allNo,
      answers: [...withYes('Q12', 'seizure').answers, answer('Q12', 'no', [], addDays(DAY, 3))],
    }
    expect(conditionsOf(practice, changed, DAY).set.has('SEIZ')).toBe(true)
    expect(conditionsOf(practice, changed, addDays(DAY, 3)).set.has('SEIZ')).toBe(false)
  })
  it('a yes without a tick is read on the safe side', () => {
    const { set } = conditionsOf(practice, withYes('Q01'), DAY)
    expect([...set]).toEqual(expect.arrayContaining(['BPH-open', 'BPH-managed', 'BPL']))
  })
  it('the gentle track caps HBH at 1, HB at 0, NF and FR at 1, without a reason', () => {
    const { caps } = capsOf(practice, { ...allNo, gentle: true }, [], DAY)
    expect(caps.map((c) => [c.tag, c.level])).toEqual([
      ['HBH', 2],
      ['HB', 1],
      ['NF', 2],
      ['FR', 2],
    ])
  })
})

const anyAnswer = fc
  .tuple(fc.constantFrom(...HEALTH), fc.constantFrom('yes', 'unsure', 'not-said', 'no'), fc.array(fc.nat(5)))
  .map(([q, choice, picks]) =>
    answer(
      q.id,
      choice,
      choice === 'yes' ? picks.flatMap((i) => (q.options[i] ? [q.options[i].id] : [])) : [],
    ),
  )
const anyScreening = fc
  .record({ answers: fc.uniqueArray(anyAnswer, { selector: (a) => a.question }), gentle: fc.boolean() })
  .map((s): Screening => ({ ...s, nothingApplies: null }))

describe('laws over random profiles', () => {
  it('adding a yes never opens a stage', () => {
    fc.assert(
      fc.property(anyScreening, fc.constantFrom(...HEALTH), (screening, question) => {
        fc.pre(!screening.answers.some((a) => a.question === question.id))
        const before = capsOf(practice, screening, [], DAY)
        const after = capsOf(
          practice,
          { ...screening, answers: [...screening.answers, answer(question.id, 'yes')] },
          [],
          DAY,
        )
        for (const { load } of practice.stages) {
          const [was, is] = [judgeLoad(load, before).verdict, judgeLoad(load, after).verdict]
          // Answering may end the waiting that an unknown asks for; it never lifts a bar or a leave-out.
          if (asStrictAs(was, 'left-out')) expect(asStrictAs(is, was)).toBe(true)
        }
      }),
    )
  })
  it('a Stop yields to nothing but a clearance for its own tags', () => {
    fc.assert(
      fc.property(
        anyScreening,
        fc.constantFrom<LoadTag>('HBH', 'HB', 'NF', 'FR', 'ST', 'WB'),
        (screening, tag) => {
          const before = capsOf(practice, screening, [], DAY)
          const after = capsOf(practice, screening, [clearance(tag, 3)], DAY)
          const stops = (c: typeof before): string[] =>
            c.caps
              .filter((x) => x.action === 'stop' && x.tag !== tag)
              .map((x) => `${x.ruleId} ${x.tag} ${x.level}`)
          expect(stops(after)).toEqual(stops(before))
        },
      ),
    )
  })
  it('everybody has something to do instead of whatever is closed to them', () => {
    fc.assert(
      fc.property(anyScreening, fc.constantFrom(...practice.stages), (screening, stage) => {
        const caps = capsOf(practice, screening, [], DAY)
        fc.pre(['barred', 'left-out'].includes(judgeStage(practice, stage, caps).verdict))
        fc.pre(!caps.caps.some((c) => c.refer !== undefined))
        const instead = insteadOf(practice, stage, caps)
        if (instead === null) {
          // Only where rest is all that is left; the advanced stand in for nothing.
          const protects = new Set(
            caps.caps.filter((c) => c.action === 'stop' || c.action === 'avoid').map(({ tag }) => tag),
          )
          expect(
            practice.stages.every(
              (s) =>
                s.family === 'AD' ||
                judgeLoad(s.load, caps).because.some((c) => protects.has(c.tag)) ||
                ['barred', 'left-out'].includes(judgeStage(practice, s, caps).verdict),
            ),
          ).toBe(true)
          return
        }
        const found = practice.stages.find((s) => s.id === instead.stageId)
        expect(['open', 'watch', 'changed']).toContain(judgeLoad(found?.load ?? {}, caps).verdict)
        expect((found?.load.FR ?? 0) <= 1 && !found?.load.HB).toBe(true)
      }),
    )
  })
})

describe('clearances', () => {
  const eyes = withYes('Q04', 'pressure')
  const fullyInverted = { HBH: 3 } as const
  it('open the tags they name, up to the level they name, until they end', () => {
    expect(judgeLoad(fullyInverted, capsOf(practice, eyes, [], DAY)).verdict).toBe('barred')
    expect(judgeLoad(fullyInverted, capsOf(practice, eyes, [clearance('HBH', 3)], DAY)).verdict).not.toBe(
      'barred',
    )
    const two = capsOf(practice, eyes, [clearance('HBH', 2)], DAY)
    expect(judgeLoad({ HBH: 2 }, two).verdict).not.toBe('barred')
    expect(judgeLoad(fullyInverted, two).verdict).toBe('barred')
    expect(
      judgeLoad(fullyInverted, capsOf(practice, eyes, [clearance('HBH', 3)], addDays(usualExpiry(DAY), 1)))
        .verdict,
    ).toBe('barred')
    expect(judgeLoad({ HB: 1 }, capsOf(practice, eyes, [clearance('HBH', 3)], DAY)).verdict).toBe('barred')
  })
  it('on the student’s own word alone do not open what needs a letter', () => {
    const word = clearance('HBH', 3, { basis: 'student-reports' })
    expect(judgeLoad(fullyInverted, capsOf(practice, eyes, [word], DAY)).verdict).toBe('barred')
    const managed = withYes('Q01', 'high-managed')
    expect(judgeLoad(fullyInverted, capsOf(practice, managed, [word], DAY)).verdict).not.toBe('barred')
  })
  it.each([
    [{ clinician: ' ' }, 'clearance-without-clinician'],
    [{ tags: [] }, 'clearance-without-tags'],
    [{ day: addDays(DAY, 2) }, 'clearance-in-the-future'],
    [{ expires: DAY }, 'clearance-expires-before-it-starts'],
    [{ expires: addDays(clearance('HBH', 3).day, 366) }, 'clearance-too-long'],
  ])('as entered: %p is %s', (wrong, code) => {
    expect(clearanceProblem({ ...clearance('HBH', 3), ...wrong }, DAY)?.code).toBe(code)
  })
  it('as entered: a whole one passes', () => expect(clearanceProblem(clearance('HBH', 3), DAY)).toBeNull())
})

it('a check-in never opens what stands', () => {
  fc.assert(
    fc.property(
      anyScreening,
      fc.integer({ min: 0, max: 10 }),
      fc.integer({ min: 0, max: 10 }),
      (screening, pain, energy) => {
        const standing = capsOf(practice, screening, [], DAY)
        const both = together(
          standing,
          tonightsCaps(practice, saidTonight({ day: DAY, pain, energy, regions: ['back'] }), DAY),
        )
        for (const { load } of practice.stages)
          expect(asStrictAs(judgeLoad(load, both).verdict, judgeLoad(load, standing).verdict)).toBe(true)
      },
    ),
    { numRuns: 50 },
  )
})

describe('a clinician’s word', () => {
  const asked = (condition: string, basis: 'letter-seen' | 'student-reports') =>
    lifts(
      { tags: [{ tag: 'HBH', upTo: 3 }], clinician: 'Dr Alder', basis, day: DAY, expires: addDays(DAY, 30) },
      ...(['HBH', 3, [condition], DAY] as const),
    )
  it.each([
    ...['BPH-open', 'EYE-P', 'EYE-R', 'HEART', 'FAINT-open', 'VASC', 'NECK-struct', 'NECK-nerve', 'BONE-1'],
    ...['CONC', 'SEIZ', 'PREG', 'SURG-recent', 'BACK-alarm'],
  ])('%s wants a letter that was seen', (condition) => {
    expect([asked(condition, 'letter-seen'), asked(condition, 'student-reports')]).toEqual([true, false])
  })
  it('is enough as it is told for lesser things', () => {
    expect(asked('WRI-stiff', 'student-reports')).toBe(true)
  })
})

it('of several limits on one load the shortest time holds', () => {
  const limit = (mostSeconds: number | null) => ({
    ...{
      ruleId: 'X',
      action: 'modify' as const,
      tag: 'WB' as const,
      level: 2 as const,
      mostSeconds,
      instead: '',
    },
    ...{ change: null, needsClearance: false },
  })
  const judged = judgeLoad({ WB: 2 }, { caps: [limit(45), limit(null), limit(10), limit(20)] })
  expect(judged).toMatchObject({ verdict: 'changed', mostSeconds: 10 })
})

it('what a tablet in other hands says counts as no asking; what the teacher keeps does, and the later day stands', () => {
  const later = addDays(DAY, 9)
  const said = { ...allNo, nothingApplies: later }
  expect(lastAsked(null, { ...said, asked: null })).toBeNull()
  expect(lastAsked(DAY, { ...said, asked: null })).toBe(DAY)
  expect(lastAsked(DAY, { ...said, asked: later })).toBe(later)
  expect(lastAsked(later, { ...said, asked: DAY })).toBe(later)
  // Kept before the two were told apart: its own days count.
  expect(lastAsked(null, allNo)).toBe(DAY)
  expect(lastAsked(null, said)).toBe(later)
})
