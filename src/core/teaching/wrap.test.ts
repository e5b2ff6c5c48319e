import { brief, limited, person, planOf } from '@/testing/briefs'
import { isWork, WAITING } from '../classes/plan'
import type { ClassEvent } from '../classes/run'
import { wentWithout } from '../classes/without'
import { writeHlc } from '../facts/hlc'
import { describeRan, describeTries } from '../words/wrap'
import { shippedPractice } from '../practice/library'
import { isOpenTo } from '../readiness/may'
import { NO_LIMITS } from '../screening/caps'
import { firstNames } from '../words/first-names'
import { repeatAtHome } from './at-home'
import { ranAgainst } from './ran'
import { recordedTwice } from './twice'

const event = (what: ClassEvent['event'], s: number, blockIndex: number): ClassEvent => ({
  ...{ id: `${what}${s}`, day: '2026-03-10', hlc: writeHlc({ ms: s * 1000, counter: 0 }, 'd') },
  ...{ event: what, atMs: s * 1000, blockIndex },
})
const plan = {
  minutes: 30,
  blocks: [300, 420, 600].map((seconds) => ({ kind: 'rest' as const, startS: 0, seconds, items: [] })),
}

describe('a class against its plan', () => {
  it('counts what each block took, going back and all; a pause belongs to its block', () => {
    const events = [
      event('started', 0, 0),
      event('block', 400, 1),
      event('paused', 450, 1),
      event('resumed', 500, 1),
      event('block', 900, 0),
      event('block', 960, 1),
      event('ended', 1000, 1),
    ]
    const ran = ranAgainst(plan, events)
    expect(ran.map((r) => r.ranS)).toEqual([460, 540, null])
    expect(ran.map(describeRan)).toEqual(['8 min, planned 5', '9 min, planned 7', 'left out'])
    expect(describeRan({ blockIndex: 0, plannedS: 420, ranS: 441 })).toBe('7 min as planned')
  })
  it('a block that was only looked into was not run', () => {
    const ran = ranAgainst(plan, [event('started', 0, 0), event('block', 10, 1), event('ended', 500, 1)])
    expect(ran.map((r) => r.ranS)).toEqual([null, 490, null])
  })
})

it('a class copied in from paper has no times to compare', () => {
  expect(ranAgainst(plan, [event('started', 100, 0), event('ended', 100, 0)])).toEqual([])
})

describe('what goes home', () => {
  const practice = shippedPractice()
  const all = practice.drills.map((d) => ({ variantId: d.id, helper: null, tries: 0 }))
  it('is never a fall, weight on head or nape, or anything upside down, and nothing that a limit of then or now closes', () => {
    const conditions = [...new Set(practice.cautions.flatMap((c) => c.conditions))]
    expect(repeatAtHome(practice, all, [NO_LIMITS]).length).toBeGreaterThan(20)
    for (const condition of conditions) {
      const limits = limited(condition)
      for (const pair of [
        [limits, NO_LIMITS],
        [NO_LIMITS, limits],
      ])
        for (const { load } of repeatAtHome(practice, all, pair)) {
          expect(
            [load.FR ?? 0, load.HB ?? 0, load.NF ?? 0, load.HBH ?? 0].map((n, i) => n <= [1, 0, 0, 1][i]!),
          ).toEqual([...[true, true, true, true]])
          expect(isOpenTo(limits, load)).toBe(true)
        }
    }
  })
  it('is nothing that was helped or tried', () => {
    expect(
      repeatAtHome(
        practice,
        [
          { ...all[0]!, helper: 'teacher' },
          { ...all[0]!, tries: 1 },
        ],
        [],
      ),
    ).toEqual([])
  })
})

it('who went without: only in a class in which others had, by the bays as they are drawn', () => {
  const b = brief({ people: [1, 2, 3].map((i) => person(i)), bays: 1 })
  const drawn = { ...b, room: { ...b.room, bays: [{ id: 'north-2', widthCm: 120, corner: false }] } }
  const doing = (studentId: string, place: string | null, helper: string | null) => ({
    ...{ ...WAITING, studentId, place, helper, variantId: 'FS-04' },
  })
  const made = planOf(b)
  const withDoings = (...people: ReturnType<typeof doing>[]) => ({
    ...made,
    blocks: made.blocks.flatMap((x) => (isWork(x) && x.kind === 'peak' ? [{ ...x, people }] : [])),
  })
  const some = withDoings(doing('p1', 'north-2', null), doing('p2', 'mat-1', 'h1'), doing('p3', null, null))
  expect(wentWithout(some, drawn)).toEqual({ wall: ['p2', 'p3'], help: ['p1', 'p3'] })
  const none = withDoings(doing('p1', 'mat-1', null), doing('p2', null, null))
  expect(wentWithout(none, drawn)).toEqual({ wall: [], help: [] })
})

describe('tries in words', () => {
  const tried = {
    outcome: 'clean' as const,
    exitControlled: true,
    endedBy: null,
    faults: [],
    lead: null,
    seconds: null,
  }
  it('say how many, how many were clean, falls, the best hold and which leg led', () => {
    expect(describeTries([tried])).toBe('1 try, 1 clean')
    expect(
      describeTries([
        { ...tried, lead: 'left', seconds: 8 },
        { ...tried, lead: 'right', seconds: 12 },
        { ...tried, lead: 'left', outcome: 'not-yet', exitControlled: false, endedBy: 'self' },
      ]),
    ).toBe('3 tries, 2 clean, fell out 1 time, best 12 s; left led 2, right 1')
  })
})

describe('one try on two screens', () => {
  const told = (s: number, device: string, part: object = {}) => ({
    ...{ studentId: 'a', stageId: 'FS-09', outcome: 'clean' as const },
    hlc: writeHlc({ ms: s * 1000, counter: 0 }, device),
    ...part,
  })
  it('is asked about where person, stage, outcome and moment agree and the device does not', () => {
    const first = told(100, 'one-two')
    expect(recordedTwice([first, told(110, 'three-four')])).toHaveLength(1)
    for (const other of [
      told(110, 'one-two'),
      told(130, 'three-four'),
      told(110, 'three-four', { studentId: 'b' }),
      told(110, 'three-four', { stageId: 'FS-10a' }),
      told(110, 'three-four', { outcome: 'not-yet' }),
    ])
      expect(recordedTwice([first, other])).toEqual([])
  })
})

it('two of one first name are told apart by the next initial', () => {
  const called = firstNames(['Ines Calder', 'Ines Brook', 'Wren Haskett', 'Moro'])
  expect(['Ines Calder', 'Ines Brook', 'Wren Haskett', 'Moro'].map(called)).toEqual([
    ...['Ines C.', 'Ines B.', 'Wren', 'Moro'],
  ])
})
