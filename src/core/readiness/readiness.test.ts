import { did, evidence, placed, ready as shownFor, saw, TODAY } from '@/testing/evidence'
import { findById } from '../practice/find'
import { buildLibrary, shippedPractice, SHIPPED } from '../practice/library'
import type { Gate } from '../practice/schema'
import { NO_LIMITS, NOT_ASKED } from '../screening/caps'
import { describeReason } from '../words/reason'
import { decide, type Decision, type Outcome } from './decide'
import type { Evidence, Observation } from './evidence'
import { ladderOf } from './ladder'
import { evaluateGate, type GateState } from './gate'

const practice = shippedPractice()
const decideOn = (
  e: Evidence,
  asOf = TODAY,
  screening: 'recorded' | 'not-recorded' = 'not-recorded',
): Decision => decide(practice, 'FS', 's', e, screening === 'recorded' ? NO_LIMITS : NOT_ASKED, asOf)
const codes = (d: Decision): string[] => d.reasons.map((r) => r.code)

describe('a gate', () => {
  const stage = (fall: number) => ({ load: fall === 0 ? {} : { FR: fall } })
  const gate = (part: Partial<Gate> = {}): Gate => ({
    check: 'CK-dolphin-hold',
    op: '>=',
    value: 30,
    side: 'single',
    aidedOk: false,
    life: 'standing',
    ...part,
  })
  const state = (g: Gate, observations: Observation[], fall = 0): GateState =>
    evaluateGate(g, findById(practice.checks, g.check), stage(fall), observations, TODAY).state
  const hold = (s: number, daysAgo = 1, part = {}): Observation => saw('CK-dolphin-hold', s, daysAgo, part)

  it.each<[string, Observation[], GateState]>([
    ['nothing known', [], 'unknown'],
    ['at the threshold once', [hold(30)], 'confirm'],
    ['at the threshold three times', [hold(30, 9), hold(30, 5), hold(30)], 'met'],
    ['well above it once', [hold(39)], 'met'],
    ['just under', [hold(29)], 'near'],
    ['at 80 %', [hold(24)], 'near'],
    ['under 80 %', [hold(23.9)], 'unmet'],
    ['good but stale', [hold(40, 15)], 'confirm'],
    ['older than the window', [hold(40, 43)], 'unknown'],
    ['best of two tries on a day counts', [hold(20), hold(40)], 'met'],
    ['shape not kept', [hold(40, 1, { valid: false })], 'unmet'],
    ['nobody watched', [hold(40, 1, { watched: false })], 'unmet'],
    ['with an aid', [hold(40, 1, { aided: true })], 'unmet'],
    ['an unwatched poor day since', [hold(40, 5), hold(10, 1, { watched: false })], 'met'],
    ['a voided day since', [hold(40, 5), hold(40, 1, { valid: false })], 'unmet'],
    ['a poor day since', [hold(40, 5), hold(10, 1)], 'unmet'],
    ['a close day since', [hold(40, 5), hold(25, 1)], 'near'],
  ])('≥ 30 s: %s', (_, observations, expected) => expect(state(gate(), observations)).toBe(expected))

  it.each<[string, number[], GateState]>([
    ['once', [0], 'confirm'],
    ['twice', [0, 0], 'confirm'],
    ['three classes running', [0, 0, 0], 'met'],
    ['pain in the middle of three', [0, 1, 0], 'confirm'],
  ])('half plough wants three classes without symptoms: %s', (_, pains, expected) => {
    const gate = findById(practice.stages, 'SH-16').gates.find((g) => g.check === 'CK-symptoms-after')!
    const asked = pains.map((pain, i) => saw('CK-symptoms-after', pain, 1 + 7 * (pains.length - 1 - i)))
    expect(state(gate, asked)).toBe(expected)
  })
  it('takes a result with an aid where the gate says so', () => {
    expect(state(gate({ aidedOk: true }), [hold(40, 1, { aided: true })])).toBe('met')
  })
  it.each([
    [2, 'met'],
    [2.5, 'near'],
    [2.6, 'unmet'],
  ])('≤ 2 cm: %p is %s', (value, expected) => {
    expect(state(gate({ check: 'CK-elbow-drift', op: '<=', value: 2 }), [saw('CK-elbow-drift', value)])).toBe(
      expected,
    )
  })
  it.each([
    [1, 'met'],
    [0, 'unmet'],
  ])('yes or no: %p is %s, never near', (value, expected) => {
    expect(state(gate({ check: 'CK-pelvic-set', op: 'yes' }), [saw('CK-pelvic-set', value)])).toBe(expected)
  })
  it('a level is near one below', () => {
    const kick = gate({ check: 'CK-kick-height', value: 2, side: 'each' })
    expect(state(kick, [saw('CK-kick-height', { left: 2, right: 1 })])).toBe('near')
    expect(state(kick, [saw('CK-kick-height', { left: 2, right: 0 })])).toBe('unmet')
  })
  it('each side counts: the weaker decides', () => {
    const lift = gate({ check: 'CK-leg-lift-forearm', value: 5, side: 'each' })
    expect(state(lift, [saw('CK-leg-lift-forearm', { left: 9, right: 7 })])).toBe('met')
    expect(state(lift, [saw('CK-leg-lift-forearm', { left: 9, right: 3 })])).toBe('unmet')
  })
  it.each<[number, number[], GateState]>([
    [2, [35], 'confirm'],
    [2, [35, 35], 'met'],
    [2, [35, 10, 35], 'confirm'],
    [2, [35, 10, 39], 'confirm'],
    [2, [35, 35, 10, 39], 'met'],
    [3, [35, 35], 'confirm'],
    [3, [35, 35, 35], 'met'],
    [3, [35, 10, 35, 35], 'met'],
    [3, [30, 10, 30, 30], 'confirm'],
    [3, [35, 10, 10, 35], 'confirm'],
  ])('fall level %p, days %p: %s', (fall, days, expected) => {
    expect(
      state(
        gate(),
        days.map((s, i) => hold(s, days.length - i)),
        fall,
      ),
    ).toBe(expected)
  })
})

describe('decisions, row by row', () => {
  it('nobody knows anything: the foot of the ladder is offered, since it asks nothing', () => {
    const d = decideOn(evidence())
    expect(d).toMatchObject({ outcome: 'offer', targetId: 'FS-01', standing: null })
    expect(codes(d)).toEqual(['no-standing', 'no-gates'])
  })
  it('offer: every gate of the next stage met', () => {
    const d = decideOn(evidence(did('FS-05'), saw('CK-leg-lift-forearm', { left: 7, right: 7 })))
    expect(d).toMatchObject({ outcome: 'offer', targetId: 'FS-06', missing: [] })
  })
  it('once more: met but stale, and the stale check is the one thing that would change it', () => {
    const d = decideOn(evidence(did('FS-05'), saw('CK-leg-lift-forearm', { left: 7, right: 7 }, 20)))
    expect(d.outcome).toBe('once-more')
    expect(d.wouldChange).toMatchObject({ gate: { check: 'CK-leg-lift-forearm' }, staleDays: 20 })
  })
  it('near, then build', () => {
    const at = (weaker: number): Outcome =>
      decideOn(evidence(did('FS-05'), saw('CK-leg-lift-forearm', { left: 9, right: weaker }))).outcome
    expect([7, 5, 4, 3].map(at)).toEqual(['offer', 'once-more', 'near', 'build'])
  })
  it('build: an unknown gate counts as building', () =>
    expect(decideOn(evidence(did('FS-05'))).outcome).toBe('build'))
  it('full inversions and falls are never offered while screening is not recorded, and the reason says so', () => {
    const ready = evidence(
      ...shownFor(),
      ...[1, 3, 5].flatMap((d) => [
        did('FS-09', d),
        saw('CK-dolphin-hold', 55, d),
        saw('CK-leg-lift-forearm', { left: 30, right: 30 }, d),
        saw('CK-kick-height', { left: 3, right: 2 }, d),
        saw('CK-forearm-overhead', { left: 1, right: 1 }, d),
      ]),
    )
    expect(decideOn(ready)).toMatchObject({ outcome: 'once-more', targetId: 'FS-10a', missing: [] })
    expect(decideOn(ready).reasons).toContainEqual({ code: 'screening-not-recorded', tags: ['HBH3', 'FR3'] })
    expect(decideOn(ready, TODAY, 'recorded').outcome).toBe('offer')
  })
  it('held: nothing above the top of the ladder', () => {
    const top = ladderOf(practice, 'FS').stages.at(-1)!.id
    expect(decideOn(evidence(did(top, 1), did(top, 3), did(top, 5)))).toMatchObject({
      outcome: 'held',
      targetId: null,
    })
  })
  it('off a side branch, goes back to where the ladder leads on', () => {
    expect(decideOn(evidence(did('FS-03f'))).targetId).toBe('FS-02')
  })
})

describe('placement by eye', () => {
  it('credits what comes before and opens the next stage’s gates', () => {
    expect(decideOn(evidence(placed('FS-05')))).toMatchObject({
      standing: { stageId: 'FS-05', by: 'placement' },
      targetId: 'FS-06',
    })
  })
  it('lasts 28 days', () => {
    expect(decideOn(evidence(placed('FS-05', 28))).standing?.stageId ?? null).toBe('FS-05')
    expect(decideOn(evidence(placed('FS-05', 29))).standing).toBeNull()
  })
  it('never opens a high fall, even with everything shown and screened', () => {
    const shown = [1, 3, 5].flatMap((d) => [
      saw('CK-dolphin-hold', 50, d),
      saw('CK-leg-lift-forearm', { left: 30, right: 30 }, d),
      saw('CK-kick-height', { left: 3, right: 2 }, d),
      saw('CK-forearm-overhead', { left: 1, right: 1 }, d),
    ])
    const d = decideOn(evidence(placed('FS-09'), ...shownFor(), ...shown), TODAY, 'recorded')
    expect(d.outcome).toBe('once-more')
    expect(codes(d)).toContain('placed-not-proven')
  })
  it('can be taken back', () => {
    const back = { ...placed('FS-05'), stageId: null, hlc: 'z' }
    expect(decideOn(evidence(placed('FS-05'), back)).standing).toBeNull()
  })
})

describe('stepping back follows one’s own faults only', () => {
  it('an own severity-3 fault: one rung', () => {
    const d = decideOn(
      evidence(
        did('FS-05', 5),
        did('FS-05', 1, { outcome: 'not-yet', faults: ['FT-elbow-bend'], endedBy: 'self' }),
      ),
    )
    expect(d).toMatchObject({ outcome: 'step-back', targetId: 'FS-04' })
    expect(d.reasons[0]).toMatchObject({ code: 'own-fault-severe', faultId: 'FT-elbow-bend' })
  })
  it('spent arms, a helper or the setup change nothing', () => {
    for (const endedBy of ['spent-arms', 'helper', 'setup'] as const) {
      const d = decideOn(
        evidence(
          did('FS-05', 5),
          did('FS-05', 1, { outcome: 'stopped', faults: ['FT-elbow-bend'], endedBy }),
        ),
      )
      expect(d.outcome).not.toBe('step-back')
    }
  })
  it('the same severity-2 fault on two class days, not on one', () => {
    const poor = (daysAgo: number) =>
      did('FS-05', daysAgo, { outcome: 'not-yet', faults: ['FT-shoulder-sink'], endedBy: 'self' })
    expect(decideOn(evidence(did('FS-05', 9), poor(1))).outcome).not.toBe('step-back')
    expect(codes(decideOn(evidence(did('FS-05', 9), poor(8), poor(1))))[0]).toBe('own-fault-twice')
  })
  it('an exit that was not controlled', () => {
    expect(codes(decideOn(evidence(did('FS-05', 5), did('FS-05', 1, { exitControlled: false }))))[0]).toBe(
      'exit-not-controlled',
    )
  })
  it.each([
    [21, undefined],
    [22, 'FS-04'],
  ])('after %p days away: %p', (daysAway, target) => {
    const d = decideOn(evidence(did('FS-05', daysAway)))
    expect(d.outcome === 'step-back' ? d.targetId : undefined).toBe(target)
  })
  it('a placement older than its 28 days leaves no standing to step back from', () => {
    expect(decideOn(evidence(placed('FS-06', 61))).outcome).toBe('offer')
  })
})

describe('corrections', () => {
  it('a correction stands in for what it corrects; a withdrawal leaves nothing', () => {
    const wrong = saw('CK-leg-lift-forearm', { left: 60, right: 60 })
    const right = saw('CK-leg-lift-forearm', { left: 2, right: 2 }, 1, { replaces: wrong.id })
    const gone = saw('CK-leg-lift-forearm', { left: 2, right: 2 }, 1, { replaces: right.id, withdrawn: true })
    expect(decideOn(evidence(did('FS-05'), wrong)).outcome).toBe('offer')
    expect(decideOn(evidence(did('FS-05'), wrong, right)).outcome).toBe('build')
    expect(decideOn(evidence(did('FS-05'), wrong, right, gone)).missing[0]?.state).toBe('unknown')
  })
})

describe('thresholds are data', () => {
  it('editing one in the file changes the decision with no change of code', () => {
    const stages = (SHIPPED.stages as { id: string; gates?: { check: string; value?: number }[] }[]).map(
      (s) =>
        s.id === 'FS-06'
          ? { ...s, gates: [{ check: 'CK-leg-lift-forearm', op: '>=', value: 20, side: 'each' }] }
          : s,
    )
    const edited = buildLibrary({ ...SHIPPED, stages })
    const e = evidence(did('FS-05'), saw('CK-leg-lift-forearm', { left: 7, right: 7 }))
    expect(decide(practice, 'FS', 's', e, NOT_ASKED, TODAY).outcome).toBe('offer')
    expect(decide(edited, 'FS', 's', e, NOT_ASKED, TODAY).outcome).toBe('build')
  })
})

describe('reasons in words', () => {
  it('name numbers and days, and never a raw code', () => {
    const cases = [
      evidence(),
      evidence(placed('FS-09'), saw('CK-dolphin-hold', 52)),
      evidence(did('FS-05', 30)),
      evidence(
        did('FS-05', 5),
        did('FS-05', 1, { faults: ['FT-elbow-bend'], outcome: 'not-yet', endedBy: 'self' }),
      ),
      evidence(did('FS-05'), saw('CK-leg-lift-forearm', { left: 9, right: 4 })),
    ]
    for (const e of cases)
      for (const reason of decideOn(e).reasons)
        expect(describeReason(reason, practice)).toMatch(/^[A-Z0-9].*[.?]$/)
    expect(describeReason(decideOn(cases[4]!).reasons[1]!, practice)).toBe(
      'Leg lift in dolphin without sinking at least 5 s each side: close, 4 s on 9 Mar 2026.',
    )
  })
})
