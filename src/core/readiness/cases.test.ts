import { did, evidence, placed, ready, saw, TODAY } from '@/testing/evidence'
import { addDays } from '../day'
import { findById } from '../practice/find'
import { shippedPractice } from '../practice/library'
import type { Gate } from '../practice/schema'
import { capsFrom, NO_LIMITS, NOT_ASKED, type Caps } from '../screening/caps'
import { decide, type Decision, type Outcome, type Ways } from './decide'
import type { Attempt, Observation, Placement } from './evidence'
import { evaluateGate, type GateState } from './gate'

/** Every row of the outcome table, every kind of gate and each ruling on readiness, worked by hand. */

const practice = shippedPractice()
type Facts = (Observation | Attempt | Placement)[]
const fs = (facts: Facts, limits: Caps = NO_LIMITS, ways?: Ways): Decision =>
  decide(
    practice,
    'FS',
    's',
    evidence(...ready().filter((o) => o.checkId !== 'CK-both-leads'), ...facts),
    limits,
    TODAY,
    ways,
  )
const legs = (left: number, right: number, daysAgo = 1, part: Partial<Observation> = {}): Observation =>
  saw('CK-leg-lift-forearm', { left, right }, daysAgo, part)
const fault = (stage: string, daysAgo: number, id: string, part: Partial<Attempt> = {}): Attempt =>
  did(stage, daysAgo, { outcome: 'not-yet', endedBy: 'self', faults: [id], ...part })

describe('the outcome table, row by row (FS-06 asks for a leg lift of 5 s each side)', () => {
  const stopped = capsFrom(practice, { set: new Set(['VASC']), unknown: [] }, [], TODAY)
  it.each<[string, Facts, Caps, Outcome, string | null]>([
    ['Stop on the next step', [placed('FS-09')], stopped, 'not-now', 'FS-10a'],
    [
      'own severity-3 fault',
      [did('FS-05', 5), fault('FS-05', 1, 'FT-elbow-bend')],
      NO_LIMITS,
      'step-back',
      'FS-04',
    ],
    [
      'same severity-2 fault on two days',
      [did('FS-05', 9), fault('FS-05', 8, 'FT-shoulder-sink'), fault('FS-05', 1, 'FT-shoulder-sink')],
      NO_LIMITS,
      'step-back',
      'FS-04',
    ],
    ['pain after work', [did('FS-05'), saw('CK-symptoms-after', 4)], NO_LIMITS, 'step-back', 'FS-04'],
    [
      'exit not controlled',
      [did('FS-05', 4), did('FS-05', 1, { exitControlled: false })],
      NO_LIMITS,
      'step-back',
      'FS-04',
    ],
    ['away 22 days', [did('FS-05', 22)], NO_LIMITS, 'step-back', 'FS-04'],
    ['away 61 days', [did('FS-05', 61)], NO_LIMITS, 'step-back', 'FS-03c'],
    ['all met', [did('FS-05'), legs(6.5, 6.5)], NO_LIMITS, 'offer', 'FS-06'],
    ['at the mark once: often luck', [did('FS-05'), legs(5, 5)], NO_LIMITS, 'once-more', 'FS-06'],
    ['met, but 15 days old', [did('FS-05'), legs(7, 7, 15)], NO_LIMITS, 'once-more', 'FS-06'],
    ['four of five seconds', [did('FS-05'), legs(4, 9)], NO_LIMITS, 'near', 'FS-06'],
    ['three of five', [did('FS-05'), legs(3, 9)], NO_LIMITS, 'build', 'FS-06'],
    ['nothing known', [did('FS-05')], NO_LIMITS, 'build', 'FS-06'],
    ['top of the ladder', [1, 3, 5].map((d) => did('AD-01', d)), NO_LIMITS, 'held', null],
  ])('%s', (_, facts, limits, outcome, targetId) =>
    expect(fs(facts, limits)).toMatchObject({ outcome, targetId }),
  )

  it('a Stop comes before everything met, a stepping back before a Stop is asked for', () => {
    expect(fs([did('FS-05'), legs(9, 9)], stopped)).toMatchObject({ outcome: 'not-now', missing: [] })
    expect(fs([placed('FS-06'), fault('FS-06', 1, 'FT-elbow-bend')], stopped).outcome).toBe('step-back')
  })
  it('of several branches the best, ties by the approach in force, then by the ladder', () => {
    const kick = [1, 3, 5].flatMap((d) => [
      did('FS-09', d),
      saw('CK-dolphin-hold', 55, d),
      legs(30, 30, d),
      saw('CK-kick-height', { left: 3, right: 3 }, d),
      saw('CK-forearm-overhead', { left: 1, right: 1 }, d),
      saw('CK-elbow-drift', 1, d),
      saw('CK-both-leads', 0, d),
    ])
    const taking = (...prefers: string[]) => fs(kick, NO_LIMITS, { hidden: new Set(), prefers }).targetId
    expect(taking()).toBe('FS-10a')
    expect(taking('FS-10f')).toBe('FS-10f')
    expect(taking('FS-10b', 'FS-10f')).toBe('FS-10b')
    const without = kick.filter((f) => f.kind !== 'observation' || f.checkId !== 'CK-elbow-drift')
    const decision = fs(without, NO_LIMITS, { hidden: new Set(), prefers: ['FS-10b'] })
    expect(decision).toMatchObject({ outcome: 'offer', targetId: 'FS-10a' })
    expect(decision.branches[0]).toEqual({ stageId: 'FS-10b', outcome: 'build' })
  })
})

describe('every kind of gate', () => {
  const state = (gate: Partial<Gate>, ...seen: Observation[]): GateState => {
    const whole: Gate = {
      check: 'CK-dolphin-hold',
      op: '>=',
      side: 'single',
      aidedOk: false,
      life: 'standing',
      ...gate,
    }
    return evaluateGate(whole, findById(practice.checks, whole.check), { load: {} }, seen, TODAY).state
  }
  it.each<[string, GateState, GateState]>([
    ['≥', 'met', state({ value: 30 }, saw('CK-dolphin-hold', 39))],
    ['≤', 'met', state({ check: 'CK-elbow-drift', op: '<=', value: 2 }, saw('CK-elbow-drift', 2))],
    ['yes', 'met', state({ check: 'CK-pelvic-set', op: 'yes' }, saw('CK-pelvic-set', 1))],
    ['no', 'unmet', state({ check: 'CK-pelvic-set', op: 'yes' }, saw('CK-pelvic-set', 0))],
    ['known', 'met', state({ check: 'CK-squat', op: 'recorded' }, saw('CK-squat', 0))],
    [
      'level',
      'near',
      state(
        { check: 'CK-kick-height', value: 3, side: 'each' },
        saw('CK-kick-height', { left: 2, right: 5 }),
      ),
    ],
    [
      'either side',
      'met',
      state(
        { check: 'CK-kick-height', value: 3, side: 'either' },
        saw('CK-kick-height', { left: 2, right: 5 }),
      ),
    ],
    [
      'either side, ≤',
      'met',
      state(
        { check: 'CK-forearm-overhead', op: '<=', value: 2, side: 'either' },
        saw('CK-forearm-overhead', { left: 5, right: 2 }),
      ),
    ],
    [
      'each side, ≤',
      'unmet',
      state(
        { check: 'CK-forearm-overhead', op: '<=', value: 2, side: 'each' },
        saw('CK-forearm-overhead', { left: 5, right: 2 }),
      ),
    ],
    ['aided', 'unmet', state({ value: 30 }, saw('CK-dolphin-hold', 60, 1, { aided: true }))],
    [
      'aided, allowed',
      'met',
      state({ value: 30, aidedOk: true }, saw('CK-dolphin-hold', 60, 1, { aided: true })),
    ],
    [
      'a fault that voids it',
      'unmet',
      state({ value: 30 }, saw('CK-dolphin-hold', 60, 1, { faults: ['FT-elbow-splay'] })),
    ],
    [
      'a fault that does not',
      'met',
      state({ value: 30 }, saw('CK-dolphin-hold', 60, 1, { faults: ['FT-gaze-back'] })),
    ],
    ['hands helping', 'unmet', state({ value: 30 }, saw('CK-dolphin-hold', 60, 1, { help: 'touched' }))],
    ['nobody watching', 'unmet', state({ value: 30 }, saw('CK-dolphin-hold', 60, 1, { watched: false }))],
    ['stale', 'confirm', state({ value: 30 }, saw('CK-dolphin-hold', 60, 15))],
    [
      'two days of three',
      'confirm',
      state({ value: 30, days: { clean: 2, of: 3 } }, saw('CK-dolphin-hold', 60)),
    ],
  ])('%s: %s', (_, expected, found) => expect(found).toBe(expected))

  it('tonight’s and the planner’s gates never make somebody not ready (ruling 3)', () => {
    const other = practice.stages.find((s) => s.gates.some((g) => g.life !== 'standing') && s.id === 'HS-03')
    expect(other?.gates.every((g) => g.life === 'tonight')).toBe(true)
    expect(decide(practice, 'HS', 's', evidence(did('HS-02')), NO_LIMITS, TODAY)).toMatchObject({
      outcome: 'offer',
      targetId: 'HS-03',
      missing: [],
    })
  })
  it('spent arms give no verdict: a poor result then neither counts nor hides an earlier one (ruling 7)', () => {
    const spent = saw('CK-dolphin-hold', 12, 1, { arms: 'spent' })
    expect(state({ value: 30 }, spent)).toBe('unknown')
    expect(state({ value: 30 }, saw('CK-dolphin-hold', 40, 3), spent)).toBe('met')
    expect(state({ value: 30 }, saw('CK-dolphin-hold', 40, 3), { ...spent, arms: null })).toBe('unmet')
  })
  it('clean work on a harder stage refreshes the easier gate, never the number of its days (ruling 4)', () => {
    const drift = [saw('CK-elbow-drift', 1, 20)]
    const narrow = { hidden: new Set(['FS-03e']), prefers: [] }
    expect(fs([placed('FS-03a'), ...drift], NO_LIMITS, narrow)).toMatchObject({
      outcome: 'once-more',
      targetId: 'FS-03c',
    })
    // FS-05 comes after FS-03c, which asks for the same: to keep it clean is to show it.
    const harder = fs([...drift, did('FS-04', 30), did('FS-05', 2)])
    expect(harder.targetId).toBe('FS-06')
    const gate = findById(practice.stages, 'FS-03c').gates[0]!
    const check = findById(practice.checks, gate.check)
    const stale = evaluateGate(gate, check, { load: {} }, drift, TODAY)
    const renewed = evaluateGate(gate, check, { load: {} }, drift, TODAY, addDays(TODAY, -2))
    expect([stale.state, stale.staleDays]).toEqual(['confirm', 20])
    expect([renewed.state, renewed.staleDays, renewed.renewedDay]).toEqual(['met', null, addDays(TODAY, -2)])
    expect(evaluateGate(gate, check, { load: { FR: 3 } }, drift, TODAY, TODAY).state).toBe('confirm')
  })
  it('work on another branch that asks for more keeps a gate fresh', () => {
    // FS-08c asks for a leg lift of 3 s; FS-07, worked clean two days ago, rests on 5 s.
    const stale = [...[5, 7, 9].map((d) => did('FS-08b', d)), ...[20, 22, 24].map((d) => legs(5, 5, d))]
    expect(fs(stale)).toMatchObject({ outcome: 'once-more', targetId: 'FS-08c' })
    expect(fs([...stale, did('FS-07', 2)])).toMatchObject({ outcome: 'offer', targetId: 'FS-08c' })
    expect(fs([...stale, did('FS-07', 2, { help: 'touched' })]).outcome).toBe('once-more')
  })
})

describe('the advanced follow their parent family (ruling 15)', () => {
  const next = (family: 'FS' | 'HS' | 'HD' | 'SH', stage: string) =>
    decide(
      practice,
      family,
      's',
      evidence(...[1, 3, 5].map((d) => did(stage, d))),
      NO_LIMITS,
      TODAY,
    ).branches.map((b) => b.stageId)
  it('at the top of its own ladder each of four has one more', () => {
    expect(next('FS', 'FS-16')).toEqual(['AD-01'])
    expect(next('HS', 'HS-14')).toContain('AD-03')
    expect(next('SH', 'SH-14')).toContain('AD-11')
    // A drop exit wants two other families besides: it is nobody's next step from one ladder.
    expect(next('FS', 'AD-01')).toEqual([])
  })
})

describe('standing', () => {
  it('a medium fall wants two clean days of three, a high one three of four', () => {
    const held = (stage: string, ...days: number[]) => fs(days.map((d) => did(stage, d))).standing?.stageId
    expect([held('FS-09', 1), held('FS-09', 1, 3)]).toEqual([undefined, 'FS-09'])
    expect([held('FS-10a', 1, 3), held('FS-10a', 1, 3, 5)]).toEqual([undefined, 'FS-10a'])
  })
  it('only clean, alone and out of it under control', () => {
    for (const part of [
      { outcome: 'not-yet' },
      { help: 'touched' },
      { help: 'carried' },
      { exitControlled: false },
    ] as const)
      expect([part, fs([did('FS-05', 1, part)]).standing]).toEqual([part, null])
  })
  it('credits every branch that was held: what is held is not offered again', () => {
    const two = fs([did('FS-03a', 2), did('FS-03d', 1)])
    expect(two.branches.map((b) => b.stageId)).not.toContain('FS-03a')
  })
  it('screening that nobody recorded holds high falls back, placement opens none (ruling 5)', () => {
    expect(fs([placed('FS-05'), legs(9, 9), saw('CK-dolphin-hold', 60)], NOT_ASKED).branches).toContainEqual({
      stageId: 'FS-07',
      outcome: 'once-more',
    })
  })
})
