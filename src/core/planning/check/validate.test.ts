import type { Brief } from '../../classes/brief'
import type { Plan } from '../../classes/plan'
import { shippedPractice } from '../../practice/library'
import { describeViolation } from '../../words/plan'
import { blockOf, brief, limited, person, planOf } from '@/testing/briefs'
import { validatePlan } from './validate'
import type { Violation } from './violation'

const practice = shippedPractice()

describe('the validator finds each planted break', () => {
  const good = planOf(brief())
  const withBlock = (kind: string, change: (b: never) => object): Plan => ({
    ...good,
    blocks: good.blocks.map((b) => (b.kind === kind ? { ...b, ...change(b as never) } : b)),
  })
  const wave = blockOf(good, 'waves')
  const turn = wave.turns[0]!
  const cases: [Violation['code'], Plan, Brief?][] = [
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
      'closed',
      withBlock('waves', () => ({
        versions: wave.versions.map((v) => ({ ...v, stageId: 'FS-10a', override: 'seen-it' })),
      })),
      brief({ people: [person(1, { limits: limited('EYE-P') }), person(2), person(3), person(4)] }),
    ],
    [
      'change-missing',
      good,
      brief({
        people: [person(1, { limits: limited('BPH-open') }), person(2), person(3), person(4)],
      }),
    ],
    [
      'unwatched',
      withBlock('skill', () => ({
        versions: ['FS-01', 'FS-02', 'FS-03a', 'FS-04'].map((stageId, i) => ({
          ...wave.versions[i]!,
          stageId,
        })),
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
