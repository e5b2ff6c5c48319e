import fc from 'fast-check'
import { did, evidence, placed, ready, saw, TODAY } from '@/testing/evidence'
import { shippedPractice } from '../practice/library'
import { FAMILIES, LOAD_TAGS } from '../practice/schema'
import { NO_LIMITS, type Cap, type Caps } from '../screening/caps'
import { closesStage } from '../screening/stage-limits'
import { meterOf } from '../words/meter'
import { decide } from './decide'
import { groundOf } from './ground'
import { ladderOf } from './ladder'
import { pathOf } from './path'

const practice = shippedPractice()
const NOTHING_HIDDEN = new Set<string>()

function path(
  family: (typeof FAMILIES)[number],
  facts = evidence(),
  limits: Caps = NO_LIMITS,
  hidden = NOTHING_HIDDEN,
) {
  const decision = decide(practice, family, 's', facts, limits, TODAY)
  const { credited } = groundOf(practice, facts, TODAY)
  return { decision, credited, forks: pathOf(practice, decision, credited, limits, hidden) }
}

it('shows every stage of a ladder once, in its order, branches under their number', () => {
  for (const family of FAMILIES) {
    const { forks } = path(family)
    expect(forks.flatMap((f) => f.steps.map(({ stage }) => stage.id)).toSorted()).toEqual(
      ladderOf(practice, family)
        .stages.map(({ id }) => id)
        .toSorted(),
    )
    for (const { name, steps, first } of forks) {
      expect(steps.every(({ stage }) => stage.id.startsWith(name))).toBe(true)
      expect(steps[first]).toBeDefined()
    }
  }
})

it('marks where somebody stands, what comes next and what lies beneath, and looks at those branches first', () => {
  const { forks, decision } = path('FS', evidence(placed('FS-09'), ...ready()))
  const steps = forks.flatMap((f) => f.steps)
  const stateOf = (id: string) => steps.find(({ stage }) => stage.id === id)?.state
  expect(stateOf('FS-09')).toBe('standing')
  expect(stateOf('FS-02')).toBe('held')
  expect(stateOf(decision.targetId ?? '')).toBe('next')
  const fork = forks.find(({ name }) => decision.targetId?.startsWith(name))
  expect(fork?.steps[fork.first]?.stage.id).toBe(decision.targetId)
  expect(stateOf('FS-16')).toBe('ahead')
  // Of six ways of one step the one somebody stands on is looked at, wherever it is in the list.
  const dolphins = path('FS', evidence(placed('FS-03c'))).forks.find(({ name }) => name === 'FS-03')
  expect(dolphins?.steps[dolphins.first]?.stage.id).toBe('FS-03c')
})

it('says of a step back that it is gone back to, not that it comes next', () => {
  const { forks, decision } = path(
    'FS',
    evidence(
      placed('FS-05'),
      did('FS-05', 1, { outcome: 'not-yet', exitControlled: false, endedBy: 'self' }),
    ),
  )
  expect(decision.outcome).toBe('step-back')
  const states = forks.flatMap((f) => f.steps).filter(({ stage }) => stage.id === decision.targetId)
  expect(states.map(({ state }) => state)).toEqual(['back'])
})

it('leaves out what a way of working hides, unless it is held', () => {
  const hidden = new Set(['FS-03d', 'FS-10e'])
  const shown = path('FS', evidence(placed('FS-03d')), NO_LIMITS, hidden).forks.flatMap((f) =>
    f.steps.map(({ stage }) => stage.id),
  )
  expect(shown).toContain('FS-03d')
  expect(shown).not.toContain('FS-10e')
})

it('closes exactly what limits close, whatever is held', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...FAMILIES),
      fc.constantFrom(...LOAD_TAGS),
      fc.constantFrom(1 as const, 2 as const, 3 as const),
      fc.constantFrom(...practice.stages.map(({ id }) => id)),
      (family, tag, level, standsAt) => {
        const barred: Cap = {
          ruleId: 'x',
          action: 'stop',
          tag,
          level,
          mostSeconds: null,
          instead: '',
          change: null,
          needsClearance: true,
        }
        const limits: Caps = { ...NO_LIMITS, caps: [barred] }
        for (const { stage, state } of path(family, evidence(placed(standsAt)), limits).forks.flatMap(
          (f) => f.steps,
        ))
          expect([stage.id, state === 'closed']).toEqual([stage.id, closesStage(practice, limits, stage)])
      },
    ),
    { numRuns: 60 },
  )
})

describe('a gate as a meter', () => {
  const meter = (...facts: Parameters<typeof evidence>) => {
    const { missing, reasons } = path('FS', evidence(placed('FS-09'), ...facts)).decision
    const met = reasons.flatMap((r) => (r.code === 'gate' && r.result.state === 'met' ? [r.result] : []))
    return [...missing, ...met]
      .filter(({ gate }) => gate.check === 'CK-dolphin-hold')
      .map((result) => meterOf(result, practice))[0]
  }
  it('says what was asked and seen, how much of the mark it is, and what would do', () => {
    expect(meter()).toMatchObject({
      asked: 'Dolphin hold at least 45 s',
      seen: '',
      share: null,
      note: 'Not checked yet.',
    })
    const half = meter(saw('CK-dolphin-hold', 22.5, 2))
    expect(half).toMatchObject({ seen: '22.5 s, 8 Mar 2026', share: 0.5, met: false, note: 'Not yet.' })
    expect(meter(saw('CK-dolphin-hold', 40, 2))?.note).toBe('Close.')
  })
  it('counts what counted, and never says a day that is not asked for', () => {
    const once = meter(saw('CK-dolphin-hold', 46, 2))
    expect(once?.share).toBe(1)
    expect(once?.days?.have).toBeLessThan(once?.days?.need ?? 0)
    expect(once?.note).toMatch(/more such days? would do/)
    const often = [2, 4, 6, 8, 10, 12].map((ago) => saw('CK-dolphin-hold', 60, ago))
    expect(meter(...often)).toMatchObject({ met: true, note: '' })
  })
})
